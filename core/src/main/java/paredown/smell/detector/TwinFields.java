package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.ForeignData;
import paredown.smell.ClosedSets;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.smell.Values;
import paredown.text.Listed;

/**
 * Twin fields are fields of the same names and types that several classes hold, none of which is
 * above another or beside it below a third. Of two classes of which some method makes the one out
 * of the other, field by field, one is what the other looks like elsewhere: they are none.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3. Only fields that hold values count: objects that work
 * together are given to each other without being one thing.
 */
public final class TwinFields implements Detector {
  private static final int CLASSES = 2;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Limits limits = grounds.limits();
    Values values = Values.of(grounds);
    Map<TypeFact, Set<String>> fields = new LinkedHashMap<>();
    for (TypeFact type : grounds.judged().toList()) {
      if (type.isClass()) {
        Set<String> items = new TreeSet<>();
        type.instanceFields().stream()
            .filter(field -> values.isValue(field.type()))
            .forEach(field -> items.add(item(field)));
        if (items.size() >= limits.clumpFields()) {
          fields.put(type, items);
        }
      }
    }
    return ClosedSets.of(fields, limits.clumpFields(), CLASSES).stream()
        .filter(closed -> unrelated(closed.places()))
        .filter(closed -> !areMapped(closed, grounds))
        .map(closed -> finding(closed, limits));
  }

  private static String item(FieldFact field) {
    return field.type() + " " + field.name();
  }

  /** A builder and what it builds, and classes of one family, share fields for a reason. */
  private static boolean unrelated(List<TypeFact> types) {
    long files = types.stream().map(type -> type.range().file()).distinct().count();
    boolean kin =
        types.stream().anyMatch(one -> types.stream().anyMatch(other -> one.isKinOf(other)))
            || types.stream().map(TypeFact::superclass).distinct().count() == 1
                && !types.get(0).superclass().isEmpty();
    boolean builds = types.stream().anyMatch(type -> type.simpleName().endsWith("Builder"));
    return files >= CLASSES && !kin && !builds;
  }

  /** Whether some method makes the one of two classes of the other, field by field, on purpose. */
  private static boolean areMapped(ClosedSets.Closed<TypeFact> twins, Grounds grounds) {
    List<TypeFact> types = twins.places();
    return types.size() == CLASSES
        && grounds
            .methods()
            .map(Owned::method)
            .anyMatch(
                method ->
                    maps(method, types.get(0), types.get(1), twins.items())
                        || maps(method, types.get(1), types.get(0), twins.items()));
  }

  private static boolean maps(MethodFact method, TypeFact from, TypeFact to, Set<String> items) {
    return touches(method, from, items)
        && (touches(method, to, items) || method.uses().stream().anyMatch(use -> makes(use, to)));
  }

  private static boolean makes(MethodFact.MemberUse use, TypeFact type) {
    return use.kind() == MethodFact.MemberUse.Kind.CREATE && use.type().equals(type.name());
  }

  private static boolean touches(MethodFact method, TypeFact type, Set<String> items) {
    Set<String> touched =
        method.uses().stream()
            .filter(use -> use.type().equals(type.name()))
            .map(use -> ForeignData.field(type, use))
            .collect(Collectors.toSet());
    return items.stream().allMatch(item -> touched.contains(item.replaceAll(".* ", "")));
  }

  private static Finding finding(ClosedSets.Closed<TypeFact> twins, Limits limits) {
    TypeFact first = twins.places().get(0);
    List<String> names =
        first.instanceFields().stream()
            .filter(field -> twins.items().contains(item(field)))
            .map(FieldFact::name)
            .toList();
    List<Evidence.Row> rows = new ArrayList<>();
    for (TypeFact type : twins.places()) {
      type.instanceFields().stream()
          .filter(field -> twins.items().contains(item(field)))
          .forEach(field -> rows.add(Evidence.Row.at(field.range(), field.name(), List.of())));
    }
    int classes = twins.places().size();
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "fields",
                names.size(),
                limits.clumpFields(),
                "%d fields; from %d on they are worth a class"
                    .formatted(names.size(), limits.clumpFields())),
            new Evidence.Figure(
                "classes", classes, CLASSES, "held by %d classes alike".formatted(classes)));
    return new Finding(
        Smell.DATA_CLUMP,
        Form.TWINS,
        weight(names.size(), classes),
        first.name(),
        names,
        names,
        first.range(),
        "%s stand in %d classes alike".formatted(Listed.of(names), classes),
        "%s are one thing that %s each hold in pieces."
            .formatted(
                Listed.of(names),
                Listed.of(twins.places().stream().map(t -> Finding.shortName(t.name())).toList())),
        Evidence.of(figures, "The same fields stand in each of them:", rows));
  }

  /** 15, and more for every field and every class: up to 25 for each. */
  public static int weight(int fields, int classes) {
    return (int) Math.round(15 + 25 * (1 - 2.0 / fields) + 25 * (1 - 1.0 / classes));
  }
}
