package paredown.refactor.operation.changetype;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** What must hold of objects that are made where a value alone was before: that nobody can tell. */
final class QuietMaking {
  private QuietMaking() {}

  /**
   * Requires that making one, and asking it for the value, shows nowhere.
   *
   * @throws Refused where the sources show that it does
   */
  static void require(OwnerClass owner, Exchange exchange, Overruled overruled) {
    require(owner, exchange, exchange.maker());
    require(owner, exchange, exchange.giver());
    Program program = owner.program();
    if (exchange.maker().isEmpty()
        || !(program.types().asElement(exchange.to()) instanceof TypeElement type)
        || !program.declares(type)
        || OwnerClass.outermost(type).equals(OwnerClass.outermost(owner.element()))) {
      return;
    }
    StaticStart.require(
        owner,
        OwnerClass.of(program, type),
        "%s cannot be made there".formatted(Words.capitalised(Holders.one(exchange.to()))),
        overruled.overrules(RefusalKind.STARTED_EARLIER));
  }

  /**
   * Requires that no code could ask for a static field before it holds an object: what stands
   * before it in its class comes to no other code.
   *
   * @throws Refused where it could
   */
  static void requireFirst(OwnerClass owner, OwnerClass.Field field) {
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

  private static void require(
      OwnerClass owner, Exchange exchange, Optional<ExecutableElement> method) {
    Program program = owner.program();
    boolean own =
        method.isPresent() && program.declares((TypeElement) method.get().getEnclosingElement());
    if (own && !new CalmCalls(program).isCalm(method.get())) {
      throw Refused.advising(
          RefusalKind.RUNS_OFTEN,
          "%s cannot take the place of a value: %s does more than keep it and give it."
              .formatted(
                  Words.capitalised(Holders.one(exchange.to())),
                  method.get().getSimpleName().contentEquals("<init>")
                      ? "its constructor"
                      : method.get().getSimpleName() + "()"),
          "Name other methods with --as and --back.",
          UnitTrees.place(program, (TypeElement) method.get().getEnclosingElement())
              .orElseGet(() -> owner.trees().place(owner.tree())));
    }
  }
}
