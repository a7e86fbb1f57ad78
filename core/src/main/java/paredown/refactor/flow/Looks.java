package paredown.refactor.flow;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.effect.CalmCalls;

/**
 * What an expression looks at when it is worked out.
 *
 * @param variables the local variables and fields that it reads, also by plain accessors
 * @param onlyAtVariables whether it looks at nothing else that could change
 * @param makes whether it makes an object itself
 * @param couldMake whether what it calls could give another object each time
 * @param atWatched whether it reads a volatile field, which other threads set
 */
record Looks(
    Set<Element> variables,
    boolean onlyAtVariables,
    boolean makes,
    boolean couldMake,
    boolean atWatched) {

  static Looks of(Program program, CalmCalls calm, TreePath expression) {
    Scan scan = new Scan(program, calm);
    scan.scan(expression, null);
    return new Looks(scan.variables, scan.onlyVariables, scan.makes, scan.couldMake, scan.watches);
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final Program program;
    private final CalmCalls calm;
    private final Set<Element> variables = new HashSet<>();
    private boolean onlyVariables = true;
    private boolean makes;
    private boolean couldMake;
    private boolean watches;

    Scan(Program program, CalmCalls calm) {
      this.program = program;
      this.calm = calm;
    }

    private Element element() {
      return program.trees().getElement(getCurrentPath());
    }

    private void add(Element element) {
      if (element != null && (element.getKind().isField() || Symbols.isLocal(element))) {
        variables.add(element);
        watches |= element.getModifiers().contains(Modifier.VOLATILE);
      }
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      add(element());
      return null;
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      add(element());
      return super.visitMemberSelect(tree, null);
    }

    @Override
    public Void visitArrayAccess(ArrayAccessTree tree, Void unused) {
      onlyVariables = false;
      return super.visitArrayAccess(tree, null);
    }

    @Override
    public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
      Element called = program.trees().getElement(getCurrentPath());
      Optional<? extends Element> field =
          called instanceof ExecutableElement method ? calm.field(method) : Optional.empty();
      field.ifPresent(this::add);
      if (field.isEmpty()) {
        onlyVariables = false;
        couldMake = true;
      }
      return super.visitMethodInvocation(tree, null);
    }

    @Override
    public Void visitNewClass(NewClassTree tree, Void unused) {
      onlyVariables = false;
      makes = true;
      return super.visitNewClass(tree, null);
    }

    @Override
    public Void visitNewArray(NewArrayTree tree, Void unused) {
      makes = true;
      return super.visitNewArray(tree, null);
    }

    @Override
    public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
      makes = true;
      return super.visitLambdaExpression(tree, null);
    }

    @Override
    public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
      makes = true;
      return super.visitMemberReference(tree, null);
    }
  }
}
