package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Cohesion;
import paredown.measure.DataUse;
import paredown.measure.ForeignData;
import paredown.measure.Size;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Smell;

/**
 * A reading is how near a class comes to a limit of a smell.
 *
 * @param what is counted, and where
 * @param value how many there are
 * @param limit from where on, or beyond which, it tells of the smell
 */
public record Reading(Smell smell, String what, int value, int limit) {

  /**
   * The readings of a class, in the order of the smells; those that cannot be taken are left out.
   */
  public static List<Reading> of(TypeFact type, Grounds grounds) {
    Limits limits = grounds.limits();
    List<Reading> all = new ArrayList<>();
    all.add(
        new Reading(
            Smell.GOD_CLASS,
            "ways through all its methods",
            Size.weightedMethods(type),
            limits.godComplexity()));
    all.add(
        new Reading(
            Smell.GOD_CLASS,
            "values of other classes that it uses",
            ForeignData.of(type, grounds.types(), grounds.clients()).size(),
            limits.godForeign()));
    if (Cohesion.of(type).pairs() > 0) {
      all.add(
          new Reading(
              Smell.GOD_CLASS,
              "% of the pairs of its methods that use a field in common; here less is worse",
              Cohesion.of(type).percent(),
              limits.godCohesion()));
    }
    type.constructors().stream()
        .max(Comparator.comparingInt(each -> each.parameters().size()))
        .map(longest -> parameters(longest, limits))
        .ifPresent(all::add);
    together(type, grounds).ifPresent(all::add);
    enviest(type, grounds).ifPresent(all::add);
    repeated(type, grounds).ifPresent(all::add);
    type.methods().stream()
        .filter(each -> !each.isAbstract())
        .max(Comparator.comparingInt(each -> each.range().lines()))
        .map(longest -> lines(longest, limits))
        .ifPresent(all::add);
    return all;
  }

  private static Reading parameters(MethodFact constructor, Limits limits) {
    return new Reading(
        Smell.DATA_CLUMP,
        "parameters of its longest constructor",
        constructor.parameters().size(),
        limits.constructorParameters());
  }

  private static Reading lines(MethodFact method, Limits limits) {
    return new Reading(
        Smell.LONG_METHOD,
        "lines of its longest "
            + (method.isConstructor() ? "constructor" : "method, " + method.name()),
        method.range().lines(),
        limits.longLines());
  }

  /** The method that uses the most values of one other class. */
  private static Optional<Reading> enviest(TypeFact type, Grounds grounds) {
    record Use(MethodFact method, DataUse data) {}
    return type.methods().stream()
        .map(each -> new Use(each, DataUse.of(type, each.body().accesses(), grounds.types())))
        .filter(use -> !use.data().provider().isEmpty())
        .max(Comparator.comparingInt(use -> use.data().data().size()))
        .map(
            use ->
                new Reading(
                    Smell.FEATURE_ENVY,
                    "values of %s that %s uses, beside %d of its own"
                        .formatted(
                            Finding.shortName(use.data().provider()),
                            use.method().name(),
                            use.data().own().size()),
                    use.data().data().size(),
                    grounds.limits().envyData()));
  }

  private static Optional<Reading> together(TypeFact type, Grounds grounds) {
    return most(new ParameterClumps(), Map.of("clump-places", 2), type, grounds, "places")
        .map(
            places ->
                new Reading(
                    Smell.DATA_CLUMP,
                    "places where three or more parameters are passed together",
                    places,
                    grounds.limits().clumpPlaces()));
  }

  private static Optional<Reading> repeated(TypeFact type, Grounds grounds) {
    return most(new Duplicate(), Map.of("duplicate-words", 1), type, grounds, "words")
        .map(
            words ->
                new Reading(
                    Smell.DUPLICATE,
                    "words that stand elsewhere as well",
                    words,
                    grounds.limits().duplicateWords()));
  }

  /** The largest figure of what a detector finds in the file of a class under stricter limits. */
  private static Optional<Integer> most(
      Detector detector, Map<String, Integer> strict, TypeFact type, Grounds grounds, String name) {
    return detector
        .find(grounds.under(grounds.limits().with(strict)))
        .filter(finding -> isAbout(finding, type))
        .flatMap(finding -> finding.evidence().figure(name).stream())
        .map(Evidence.Figure::value)
        .max(Comparator.naturalOrder());
  }

  private static boolean isAbout(Finding finding, TypeFact type) {
    return finding.evidence().rows().stream()
        .anyMatch(row -> row.file().equals(type.range().file()));
  }
}
