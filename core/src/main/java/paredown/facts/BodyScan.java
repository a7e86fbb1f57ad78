package paredown.facts;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.LinkedHashSet;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.facts.MethodFact.MemberUse;
import paredown.program.Program;

/** Reads one method's body: its decisions, its statements and the members that it uses. */
final class BodyScan extends TreePathScanner<Void, Void> {
  private final Program program;
  private final Set<MemberUse> uses = new LinkedHashSet<>();
  private int decisions;
  private int statements;

  BodyScan(Program program) {
    this.program = program;
  }

  /** McCabe, "A complexity measure", 1976: the decisions and one. */
  int branches() {
    return decisions + 1;
  }

  int statements() {
    return statements;
  }

  Set<MemberUse> uses() {
    return uses;
  }

  @Override
  public Void scan(Tree tree, Void unused) {
    if (tree instanceof StatementTree && !(tree instanceof BlockTree)) {
      statements++;
    }
    decisions += tree != null && decides(tree) ? 1 : 0;
    return super.scan(tree, unused);
  }

  private static boolean decides(Tree tree) {
    return switch (tree.getKind()) {
      case IF, FOR_LOOP, ENHANCED_FOR_LOOP, WHILE_LOOP, DO_WHILE_LOOP, CATCH -> true;
      case CONDITIONAL_EXPRESSION, CONDITIONAL_AND, CONDITIONAL_OR -> true;
      case CASE -> !((CaseTree) tree).getExpressions().isEmpty();
      default -> false;
    };
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    use(getCurrentPath());
    return super.visitIdentifier(tree, null);
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    use(getCurrentPath());
    return super.visitMemberSelect(tree, null);
  }

  @Override
  public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
    use(getCurrentPath());
    return super.visitMemberReference(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    if (program.trees().getElement(getCurrentPath()) instanceof ExecutableElement constructor
        && constructor.getEnclosingElement() instanceof TypeElement type) {
      uses.add(
          new MemberUse(
              MemberUse.Kind.CREATE,
              type.getQualifiedName().toString(),
              FactsDrawer.signature(constructor)));
    }
    return super.visitNewClass(tree, null);
  }

  private void use(TreePath path) {
    Element element = program.trees().getElement(path);
    if (element == null || !(element.getEnclosingElement() instanceof TypeElement type)) {
      return;
    }
    String owner = type.getQualifiedName().toString();
    String name = element.getSimpleName().toString();
    if (element.getKind() == ElementKind.FIELD && !name.equals("this") && !name.equals("super")) {
      access(path, owner, name);
    } else if (element.getKind() == ElementKind.METHOD) {
      uses.add(
          new MemberUse(
              MemberUse.Kind.CALL, owner, FactsDrawer.signature((ExecutableElement) element)));
    }
  }

  private void access(TreePath path, String owner, String name) {
    Tree parent = path.getParentPath().getLeaf();
    boolean assigned =
        parent instanceof AssignmentTree assignment && assignment.getVariable() == path.getLeaf();
    boolean updated =
        parent instanceof CompoundAssignmentTree update && update.getVariable() == path.getLeaf()
            || parent instanceof UnaryTree unary && changes(unary);
    if (assigned || updated) {
      uses.add(new MemberUse(MemberUse.Kind.WRITE, owner, name));
    }
    if (!assigned) {
      uses.add(new MemberUse(MemberUse.Kind.READ, owner, name));
    }
  }

  private static boolean changes(UnaryTree tree) {
    return switch (tree.getKind()) {
      case PREFIX_INCREMENT, PREFIX_DECREMENT, POSTFIX_INCREMENT, POSTFIX_DECREMENT -> true;
      default -> false;
    };
  }
}
