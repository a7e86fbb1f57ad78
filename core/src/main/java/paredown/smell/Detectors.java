package paredown.smell;

import java.util.Comparator;
import java.util.List;

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
          new LazyClass(),
          new LongMethod(),
          new MessageChain(),
          new TwinMember(),
          new KindBranch(),
          new UnusedMember(),
          new PassedParameter());

  private Detectors() {}

  /** All findings that their classes do not say they can live with, worst first. */
  public static List<Finding> find(Grounds grounds) {
    return ALL.parallelStream()
        .flatMap(detector -> detector.find(grounds))
        .filter(finding -> !Lived.with(finding, grounds.types()))
        .sorted(
            Comparator.comparingInt(Finding::weight)
                .reversed()
                .thenComparing(Finding::type)
                .thenComparing(Finding::id))
        .toList();
  }
}
