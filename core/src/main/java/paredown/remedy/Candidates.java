package paredown.remedy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.refactor.ExtractClass;
import paredown.smell.Evidence;
import paredown.smell.Finding;

/** Draws candidates from the facts: which refactorings could cure a finding. */
public final class Candidates {
  private Candidates() {}

  /** The candidates for a finding, best first; empty where the facts show none. */
  public static List<Candidate> of(Finding finding, Facts facts) {
    TypeFact type = facts.type(finding.type()).orElseThrow();
    Set<String> taken =
        facts.types().stream().map(TypeFact::simpleName).collect(Collectors.toSet());
    return switch (finding.smell()) {
      case DATA_CLUMP -> List.of(candidate(finding, type, finding.members(), taken));
      case GOD_CLASS -> ofGroups(finding, type, taken);
    };
  }

  /** The largest group is what the class is about; the others could go. */
  private static List<Candidate> ofGroups(Finding finding, TypeFact type, Set<String> taken) {
    List<Candidate> found = new ArrayList<>();
    List<Evidence.Group> groups =
        finding.evidence().groups().stream().filter(group -> !group.fields().isEmpty()).toList();
    for (Evidence.Group group : groups.subList(Math.min(1, groups.size()), groups.size())) {
      if (group.fields().size() + group.methods().size() > 2) {
        found.add(candidate(finding, type, group.fields(), taken));
      }
    }
    return found;
  }

  private static Candidate candidate(
      Finding finding, TypeFact type, List<String> fields, Set<String> taken) {
    List<MethodFact> methods = MovableMethods.of(type, new HashSet<>(fields));
    String name = ProposedName.of(type, fields, taken);
    taken.add(name);
    return new Candidate(
        finding.id(),
        new ExtractClass(
            type.name(), fields, methods.stream().map(MethodFact::signature).toList(), name));
  }
}
