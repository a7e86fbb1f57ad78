package paredown.smell.detector;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.smell.Detector;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.Lived;
import paredown.smell.Smell;
import paredown.smell.detector.lazy.LazyClass;

/** All detectors together. */
public final class Detectors {
  private static final List<Detector> ALL =
      List.of(
          new GodClass(),
          new FieldClumps(),
          new ParameterClumps(),
          new TwinFields(),
          new LongConstructor(),
          new FeatureEnvy(),
          new EnviousPart(),
          new RepeatedQuestion(),
          new DivergentChange(),
          new Duplicate(),
          new LazyClass(),
          new LongMethod(),
          new MessageChain(),
          new TwinMember(),
          new KindBranch(),
          new UnusedMember(),
          new PassedParameter());

  private Detectors() {}

  /**
   * All findings that their classes do not say they can live with, worst first. What two detectors
   * see in the same members is one finding, the weightier one.
   */
  public static List<Finding> find(Grounds grounds) {
    List<Finding> all = ALL.parallelStream().flatMap(detector -> detector.find(grounds)).toList();
    Set<String> gods =
        all.stream()
            .filter(finding -> finding.smell() == Smell.GOD_CLASS)
            .map(Finding::type)
            .collect(Collectors.toSet());
    return all.stream()
        // That a god class shows itself as text, too, is one of its many things.
        .filter(finding -> !(DivergentChange.isOfText(finding) && gods.contains(finding.type())))
        .filter(finding -> !Lived.with(finding, grounds.types()))
        .sorted(
            Comparator.comparingInt(Finding::weight)
                .reversed()
                .thenComparing(Finding::type)
                .thenComparing(Finding::id))
        .collect(
            Collectors.toMap(
                Finding::id, each -> each, (first, other) -> first, LinkedHashMap::new))
        .values()
        .stream()
        .toList();
  }
}
