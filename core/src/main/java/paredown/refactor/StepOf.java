package paredown.refactor;

import java.util.Set;
import paredown.gate.Verdict;

/** A refactoring that is a step of another one, which speaks for it. */
public interface StepOf extends Refactoring {

  /** What it is a step of. */
  Refactoring whole();

  @Override
  default void explain(Verdict verdict) throws Refused {
    whole().explain(verdict);
  }

  @Override
  default Set<RefusalKind> accepted() {
    return whole().accepted();
  }

  @Override
  default String command() {
    return whole().command();
  }

  @Override
  default String says() {
    return whole().says();
  }
}
