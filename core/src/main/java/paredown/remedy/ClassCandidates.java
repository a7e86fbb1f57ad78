package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.refactor.operation.extractclass.ExtractClass;
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

  /** Its groups and its sides could go, all at once or one at a time. */
  List<Candidate> ofWhole() {
    List<Candidate> found = new ArrayList<>();
    List<List<ExtractClass>> apart = new ArrayList<>();
    List<Evidence.Group> groups = going();
    Set<String> gone = new HashSet<>();
    for (Evidence.Group group : groups) {
      List<String> fields = group.fields().stream().filter(this::isInstanceField).toList();
      boolean disjoint = fields.stream().noneMatch(gone::contains);
      if (!fields.isEmpty() && disjoint && group.size() > 2) {
        gone.addAll(fields);
        apart.add(extracts(fields, group));
      }
    }
    sides().forEach(side -> apart.add(List.of(side)));
    apart.forEach(ways -> ways.forEach(way -> found.add(candidate(new Cure.Extract(way)))));
    if (apart.size() > 1) {
      Cure all = new Cure.Apart(type.name(), apart.stream().limit(AT_ONCE).toList());
      // Where they are many it takes long to find out, and one alone may be enough to begin with.
      found.add(apart.size() <= AT_ONCE ? 0 : found.size(), candidate(all));
    }
    return found;
  }

  private Candidate candidate(Cure cure) {
    return new Candidate(finding.id(), cure);
  }

  /** What a class shows of itself, or has to do with files, could go to a class that asks it. */
  private List<ExtractClass> sides() {
    ExtractClass.Wishes wishes =
        ExtractClass.Wishes.of(Optional.of(false), Set.of()).pass(ExtractClass.Pass.OWNER);
    return finding.evidence().groups().stream()
        .filter(side -> SIDES.containsKey(side.name()))
        .map(
            side ->
                new ExtractClass(
                    type.name(),
                    List.of(),
                    side.methods(),
                    type.simpleName() + SIDES.get(side.name()),
                    wishes))
        .toList();
  }

  /** The groups with fields that could go, those that are worth most first where they are many. */
  private List<Evidence.Group> going() {
    List<Evidence.Group> others =
        new ArrayList<>(
            finding.evidence().groups().stream()
                .filter(group -> !group.fields().isEmpty())
                .toList());
    if (others.size() < 2) {
      return List.of();
    }
    // What the class is about goes last, and only where most of the class is something else.
    Evidence.Group main = others.remove(0);
    if (main.fields().size() * 2 <= type.instanceFields().size() && !isAsked(main, others)) {
      others.add(main);
    }
    if (others.size() > AT_ONCE) {
      others.sort(Comparator.comparingDouble(this::worth).reversed());
    }
    return others;
  }

  /** Whether other groups use the fields of one. */
  private boolean isAsked(Evidence.Group main, List<Evidence.Group> others) {
    return others.stream()
        .flatMap(group -> group.methods().stream())
        .flatMap(signature -> type.method(signature).stream())
        .anyMatch(
            method -> main.fields().stream().anyMatch(method.fieldsOf(type.name())::contains));
  }

  /**
   * What could be done with a group: its fields go with the methods that need nothing else. Where
   * that is little of its logic, all its methods go, too, and those that need their old object are
   * given it. The last takes the least along.
   */
  private List<ExtractClass> extracts(List<String> fields, Evidence.Group group) {
    ExtractClass narrow = alone(fields, group.name());
    List<String> all =
        type.methods().stream()
            .filter(MemberGroups::ties)
            .filter(method -> !method.overrides() && !OF_ITS_CLASS.contains(method.name()))
            .map(MethodFact::signature)
            .filter(group.methods()::contains)
            .toList();
    if (branches(narrow.methods()) * 100 >= branches(all) * MOST_OF_IT) {
      return List.of(narrow);
    }
    ExtractClass wide =
        new ExtractClass(
            type.name(),
            withConstants(fields, all),
            all,
            narrow.name(),
            narrow.wishes().pass(ExtractClass.Pass.OWNER));
    return List.of(wide, narrow);
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
    return candidate(new Cure.Extract(alone(fields, proposed)));
  }

  /**
   * All other fields, where they are no more, a method of their own uses them together, and more
   * methods leave with them than would with these.
   */
  List<Candidate> ofOthers(List<String> fields) {
    List<String> others =
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(each -> !fields.contains(each))
            .toList();
    if (others.size() < 2 || others.size() > fields.size()) {
      return List.of();
    }
    List<MethodFact> leaving = MovableMethods.of(type, new HashSet<>(others));
    boolean together = leaving.stream().anyMatch(each -> uses(each, others) > 1);
    boolean more = leaving.size() > MovableMethods.of(type, new HashSet<>(fields)).size();
    return together && more ? List.of(of(others, "")) : List.of();
  }

  private long uses(MethodFact method, List<String> fields) {
    return method.fieldsOf(type.name()).stream().filter(fields::contains).count();
  }

  private ExtractClass alone(List<String> fields, String proposed) {
    List<String> methods =
        MovableMethods.of(type, new HashSet<>(fields)).stream().map(MethodFact::signature).toList();
    String name = ProposedName.of(type, fields, proposed, taken);
    taken.add(name);
    return new ExtractClass(type.name(), withConstants(fields, methods), methods, name);
  }

  /** Some fields, with the constants that only methods of the same group use. */
  private List<String> withConstants(List<String> fields, List<String> methods) {
    List<String> all = new ArrayList<>(fields);
    type.fields().stream()
        .filter(field -> field.isConstant() && field.isPrivate())
        .map(FieldFact::name)
        .filter(constant -> isOnlyOf(methods, constant))
        .forEach(all::add);
    return all;
  }

  private boolean isOnlyOf(List<String> methods, String constant) {
    List<String> users =
        type.methods().stream()
            .filter(method -> method.fieldsOf(type.name()).contains(constant))
            .map(MethodFact::signature)
            .toList();
    return !users.isEmpty() && methods.containsAll(users);
  }
}
