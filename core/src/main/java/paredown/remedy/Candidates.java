package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.SourceVersion;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.refactor.operation.builder.ExtractBuilder;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractmethod.ExtractStages;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.text.NameWords;

/** Draws candidates from the facts: which refactorings could cure a finding. */
public final class Candidates {
  private final Finding finding;
  private final TypeFact type;
  private final Map<String, TypeFact> types;
  private final Set<String> taken;

  private Candidates(Finding finding, Map<String, TypeFact> types, Set<String> taken) {
    this.finding = finding;
    this.types = types;
    this.type = types.get(finding.type());
    this.taken = new HashSet<>(taken);
  }

  /** The candidates for findings by their ids, best first; empty where the facts show none. */
  public static Map<String, List<Candidate>> of(List<Finding> findings, Facts facts) {
    Map<String, TypeFact> types = facts.byName();
    Set<String> taken =
        facts.types().stream().map(TypeFact::simpleName).collect(Collectors.toSet());
    Map<String, List<Candidate>> found = new LinkedHashMap<>();
    for (Finding finding : findings) {
      Candidates candidates = new Candidates(finding, types, taken);
      found.put(
          finding.id(), finding.smell().isSmaller() ? candidates.smaller() : candidates.found());
    }
    return found;
  }

  private List<Candidate> smaller() {
    return switch (finding.smell()) {
      case LONG_METHOD -> stretches();
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
      case FIELDS -> List.of(extract(finding.members(), ""));
      case TWINS -> twins();
      case PARAMETERS -> List.of(parameterObject());
      case METHOD -> moveMethod();
      case PART -> List.of(extractPart());
      case QUESTION -> List.of(askTheObject());
      case GO_BETWEEN, EMPTY, SINGLE -> List.of(inline());
      case REPEATED -> oneForAll();
      case UNUSED -> figure("helpers").isPresent() ? List.of(inline()) : List.of();
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
    for (Evidence.Group group : others) {
      List<String> fields = group.fields().stream().filter(this::isInstanceField).toList();
      boolean disjoint = fields.stream().noneMatch(going::contains);
      if (!fields.isEmpty() && disjoint && group.size() > 2) {
        going.addAll(fields);
        found.add(extract(fields, group.name()));
      }
    }
    if (found.size() > 1) {
      List<ExtractClass> all =
          found.stream().map(each -> ((Cure.Extract) each.cure()).refactoring()).toList();
      found.add(new Candidate(finding.id(), new Cure.Apart(new ExtractGroups(type.name(), all))));
    }
    return found;
  }

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

  private Candidate byHand(String command, String says, Effect effect) {
    return new Candidate(finding.id(), new Cure.ByHand(command, says, effect));
  }

  private Candidate parameterObject() {
    Evidence.Row first = finding.evidence().rows().get(0);
    String name =
        NameWords.shared(finding.members())
            .map(NameWords::capitalised)
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
            new ExtractParameterObject(type.name(), method, finding.members(), free, true),
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

  private List<Candidate> moveMethod() {
    String signature = finding.members().get(0);
    String target = provider();
    int own = figure("ownShare").map(share -> ownUsed(signature)).orElse(0);
    List<String> price =
        own == 0 ? List.of() : List.of(own == 1 ? "1 parameter more" : own + " parameters more");
    Effect effect =
        new Effect(
            List.of(
                new Effect.Figure(
                    "foreign data it uses", figure("data").orElseThrow().value(), own)),
            price);
    return ways(signature, target).stream()
        .map(wishes -> new MoveMethod(type.name(), signature, target, wishes))
        .map(move -> new Candidate(finding.id(), new Cure.Move(move, effect)))
        .toList();
  }

  /** Where a method takes several of the class, each of them could be asked. */
  private List<MoveMethod.Wishes> ways(String signature, String target) {
    String simple = Finding.shortName(target);
    List<String> taken =
        type.method(signature).orElseThrow().parameters().stream()
            .filter(each -> each.type().equals(simple) || each.type().equals(target))
            .map(MethodFact.Parameter::name)
            .toList();
    return taken.size() < 2
        ? List.of(MoveMethod.Wishes.NONE)
        : taken.stream().map(MoveMethod.Wishes.NONE::through).toList();
  }

  private int ownUsed(String signature) {
    MethodFact method = type.method(signature).orElseThrow();
    Set<String> own = new HashSet<>(method.fieldsOf(type.name()));
    own.addAll(method.callsOf(type.name()));
    return own.size();
  }

  /** What could be taken out of a long method. */
  private List<Candidate> stretches() {
    MethodFact method = type.method(finding.members().get(0)).orElseThrow();
    List<Candidate> found = new ArrayList<>();
    ExtractStages stages = Stages.of(type, method);
    if (stages.stages().size() > 1) {
      Effect effect =
          new Effect(List.of(), List.of("up to %d methods more".formatted(stages.stages().size())));
      found.add(new Candidate(finding.id(), new Cure.Staged(stages, effect)));
    }
    for (Stretch stretch : Stretch.of(method)) {
      found.add(
          new Candidate(
              finding.id(),
              new Cure.Part(new ExtractMethod(stretch.place(), stretch.name()), stretch.effect())));
    }
    return found;
  }

  private Candidate extractPart() {
    String target = provider();
    String place =
        "%s:%d-%d"
            .formatted(
                finding.range().file(),
                finding.range().start().line(),
                finding.range().end().line() - 1);
    Effect effect =
        new Effect(
            List.of(
                new Effect.Figure(
                    "foreign data in place", figure("data").orElseThrow().value(), 0)),
            List.of("1 method more"));
    ExtractMethod extract =
        new ExtractMethod(place, partName(target), Optional.of(target), Duplicates.NONE, Set.of());
    return new Candidate(finding.id(), new Cure.Part(extract, effect));
  }

  /**
   * The name of the value that the part gives, or else of the method and the class: {@code
   * deckForPassenger}, until there is a better one.
   */
  private String partName(String target) {
    Optional<String> given =
        type.method(finding.members().get(0)).stream()
            .flatMap(
                method ->
                    method.body().spans().stream()
                        .filter(span -> span.firstLine() == finding.range().start().line())
                        .filter(span -> span.lastLine() == finding.range().end().line() - 1)
                        .flatMap(span -> method.body().left(span).stream()))
            .findFirst();
    if (given.isPresent()) {
      return given.get();
    }
    String method = finding.members().get(0).replaceAll("\\(.*", "");
    return method + NameWords.capitalised(Finding.shortName(target).replaceAll(".*\\.", ""));
  }

  /** How many of the places that repeat others are tried. */
  private static final int TRIED = 4;

  /** One of the places as a method, which the others call. */
  private List<Candidate> oneForAll() {
    Set<String> classes = new HashSet<>();
    finding.identity().forEach(each -> classes.add(each.replaceAll("#.*", "")));
    Duplicates which = classes.equals(Set.of(type.name())) ? Duplicates.ALL : Duplicates.PROJECT;
    Map<Integer, Evidence.Row> rows = new LinkedHashMap<>();
    finding.evidence().rows().stream()
        .filter(each -> each.file().equals(finding.range().file()))
        .forEach(each -> rows.putIfAbsent(each.line(), each));
    List<Candidate> found = new ArrayList<>(SharedAbove.of(finding, types, taken));
    rows.values().stream()
        .limit(TRIED)
        .flatMap(row -> runs(row).stream())
        .forEach(run -> found.add(oneForAll(run, which)));
    return found;
  }

  /** What stands in a place, and where that can be no method, the part of it that can. */
  private List<RepeatedRun> runs(Evidence.Row row) {
    List<RepeatedRun> runs = new ArrayList<>();
    RepeatedRun.of(type, row)
        .ifPresent(
            run -> {
              runs.add(run);
              if (!run.isPlain()) {
                run.plainPart().ifPresent(runs::add);
              }
            });
    return runs;
  }

  private Candidate oneForAll(RepeatedRun run, Duplicates which) {
    ExtractMethod extract =
        new ExtractMethod(run.place(), sharedName(run), Optional.empty(), which, Set.of());
    Effect effect =
        new Effect(
            List.of(new Effect.Figure("lines of it in each place", run.lines(), 1)),
            List.of("1 method more"));
    return new Candidate(finding.id(), new Cure.Part(extract, effect));
  }

  /** The word that the methods share which say the same, or a name after one of them. */
  private String sharedName(RepeatedRun run) {
    List<String> methods =
        finding.evidence().rows().stream().map(Evidence.Row::member).distinct().toList();
    return NameWords.shared(methods)
        .filter(word -> methods.size() > 1 && SourceVersion.isName(word))
        .filter(word -> type.methods().stream().noneMatch(each -> each.name().equals(word)))
        .orElseGet(run::name);
  }

  /** The object that is asked works the answer out, and all places ask it for that. */
  private Candidate askTheObject() {
    Evidence.Row first = finding.evidence().rows().get(0);
    Effect effect =
        new Effect(
            List.of(
                new Effect.Figure(
                    "places that decide it", figure("places").orElseThrow().value(), 1)),
            List.of("1 method more"));
    String place = "%s:%d".formatted(first.file(), first.line());
    long classes =
        finding.evidence().rows().stream().map(row -> row.uses().get(0)).distinct().count();
    if (finding.members().size() > 1) {
      return new Candidate(
          finding.id(),
          new Cure.Part(
              new ExtractMethod(
                  place,
                  questionName(),
                  Optional.of(type.name()),
                  classes > 1 ? Duplicates.PROJECT : Duplicates.ALL,
                  Set.of()),
              effect));
    }
    return byHand(
        "pare extract method " + place,
        "extract the question as a method, and move it to " + Finding.shortName(type.name()),
        effect);
  }

  /** A question after the shortest name of the methods that ask it: {@code isReady}. */
  private String questionName() {
    String shortest =
        finding.evidence().rows().stream()
            .map(row -> row.member().replaceAll("\\(.*", ""))
            .min(Comparator.comparingInt(String::length))
            .orElseThrow();
    return shortest.matches("(?:is|has|can|may|must|needs)\\p{Lu}.*")
        ? shortest
        : "is" + NameWords.capitalised(shortest);
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

  private String provider() {
    String first = finding.evidence().foreign().get(0);
    return first.substring(0, first.indexOf('#'));
  }

  private Optional<Evidence.Figure> figure(String name) {
    return finding.evidence().figures().stream()
        .filter(figure -> figure.name().equals(name))
        .findFirst();
  }
}
