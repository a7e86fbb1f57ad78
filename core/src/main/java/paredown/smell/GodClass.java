package paredown.smell;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Cohesion;
import paredown.measure.ForeignData;
import paredown.measure.MemberGroups;
import paredown.measure.Size;
import paredown.text.Counted;

/**
 * A god class is very complex, uses the data of several other classes, and its methods have little
 * in common: all three together.
 *
 * <p>Lanza and Marinescu, "Object-Oriented Metrics in Practice", 2006, chapter 5. Interfaces,
 * enums, records, annotations and classes without fields of their own are none.
 */
final class GodClass implements Detector {

  @Override
  public Smell smell() {
    return Smell.GOD_CLASS;
  }

  @Override
  public Stream<Finding> find(Facts facts, Limits limits) {
    Map<String, TypeFact> types = facts.byName();
    return facts.types().stream()
        .filter(type -> type.kind() == TypeFact.Kind.CLASS && !type.hasErrors())
        .filter(type -> !type.instanceFields().isEmpty())
        .filter(type -> !type.supertypes().contains("java.lang.Throwable"))
        .flatMap(type -> judge(type, types, limits));
  }

  private static Stream<Finding> judge(TypeFact type, Map<String, TypeFact> types, Limits limits) {
    int complexity = Size.weightedMethods(type);
    Set<String> foreign = ForeignData.of(type, types);
    Cohesion cohesion = Cohesion.of(type);
    boolean god =
        complexity >= limits.godComplexity()
            && foreign.size() > limits.godForeign()
            && cohesion.percent() < limits.godCohesion();
    return god ? Stream.of(finding(type, complexity, foreign, cohesion, limits)) : Stream.empty();
  }

  private static Finding finding(
      TypeFact type, int complexity, Set<String> foreign, Cohesion cohesion, Limits limits) {
    Set<String> others = new TreeSet<>();
    foreign.forEach(field -> others.add(field.substring(0, field.indexOf('#'))));
    List<MemberGroups.Group> groups = MemberGroups.of(type);
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
            "uses %d fields of %s; more than %d are too many"
                .formatted(
                    foreign.size(),
                    Counted.of(others.size(), "other class", "other classes"),
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
                    limits.godCohesion())));
    List<Evidence.Group> shown =
        groups.stream().map(g -> new Evidence.Group(g.fields(), g.methods())).toList();
    List<String> members = new ArrayList<>();
    type.fields().stream().map(FieldFact::name).forEach(members::add);
    type.methods().stream().map(MethodFact::signature).forEach(members::add);
    return new Finding(
        Smell.GOD_CLASS,
        weight(complexity, foreign.size(), cohesion.value(), limits),
        type.name(),
        members,
        type.range(),
        new Evidence(figures, shown, rows(type), List.copyOf(foreign)));
  }

  private static List<Evidence.Row> rows(TypeFact type) {
    List<Evidence.Row> rows = new ArrayList<>();
    for (FieldFact field : type.instanceFields()) {
      rows.add(new Evidence.Row(field.range().line(), field.name(), List.of()));
    }
    for (MethodFact method : type.methods()) {
      if (MemberGroups.ties(method)) {
        List<String> uses = new ArrayList<>();
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(method.fieldsOf(type.name())::contains)
            .forEach(uses::add);
        type.methods().stream()
            .filter(MemberGroups::ties)
            .filter(each -> method.callsOf(type.name()).contains(each.signature()))
            .map(each -> each.name() + "()")
            .distinct()
            .forEach(uses::add);
        rows.add(new Evidence.Row(method.range().line(), method.signature(), uses));
      }
    }
    return rows;
  }

  /**
   * 40 at the limits; up to 25 more for complexity, 20 for foreign data and 15 for lacking
   * cohesion.
   */
  static int weight(int complexity, int foreign, double cohesion, Limits limits) {
    double size = 25 * (1 - (double) limits.godComplexity() / complexity);
    double data = 20 * (1 - (double) limits.godForeign() / foreign);
    double apart = 15 * (1 - cohesion * 100 / limits.godCohesion());
    return (int) Math.round(40 + Math.max(0, size) + Math.max(0, data) + Math.max(0, apart));
  }
}
