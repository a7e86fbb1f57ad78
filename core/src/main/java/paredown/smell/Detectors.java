package paredown.smell;

import java.util.Comparator;
import java.util.List;
import paredown.facts.Facts;

/** All detectors together. */
public final class Detectors {
  private static final List<Detector> ALL = List.of(new GodClass(), new DataClump());

  private Detectors() {}

  /** All findings, worst first. */
  public static List<Finding> find(Facts facts, Limits limits) {
    return ALL.stream()
        .flatMap(detector -> detector.find(facts, limits))
        .sorted(
            Comparator.comparingInt(Finding::weight)
                .reversed()
                .thenComparing(Finding::type)
                .thenComparing(Finding::id))
        .toList();
  }
}
