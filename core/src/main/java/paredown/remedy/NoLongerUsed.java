package paredown.remedy;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.refactor.Refactoring;
import paredown.refactor.operation.parameterfield.MoveParameter;
import paredown.refactor.operation.remove.RemoveClass;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.refactor.operation.several.Several;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.text.Listed;

/**
 * What nothing uses can go: a class, members all at once, parameters one at a time, each with those
 * of the methods that have it only to hand it on.
 */
final class NoLongerUsed {
  private static final String UNREAD = "never reads ";

  private NoLongerUsed() {}

  /**
   * The candidates for members and parameters without use.
   *
   * @param type the class of the finding
   */
  static List<Candidate> members(Finding finding, TypeFact type) {
    Set<String> members = new LinkedHashSet<>();
    List<Candidate> parameters = new ArrayList<>();
    List<Refactoring> all = new ArrayList<>();
    boolean tested = false;
    for (Evidence.Row row : finding.evidence().rows()) {
      Optional<String> unread =
          row.uses().stream().filter(each -> each.startsWith(UNREAD)).findFirst();
      if (unread.isPresent()) {
        String name = unread.get().substring(UNREAD.length());
        List<Refactoring> way = new ArrayList<>();
        type.method(row.member()).ifPresent(method -> climb(type, method, name, way));
        all.addAll(way);
        parameters.add(
            way.size() < 2 ? parameter(finding, row, name) : parameters(finding, name, way));
      } else {
        members.add(row.member().replace(" ", ""));
        tested |= !row.uses().isEmpty();
      }
    }
    List<Candidate> found = new ArrayList<>();
    if (!members.isEmpty()) {
      RemoveMember remove =
          new RemoveMember(finding.type(), List.copyOf(members), tested, Set.of());
      all.add(0, remove);
      if (all.size() > 1) {
        found.add(allOf(finding, all));
      }
      found.add(
          new Candidate(
              finding.id(),
              new Cure.Gone(
                  remove,
                  new Effect(
                      List.of(new Effect.Figure("members without use", members.size(), 0)),
                      tested ? List.of("the tests of them go, too") : List.of()))));
    }
    found.addAll(parameters);
    return found;
  }

  private static Candidate allOf(Finding finding, List<Refactoring> all) {
    int places = finding.evidence().rows().size();
    return new Candidate(
        finding.id(),
        new Cure.InTurn(
            new Several(
                "remove all that nothing uses",
                "What nothing uses is gone from %s.".formatted(Finding.shortName(finding.type())),
                all),
            new Effect(
                List.of(new Effect.Figure("members and parameters without use", places, 0)),
                List.of())));
  }

  /** The removals of a parameter, and of those that are only handed on to it. */
  private static void climb(
      TypeFact type, MethodFact method, String parameter, List<Refactoring> way) {
    RemoveParameter remove =
        new RemoveParameter(type.name(), method.signature().replace(" ", ""), parameter);
    if (way.contains(remove)) {
      return;
    }
    way.add(remove);
    for (MethodFact caller : type.methods()) {
      caller.body().traits().passed().stream()
          .filter(passed -> isGivenTo(passed, type, method, parameter))
          .filter(passed -> reads(caller, passed.variable()) == 1)
          .forEach(passed -> climb(type, caller, passed.variable(), way));
    }
  }

  private static boolean isGivenTo(
      Traits.Passed passed, TypeFact type, MethodFact method, String parameter) {
    return passed.to().type().equals(type.name())
        && passed.to().member().equals(method.signature())
        && passed.index() < method.parameters().size()
        && method.parameters().get(passed.index()).name().equals(parameter);
  }

  private static long reads(MethodFact method, String variable) {
    return method.body().locals().stream()
        .filter(use -> use.name().equals(variable) && use.kind() != LocalUse.Kind.DECLARE)
        .count();
  }

  private static Candidate parameters(Finding finding, String name, List<Refactoring> way) {
    List<String> methods =
        way.stream()
            .map(each -> ((RemoveParameter) each).method().replaceAll("\\(.*", ""))
            .toList();
    return new Candidate(
        finding.id(),
        new Cure.InTurn(
            new Several(
                "remove parameter %s of %s".formatted(name, Listed.of(methods)),
                "%s, which nothing uses, is gone from %s.".formatted(name, Listed.of(methods)),
                way),
            new Effect(
                List.of(new Effect.Figure("methods that take it", way.size(), 0)), List.of())));
  }

  private static Candidate parameter(Finding finding, Evidence.Row row, String name) {
    return new Candidate(
        finding.id(),
        new Cure.Gone(
            new RemoveParameter(finding.type(), row.member().replace(" ", ""), name),
            new Effect(List.of(new Effect.Figure("parameters without use", 1, 0)), List.of())));
  }

  /** The candidate for a class that nobody uses, but perhaps tests. */
  static Candidate whole(Finding finding) {
    boolean tested =
        finding.evidence().figure("clients").stream()
            .anyMatch(figure -> figure.words().contains("but tests"));
    return new Candidate(
        finding.id(),
        new Cure.Gone(
            new RemoveClass(finding.type(), tested, Set.of()),
            new Effect(
                List.of(new Effect.Figure("classes", 1, 0)),
                tested ? List.of("the tests of it go, too") : List.of())));
  }

  /**
   * The candidates for parameters that are handed on: to one that does not use them, or to one that
   * does, so that the object could hold them.
   */
  static List<Candidate> passed(Finding finding) {
    Evidence.Row first = finding.evidence().rows().get(0);
    List<Candidate> found = new ArrayList<>();
    for (String name : first.uses()) {
      found.add(parameter(finding, first, name));
      MoveParameter move =
          new MoveParameter(finding.type(), Optional.empty(), name, Optional.empty(), Set.of());
      int methods = finding.evidence().rows().size();
      Effect.Figure figure = new Effect.Figure("methods that hand it on", methods, 0);
      found.add(
          new Candidate(
              finding.id(),
              new Cure.Held(move, new Effect(List.of(figure), List.of("1 field more")))));
    }
    return found;
  }
}
