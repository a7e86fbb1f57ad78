package paredown.smell.detector.lazy;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Size;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** A class of one small method, with hardly any state, for one class only. */
final class ServesOne {
  private ServesOne() {}

  /** Such a class that its package alone sees. */
  static Optional<Finding> find(TypeFact type, Set<String> clients, Grounds grounds) {
    List<MethodFact> methods =
        type.methods().stream().filter(method -> !method.isConstructor()).toList();
    boolean one =
        clients.size() == 1
            && methods.size() == 1
            && type.fields().size() <= 1
            && Size.weightedMethods(type) <= LazyFinding.SMALL
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!one) {
      return Optional.empty();
    }
    String client = clients.iterator().next();
    Evidence.Figure figure =
        new Evidence.Figure(
            "branches",
            Size.weightedMethods(type),
            LazyFinding.SMALL,
            "%d ways through it; up to %d are few"
                .formatted(Size.weightedMethods(type), LazyFinding.SMALL));
    return Optional.of(
        LazyFinding.of(
            type,
            Form.SINGLE,
            32 - Size.weightedMethods(type),
            "one small method, for %s only".formatted(Finding.shortName(client)),
            "%s has one small method, and only %s uses it.",
            client,
            List.of(figure, LazyFinding.clients(type, grounds)),
            "This is all of it:",
            List.of(LazyFinding.row(methods.get(0), List.of()))));
  }

  /**
   * The same for a class that others could use: it keeps nothing, its one client has an object of
   * it that nobody gave it, and no test looks at it alone.
   */
  static Optional<Finding> openly(TypeFact type, Set<String> clients, Grounds grounds) {
    boolean shared = type.methods().stream().anyMatch(MethodFact::isStatic);
    boolean held =
        clients.stream()
            .map(grounds.types()::get)
            .filter(Objects::nonNull)
            .allMatch(client -> holdsOwn(client, type.simpleName()));
    boolean tested = grounds.facts().testWords().hold(type.simpleName());
    return shared || tested || !held || !type.fields().isEmpty()
        ? Optional.empty()
        : find(type, clients, grounds);
  }

  private static boolean holdsOwn(TypeFact client, String type) {
    return client.fields().stream().anyMatch(field -> field.type().equals(type))
        && client.methods().stream()
            .flatMap(method -> method.parameters().stream())
            .noneMatch(parameter -> parameter.type().equals(type));
  }
}
