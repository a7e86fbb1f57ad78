package paredown.session;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;

/**
 * Steps that are planned one after the other and are applied as one.
 *
 * @param all what was asked for, in order
 */
record CarriedSteps(List<Refactoring> all) implements Refactoring {

  CarriedSteps {
    all = List.copyOf(all);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    return Optional.of(new Steps(Words.capitalised(says()) + ".", all));
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("it is made of steps");
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
