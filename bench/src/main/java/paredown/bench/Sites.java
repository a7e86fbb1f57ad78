package paredown.bench;

import java.util.List;
import java.util.Random;
import java.util.function.Predicate;
import paredown.facts.Facts;

/** Sites enumerate where in a library an operation could apply. */
interface Sites {

  /**
   * All sites of a library.
   *
   * @param facts of its main and test sources
   * @param isMain tells the files that are no tests
   */
  List<Site> in(Facts facts, Predicate<String> isMain, Random random);
}
