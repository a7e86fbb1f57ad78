package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.facts.Access;
import paredown.facts.MethodFact;
import paredown.measure.DataUse;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Movable;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.text.Counted;
import paredown.text.Listed;

/**
 * A method is envious where it uses several data of one other class, and hardly any of its own:
 * most of what it asks for is the other's. Where three methods of a class live on the same other
 * one, two data for each are enough, and so they are for a static method that takes nothing else,
 * in a class of such methods only.
 *
 * <p>Lanza and Marinescu, "Object-Oriented Metrics in Practice", 2006, chapter 5; Fowler,
 * "Refactoring", 1999, chapter 3. Data are fields, used directly or through methods that only give
 * or set them. Which methods are never envious is said in {@link Movable}.
 */
public final class FeatureEnvy implements Detector {
  /** Code that sets more data than these, or spells them, has to do with an object as a whole. */
  private static final int WHOLE = 6;

  /** Several methods of a class that each use so many values of another live on it together. */
  private static final int PAIR = 2;

  private static final int HALF = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Map<String, List<Envious>> together =
        grounds
            .methods()
            .filter(owned -> Movable.mayBeEnvious(owned, grounds))
            .flatMap(owned -> judge(owned, grounds).stream())
            .collect(
                Collectors.groupingBy(
                    each -> each.owned().type().name() + " on " + each.use().provider(),
                    LinkedHashMap::new,
                    Collectors.toList()));
    int several = grounds.limits().envyData();
    return together.values().stream()
        .flatMap(
            some ->
                some.stream()
                    .filter(
                        each ->
                            each.use().data().size() >= several
                                || isHalf(some)
                                || isHomeless(each.owned())))
        .map(each -> finding(each.owned(), each.use(), grounds));
  }

  /** A method that lives on another class, with what it uses of it. */
  private record Envious(Owned owned, DataUse use) {}

  /** Whether so many methods live on one other class that they are a part of it. */
  private static boolean isHalf(List<Envious> some) {
    return some.size() >= HALF;
  }

  /**
   * Whether it is a static method of a class without anything of its own, which is about others.
   */
  private static boolean isHomeless(Owned owned) {
    return owned.method().isStatic()
        && owned.type().fields().isEmpty()
        && owned.method().parameters().size() == 1
        && owned.type().methods().stream()
            .filter(each -> !each.isConstructor())
            .allMatch(MethodFact::isStatic);
  }

  private static Optional<Envious> judge(Owned owned, Grounds grounds) {
    List<Access> accesses = owned.method().body().accesses();
    return Optional.of(DataUse.of(owned.type(), accesses, grounds.types()))
        .filter(use -> use.data().size() >= PAIR && !doesItsOwnWork(owned, use))
        .filter(use -> prevails(use, owned.method(), accesses, grounds))
        .map(use -> new Envious(owned, use));
  }

  /**
   * Whether a method changes its own object, which is its work, unless it sets more of the other.
   */
  private static boolean doesItsOwnWork(Owned owned, DataUse use) {
    long set =
        owned.method().body().accesses().stream()
            .filter(each -> each.use().kind() == MethodFact.MemberUse.Kind.WRITE)
            .filter(each -> each.use().type().equals(owned.type().name()))
            .filter(each -> each.root().kind() == Access.Root.Kind.SELF)
            .map(each -> each.use().member())
            .distinct()
            .count();
    return set > 0 && use.set() <= set;
  }

  /** Whether code lives on one other class's data, and could live there. */
  public static boolean prevails(
      DataUse use, MethodFact method, List<Access> accesses, Grounds grounds) {
    Set<String> used = accesses.stream().map(each -> each.use().type()).collect(Collectors.toSet());
    boolean fillsFromElsewhere = use.fills() && method.parameters().size() > 1;
    boolean isWhole = use.data().size() > WHOLE && (use.sets() || Movable.carries(method));
    return !fillsFromElsewhere
        && !isWhole
        && use.ownPercent() < grounds.limits().envyOwnShare()
        && use.data().size() * 2 > use.foreign()
        && Movable.canHold(use.provider(), method, used, grounds);
  }

  private static Finding finding(Owned owned, DataUse use, Grounds grounds) {
    MethodFact method = owned.method();
    String target = Finding.shortName(use.provider());
    List<String> data = List.copyOf(use.data());
    List<Evidence.Row> rows = rows(method, use);
    return new Finding(
        Smell.FEATURE_ENVY,
        Form.METHOD,
        weight(data.size(), use.ownPercent(), method.branches(), grounds.limits()),
        owned.type().name(),
        List.of(method.signature()),
        List.of(method.signature()),
        method.range(),
        "%s lives on %s of %s"
            .formatted(method.name(), Counted.of(data.size(), "value", "values"), target),
        "%s of %s belongs to %s, whose data it lives on."
            .formatted(method.signature(), owned.owner(), target),
        new Evidence(
            figures(use, target, grounds.limits()),
            "This is where it asks:",
            List.of(),
            rows,
            data.stream().map(each -> use.provider() + "#" + each).toList()));
  }

  public static List<Evidence.Figure> figures(DataUse use, String target, Limits limits) {
    Set<String> own = use.own();
    return List.of(
        new Evidence.Figure(
            "data",
            use.data().size(),
            limits.envyData(),
            "uses %d data of %s (%s); from %d on they are several"
                .formatted(
                    use.data().size(), target, String.join(", ", use.data()), limits.envyData())),
        new Evidence.Figure(
            "ownShare",
            use.ownPercent(),
            limits.envyOwnShare(),
            own.isEmpty()
                ? "and nothing of its own class"
                : "and %s of its own class (%s): %d %% of all; below %d %% is little"
                    .formatted(
                        own.size(),
                        Listed.of(List.copyOf(own)),
                        use.ownPercent(),
                        limits.envyOwnShare()),
            true));
  }

  public static List<Evidence.Row> rows(MethodFact method, DataUse use) {
    List<Evidence.Row> rows = new ArrayList<>();
    rows.add(Evidence.Row.at(method.range(), method.signature(), List.of()));
    use.lines()
        .forEach(
            (line, asked) ->
                rows.add(new Evidence.Row(method.range().file(), line, "", List.copyOf(asked))));
    return rows;
  }

  /** 15; up to 30 more for the data, 10 for having nothing of its own, 15 for deciding by them. */
  public static int weight(int data, int ownPercent, int branches, Limits limits) {
    double much = 30 * (1 - 2.0 / data);
    double own = 10 * (1 - (double) ownPercent / limits.envyOwnShare());
    double decides = 15 * (1 - 1.0 / Math.max(1, branches));
    return (int) Math.round(15 + Math.max(0, much) + Math.max(0, own) + decides);
  }
}
