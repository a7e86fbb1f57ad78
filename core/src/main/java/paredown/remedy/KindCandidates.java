package paredown.remedy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.refactor.Refactoring;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.several.Several;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Owned;
import paredown.text.Counted;

/**
 * The candidates that bring the places which decide by a kind to the class that has the kind: their
 * methods move to the objects that they are given.
 */
final class KindCandidates {
  private KindCandidates() {}

  /** The candidates; none where no place is given an object that has the kind. */
  static List<Candidate> of(Finding finding, Map<String, TypeFact> types) {
    Map<String, List<Refactoring>> moves = new LinkedHashMap<>();
    for (Owned place : places(finding, types)) {
      holder(finding, place.method(), types)
          .filter(holder -> !holder.equals(place.type()))
          .ifPresent(
              holder ->
                  moves
                      .computeIfAbsent(holder.name(), each -> new ArrayList<>())
                      .add(move(place, holder)));
    }
    int places = finding.evidence().rows().size();
    return moves.entrySet().stream()
        .map(each -> together(finding, each.getKey(), each.getValue(), places))
        .toList();
  }

  /** The methods that the evidence shows, each once. */
  private static List<Owned> places(Finding finding, Map<String, TypeFact> types) {
    return finding.evidence().rows().stream()
        .flatMap(row -> types.values().stream().flatMap(type -> holding(type, row).stream()))
        .distinct()
        .toList();
  }

  private static Optional<Owned> holding(TypeFact type, Evidence.Row row) {
    return type.methods().stream()
        .filter(method -> method.range().file().equals(row.file()))
        .filter(method -> method.range().start().line() <= row.line())
        .filter(method -> row.line() <= method.range().end().line())
        .filter(method -> !method.isConstructor())
        .map(method -> new Owned(type, method))
        .findFirst();
  }

  /** The one class of a method's parameters that has the kind, or declares the codes. */
  private static Optional<TypeFact> holder(
      Finding finding, MethodFact method, Map<String, TypeFact> types) {
    TypeFact kinds = types.get(finding.type());
    List<TypeFact> holders =
        method.parameters().stream()
            .flatMap(
                parameter ->
                    types.values().stream()
                        .filter(type -> type.simpleName().equals(parameter.type())))
            .filter(type -> type.isClass() || type.kind() == TypeFact.Kind.RECORD)
            .filter(type -> type.equals(kinds) || has(type, kinds))
            .distinct()
            .toList();
    return holders.size() == 1 ? Optional.of(holders.get(0)) : Optional.empty();
  }

  private static boolean has(TypeFact type, TypeFact kinds) {
    return type.instanceFields().stream()
        .anyMatch(field -> field.type().equals(kinds.simpleName()));
  }

  private static Refactoring move(Owned place, TypeFact holder) {
    return new MoveMethod(
        place.type().name(), place.method().signature(), holder.name(), MoveMethod.Wishes.NONE);
  }

  private static Candidate together(
      Finding finding, String target, List<Refactoring> moves, int places) {
    String holder = Finding.shortName(target);
    String what = Counted.of(moves.size(), "method", "methods");
    return new Candidate(
        finding.id(),
        new Cure.InTurn(
            new Several(
                "move %s to %s".formatted(what, holder),
                "What decides by a kind becomes %s of %s, which has it.".formatted(what, holder),
                moves),
            new Effect(
                List.of(
                    new Effect.Figure(
                        "places elsewhere that decide", places, places - moves.size())),
                List.of())));
  }
}
