package paredown.smell.detector;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Cohesion;
import paredown.measure.ForeignData;
import paredown.measure.MemberGroups;
import paredown.measure.Responsibilities;
import paredown.measure.Size;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Smell;
import paredown.text.Counted;

/**
 * A god class is very complex, its members fall into groups that each have fields and logic, and
 * either it uses the data of several other classes while its methods have little in common, or
 * groups of its members share nothing at all. A third as complex, it is one where three such groups
 * share nothing.
 *
 * <p>Lanza and Marinescu, "Object-Oriented Metrics in Practice", 2006, chapter 5; groups that share
 * nothing are those of Hitz and Montazeri, 1995. A class that cannot be told apart into
 * responsibilities may be long or dense, but does no several things, unless it is very large and
 * knows much of others: one tangle. Interfaces, enums, records, annotations and classes without
 * fields of their own are none.
 */
public final class GodClass implements Detector {
  /** Projects of fewer classes have one that is the largest for a reason that shows. */
  private static final int SMALL_PROJECT = 40;

  /** So many times the limit no class comes to that does one thing. */
  private static final int TANGLE = 4;

  private static final int TANGLED_METHODS = 60;
  private static final int HEAVY_METHODS = 3;
  private static final int HEAVY_BRANCHES = 7;

  /** So many groups that share nothing are several things, though each may be small. */
  private static final int SCATTERED = 3;

  private static final int LIGHT_BRANCHES = 4;

  /** Nothing below this part of the limit is complex enough for several things. */
  private static final int LEAST_PART = 3;

  /** A field with what gets and sets it is no responsibility. */
  private static final int ACCESSED = 3;

  private static final int DOUBLED = 8;
  private static final int HEAVIEST = 100;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .judged()
        .filter(TypeFact::isClass)
        .filter(type -> !type.instanceFields().isEmpty() && !type.isException())
        .flatMap(type -> judge(type, grounds));
  }

  private static Stream<Finding> judge(TypeFact type, Grounds grounds) {
    Limits limits = grounds.limits();
    int complexity = Size.weightedMethods(type);
    if (complexity * LEAST_PART < limits.godComplexity()) {
      return Stream.empty();
    }
    boolean half = complexity * 2 >= limits.godComplexity();
    boolean towers = half && towers(type, complexity, grounds);
    List<MemberGroups.Group> parts = MemberGroups.of(type);
    boolean scattered =
        parts.stream().filter(ofBranches(type, LIGHT_BRANCHES)).count() >= SCATTERED;
    if (complexity < limits.godComplexity() && !towers && !scattered) {
      return Stream.empty();
    }
    Set<String> foreign = ForeignData.of(type, grounds.types(), grounds.clients());
    Cohesion cohesion = Cohesion.of(type);
    boolean meddles =
        foreign.size() > limits.godForeign() && cohesion.percent() < limits.godCohesion();
    List<MemberGroups.Group> apart = parts.stream().filter(heavy(type)).toList();
    boolean tangle =
        complexity >= TANGLE * limits.godComplexity()
            && foreign.size() > limits.godForeign()
            && Size.methodsWithLogic(type) >= TANGLED_METHODS;
    if (!meddles && apart.size() < 2 && !towers && !tangle && !scattered) {
      return Stream.empty();
    }
    List<MemberGroups.Group> groups =
        Responsibilities.of(type, grounds.clients(), grounds.divisions()).stream()
            .filter(group -> group.size() > ACCESSED)
            .toList();
    return groups.stream().filter(heavy(type)).count() > 1 || tangle || scattered
        ? Stream.of(finding(type, complexity, foreign, cohesion, apart.size(), groups, grounds))
        : Stream.empty();
  }

  /** Whether a class is by far the largest of a small project. */
  private static boolean towers(TypeFact type, int complexity, Grounds grounds) {
    List<TypeFact> others = grounds.judged().filter(each -> each != type).toList();
    return others.size() >= 2
        && others.size() < SMALL_PROJECT
        && others.stream().allMatch(each -> Size.weightedMethods(each) * 2 <= complexity);
  }

  /** A group is a responsibility of its own where it has state, and logic that works on it. */
  private static Predicate<MemberGroups.Group> heavy(TypeFact type) {
    return ofBranches(type, HEAVY_BRANCHES);
  }

  private static Predicate<MemberGroups.Group> ofBranches(TypeFact type, int branches) {
    return group ->
        !group.fields().isEmpty()
            && group.methods().stream()
                    .flatMap(signature -> type.method(signature).stream())
                    .filter(MethodFact::works)
                    .count()
                >= HEAVY_METHODS
            && group.methods().stream()
                    .flatMap(signature -> type.method(signature).stream())
                    .mapToInt(MethodFact::branches)
                    .sum()
                >= branches;
  }

  private static Finding finding(
      TypeFact type,
      int complexity,
      Set<String> foreign,
      Cohesion cohesion,
      int apart,
      List<MemberGroups.Group> responsibilities,
      Grounds grounds) {
    Limits limits = grounds.limits();
    long others =
        foreign.stream().map(field -> field.substring(0, field.indexOf('#'))).distinct().count();
    List<Evidence.Figure> figures = new ArrayList<>();
    figures.add(
        new Evidence.Figure(
            "branches",
            complexity,
            limits.godComplexity(),
            "%d ways through its %d methods; %d are very many"
                .formatted(complexity, type.methods().size(), limits.godComplexity())));
    figures.add(
        new Evidence.Figure(
            "foreignFields",
            foreign.size(),
            limits.godForeign(),
            foreign.isEmpty()
                ? "uses no data of other classes"
                : "uses %s of %s; more than %d are too many"
                    .formatted(
                        Counted.of(foreign.size(), "field", "fields"),
                        Counted.of(others, "other class", "other classes"),
                        limits.godForeign())));
    figures.add(
        new Evidence.Figure(
            "connectedPairs",
            cohesion.connected(),
            cohesion.pairs() * limits.godCohesion() / 100,
            "%d of %d pairs of its methods have a field in common (%d %%; below %d %% is little)"
                .formatted(
                    cohesion.connected(),
                    cohesion.pairs(),
                    cohesion.percent(),
                    limits.godCohesion()),
            true));
    figures.add(
        new Evidence.Figure(
            "apart",
            apart,
            1,
            apart > 1
                ? apart + " groups of its members, each with fields and logic, share nothing"
                : GroupEvidence.held(type, responsibilities)));
    List<Evidence.Group> groups = GroupEvidence.groups(type, responsibilities, grounds);
    List<String> members = new ArrayList<>();
    type.fields().stream().map(FieldFact::name).forEach(members::add);
    type.methods().stream().map(MethodFact::signature).forEach(members::add);
    String knows = "the data of " + Counted.of(others, "other class", "other classes");
    long parts = responsibilities.stream().filter(heavy(type)).count();
    String tells =
        parts > 1 || complexity < limits.godComplexity()
            ? groups.size() + " groups of members"
            : "one tangle of %d members".formatted(members.size());
    String summary = tells + (others > 0 ? "; " + knows : "");
    return new Finding(
        Smell.GOD_CLASS,
        Form.WHOLE,
        weight(complexity, foreign.size(), cohesion.value(), limits),
        type.name(),
        List.of(),
        members,
        type.range(),
        summary,
        Finding.shortName(type.name())
            + (foreign.size() > limits.godForeign()
                ? " does too many things, and knows too much of other classes."
                : " does several things that have nothing to do with each other."),
        new Evidence(
            figures,
            "Its members fall into %d groups:".formatted(groups.size()),
            groups,
            GroupEvidence.rows(type),
            List.copyOf(foreign)));
  }

  /**
   * 40 at the limits; 8 more each time that the complexity doubles, up to 20 for foreign data and
   * 15 for lacking cohesion, and never above 100.
   */
  public static int weight(int complexity, int foreign, double cohesion, Limits limits) {
    double size = DOUBLED * Math.log((double) complexity / limits.godComplexity()) / Math.log(2);
    double data = foreign == 0 ? 0 : 20 * (1 - (double) limits.godForeign() / foreign);
    double apart = 15 * (1 - cohesion * 100 / limits.godCohesion());
    double all = 40 + Math.max(0, size) + Math.max(0, data) + Math.max(0, apart);
    return (int) Math.round(Math.min(HEAVIEST, all));
  }
}
