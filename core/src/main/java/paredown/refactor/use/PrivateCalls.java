package paredown.refactor.use;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;

/** Finds what all callers of a private method or constructor give for a parameter. */
public final class PrivateCalls extends TreePathScanner<Void, Void> {
  private final Program program;
  private final ExecutableElement called;
  private final int index;
  private final List<TreePath> given = new ArrayList<>();
  private boolean known = true;

  private PrivateCalls(Program program, ExecutableElement called, int index) {
    this.program = program;
    this.called = called;
    this.index = index;
  }

  /** The arguments, none where nobody calls it; empty where others could call it too. */
  public static Optional<List<TreePath>> of(Program program, VariableElement parameter) {
    if (!(parameter.getEnclosingElement() instanceof ExecutableElement called)
        || called.isVarArgs()
        || !isPrivate(called)) {
      return Optional.empty();
    }
    TreePath path = program.declaration(called);
    int index = called.getParameters().indexOf(parameter);
    if (path == null || index < 0) {
      return Optional.empty();
    }
    PrivateCalls scan = new PrivateCalls(program, called, index);
    scan.scan(new TreePath(path.getCompilationUnit()), null);
    return scan.known ? Optional.of(scan.given) : Optional.empty();
  }

  /** Whether only its file can call it. */
  private static boolean isPrivate(ExecutableElement called) {
    Element type = called.getEnclosingElement();
    return called.getModifiers().contains(Modifier.PRIVATE)
        || called.getKind() == ElementKind.CONSTRUCTOR
            && (type.getKind() == ElementKind.ENUM
                || type.getModifiers().contains(Modifier.PRIVATE));
  }

  private void note(List<? extends ExpressionTree> arguments) {
    if (called.equals(program.trees().getElement(getCurrentPath()))) {
      given.add(new TreePath(getCurrentPath(), arguments.get(index)));
    }
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    note(tree.getArguments());
    return super.visitMethodInvocation(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    // The arguments of an anonymous class go to a constructor that stands in no text.
    known &= tree.getClassBody() == null || !namesOwner(tree);
    note(tree.getArguments());
    return super.visitNewClass(tree, null);
  }

  private boolean namesOwner(NewClassTree tree) {
    Element made = program.trees().getElement(new TreePath(getCurrentPath(), tree.getIdentifier()));
    return called.getEnclosingElement().equals(made);
  }

  @Override
  public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
    known &= !called.equals(program.trees().getElement(getCurrentPath()));
    return super.visitMemberReference(tree, null);
  }
}
