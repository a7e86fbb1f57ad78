package paredown.refactor.code;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Set;
import javax.lang.model.element.Element;
import paredown.program.Program;

/** Finds the variables that code writes to. */
public final class Writes extends TreePathScanner<Void, Void> {
  private final Program program;
  private final Set<Element> written = new HashSet<>();

  private Writes(Program program) {
    this.program = program;
  }

  public static Set<Element> in(UnitTrees trees, TreePath code) {
    return in(trees.program(), code);
  }

  public static Set<Element> in(Program program, TreePath code) {
    Writes scan = new Writes(program);
    scan.scan(code, null);
    return scan.written;
  }

  @Override
  public Void visitAssignment(AssignmentTree tree, Void unused) {
    add(tree.getVariable());
    return super.visitAssignment(tree, null);
  }

  @Override
  public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
    add(tree.getVariable());
    return super.visitCompoundAssignment(tree, null);
  }

  @Override
  public Void visitUnary(UnaryTree tree, Void unused) {
    if (Values.isStep(tree.getKind())) {
      add(tree.getExpression());
    }
    return super.visitUnary(tree, null);
  }

  private void add(Tree target) {
    Element element = program.trees().getElement(new TreePath(getCurrentPath(), target));
    if (element != null) {
      written.add(element);
    }
  }
}
