package paredown.refactor.startup;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.OwnerClass;

/** What must hold of a static field for it to have its value before anybody asks. */
public final class StaticFirst {
  private StaticFirst() {}

  /**
   * Requires that no code could ask for a static field before it holds an object: what stands
   * before it in its class comes to no other code.
   *
   * @throws Refused where it could
   */
  public static void require(OwnerClass owner, OwnerClass.Field field) {
    for (Tree member : owner.tree().getMembers()) {
      TreePath path = new TreePath(owner.path(), member);
      boolean block = member instanceof BlockTree code && code.isStatic();
      boolean before =
          member instanceof VariableTree other
              && other.getInitializer() != null
              && owner.trees().start(member) < field.declared()
              && owner.trees().element(path).getModifiers().contains(Modifier.STATIC);
      if ((before || block && owner.trees().start(member) < field.declared())
          && comesToOthers(owner, path)) {
        throw Refused.advising(
            RefusalKind.USED_BEFORE_BUILT,
            "%s could be asked for before it is set.".formatted(field.name()),
            "Declare it in front of what comes to other code.",
            owner.trees().place(member));
      }
    }
  }

  /** Whether code calls, makes or asks for something of the project. */
  private static boolean comesToOthers(OwnerClass owner, TreePath code) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree instanceof MethodInvocationTree
            || tree instanceof NewClassTree
            || tree instanceof MemberSelectTree) {
          TreePath path = new TreePath(getCurrentPath(), tree);
          Element element = owner.trees().element(path);
          found[0] |=
              element != null
                  && element.getEnclosingElement() instanceof TypeElement type
                  && owner.program().declares(type);
        }
        return super.scan(tree, null);
      }
    }.scan(code, null);
    return found[0];
  }
}
