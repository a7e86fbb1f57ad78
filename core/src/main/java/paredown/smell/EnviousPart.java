package paredown.smell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.Access;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.Range;
import paredown.facts.Span;
import paredown.measure.DataUse;

/**
 * An envious part is a statement, or a paragraph of statements, that lives on another class's data
 * while the method around it does not, and that could be extracted: it neither jumps out nor leaves
 * more than one value behind.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3: "sometimes only part of the method suffers from envy".
 */
final class EnviousPart implements Detector {
  private static final int LINES = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .methods()
        .filter(owned -> !owned.method().isConstructor() && !owned.method().isAbstract())
        .filter(owned -> envy(owned, owned.method().body().accesses(), grounds).isEmpty())
        .flatMap(owned -> parts(owned, grounds));
  }

  /** What some of a method's code lives on; empty where it is not envious. */
  private static Optional<DataUse> envy(Owned owned, List<Access> accesses, Grounds grounds) {
    return Optional.of(DataUse.of(owned.type(), accesses, grounds.types()))
        .filter(use -> use.data().size() > grounds.limits().envyData())
        .filter(use -> FeatureEnvy.prevails(use, owned.method(), accesses, grounds));
  }

  private static Stream<Finding> parts(Owned owned, Grounds grounds) {
    MethodFact method = owned.method();
    List<Span> taken = new ArrayList<>();
    List<Finding> found = new ArrayList<>();
    for (Span span : stretches(method)) {
      boolean within = taken.stream().anyMatch(each -> each.holds(span.start()));
      if (!within && span.lines() >= LINES && !span.jumps() && results(method, span) <= 1) {
        Optional<DataUse> use = envy(owned, accesses(method, span), grounds);
        use.ifPresent(each -> taken.add(span));
        use.ifPresent(each -> found.add(finding(owned, span, each, grounds)));
      }
    }
    return found.stream();
  }

  /** Statements and paragraphs, the longest first; never all of the body. */
  private static List<Span> stretches(MethodFact method) {
    List<Span> all = new ArrayList<>(method.body().spans());
    List<Span> top = all.stream().filter(span -> span.depth() == 0).toList();
    int from = 0;
    for (int i = 1; i <= top.size(); i++) {
      if (i == top.size() || top.get(i).paragraph()) {
        if (i - from > 1 && i - from < top.size()) {
          all.add(joined(top.subList(from, i)));
        }
        from = i;
      }
    }
    if (top.size() == 1) {
      all.removeAll(top);
    }
    all.sort(Comparator.comparingInt(span -> span.start() - span.end()));
    return all;
  }

  private static Span joined(List<Span> spans) {
    Span first = spans.get(0);
    Span last = spans.get(spans.size() - 1);
    return new Span(
        first.start(),
        last.end(),
        first.firstLine(),
        last.lastLine(),
        0,
        spans.stream().anyMatch(Span::jumps),
        first.comment(),
        true);
  }

  private static List<Access> accesses(MethodFact method, Span span) {
    return method.body().accesses().stream().filter(each -> span.holds(each.offset())).toList();
  }

  /** How many variables it sets that are read behind it. */
  private static int results(MethodFact method, Span span) {
    Set<Integer> written = new HashSet<>();
    Set<Integer> needed = new HashSet<>();
    for (LocalUse use : method.body().locals()) {
      if (span.holds(use.offset()) && use.kind() != LocalUse.Kind.READ) {
        written.add(use.variable());
      } else if (use.offset() >= span.end() && use.kind() == LocalUse.Kind.READ) {
        needed.add(use.variable());
      }
    }
    written.retainAll(needed);
    return written.size();
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
