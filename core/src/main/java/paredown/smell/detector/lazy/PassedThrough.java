package paredown.smell.detector.lazy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.facts.Access;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Size;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** A part of its one client, which holds an object of it and passes every method of it on. */
final class PassedThrough {
  /** So many data that belong together are a thing of their own. */
  private static final int THING = 3;

  private PassedThrough() {}

  static Optional<Finding> find(TypeFact type, Set<String> clients, Grounds grounds) {
    List<MethodFact> methods =
        type.methods().stream()
            .filter(method -> !method.isConstructor() && !method.head().is(Modifier.PRIVATE))
            .toList();
    TypeFact client = clients.size() == 1 ? grounds.types().get(clients.iterator().next()) : null;
    boolean little =
        client != null
            && type.instanceFields().size() < THING
            && methods.size() >= grounds.limits().lazyForwards()
            && methods.stream().noneMatch(MethodFact::isStatic)
            && Size.methodsWithLogic(type) <= 1
            && Size.weightedMethods(type) <= type.methods().size() + LazyFinding.SMALL
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!little) {
      return Optional.empty();
    }
    List<Evidence.Row> rows = new ArrayList<>();
    for (MethodFact method : methods) {
      client.methods().stream()
          .filter(by -> passes(by, type, method))
          .findFirst()
          .ifPresent(
              by -> rows.add(LazyFinding.row(method, List.of("passed on by " + by.signature()))));
    }
    if (rows.size() < methods.size()) {
      return Optional.empty();
    }
    String name = Finding.shortName(client.name());
    Evidence.Figure figure =
        new Evidence.Figure(
            "passed",
            methods.size(),
            grounds.limits().lazyForwards(),
            "%s passes all its %d methods on".formatted(name, methods.size()));
    return Optional.of(
        LazyFinding.of(
            type,
            Form.SINGLE,
            34,
            "a part of %s, which passes all its methods on".formatted(name),
            "%s is a part of %s only, which passes on every method of it.",
            client.name(),
            List.of(figure, LazyFinding.clients(type, grounds)),
            "Every method stands in both:",
            rows));
  }

  private static boolean passes(MethodFact by, TypeFact type, MethodFact method) {
    return by.forwards()
        .map(Access::use)
        .filter(use -> use.type().equals(type.name()) && use.member().equals(method.signature()))
        .isPresent();
  }
}
