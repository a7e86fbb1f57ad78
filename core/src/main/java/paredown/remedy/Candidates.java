package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.refactor.operation.builder.ExtractBuilder;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.text.NameWords;

/** Draws candidates from the facts: which refactorings could cure a finding. */
public final class Candidates {
  private final Finding finding;
  private final TypeFact type;
  private final Map<String, TypeFact> types;
  private final Set<String> taken;
  private final CodeCandidates code;

  private Candidates(Finding finding, Map<String, TypeFact> types, Set<String> taken) {
    this.finding = finding;
    this.types = types;
    this.type = types.get(finding.type());
    this.taken = new HashSet<>(taken);
    this.code = new CodeCandidates(finding, type, types, taken);
  }

  /** The candidates for a finding, best first; empty where the facts show none. */
  public static List<Candidate> of(Finding finding, Grounds grounds) {
    Set<String> taken =
        grounds.facts().types().stream().map(TypeFact::simpleName).collect(Collectors.toSet());
    Candidates candidates = new Candidates(finding, grounds.types(), taken);
    return Candidate.apart(finding.smell().isSmaller() ? candidates.smaller() : candidates.found());
  }

  private List<Candidate> smaller() {
    return switch (finding.smell()) {
      case LONG_METHOD -> code.stretches();
      case UNUSED_MEMBER -> NoLongerUsed.members(finding);
      case PASSED_PARAMETER -> NoLongerUsed.passed(finding);
      default -> List.of();
    };
  }

  /** How a class is called that gets one side of another. */
  private static final Map<String, String> SIDES =
      Map.of("shown as text", "Text", "outside", "Store");

  private List<Candidate> found() {
    return switch (finding.form()) {
      case WHOLE -> sides().isEmpty() ? groups() : sides();
      case FIELDS -> SummedUp.first(finding, type, extract(finding.members(), ""));
      case TWINS -> twins();
      case PARAMETERS -> List.of(parameterObject());
      case METHOD -> code.moveMethod();
      case PART -> List.of(code.extractPart());
      case QUESTION -> List.of(code.askTheObject());
      case GO_BETWEEN, EMPTY, SINGLE -> List.of(inline());
      case REPEATED -> code.oneForAll();
      case UNUSED ->
          finding.evidence().figure("helpers").isPresent() ? List.of(inline()) : List.of();
      case CONSTRUCTOR -> List.of(builder());
    };
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
    Candidate alone = extract(fields, group.name());
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

  /** What belongs to a class as a whole, by the names of its methods. */
  private static final Set<String> OF_ITS_CLASS =
      Set.of("clone", "finalize", "readObject", "writeObject");

  /** More classes than this nobody looks through in one change. */
  private static final int AT_ONCE = 6;

  private static final int MOST_OF_IT = 60;

  private boolean isInstanceField(String name) {
    return type.instanceFields().stream().anyMatch(field -> field.name().equals(name));
  }

  private Candidate extract(List<String> fields, String proposed) {
    List<MethodFact> methods = MovableMethods.of(type, new HashSet<>(fields));
    String name = ProposedName.of(type, fields, proposed, taken);
    taken.add(name);
    return new Candidate(
        finding.id(),
        new Cure.Extract(
            new ExtractClass(
                type.name(), fields, methods.stream().map(MethodFact::signature).toList(), name)));
  }

  private Candidate parameterObject() {
    Evidence.Row first = finding.evidence().rows().get(0);
    String name =
        KnownThing.of(finding.members())
            .or(() -> NameWords.shared(finding.members()).map(NameWords::capitalised))
            .orElseGet(
                () ->
                    finding.members().stream()
                        .map(NameWords::withoutUnit)
                        .limit(2)
                        .collect(Collectors.joining()));
    String free = taken.contains(name) ? name + "Values" : name;
    taken.add(free);
    int lists = finding.evidence().rows().size();
    int parameters = finding.members().size();
    String method = first.member().replace(" ", "");
    return new Candidate(
        finding.id(),
        new Cure.Together(
            new ExtractParameterObject(type.name(), method, finding.members(), free, true, true),
            new Effect(
                List.of(
                    new Effect.Figure("parameters of each list together", parameters, 1),
                    new Effect.Figure("parameters in all", lists * parameters, lists)),
                List.of("1 class more"))));
  }

  /** What several classes hold goes up, or one of them is cured at least. */
  private List<Candidate> twins() {
    List<Candidate> found = new ArrayList<>(SharedAbove.ofTwins(finding, types, taken));
    found.add(extract(finding.members(), ""));
    return found;
  }

  private Candidate builder() {
    long constructors = type.methods().stream().filter(MethodFact::isConstructor).count();
    return new Candidate(
        finding.id(),
        new Cure.Built(
            new ExtractBuilder(type.name(), ExtractBuilder.USUAL, Set.of()),
            new Effect(
                List.of(new Effect.Figure("constructors at most", (int) constructors, 1)),
                List.of("1 class more"))));
  }

  private Candidate inline() {
    boolean helpers =
        type.methods().stream().allMatch(each -> each.isStatic() || each.isConstructor());
    Optional<String> home = finding.evidence().foreign().stream().findFirst();
    return new Candidate(
        finding.id(),
        new Cure.Inline(
            new InlineClass(type.name(), helpers ? Optional.empty() : home, Set.of()),
            new Effect(List.of(new Effect.Figure("classes", 1, 0)), List.of())));
  }
}
