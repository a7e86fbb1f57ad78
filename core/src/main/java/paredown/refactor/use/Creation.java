package paredown.refactor.use;

import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;

/** A place that makes an object of the class. */
public record Creation(UnitTrees trees, TreePath path) {

  public NewClassTree tree() {
    return (NewClassTree) path.getLeaf();
  }

  public String place() {
    return trees.place(tree());
  }

  /**
   * All of a class.
   *
   * @throws Refused where one cannot give more
   */
  public static List<Creation> of(OwnerClass owner) {
    Program program = owner.program();
    List<Creation> found = new ArrayList<>();
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitNewClass(NewClassTree tree, Void unused) {
          Element made = trees.element(new TreePath(getCurrentPath(), tree.getIdentifier()));
          if (owner.element().equals(made)) {
            requirePlain(tree, tree.getClassBody() == null, "a class without a name is below it");
            found.add(new Creation(trees, getCurrentPath()));
          }
          return super.visitNewClass(tree, null);
        }

        @Override
        public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
          Element named = trees.element(getCurrentPath());
          boolean makes =
              named != null
                  && named.getKind() == ElementKind.CONSTRUCTOR
                  && owner.element().equals(named.getEnclosingElement());
          requirePlain(tree, !makes, "a method reference makes an object, and names no values");
          return super.visitMemberReference(tree, null);
        }

        private void requirePlain(Tree tree, boolean plain, String why) {
          if (!plain) {
            throw Refused.advising(
                RefusalKind.CALL_SHAPE,
                "The constructor of %s cannot take more: %s.".formatted(owner.writtenName(), why),
                "Write the object's creation out first.",
                trees.place(tree));
          }
        }
      }.scan(unit.tree(), null);
    }
    return found;
  }

  /** The class in which it stands. */
  public TypeElement around() {
    return trees.classAround(path);
  }
}
