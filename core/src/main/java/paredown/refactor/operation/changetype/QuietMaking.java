package paredown.refactor.operation.changetype;

import java.util.Optional;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.ShownType;
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
        "%s cannot be made there".formatted(Words.capitalised(ShownType.one(exchange.to()))),
        overruled.overrules(RefusalKind.STARTED_EARLIER));
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
                  Words.capitalised(ShownType.one(exchange.to())),
                  method.get().getSimpleName().contentEquals("<init>")
                      ? "its constructor"
                      : method.get().getSimpleName() + "()"),
          "Name other methods with --as and --back.",
          UnitTrees.place(program, (TypeElement) method.get().getEnclosingElement())
              .orElseGet(() -> owner.trees().place(owner.tree())));
    }
  }
}
