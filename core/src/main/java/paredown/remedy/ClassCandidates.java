package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.smell.Evidence;
import paredown.smell.Finding;

/** The classes that could be taken out of one, by what its members have to do with each other. */
final class ClassCandidates {
  /** How a class is called that gets one side of another. */
  private static final Map<String, String> SIDES =
      Map.of("shown as text", "Text", "outside", "Store");

  /** What belongs to a class as a whole, by the names of its methods. */
  private static final Set<String> OF_ITS_CLASS =
      Set.of("clone", "finalize", "readObject", "writeObject");

  /** More classes than this nobody looks through in one change. */
  private static final int AT_ONCE = 6;

  private static final int MOST_OF_IT = 60;

  private final Finding finding;
  private final TypeFact type;
  private final Set<String> taken;

  /**
   * The classes that could be taken out of a type that a finding is about.
   *
   * @param taken the names that no new class may have; those that are proposed join them
   */
  ClassCandidates(Finding finding, TypeFact type, Set<String> taken) {
    this.finding = finding;
    this.type = type;
    this.taken = taken;
  }

  /** One side of the class where it has one, or else its groups. */
  List<Candidate> ofWhole() {
    List<Candidate> sides = sides();
    return sides.isEmpty() ? groups() : sides;
  }

  /** What a class shows of itself, or has to do with files, could go to a class that asks it. */
  private List<Candidate> sides() {
    List<Candidate> found = new ArrayList<>();
    for (Evidence.Group side : finding.evidence().groups()) {
      String word = SIDES.get(side.name());
      if (word != null) {
        ExtractClass.Wishes wishes =
            ExtractClass.Wishes.of(Optional.of(false), Set.of()).pass(ExtractClass.Pass.OWNER);
        String name = type.simpleName() + word;
        found.add(
            new Candidate(
                finding.id(),
                new Cure.Extract(
                    new ExtractClass(type.name(), List.of(), side.methods(), name, wishes))));
      }
    }
    return found;
  }

  /** The groups that the members of a class fall into could go, one at a time. */
  private List<Candidate> groups() {
    List<Candidate> found = new ArrayList<>();
    List<Evidence.Group> groups =
        finding.evidence().groups().stream().filter(group -> !group.fields().isEmpty()).toList();
    Set<String> going = new HashSet<>();
    List<ExtractClass> alone = new ArrayList<>();
    List<Evidence.Group> others = new ArrayList<>(groups);
    if (others.size() > 1) {
      // What the class is about goes last, and only where most of the class is something else.
      Evidence.Group main = others.remove(0);
      if (main.fields().size() * 2 <= type.instanceFields().size()) {
        others.add(main);
      }
    } else {
      others.clear();
    }
    if (others.size() > AT_ONCE) {
      others.sort(Comparator.comparingDouble(this::worth).reversed());
    }
    for (Evidence.Group group : others) {
      List<String> fields = group.fields().stream().filter(this::isInstanceField).toList();
      boolean disjoint = fields.stream().noneMatch(going::contains);
      if (!fields.isEmpty() && disjoint && group.size() > 2) {
        going.addAll(fields);
        List<Candidate> ways = extracts(fields, group);
        found.addAll(ways);
        alone.add(((Cure.Extract) ways.get(ways.size() - 1).cure()).refactoring());
      }
    }
    if (alone.size() > 1 && others.size() <= AT_ONCE) {
      found.add(new Candidate(finding.id(), new Cure.Apart(new ExtractGroups(type.name(), alone))));
    }
    return found;
  }

  /**
   * What could be done with a group: its fields go with the methods that need nothing else. Where
   * that is little of its logic, all its methods go, too, and those that need their old object are
   * given it. The last takes the least along.
   */
  private List<Candidate> extracts(List<String> fields, Evidence.Group group) {
    Candidate alone = of(fields, group.name());
    ExtractClass narrow = ((Cure.Extract) alone.cure()).refactoring();
    List<String> all =
        type.methods().stream()
            .filter(MemberGroups::ties)
            .filter(method -> !method.overrides() && !OF_ITS_CLASS.contains(method.name()))
            .map(MethodFact::signature)
            .filter(group.methods()::contains)
            .toList();
    if (branches(narrow.methods()) * 100 >= branches(all) * MOST_OF_IT) {
      return List.of(alone);
    }
    ExtractClass wide =
        new ExtractClass(
            type.name(), fields, all, narrow.name(), narrow.wishes().pass(ExtractClass.Pass.OWNER));
    return List.of(new Candidate(finding.id(), new Cure.Extract(wide)), alone);
  }

  /** The logic of a group, the less the more of what it uses of its class is outside of it. */
  private double worth(Evidence.Group group) {
    int inside = 0;
    int all = 1;
    for (String signature : group.methods()) {
      MethodFact method = type.method(signature).orElseThrow();
      List<String> used = new ArrayList<>(method.fieldsOf(type.name()));
      used.addAll(method.callsOf(type.name()));
      all += used.size();
      for (String each : used) {
        inside += group.fields().contains(each) || group.methods().contains(each) ? 1 : 0;
      }
    }
    return (double) inside / all * branches(group.methods());
  }

  private int branches(List<String> methods) {
    return methods.stream()
        .flatMap(signature -> type.method(signature).stream())
        .mapToInt(MethodFact::branches)
        .sum();
  }

  private boolean isInstanceField(String name) {
    return type.instanceFields().stream().anyMatch(field -> field.name().equals(name));
  }

  /** Some fields, with the methods that need nothing else. */
  Candidate of(List<String> fields, String proposed) {
    List<MethodFact> methods = MovableMethods.of(type, new HashSet<>(fields));
    String name = ProposedName.of(type, fields, proposed, taken);
    taken.add(name);
    return new Candidate(
        finding.id(),
        new Cure.Extract(
            new ExtractClass(
                type.name(), fields, methods.stream().map(MethodFact::signature).toList(), name)));
  }
}
