package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.facts.Access;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.facts.TypeFact;
import paredown.measure.WorkedOut;
import paredown.refactor.Refactoring;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.several.Several;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Owned;
import paredown.text.Counted;

/**
 * The candidates that bring the places which decide by a kind to the class that has the kind: their
 * methods move to the objects that they are given, or the part of them that decides.
 */
final class KindCandidates {
  private KindCandidates() {}

  /** The candidates; none where no place is given an object that has the kind. */
  static List<Candidate> of(Finding finding, Map<String, TypeFact> types) {
    Map<String, List<Refactoring>> moves = new LinkedHashMap<>();
    for (Map.Entry<Owned, Integer> place : places(finding, types).entrySet()) {
      holder(finding, place.getKey().method(), types)
          .filter(holder -> !holder.equals(place.getKey().type()))
          .ifPresent(
              holder ->
                  moves
                      .computeIfAbsent(holder.name(), each -> new ArrayList<>())
                      .add(move(place.getKey(), place.getValue(), holder)));
    }
    int places = finding.evidence().rows().size();
    return moves.entrySet().stream()
        .map(each -> together(finding, each.getKey(), each.getValue(), places))
        .toList();
  }

  /**
   * The methods that the evidence shows, and the line that decides: the last ones first, so that of
   * code that stands twice the first one stays the first.
   */
  private static Map<Owned, Integer> places(Finding finding, Map<String, TypeFact> types) {
    Map<Owned, Integer> places = new LinkedHashMap<>();
    finding.evidence().rows().stream()
        .sorted(Comparator.comparingInt(Evidence.Row::line).reversed())
        .forEach(
            row ->
                types.values().stream()
                    .flatMap(type -> holding(type, row).stream())
                    .forEach(owned -> places.putIfAbsent(owned, row.line())));
    return places;
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

  private static Refactoring move(Owned place, int line, TypeFact holder) {
    return deciding(place, line)
        .<Refactoring>map(part -> new ExtractMethod(part.place(), part.name()).to(holder.name()))
        .orElseGet(
            () ->
                new MoveMethod(
                    place.type().name(),
                    place.method().signature(),
                    holder.name(),
                    MoveMethod.Wishes.NONE));
  }

  /**
   * The part that works a value out by the kind, where it uses nothing of its own object while the
   * rest of the method does.
   */
  private static Optional<Stretch> deciding(Owned place, int line) {
    MethodFact method = place.method();
    List<Integer> own =
        method.body().accesses().stream()
            .filter(access -> access.use().type().equals(place.type().name()))
            .map(Access::offset)
            .toList();
    return Stream.concat(WorkedOut.in(method).stream(), method.body().spans().stream())
        .filter(span -> span.firstLine() <= line && line <= span.lastLine())
        .filter(span -> !span.jumps() && method.body().left(span).size() == 1)
        .filter(span -> !own.isEmpty() && own.stream().noneMatch(span::holds))
        .max(Comparator.comparingInt(Span::lines))
        .map(span -> Stretch.of(method, span));
  }

  private static Candidate together(
      Finding finding, String target, List<Refactoring> moves, int places) {
    String holder = Finding.shortName(target);
    boolean whole = moves.stream().allMatch(MoveMethod.class::isInstance);
    String what =
        whole
            ? Counted.of(moves.size(), "method", "methods")
            : "what decides in %s".formatted(Counted.of(moves.size(), "place", "places"));
    return new Candidate(
        finding.id(),
        new Cure.InTurn(
            new Several(
                "move %s to %s".formatted(what, holder),
                "What decides by a kind becomes %s of %s, which has it."
                    .formatted(Counted.of(moves.size(), "method", "methods"), holder),
                moves),
            new Effect(
                List.of(
                    new Effect.Figure(
                        "places elsewhere that decide", places, places - moves.size())),
                List.of())));
  }
}
