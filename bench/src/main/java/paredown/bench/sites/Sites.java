package paredown.bench.sites;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;

/** Sites enumerate where in a library an operation could apply. */
public interface Sites {

  /**
   * All sites of a library.
   *
   * @param facts of its main and test sources
   * @param sources the library itself
   * @param isMain tells the files that are no tests
   */
  List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random);

  /** What a user would try where something was refused; empty where nothing else is near. */
  default Optional<Refactoring> instead(Refactoring operation, Refused refused) {
    return Optional.empty();
  }
}
