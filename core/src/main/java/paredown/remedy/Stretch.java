package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.SourceVersion;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.measure.WorkedOut;
import paredown.text.Counted;
import paredown.text.NameWords;

/**
 * A stretch is a statement of a long method, a paragraph of them, or a run that works out a value,
 * that could be a method of its own: it leaves by its end alone, and gives one value at most.
 *
 * @param inputs how many variables of the method it reads
 * @param results the variables that it sets and that what follows reads
 */
record Stretch(MethodFact method, Span span, int inputs, Set<String> results) {
  private static final int LEAST_LINES = 6;

  /** Less than this part of the method is not worth a method. */
  private static final int LEAST_SHARE = 12;

  private static final int MOST_INPUTS = 4;
  private static final int OFFERED = 3;
  private static final int MOST_WORDS = 6;
  private static final Set<String> NO_BEGINNING =
      Set.of("this", "the", "now", "we", "if", "no", "not", "an", "it", "there", "todo");

  private static final Set<String> ARTICLES =
      Set.of(
          "the", "now", "then", "first", "finally", "it", "what", "was", "is", "are", "were", "how",
          "which");

  /** What a parameter costs in lines, where one stretch is compared with another. */
  private static final int COST = 3;

  /** The best of a method, none of which holds another: few, long, and in need of little. */
  static List<Stretch> of(MethodFact method) {
    List<Span> spans = method.body().spans();
    List<Stretch> all =
        Stream.of(spans.stream(), WorkedOut.orFilledIn(method).stream(), paragraphs(method))
            .flatMap(each -> each)
            .filter(span -> span.depth() <= 2)
            .filter(span -> !span.jumps() && span.lines() >= LEAST_LINES)
            .filter(span -> span.lines() * LEAST_SHARE > method.range().lines())
            .filter(span -> span.lines() * 5 < method.range().lines() * 4)
            .map(span -> of(method, span))
            .filter(stretch -> stretch.isCheap() && stretch.results().size() <= 1)
            .sorted(Comparator.comparingInt(Stretch::cost))
            .toList();
    List<Stretch> chosen = new ArrayList<>();
    for (Stretch each : all) {
      if (chosen.size() < OFFERED && chosen.stream().noneMatch(each::meets)) {
        chosen.add(each);
      }
    }
    return chosen;
  }

  /** A stretch of a method as it is. */
  static Stretch of(MethodFact method, Span span) {
    return new Stretch(method, span, inputs(method, span), method.body().left(span));
  }

  /** Whether it reads few variables of the method. */
  boolean isCheap() {
    return inputs <= MOST_INPUTS;
  }

  private int cost() {
    return inputs * COST - span.lines();
  }

  private boolean meets(Stretch other) {
    return span.start() < other.span.end() && other.span.start() < span.end();
  }

  private static int inputs(MethodFact method, Span span) {
    Set<Integer> before = new HashSet<>();
    Set<Integer> read = new HashSet<>();
    for (LocalUse use : method.body().locals()) {
      if (span.holds(use.offset())) {
        read.add(use.variable());
      } else if (use.offset() < span.start()) {
        before.add(use.variable());
      }
    }
    read.retainAll(before);
    return read.size();
  }

  private static Stream<Span> paragraphs(MethodFact method) {
    return method.body().paragraphs().stream()
        .filter(paragraph -> paragraph.size() > 1)
        .map(Span::joined);
  }

  /** The place as extract method takes it. */
  String place() {
    return "%s:%d-%d".formatted(method.range().file(), span.firstLine(), span.lastLine());
  }

  /** A name of the words of its comment, or of what it gives, until somebody finds a better one. */
  String name() {
    List<String> words = words();
    String proposed =
        words.isEmpty()
            ? results.stream().findFirst().or(this::returned).orElse("")
            : words.get(0)
                + words.stream().skip(1).map(NameWords::capitalised).collect(Collectors.joining());
    String own = method.signature().replaceAll("\\(.*", "");
    boolean usable = SourceVersion.isName(proposed) && !proposed.equals(own);
    return usable ? proposed : own + "Part";
  }

  /** The variable of its own that its last statement returns, or makes what it returns of. */
  private Optional<String> returned() {
    List<Span> own =
        method.body().spans().stream()
            .filter(each -> span.holds(each.start()) && each.depth() == span.depth())
            .toList();
    if (own.isEmpty() || !own.get(own.size() - 1).jumps()) {
      return Optional.empty();
    }
    Span last = own.get(own.size() - 1);
    List<LocalUse> uses = method.body().locals();
    List<LocalUse> asked = uses.stream().filter(use -> last.holds(use.offset())).toList();
    boolean one = asked.stream().map(LocalUse::variable).distinct().count() == 1;
    return asked.stream()
        .findFirst()
        .filter(use -> one)
        .filter(use -> uses.stream().anyMatch(each -> isDeclared(each, use.variable())))
        .map(LocalUse::name);
  }

  private boolean isDeclared(LocalUse use, int variable) {
    return use.variable() == variable
        && use.kind() == LocalUse.Kind.DECLARE
        && span.holds(use.offset());
  }

  /** The first words of a comment that is short, and no code. */
  private List<String> words() {
    List<String> words =
        Stream.of(span.comment().split("[^A-Za-z]+"))
            .filter(word -> word.length() > 1)
            .map(String::toLowerCase)
            .dropWhile(ARTICLES::contains)
            .toList();
    boolean told =
        !words.isEmpty()
            && words.size() <= MOST_WORDS
            && !NO_BEGINNING.contains(words.get(0))
            && span.comment().matches("[^;=(){}<>]*");
    return told ? words.subList(0, Math.min(3, words.size())) : List.of();
  }

  /** The lines of the method before and after, and what the new one takes. */
  Effect effect() {
    int lines = method.range().lines();
    return new Effect(
        List.of(new Effect.Figure("lines of the method", lines, lines - span.lines() + 1)),
        inputs == 0
            ? List.of("1 method more")
            : List.of("1 method more", Counted.of(inputs, "parameter", "parameters")));
  }
}
