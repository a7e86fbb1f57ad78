package paredown.remedy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.facts.TypeFact;
import paredown.refactor.operation.superclass.ExtractSuperclass;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.text.NameWords;

/**
 * What classes that repeat each other could have in the class that they extend, or in a new one.
 */
final class SharedAbove {
  /** How many parts of methods are tried. */
  private static final int TRIED = 3;

  private final Finding finding;
  private final List<TypeFact> types;
  private final Set<String> taken;
  private final Set<String> known;

  private SharedAbove(Finding finding, List<TypeFact> types, Set<String> taken, Set<String> known) {
    this.finding = finding;
    this.types = types;
    this.taken = taken;
    this.known = known;
  }

  /**
   * The candidates for a duplicate; empty where its places are not whole methods of siblings.
   *
   * @param all the types of the project by name
   * @param taken simple names of types
   */
  static List<Candidate> of(Finding finding, Map<String, TypeFact> all, Set<String> taken) {
    Set<String> names = new LinkedHashSet<>(List.of(finding.type()));
    finding.identity().forEach(each -> names.add(each.replaceAll("#.*", "")));
    List<TypeFact> types =
        names.stream().flatMap(name -> Optional.ofNullable(all.get(name)).stream()).toList();
    boolean siblings =
        types.size() > 1
            && types.stream().allMatch(TypeFact::isClass)
            && types.stream().noneMatch(SharedAbove::isOnlyStatic)
            && types.stream().map(TypeFact::superclass).distinct().count() == 1;
    if (!siblings) {
      return List.of();
    }
    SharedAbove shared = new SharedAbove(finding, types, taken, all.keySet());
    List<Candidate> found = new ArrayList<>(shared.candidates());
    found.addAll(shared.parts());
    return found;
  }

  /**
   * The candidate for fields that several classes hold alike: they go up, with the accessors that
   * all of them have, and first of all with what all of them do with these alone; empty where the
   * classes extend others.
   *
   * @param all the types of the project by name
   * @param taken simple names of types
   */
  static List<Candidate> ofTwins(Finding finding, Map<String, TypeFact> all, Set<String> taken) {
    Set<String> files = new LinkedHashSet<>();
    finding.evidence().rows().forEach(each -> files.add(each.file()));
    List<TypeFact> types = new ArrayList<>(List.of(all.get(finding.type())));
    all.values().stream()
        .filter(type -> files.contains(type.range().file()) && !types.contains(type))
        .filter(TypeFact::isClass)
        .filter(type -> finding.members().stream().allMatch(each -> type.field(each).isPresent()))
        .forEach(types::add);
    boolean free = types.stream().allMatch(type -> type.superclass().isEmpty());
    if (types.size() < 2 || !free) {
      return List.of();
    }
    SharedAbove shared = new SharedAbove(finding, types, taken, all.keySet());
    List<String> accessors = shared.alike(each -> isAccessor(each, finding.members()));
    Set<String> movable =
        MovableMethods.of(types.get(0), Set.copyOf(finding.members())).stream()
            .map(MethodFact::signature)
            .collect(Collectors.toSet());
    List<String> both = new ArrayList<>(accessors);
    shared.alike(each -> movable.contains(each.signature())).stream()
        .filter(each -> !both.contains(each))
        .forEach(both::add);
    Candidate fields = shared.fieldsWith(accessors);
    return both.size() == accessors.size()
        ? List.of(fields)
        : List.of(shared.fieldsWith(both), fields);
  }

  /** The methods of some kind that all classes have alike, as a command names them. */
  private List<String> alike(Predicate<MethodFact> kind) {
    return types.get(0).methods().stream()
        .filter(kind)
        .map(MethodFact::signature)
        .filter(each -> types.stream().allMatch(type -> isAlike(type.method(each), each)))
        .toList();
  }

  private Candidate fieldsWith(List<String> methods) {
    List<String> members = new ArrayList<>(finding.members());
    methods.forEach(each -> members.add(each.replace(" ", "")));
    String name =
        name()
            .or(() -> KnownThing.of(finding.members()).filter(each -> !taken.contains(each)))
            .orElse("Common" + NameWords.capitalised(finding.members().get(0)));
    Effect.Figure figure = new Effect.Figure("classes that hold them", types.size(), 1);
    return above(members, List.of(), Optional.of(name), figure, List.of("1 class more"));
  }

  /** Members of all the classes that go up, or what each place says as a new one. */
  private Candidate above(
      List<String> members,
      List<String> parts,
      Optional<String> name,
      Effect.Figure figure,
      List<String> price) {
    ExtractSuperclass extract =
        new ExtractSuperclass(
            types.stream().map(TypeFact::name).toList(), members, parts, name, Set.of());
    Effect effect = new Effect(List.of(figure), price);
    return new Candidate(finding.id(), new Cure.Above(extract, effect));
  }

  private static boolean isAccessor(MethodFact method, List<String> fields) {
    String plain = method.name().replaceFirst("^(?:get|set|is)(?=\\p{Lu})", "");
    String field =
        plain.isEmpty() ? "" : Character.toLowerCase(plain.charAt(0)) + plain.substring(1);
    return fields.contains(method.name()) || fields.contains(field);
  }

  /** Whether nobody makes objects of it for what they do, so that a class above would be odd. */
  private static boolean isOnlyStatic(TypeFact type) {
    return type.instanceFields().isEmpty()
        && type.methods().stream()
            .filter(each -> !each.isConstructor())
            .allMatch(MethodFact::isStatic);
  }

  /** Parts of methods that all of them say become one method above. */
  private List<Candidate> parts() {
    Set<String> files = new LinkedHashSet<>();
    types.forEach(type -> files.add(type.range().file()));
    boolean above = known.contains(types.get(0).superclass());
    Optional<String> name = above ? Optional.empty() : name();
    if (files.size() < types.size() || !above && name.isEmpty()) {
      return List.of();
    }
    List<Candidate> found = new ArrayList<>();
    Set<String> tried = new LinkedHashSet<>();
    for (Evidence.Row row : finding.evidence().rows()) {
      Optional<RepeatedRun> run =
          row.file().equals(types.get(0).range().file())
              ? RepeatedRun.of(types.get(0), row)
              : Optional.empty();
      run.filter(each -> !each.isPlain())
          .map(RepeatedRun::plainPart)
          .orElse(run)
          .filter(each -> found.size() < TRIED && tried.add(each.place()))
          .flatMap(each -> part(each, name))
          .ifPresent(found::add);
    }
    return found;
  }

  private Optional<Candidate> part(RepeatedRun run, Optional<String> name) {
    List<String> places = new ArrayList<>(List.of(run.place()));
    for (TypeFact type : types.subList(1, types.size())) {
      Optional<String> place =
          finding.evidence().rows().stream()
              .filter(row -> row.file().equals(type.range().file()))
              .flatMap(row -> RepeatedRun.of(type, row).stream())
              .flatMap(other -> other.like(run).stream())
              .map(RepeatedRun::place)
              .findFirst();
      if (place.isEmpty()) {
        return Optional.empty();
      }
      places.add(place.get());
    }
    Effect.Figure figure = new Effect.Figure("lines of it in each class", run.lines(), 1);
    List<String> members = List.of(run.name(types.get(0)));
    return Optional.of(above(members, places, name, figure, List.of("1 method more")));
  }

  private List<Candidate> candidates() {
    List<String> members = new ArrayList<>();
    for (String signature : finding.members()) {
      boolean all =
          types.stream().allMatch(type -> isAlike(type.method(signature), signature))
              && !members.contains(signature);
      if (all) {
        members.add(signature);
      }
    }
    boolean above = known.contains(types.get(0).superclass());
    Optional<String> name = above ? Optional.empty() : name();
    if (members.isEmpty() || !above && name.isEmpty()) {
      return List.of();
    }
    List<String> selectors = members.stream().map(this::selector).toList();
    Effect.Figure figure = new Effect.Figure("classes that say it", types.size(), 1);
    List<String> price = above ? List.of() : List.of("1 class more");
    return List.of(above(selectors, List.of(), name, figure, price));
  }

  private boolean isAlike(Optional<MethodFact> method, String signature) {
    Optional<MethodFact> first = types.get(0).method(signature);
    return method.isPresent()
        && first.isPresent()
        && !method.get().isConstructor()
        && !method.get().isStatic()
        && wording(method.get()).equals(wording(first.get()));
  }

  private static List<Long> wording(MethodFact method) {
    return method.body().spans().stream().map(Span::wording).map(each -> each.hash()).toList();
  }

  /** A method by its name, where no other has it. */
  private String selector(String signature) {
    String name = signature.replaceAll("\\(.*", "");
    boolean alone =
        types.stream()
            .allMatch(
                type ->
                    type.field(name).isEmpty()
                        && type.methods().stream().filter(each -> each.name().equals(name)).count()
                            == 1);
    return alone ? name : signature.replace(" ", "");
  }

  /**
   * A name after the last word that all of them end with; empty where they have none in common, so
   * that it is not plain that they are of a kind.
   */
  private Optional<String> name() {
    Map<String, Integer> last = new LinkedHashMap<>();
    for (TypeFact type : types) {
      List<String> words = NameWords.of(type.simpleName());
      last.merge(words.get(words.size() - 1), 1, Integer::sum);
    }
    if (last.size() > 1) {
      return Optional.empty();
    }
    String word = NameWords.capitalised(last.keySet().iterator().next());
    return List.of("Common" + word, word + "Base").stream()
        .filter(each -> !taken.contains(each))
        .findFirst();
  }
}
