package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Smell;

/**
 * A long constructor has more parameters than a caller can keep apart, or is the end of a row of
 * constructors that grow by a parameter each: a data clump, seen from outside.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3, "Long parameter list". Private constructors, and those
 * of records and enums, are called by the class itself and do not count, nor do those for the
 * package alone that only one class calls, a builder or factory; exceptions have the constructors
 * that exceptions have, and those of an abstract class are called by the constructors below it.
 */
public final class LongConstructor implements Detector {
  private static final int ROW = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .judged()
        .filter(TypeFact::isClass)
        .filter(type -> !type.isException() && !type.isAbstract())
        .flatMap(type -> judge(type, grounds));
  }

  private static Stream<Finding> judge(TypeFact type, Grounds grounds) {
    Limits limits = grounds.limits();
    Map<String, Set<String>> callers = grounds.clients().ofMembers(type);
    List<MethodFact> open =
        type.constructors().stream()
            .filter(each -> !each.isPrivate() && !each.head().isDeprecated())
            .filter(each -> isApi(each) || callers(each, callers).size() > 1)
            .filter(each -> !isOnlyForCopies(type, each, callers))
            .sorted(Comparator.comparingInt((MethodFact each) -> each.parameters().size()))
            .toList();
    if (open.isEmpty()) {
      return Stream.empty();
    }
    MethodFact longest = open.get(open.size() - 1);
    List<MethodFact> row = row(open, longest);
    int parameters = longest.parameters().size();
    boolean grows = row.size() >= ROW && parameters >= limits.constructorParameters();
    return parameters > limits.constructorParameters() || grows
        ? Stream.of(finding(type, longest, row, limits))
        : Stream.empty();
  }

  /** Whether no other class calls a constructor, and methods of its own make objects with it. */
  private static boolean isOnlyForCopies(
      TypeFact type, MethodFact constructor, Map<String, Set<String>> callersOfMembers) {
    return callers(constructor, callersOfMembers).isEmpty()
        && type.methods().stream()
            .filter(each -> !each.isConstructor())
            .flatMap(each -> each.uses().stream())
            .anyMatch(
                use ->
                    use.kind() == MethodFact.MemberUse.Kind.CREATE
                        && use.type().equals(type.name())
                        && use.member().equals(constructor.signature()));
  }

  private static boolean isApi(MethodFact constructor) {
    return constructor.head().is(Modifier.PUBLIC) || constructor.head().is(Modifier.PROTECTED);
  }

  private static Set<String> callers(
      MethodFact constructor, Map<String, Set<String>> callersOfMembers) {
    return callersOfMembers.getOrDefault(constructor.signature(), Set.of());
  }

  /** The constructors that lead to the longest one, each with all parameters of the one before. */
  private static List<MethodFact> row(List<MethodFact> open, MethodFact longest) {
    List<MethodFact> row = new ArrayList<>(List.of(longest));
    for (int i = open.size() - 2; i >= 0; i--) {
      Set<MethodFact.Parameter> larger = new HashSet<>(row.get(0).parameters());
      MethodFact each = open.get(i);
      if (!each.parameters().isEmpty()
          && larger.size() > each.parameters().size()
          && larger.containsAll(each.parameters())) {
        row.add(0, each);
      }
    }
    return row;
  }

  private static Finding finding(
      TypeFact type, MethodFact longest, List<MethodFact> row, Limits limits) {
    int parameters = longest.parameters().size();
    boolean grows = row.size() >= ROW;
    List<Evidence.Figure> figures = new ArrayList<>();
    figures.add(
        new Evidence.Figure(
            "parameters",
            parameters,
            limits.constructorParameters(),
            parameters > limits.constructorParameters()
                ? "%d parameters; more than %d are easily mixed up"
                    .formatted(parameters, limits.constructorParameters())
                : parameters + " parameters in the longest"));
    if (grows) {
      figures.add(
          new Evidence.Figure(
              "row", row.size(), ROW, row.size() + " constructors, each longer than the last"));
    }
    List<Evidence.Row> rows =
        (grows ? row : List.of(longest))
            .stream()
                .map(each -> Evidence.Row.at(each.range(), each.signature(), List.of()))
                .toList();
    String name = Finding.shortName(type.name());
    return new Finding(
        Smell.DATA_CLUMP,
        Form.CONSTRUCTOR,
        weight(parameters, grows ? row.size() : 1, limits),
        type.name(),
        List.of("constructor"),
        List.of(longest.signature()),
        longest.range(),
        grows
            ? "%d constructors, up to %d parameters".formatted(row.size(), parameters)
            : "a constructor of %d parameters".formatted(parameters),
        grows
            ? "The constructors of %s grow by a parameter at a time.".formatted(name)
            : "Who makes a %s must get %d values into the right order.".formatted(name, parameters),
        Evidence.of(figures, "Others call these:", rows));
  }

  /** 10, up to 40 more for parameters beyond the limit and 10 for a row of constructors. */
  public static int weight(int parameters, int row, Limits limits) {
    double many = 40 * (1 - (double) limits.constructorParameters() / parameters);
    double grows = 10 * (1 - 1.0 / row);
    return (int) Math.round(10 + Math.max(0, many) + grows);
  }
}
