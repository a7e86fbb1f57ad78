package paredown.session;

import java.util.List;
import java.util.stream.Collectors;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.plan.Arguments;

/**
 * Steps that were planned one after the other and are applied as one.
 *
 * @param all what was asked for, in order
 */
record CarriedSteps(List<Refactoring> all) implements Refactoring {

  CarriedSteps {
    all = List.copyOf(all);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("its steps are planned already");
  }

  @Override
  public String command() {
    return all.stream().map(Refactoring::command).collect(Collectors.joining(Arguments.AND));
  }

  @Override
  public String says() {
    return all.stream().map(Refactoring::says).collect(Collectors.joining(", "));
  }
}
