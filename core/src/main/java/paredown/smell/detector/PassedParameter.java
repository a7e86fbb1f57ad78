package paredown.smell.detector;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.text.Listed;

/**
 * A passed-on parameter is one that a method does nothing with but hand it to another, which does
 * the same: tramp data.
 *
 * <p>McConnell, "Code Complete", 1993. Methods that only forward a call as a whole, overloads of
 * the same name, and what overrides have no choice.
 */
public final class PassedParameter implements Detector {

  private record Stop(TypeFact type, MethodFact method, String parameter) {
    static Stream<Stop> of(Owned owned) {
      return owned.method().parameters().stream()
          .map(parameter -> new Stop(owned.type(), owned.method(), parameter.name()));
    }
  }

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Set<Stop> seen = new HashSet<>();
    Map<List<MethodFact>, List<List<Stop>>> ways = new LinkedHashMap<>();
    for (Stop first : grounds.methods().flatMap(Stop::of).toList()) {
      List<Stop> way = way(first, grounds);
      boolean isNew = seen.addAll(way);
      boolean isLong = way.size() >= grounds.limits().passedMethods();
      if (isLong && isNew && !isHandedTo(first, grounds)) {
        ways.computeIfAbsent(way.stream().map(Stop::method).toList(), each -> new ArrayList<>())
            .add(way);
      }
    }
    return ways.values().stream().map(together -> finding(together, grounds));
  }

  /** Whether another method that does nothing else with it hands it here: the way begins there. */
  private static boolean isHandedTo(Stop stop, Grounds grounds) {
    return stop.type().methods().stream()
        .filter(method -> method != stop.method())
        .flatMap(method -> Stop.of(new Owned(stop.type(), method)))
        .anyMatch(before -> next(before, grounds).filter(stop::equals).isPresent());
  }

  /** The methods that only hand it on, in their order. */
  private static List<Stop> way(Stop first, Grounds grounds) {
    List<Stop> way = new ArrayList<>();
    Optional<Stop> at = Optional.of(first);
    while (at.isPresent() && !way.contains(at.get())) {
      Optional<Stop> next = next(at.get(), grounds);
      if (next.isPresent()) {
        way.add(at.get());
      }
      at = next;
    }
    return way;
  }

  /** Where a parameter goes that is read once only, to be handed to a method of another name. */
  private static Optional<Stop> next(Stop stop, Grounds grounds) {
    MethodFact method = stop.method();
    long reads =
        method.body().locals().stream()
            .filter(use -> use.name().equals(stop.parameter()))
            .filter(use -> use.kind() != LocalUse.Kind.DECLARE)
            .count();
    List<Traits.Passed> passed =
        method.body().traits().passed().stream()
            .filter(each -> each.variable().equals(stop.parameter()))
            .toList();
    if (reads != 1
        || passed.size() != 1
        || method.body().statements() < 2
        || method.isConstructor()
        || method.overrides()) {
      return Optional.empty();
    }
    Traits.Passed to = passed.get(0);
    TypeFact type = grounds.types().get(to.to().type());
    return type.method(to.to().member())
        .filter(next -> !next.name().equals(method.name()))
        .filter(next -> to.index() < next.parameters().size())
        .map(next -> new Stop(type, next, next.parameters().get(to.index()).name()));
  }

  /** What is handed the same way is one finding. */
  private static Finding finding(List<List<Stop>> together, Grounds grounds) {
    List<Stop> way = together.get(0);
    Stop first = way.get(0);
    List<String> parameters = together.stream().map(each -> each.get(0).parameter()).toList();
    String named = Listed.of(parameters);
    boolean one = parameters.size() == 1;
    List<Evidence.Row> rows = new ArrayList<>();
    for (int i = 0; i < way.size(); i++) {
      int at = i;
      rows.add(
          Evidence.Row.at(
              way.get(at).method().range(),
              way.get(at).method().signature(),
              together.stream().map(each -> each.get(at).parameter()).toList()));
    }
    return new Finding(
        Smell.PASSED_PARAMETER,
        Form.PARAMETERS,
        weight(way.size() + parameters.size() - 1),
        first.type().name(),
        Stream.concat(Stream.of(first.method().signature()), parameters.stream()).toList(),
        List.of(first.method().signature()),
        first.method().range(),
        "%s %s handed through %d methods".formatted(named, one ? "is" : "are", way.size()),
        "%d methods hand %s on and do nothing with %s."
            .formatted(way.size(), named, one ? "it" : "them"),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "methods",
                    way.size(),
                    grounds.limits().passedMethods(),
                    "%d methods in a row; %d are noticed"
                        .formatted(way.size(), grounds.limits().passedMethods()))),
            "It goes this way:",
            rows));
  }

  /** 15, and up to 25 more for every further method, and parameter that goes the same way. */
  static int weight(int stops) {
    return (int) Math.round(15 + 25 * (1 - 1.0 / stops));
  }
}
