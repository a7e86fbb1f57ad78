package paredown.smell;

import java.util.stream.Stream;
import paredown.facts.Facts;

/** A detector finds one kind of smell in the facts of a program. */
public interface Detector {
  Smell smell();

  Stream<Finding> find(Facts facts, Limits limits);
}
