package paredown.remedy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.refactor.operation.builder.ExtractBuilder;
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
  private final Grounds grounds;
  private final Map<String, TypeFact> types;
  private final Set<String> taken;
  private final CodeCandidates code;
  private final ClassCandidates classes;

  private Candidates(Finding finding, Grounds grounds, Set<String> taken) {
    this.finding = finding;
    this.grounds = grounds;
    this.types = grounds.types();
    this.type = types.get(finding.type());
    this.taken = new HashSet<>(taken);
    this.code = new CodeCandidates(finding, type);
    this.classes = new ClassCandidates(finding, type, this.taken);
  }

  /** The candidates for a finding, best first; empty where the facts show none. */
  public static List<Candidate> of(Finding finding, Grounds grounds) {
    Set<String> taken =
        grounds.facts().types().stream().map(TypeFact::simpleName).collect(Collectors.toSet());
    Candidates candidates = new Candidates(finding, grounds, taken);
    return Candidate.apart(finding.smell().isSmaller() ? candidates.smaller() : candidates.found());
  }

  private List<Candidate> smaller() {
    return switch (finding.smell()) {
      case LONG_METHOD -> code.stretches();
      case MESSAGE_CHAIN -> code.hideTheWay();
      case UNUSED_MEMBER -> NoLongerUsed.members(finding, type);
      case KIND_BRANCH -> KindCandidates.of(finding, types);
      case PASSED_PARAMETER -> NoLongerUsed.passed(finding);
      default -> List.of();
    };
  }

  /** The fields leave together, or all others do, so that the class is about these alone. */
  private List<Candidate> fields() {
    List<Candidate> all =
        new ArrayList<>(SummedUp.first(finding, type, classes.of(finding.members(), "")));
    all.addAll(classes.ofOthers(finding.members()));
    return all;
  }

  private List<Candidate> found() {
    return switch (finding.form()) {
      case WHOLE -> classes.ofWhole();
      case FIELDS -> fields();
      case TWINS -> twins();
      case PARAMETERS -> List.of(parameterObject());
      case METHOD -> code.moveMethod();
      case PART -> List.of(code.extractPart());
      case QUESTION -> List.of(code.askTheObject());
      case GO_BETWEEN, EMPTY, SINGLE -> List.of(inline());
      case REPEATED -> new RepeatedCandidates(finding, type, grounds, taken).oneForAll();
      case UNUSED ->
          List.of(
              finding.evidence().figure("helpers").isPresent()
                  ? inline()
                  : NoLongerUsed.whole(finding));
      case CONSTRUCTOR -> List.of(builder(true), builder(false));
    };
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
    found.add(classes.of(finding.members(), ""));
    return found;
  }

  private Candidate builder(boolean only) {
    long constructors = type.methods().stream().filter(MethodFact::isConstructor).count();
    return new Candidate(
        finding.id(),
        new Cure.Built(
            new ExtractBuilder(type.name(), ExtractBuilder.USUAL, only, Set.of()),
            new Effect(
                List.of(
                    new Effect.Figure(
                        "constructors that others call", (int) constructors, only ? 0 : 1)),
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
