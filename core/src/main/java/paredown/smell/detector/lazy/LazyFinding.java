package paredown.smell.detector.lazy;

import java.util.ArrayList;
import java.util.List;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Smell;
import paredown.text.Listed;

/** What is said of every lazy class. */
final class LazyFinding {
  /** So many ways through it are few. */
  static final int SMALL = 4;

  private LazyFinding() {}

  /** Who uses a class, as a figure that has no limit. */
  static Evidence.Figure clients(TypeFact type, Grounds grounds) {
    List<String> clients =
        grounds.clients().of(type).stream().map(Finding::shortName).limit(8).toList();
    return new Evidence.Figure(
        "clients",
        grounds.clients().of(type).size(),
        -1,
        clients.isEmpty() ? "used by no other class" : "used by " + Listed.of(clients));
  }

  static Evidence.Row row(MethodFact method, List<String> uses) {
    return Evidence.Row.at(method.range(), method.signature(), uses);
  }

  static Finding of(
      TypeFact type,
      Form form,
      int weight,
      String summary,
      String claim,
      String home,
      List<Evidence.Figure> figures,
      String says,
      List<Evidence.Row> rows) {
    List<String> members = new ArrayList<>();
    type.fields().forEach(field -> members.add(field.name()));
    type.methods().forEach(method -> members.add(method.signature()));
    return new Finding(
        Smell.LAZY_CLASS,
        form,
        weight,
        type.name(),
        List.of(),
        members,
        type.range(),
        summary,
        claim.formatted(Finding.shortName(type.name()), Finding.shortName(home)),
        new Evidence(figures, says, List.of(), rows, home.isEmpty() ? List.of() : List.of(home)));
  }

  static List<MethodFact> instanceMethods(TypeFact type) {
    return type.methods().stream()
        .filter(method -> !method.isConstructor() && !method.isStatic())
        .toList();
  }
}
