package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.ClosedSets;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.smell.Values;
import paredown.text.Counted;
import paredown.text.Listed;

/**
 * Parameter clumps are parameters of the same names and types that are passed together in several
 * parameter lists, in any order.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3. Overloads of one name count once, and methods that
 * override not at all: their lists are not theirs to choose. Nor do lists count of which a shorter
 * overload leaves some out, which are options, or that hold two to be compared. Public static
 * functions take what they need one by one: they count from four on that others have, too, or five
 * of them. Nor do classes count that hold the same as fields, and at least two of the parameters
 * must be values; an array and two numbers are a part of the array, and no clump. Two days, moments
 * or amounts of one type are the ends of a range, and a clump of two; so are two values that are
 * hardly ever passed one without the other.
 */
public final class ParameterClumps implements Detector {
  private static final int VALUES = 2;
  private static final int RANGE = 3;
  private static final int OF_FUNCTIONS = 4;
  private static final int MANY_FUNCTIONS = 5;
  private static final Set<String> NUMBERS = Set.of("int", "long");
  private static final Pattern COMPARES = Pattern.compile("(?:compare|equal|same|isSame|differ).*");

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Limits limits = grounds.limits();
    Map<Owned, Set<String>> lists = new LinkedHashMap<>();
    List<Owned> methods =
        grounds
            .judged()
            .filter(type -> type.kind() != TypeFact.Kind.RECORD)
            .flatMap(type -> widest(type).stream().map(method -> new Owned(type, method)))
            .toList();
    methods.stream()
        .filter(owned -> owned.method().parameters().size() >= limits.clumpParameters())
        .forEach(owned -> lists.put(owned, items(owned.method())));
    Values values = Values.of(grounds);
    List<ClosedSets.Closed<Owned>> found =
        new ArrayList<>(clumps(lists, limits.clumpParameters(), values, limits));
    ParameterPairs pairs = new ParameterPairs(methods, values);
    Stream.concat(
            clumps(pairs.ranges(), ParameterPairs.TWO, values, limits).stream(),
            clumps(pairs.inseparable(), ParameterPairs.TWO, values, limits).stream()
                .filter(ParameterPairs::isEverywhere))
        .filter(range -> found.stream().noneMatch(wide -> wide.items().containsAll(range.items())))
        .forEach(found::add);
    return found.stream()
        .filter(closed -> found.stream().noneMatch(wider -> isPartOf(closed, wider)))
        .map(closed -> finding(closed, found, limits));
  }

  private static List<ClosedSets.Closed<Owned>> clumps(
      Map<Owned, Set<String>> lists, int fewest, Values values, Limits limits) {
    return ClosedSets.of(lists, fewest, limits.clumpPlaces()).stream()
        .filter(closed -> values(closed, values) >= VALUES)
        .filter(closed -> !isRange(closed.items()))
        .map(closed -> withoutHolders(closed, values, fewest))
        .map(ParameterClumps::withoutOptions)
        .map(ParameterClumps::withoutFunctions)
        .filter(closed -> closed.places().size() >= limits.clumpPlaces())
        .toList();
  }

  private static long values(ClosedSets.Closed<Owned> closed, Values values) {
    return closed.items().stream().map(ParameterClumps::type).filter(values::isValue).count();
  }

  /** What a few of the places of a clump have besides is told with it: one class cures both. */
  private static boolean isPartOf(ClosedSets.Closed<Owned> closed, ClosedSets.Closed<Owned> wider) {
    return closed.items().size() > wider.items().size()
        && closed.items().containsAll(wider.items())
        && wider.places().containsAll(closed.places())
        && closed.places().size() * 2 < wider.places().size();
  }

  private static String type(String item) {
    return item.substring(0, item.lastIndexOf(' '));
  }

  /** A part of an array is given by the array and two numbers wherever Java is written. */
  private static boolean isRange(Set<String> items) {
    List<String> types = items.stream().map(ParameterClumps::type).toList();
    return types.size() == RANGE
        && types.stream().filter(type -> type.endsWith("[]")).count() == 1
        && types.stream().filter(NUMBERS::contains).count() == RANGE - 1;
  }

  /** A class that holds them as fields, or all but one or two, is the clump's name already. */
  private static ClosedSets.Closed<Owned> withoutHolders(
      ClosedSets.Closed<Owned> closed, Values values, int fewest) {
    Set<String> names =
        closed.items().stream()
            .map(item -> item.substring(item.lastIndexOf(' ') + 1))
            .collect(Collectors.toSet());
    return new ClosedSets.Closed<>(
        closed.items(),
        closed.places().stream()
            .filter(place -> values.missing(place.type(), names) >= fewest)
            .toList());
  }

  /**
   * Where a shorter overload leaves some of them out, they are options of one operation; and two of
   * one type that are compared are what it works on.
   */
  private static ClosedSets.Closed<Owned> withoutOptions(ClosedSets.Closed<Owned> closed) {
    boolean pair =
        closed.items().stream().map(ParameterClumps::type).distinct().count()
            < closed.items().size();
    return new ClosedSets.Closed<>(
        closed.items(),
        closed.places().stream()
            .filter(place -> !leavesOut(place, closed.items()))
            .filter(place -> !pair || !COMPARES.matcher(place.method().name()).matches())
            .toList());
  }

  private static boolean leavesOut(Owned place, Set<String> items) {
    return place.type().methods().stream()
        .filter(each -> each.name().equals(place.method().name()))
        .filter(each -> each.parameters().size() < place.method().parameters().size())
        .map(ParameterClumps::items)
        .anyMatch(shorter -> !shorter.containsAll(items) && !Collections.disjoint(shorter, items));
  }

  /** The methods that choose their lists themselves, of overloads the one that takes the most. */
  private static List<MethodFact> widest(TypeFact type) {
    Map<String, MethodFact> widest = new LinkedHashMap<>();
    for (MethodFact method : type.methods()) {
      if (!method.overrides() && !method.head().isDeprecated()) {
        widest.merge(
            method.name(),
            method,
            (one, other) -> other.parameters().size() > one.parameters().size() ? other : one);
      }
    }
    return List.copyOf(widest.values());
  }

  /**
   * The lists of a library of functions are its face, but where many of them share much, or others
   * share it with them.
   */
  private static ClosedSets.Closed<Owned> withoutFunctions(ClosedSets.Closed<Owned> closed) {
    List<Owned> others =
        closed.places().stream().filter(place -> !isFunction(place.method())).toList();
    boolean shared = !others.isEmpty() || closed.places().size() >= MANY_FUNCTIONS;
    return closed.items().size() >= OF_FUNCTIONS && shared
        ? closed
        : new ClosedSets.Closed<>(closed.items(), others);
  }

  private static boolean isFunction(MethodFact method) {
    return method.isStatic() && method.head().is(Modifier.PUBLIC);
  }

  private static Set<String> items(MethodFact method) {
    return items(method.parameters());
  }

  static Set<String> items(List<MethodFact.Parameter> parameters) {
    Set<String> items = new TreeSet<>();
    parameters.forEach(each -> items.add(each.type() + " " + each.name()));
    return items;
  }

  private static Finding finding(
      ClosedSets.Closed<Owned> clump, List<ClosedSets.Closed<Owned>> all, Limits limits) {
    Owned first = clump.places().get(0);
    List<String> names =
        first.method().parameters().stream()
            .filter(each -> clump.items().contains(each.type() + " " + each.name()))
            .map(MethodFact.Parameter::name)
            .toList();
    int places = clump.places().size();
    long classes = clump.places().stream().map(place -> place.type().name()).distinct().count();
    List<Evidence.Row> rows = new ArrayList<>();
    for (Owned place : clump.places()) {
      List<String> besides =
          all.stream()
              .filter(each -> isPartOf(each, clump) && each.places().contains(place))
              .flatMap(each -> each.items().stream())
              .filter(item -> !clump.items().contains(item))
              .map(item -> "and " + item.substring(item.lastIndexOf(' ') + 1))
              .distinct()
              .toList();
      rows.add(Evidence.Row.at(place.method().range(), place.method().signature(), besides));
    }
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "parameters",
                names.size(),
                limits.clumpParameters(),
                "%d parameters; from %d on they are worth a class"
                    .formatted(names.size(), limits.clumpParameters())),
            new Evidence.Figure(
                "places",
                places,
                limits.clumpPlaces(),
                "passed together in %d parameter lists of %s"
                    .formatted(places, Counted.of(classes, "class", "classes"))));
    return new Finding(
        Smell.DATA_CLUMP,
        Form.PARAMETERS,
        weight(names.size(), places),
        first.type().name(),
        List.copyOf(clump.items()),
        names,
        first.method().range(),
        Listed.few(names, Listed.SHOWN) + " are passed together in %d places".formatted(places),
        Listed.of(names) + " travel together, and have no name of their own.",
        Evidence.of(figures, "They stand together in these parameter lists:", rows));
  }

  /** 15, and more for every parameter and every list: up to 25 for each. */
  public static int weight(int parameters, int places) {
    return (int) Math.round(15 + 25 * (1 - 2.0 / parameters) + 25 * (1 - 2.0 / places));
  }
}
