package paredown.smell.detector.lazy;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** A go-between: all its methods only pass their parameters on to the one object that it holds. */
final class PassesOn {
  private PassesOn() {}

  static Optional<Finding> find(TypeFact type, Grounds grounds) {
    List<MethodFact> methods = LazyFinding.instanceMethods(type);
    boolean all =
        methods.size() >= grounds.limits().lazyForwards()
            && methods.stream().allMatch(method -> method.forwards().isPresent())
            && methods.stream().noneMatch(method -> givesItself(type, method))
            && type.methods().stream().noneMatch(MethodFact::isStatic)
            && type.instanceFields().size() == 1
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!all) {
      return Optional.empty();
    }
    String target = methods.get(0).forwards().orElseThrow().use().type();
    List<Evidence.Row> rows =
        methods.stream()
            .map(
                method ->
                    LazyFinding.row(
                        method, List.of("to " + method.forwards().orElseThrow().use().member())))
            .toList();
    Evidence.Figure figure =
        new Evidence.Figure(
            "forwards",
            methods.size(),
            grounds.limits().lazyForwards(),
            "all its %d methods only pass the call on to %s"
                .formatted(methods.size(), Finding.shortName(target)));
    return Optional.of(
        LazyFinding.of(
            type,
            Form.GO_BETWEEN,
            35 + (int) Math.round(20 * (1 - 1.0 / methods.size())),
            "only passes calls on to " + Finding.shortName(target),
            "%s only passes calls on; who calls it could call %s.",
            target,
            List.of(figure, LazyFinding.clients(type, grounds)),
            "Every method passes on what it is given:",
            rows));
  }

  /** Whether what a method passes its call on to is given its object, too. */
  private static boolean givesItself(TypeFact type, MethodFact method) {
    return method.forwards().stream()
        .flatMap(to -> Stream.of(to.use().member().replaceAll(".*\\(|\\)", "").split(", ?")))
        .anyMatch(type.simpleName()::equals);
  }
}
