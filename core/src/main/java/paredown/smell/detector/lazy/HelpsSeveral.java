package paredown.smell.detector.lazy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** Static methods without state, each of which one other class alone calls, and not the same. */
final class HelpsSeveral {
  /** More static methods than this are a library. */
  private static final int HELPERS = 8;

  private HelpsSeveral() {}

  static Optional<Finding> find(TypeFact type, Grounds grounds) {
    List<MethodFact> methods =
        type.methods().stream()
            .filter(method -> !method.isConstructor() && !method.isPrivate())
            .toList();
    boolean bag =
        methods.size() >= 2
            && methods.size() <= HELPERS
            && methods.stream().allMatch(MethodFact::isStatic)
            && type.fields().isEmpty()
            && !isAboutOne(methods, grounds);
    if (!bag) {
      return Optional.empty();
    }
    Map<String, Set<String>> users = grounds.clients().ofMembers(type);
    Set<String> served = new TreeSet<>();
    List<Evidence.Row> rows = new ArrayList<>();
    for (MethodFact method : methods) {
      Set<String> own = users.getOrDefault(method.signature(), Set.of());
      if (own.size() != 1) {
        return Optional.empty();
      }
      served.addAll(own);
      rows.add(LazyFinding.row(method, List.of("for " + Finding.shortName(own.iterator().next()))));
    }
    if (served.size() < 2) {
      return Optional.empty();
    }
    String said = "%d static methods, each for one class".formatted(methods.size());
    return Optional.of(
        LazyFinding.of(
            type,
            Form.UNUSED,
            32,
            said,
            "%s has nothing of its own; each of its methods serves one class.",
            "",
            List.of(
                new Evidence.Figure("helpers", methods.size(), 2, said),
                LazyFinding.clients(type, grounds)),
            "Who calls what:",
            rows));
  }

  /** Whether all that take something take an object of the same class: that is what joins them. */
  private static boolean isAboutOne(List<MethodFact> methods, Grounds grounds) {
    Set<String> about = new TreeSet<>();
    for (MethodFact method : methods) {
      if (!method.parameters().isEmpty()) {
        about.add(method.parameters().get(0).type());
      }
    }
    return about.size() == 1
        && grounds.facts().types().stream()
            .anyMatch(each -> each.simpleName().equals(about.iterator().next()));
  }
}
