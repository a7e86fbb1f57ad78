package paredown.remedy;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.smell.Evidence;
import paredown.smell.Finding;

/** What nothing uses can go: members all at once, parameters one at a time. */
final class NoLongerUsed {
  private static final String UNREAD = "never reads ";

  private NoLongerUsed() {}

  /** The candidates for members and parameters without use. */
  static List<Candidate> members(Finding finding) {
    Set<String> members = new LinkedHashSet<>();
    List<Candidate> parameters = new ArrayList<>();
    boolean tested = false;
    for (Evidence.Row row : finding.evidence().rows()) {
      Optional<String> unread =
          row.uses().stream().filter(each -> each.startsWith(UNREAD)).findFirst();
      if (unread.isPresent()) {
        parameters.add(parameter(finding, row, unread.get().substring(UNREAD.length())));
      } else {
        members.add(row.member().replace(" ", ""));
        tested |= !row.uses().isEmpty();
      }
    }
    List<Candidate> found = new ArrayList<>();
    if (!members.isEmpty()) {
      RemoveMember remove =
          new RemoveMember(finding.type(), List.copyOf(members), tested, Set.of());
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

  private static Candidate parameter(Finding finding, Evidence.Row row, String name) {
    return new Candidate(
        finding.id(),
        new Cure.Gone(
            new RemoveParameter(finding.type(), row.member().replace(" ", ""), name),
            new Effect(List.of(new Effect.Figure("parameters without use", 1, 0)), List.of())));
  }

  /** The candidates for parameters that are handed on, to one that does not use them. */
  static List<Candidate> passed(Finding finding) {
    Evidence.Row first = finding.evidence().rows().get(0);
    return first.uses().stream().map(name -> parameter(finding, first, name)).toList();
  }
}
