package paredown.bench.sites;

import java.util.List;
import java.util.Optional;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;

/** A round trip does an operation and then the one that takes it back, as one change. */
public record RoundTrip(Refactoring there, Refactoring back) implements Refactoring {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("It is planned in steps.");
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    return Optional.of(new Steps("There and back.", List.of(there, back)));
  }

  @Override
  public String command() {
    return there.command() + " && " + back.command();
  }

  @Override
  public String says() {
    return there.says() + " and back";
  }
}
