package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.facts.Access;
import paredown.facts.MethodFact;
import paredown.facts.Range;
import paredown.facts.Span;
import paredown.measure.DataUse;
import paredown.measure.WorkedOut;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Owned;
import paredown.smell.Smell;

/**
 * An envious part is a statement, a paragraph of statements, or a run of them that works out a
 * value, that lives on another class's data while the method around it does not, and that could be
 * extracted: it neither jumps out nor leaves more than one value behind.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3: "sometimes only part of the method suffers from envy".
 */
public final class EnviousPart implements Detector {
  private static final int LINES = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .methods()
        .filter(owned -> !owned.method().isConstructor() && !owned.method().isAbstract())
        .filter(
            owned ->
                envy(
                        owned,
                        owned.method().body().accesses(),
                        grounds.limits().envyData() + 1,
                        grounds)
                    .isEmpty())
        .flatMap(owned -> parts(owned, grounds));
  }

  /**
   * What some of a method's code lives on; empty where it is not envious.
   *
   * @param least from so many data on
   */
  private static Optional<DataUse> envy(
      Owned owned, List<Access> accesses, int least, Grounds grounds) {
    return Optional.of(DataUse.of(owned.type(), accesses, grounds.types()))
        .filter(use -> use.data().size() >= least)
        .filter(use -> FeatureEnvy.prevails(use, owned.method(), accesses, grounds));
  }

  private static Stream<Finding> parts(Owned owned, Grounds grounds) {
    MethodFact method = owned.method();
    List<Span> taken = new ArrayList<>();
    List<Finding> found = new ArrayList<>();
    List<Span> worked = worked(owned, grounds);
    for (Span span : stretches(method, worked)) {
      boolean within = taken.stream().anyMatch(each -> each.holds(span.start()));
      if (!within
          && span.lines() >= LINES
          && !span.jumps()
          && method.body().left(span).size() <= 1) {
        // What works one value out of the data of others is easily asked for instead.
        boolean sums = method.body().left(span).size() == 1 && span.depth() > 0;
        int least = grounds.limits().envyData() + (sums || worked.contains(span) ? 0 : 1);
        Optional<DataUse> use =
            envy(owned, accesses(method, span), least, grounds)
                .filter(each -> !worked.contains(span) || each.own().isEmpty());
        use.ifPresent(each -> taken.add(span));
        use.ifPresent(each -> found.add(finding(owned, span, each, grounds)));
      }
    }
    return found.stream();
  }

  /** Runs that work a value out, where the method uses so much of another class at all. */
  private static List<Span> worked(Owned owned, Grounds grounds) {
    MethodFact method = owned.method();
    DataUse all = DataUse.of(owned.type(), method.body().accesses(), grounds.types());
    return all.data().size() < grounds.limits().envyData() ? List.of() : WorkedOut.in(method);
  }

  /** Statements, paragraphs and runs, the longest first; never all of the body. */
  private static List<Span> stretches(MethodFact method, List<Span> worked) {
    List<Span> all = new ArrayList<>(method.body().spans());
    all.addAll(worked);
    List<Span> top = all.stream().filter(span -> span.depth() == 0).toList();
    method.body().paragraphs().stream()
        .filter(paragraph -> paragraph.size() > 1 && paragraph.size() < top.size())
        .map(Span::joined)
        .forEach(all::add);
    if (top.size() == 1) {
      all.removeAll(top);
    }
    all.sort(Comparator.comparingInt(span -> span.start() - span.end()));
    return all;
  }

  private static List<Access> accesses(MethodFact method, Span span) {
    return method.body().accesses().stream().filter(each -> span.holds(each.offset())).toList();
  }

  private static Finding finding(Owned owned, Span span, DataUse use, Grounds grounds) {
    MethodFact method = owned.method();
    String target = Finding.shortName(use.provider());
    String lines = "lines %d to %d".formatted(span.firstLine(), span.lastLine());
    List<String> data = List.copyOf(use.data());
    return new Finding(
        Smell.FEATURE_ENVY,
        Form.PART,
        FeatureEnvy.weight(data.size(), use.ownPercent(), 1, grounds.limits()) - 5,
        owned.type().name(),
        identity(method, data),
        List.of(method.signature()),
        new Range(
            method.range().file(),
            new Range.Position(span.firstLine(), 1),
            new Range.Position(span.lastLine() + 1, 1)),
        "part of %s lives on %d values of %s".formatted(method.name(), data.size(), target),
        "Part of %s of %s, %s, belongs to %s."
            .formatted(method.signature(), owned.owner(), lines, target),
        new Evidence(
            FeatureEnvy.figures(use, target, grounds.limits()),
            "This is where it asks:",
            List.of(),
            FeatureEnvy.rows(method, use),
            data.stream().map(each -> use.provider() + "#" + each).toList()));
  }

  private static List<String> identity(MethodFact method, List<String> data) {
    List<String> identity = new ArrayList<>(data);
    identity.add(method.signature());
    return identity;
  }
}
