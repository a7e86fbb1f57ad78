package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Smell;
import paredown.text.Counted;

/**
 * A branch on a kind is a switch over an enum of the project in several places outside it, a switch
 * or a row of comparisons over three codes that another class declares, or over two of them in
 * three places, or a row of tests for classes of the project in one method.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3, "Switch statements". One switch is no smell: something
 * has to decide; and a class that has a kind may decide by it. What overrides, as {@code equals}
 * does, may have to test what it is given.
 */
public final class KindBranch implements Detector {
  private static final int KINDS = 3;

  private record Place(TypeFact type, MethodFact method, int cases, int line) {}

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Map<String, List<Place>> switches = new LinkedHashMap<>();
    List<Finding> rows = new ArrayList<>();
    grounds
        .judged()
        .forEach(
            type ->
                type.methods()
                    .forEach(
                        method -> {
                          collect(type, method, grounds, switches);
                          row(type, method).ifPresent(rows::add);
                        }));
    return Stream.concat(
        switches.entrySet().stream()
            .filter(entry -> isWidespread(grounds.types().get(entry.getKey()), entry, grounds))
            .map(entry -> switches(grounds.types().get(entry.getKey()), entry.getValue(), grounds)),
        rows.stream());
  }

  /**
   * Whether so many places decide that one will be forgotten. Codes are told apart by their own
   * class, or at least where it is; kinds of an enum may be in some places elsewhere.
   */
  private static boolean isWidespread(
      TypeFact kinds, Map.Entry<String, List<Place>> places, Grounds grounds) {
    long elsewhere =
        places.getValue().stream()
            .filter(place -> !place.type().sharesFileWith(kinds) && !place.type().isKinOf(kinds))
            .count();
    int all = places.getValue().size();
    boolean many = places.getValue().stream().anyMatch(place -> place.cases() >= KINDS);
    return kinds.kind() == TypeFact.Kind.ENUM
        ? all >= grounds.limits().kindPlaces() && (elsewhere > 1 || all >= KINDS)
        : elsewhere > 0 && (many || all >= KINDS);
  }

  private static void collect(
      TypeFact type, MethodFact method, Grounds grounds, Map<String, List<Place>> switches) {
    for (Traits.KindTest test : method.body().traits().kindTests()) {
      TypeFact kinds = grounds.types().get(test.type());
      boolean own = kinds.equals(type) || !type.sharesFileWith(kinds) && has(type, kinds);
      if (test.root().isEmpty() && test.cases() >= 2 && !own) {
        switches
            .computeIfAbsent(test.type(), t -> new ArrayList<>())
            .add(new Place(type, method, test.cases(), test.line()));
      }
    }
  }

  /** Whether a class tells apart what it is itself. */
  private static boolean has(TypeFact type, TypeFact kinds) {
    return type.instanceFields().stream()
        .anyMatch(field -> field.type().equals(kinds.simpleName()));
  }

  private static Finding switches(TypeFact kinds, List<Place> places, Grounds grounds) {
    int cases = places.stream().mapToInt(Place::cases).sum();
    List<Evidence.Row> rows =
        places.stream()
            .map(
                place ->
                    new Evidence.Row(
                        place.type().range().file(),
                        place.line(),
                        "",
                        List.of(place.method().name(), place.cases() + " cases")))
            .toList();
    String name = Finding.shortName(kinds.name());
    String word = kinds.kind() == TypeFact.Kind.ENUM ? "kinds" : "codes";
    return new Finding(
        Smell.KIND_BRANCH,
        Form.QUESTION,
        weight(places.size(), cases),
        kinds.name(),
        List.of(),
        List.of(),
        kinds.range(),
        places.size() == 1
            ? "%s of %s tells %d of its %s apart"
                .formatted(
                    places.get(0).method().name(),
                    places.get(0).type().simpleName(),
                    places.get(0).cases(),
                    word)
            : "%d places outside it tell its %s apart".formatted(places.size(), word),
        "What the %s of %s mean is decided in %s outside it."
            .formatted(word, name, Counted.of(places.size(), "place", "places")),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "places",
                    places.size(),
                    grounds.limits().kindPlaces(),
                    "%s with %d cases"
                        .formatted(Counted.of(places.size(), "place", "places"), cases))),
            "It is decided here:",
            rows));
  }

  /** Three tests or more of one variable for classes of the project. */
  private static Optional<Finding> row(TypeFact type, MethodFact method) {
    Map<String, List<Traits.KindTest>> byRoot = new LinkedHashMap<>();
    method.body().traits().kindTests().stream()
        .filter(test -> !test.root().isEmpty())
        .forEach(test -> byRoot.computeIfAbsent(test.root(), r -> new ArrayList<>()).add(test));
    return byRoot.values().stream()
        .filter(tests -> !method.isOfAnyObject())
        .filter(tests -> tests.stream().map(Traits.KindTest::type).distinct().count() >= KINDS)
        .findFirst()
        .map(tests -> overClasses(type, method, tests));
  }

  private static Finding overClasses(
      TypeFact type, MethodFact method, List<Traits.KindTest> tests) {
    int kinds = (int) tests.stream().map(Traits.KindTest::type).distinct().count();
    String root = tests.get(0).root();
    return new Finding(
        Smell.KIND_BRANCH,
        Form.METHOD,
        weight(1, kinds),
        type.name(),
        List.of(method.signature()),
        List.of(method.signature()),
        method.range(),
        "%s tests %s for %d classes".formatted(method.name(), root, kinds),
        "%s of %s asks %s which of %d classes it is."
            .formatted(method.signature(), Finding.shortName(type.name()), root, kinds),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "kinds", kinds, KINDS, "%d classes; %d are many".formatted(kinds, KINDS))),
            "It asks here:",
            tests.stream()
                .map(
                    test ->
                        new Evidence.Row(
                            method.range().file(),
                            test.line(),
                            "",
                            List.of(Finding.shortName(test.type()))))
                .toList()));
  }

  /** 10, up to 25 more for the places and 20 for the cases. */
  static int weight(int places, int cases) {
    return (int) Math.round(10 + 25 * (1 - 1.0 / places) + 20 * (1 - 2.0 / Math.max(2, cases)));
  }
}
