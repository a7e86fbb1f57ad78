package paredown.remedy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
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
    List<MethodFact> methods = methods(type, new HashSet<>(fields));
    String name = ProposedName.of(type, fields, taken);
    taken.add(name);
    return new Candidate(
        finding.id(),
        new ExtractClass(
            type.name(), fields, methods.stream().map(MethodFact::signature).toList(), name));
  }

  /** The methods that use only these fields, and of their class's methods only each other. */
  private static List<MethodFact> methods(TypeFact type, Set<String> fields) {
    Set<String> staying =
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(name -> !fields.contains(name))
            .collect(Collectors.toSet());
    Set<MethodFact> chosen = new LinkedHashSet<>();
    for (MethodFact method : type.methods()) {
      Set<String> used = method.fieldsOf(type.name());
      boolean eligible =
          !method.isConstructor()
              && !method.isStatic()
              && !method.isAbstract()
              && !method.overrides()
              && !method.isAccessor()
              && used.stream().noneMatch(staying::contains);
      if (eligible) {
        chosen.add(method);
      }
    }
    boolean shrank = true;
    while (shrank) {
      Set<String> signatures =
          chosen.stream().map(MethodFact::signature).collect(Collectors.toSet());
      shrank = chosen.removeIf(method -> !callsOnly(method, type, signatures));
    }
    Set<String> useful = reaching(chosen, type, fields);
    return chosen.stream().filter(method -> useful.contains(method.signature())).toList();
  }

  private static boolean callsOnly(MethodFact method, TypeFact type, Set<String> chosen) {
    return method.callsOf(type.name()).stream()
        .filter(called -> isInstance(type, called))
        .allMatch(chosen::contains);
  }

  private static boolean isInstance(TypeFact type, String signature) {
    return type.methods().stream()
        .anyMatch(method -> method.signature().equals(signature) && !method.isStatic());
  }

  /** Of the chosen, those that use one of the fields, themselves or through each other. */
  private static Set<String> reaching(Set<MethodFact> chosen, TypeFact type, Set<String> fields) {
    Set<String> reaching = new HashSet<>();
    boolean grew = true;
    while (grew) {
      grew = false;
      for (MethodFact method : chosen) {
        boolean uses =
            method.fieldsOf(type.name()).stream().anyMatch(fields::contains)
                || method.callsOf(type.name()).stream().anyMatch(reaching::contains);
        grew |= uses && reaching.add(method.signature());
      }
    }
    return reaching;
  }
}
