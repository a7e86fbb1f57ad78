package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;

/**
 * A run of statements that stands elsewhere, too, or the longest part of it that could be a method:
 * it leaves by its end alone, and gives a few values at most.
 */
record RepeatedRun(MethodFact method, List<Span> spans) {
  /** Less than so many words are not worth a method. */
  private static final int LEAST_WORDS = 12;

  /** Nor are so many, where it is a value beside others. */
  private static final int FEWER_WORDS = 8;

  /** What a method and a record are besides what they hold, in lines. */
  private static final int AROUND = 3;

  /** Shorter names of variables tell nothing of a method. */
  private static final int TELLING = 4;

  private static final Pattern CHECKS =
      Pattern.compile("(?:is|not|no|require|check|validate|assert|ensure)(?:\\p{Lu}.*|\\(.*)?");

  /** The statements that stand wholly in some lines of a method, none within another. */
  static Optional<RepeatedRun> of(MethodFact method, int first, int last) {
    List<Span> within =
        method.body().spans().stream()
            .filter(span -> span.firstLine() >= first && span.lastLine() <= last)
            .toList();
    int block = within.isEmpty() ? 0 : within.get(0).block();
    List<Span> siblings = within.stream().filter(span -> span.block() == block).toList();
    return siblings.isEmpty() ? Optional.empty() : Optional.of(new RepeatedRun(method, siblings));
  }

  /** The statements that a row of evidence shows, in a class. */
  static Optional<RepeatedRun> of(TypeFact type, Evidence.Row row) {
    int lines = Integer.parseInt(row.uses().get(0).replaceAll(".*, (\\d+) lines?$", "$1"));
    return type.method(row.member())
        .flatMap(method -> of(method, row.line(), row.line() + lines - 1));
  }

  /** Whether it could be a method as far as the facts tell. */
  boolean isPlain() {
    Span all = Span.joined(spans);
    return (!all.jumps() || endsMethod()) && method.body().left(all).size() <= 1;
  }

  /** Whether a method and a class for what it gives are fewer lines than it is in all places. */
  boolean pays(int places) {
    int call = 1 + method.body().left(Span.joined(spans)).size();
    return (lines() - call) * places > lines() + AROUND;
  }

  /** Whether it does nothing but call methods that check something, by their names. */
  boolean onlyChecks() {
    Span all = Span.joined(spans);
    List<String> called =
        method.body().accesses().stream()
            .filter(each -> all.holds(each.offset()))
            .map(each -> each.use().member())
            .toList();
    return method.body().left(all).isEmpty()
        && called.size() >= spans.size()
        && called.stream().allMatch(each -> CHECKS.matcher(each).matches());
  }

  /** Whether it gives several values, so that it takes a class for them. */
  boolean givesSeveral() {
    return method.body().left(Span.joined(spans)).size() > 1;
  }

  /** Whether it is the rest of its method, and leaves by its end alone. */
  private boolean endsMethod() {
    List<Span> every = method.body().spans();
    Span last = spans.get(spans.size() - 1);
    boolean rest = every.stream().noneMatch(span -> span.end() > last.end());
    return rest
        && last.depth() == 0
        && spans.stream().limit(spans.size() - 1L).noneMatch(Span::jumps)
        && every.stream()
            .filter(span -> span.start() >= last.start() && span.depth() > 0)
            .noneMatch(Span::jumps);
  }

  /** The part of it that could be a method and says the most; empty where none says enough. */
  Optional<RepeatedRun> plainPart() {
    List<RepeatedRun> parts = new ArrayList<>();
    for (int i = 0; i < spans.size(); i++) {
      for (int j = i + 1; j <= spans.size(); j++) {
        RepeatedRun part = new RepeatedRun(method, spans.subList(i, j));
        if (part.words() >= LEAST_WORDS && part.isPlain()) {
          parts.add(part);
        }
      }
    }
    return parts.stream().max(Comparator.comparingInt(RepeatedRun::words));
  }

  /**
   * Parts of it, one behind the other, that each give one value; what says too little is left out.
   */
  List<RepeatedRun> values() {
    List<RepeatedRun> parts = new ArrayList<>();
    for (int i = 0; i < spans.size(); i++) {
      for (int j = spans.size(); j > i; j--) {
        RepeatedRun part = new RepeatedRun(method, spans.subList(i, j));
        if (part.words() >= FEWER_WORDS && part.isPlain() && part.givesOne()) {
          parts.add(part);
          i = j - 1;
          break;
        }
      }
    }
    return parts;
  }

  /** What is left of it without the fields that its first and last statements set. */
  Optional<RepeatedRun> withoutSettingFields(TypeFact type) {
    int first = 0;
    int last = spans.size();
    while (last > first && setsField(spans.get(last - 1), type)) {
      last--;
    }
    while (first < last && setsField(spans.get(first), type)) {
      first++;
    }
    RepeatedRun rest = new RepeatedRun(method, spans.subList(first, last));
    return first < last
            && rest.spans.size() < spans.size()
            && rest.words() >= LEAST_WORDS
            && rest.isPlain()
        ? Optional.of(rest)
        : Optional.empty();
  }

  private boolean setsField(Span span, TypeFact type) {
    return method.body().accesses().stream()
        .filter(each -> span.holds(each.offset()))
        .anyMatch(
            each ->
                each.use().kind() == MethodFact.MemberUse.Kind.WRITE
                    && each.use().type().equals(type.name()));
  }

  private boolean givesOne() {
    return method.body().left(Span.joined(spans)).size() == 1;
  }

  private int words() {
    return spans.stream().mapToInt(span -> span.wording().words()).sum();
  }

  /** What its statements say, but for the names of variables and for literals. */
  List<Long> wording() {
    return spans.stream().map(span -> span.wording().hash()).toList();
  }

  /** The part of it that says the same as another; empty where none does. */
  Optional<RepeatedRun> like(RepeatedRun other) {
    List<Long> wanted = other.wording();
    for (int i = 0; i + wanted.size() <= spans.size(); i++) {
      RepeatedRun part = new RepeatedRun(method, spans.subList(i, i + wanted.size()));
      if (part.wording().equals(wanted)) {
        return Optional.of(part);
      }
    }
    return Optional.empty();
  }

  int lines() {
    return Span.joined(spans).lines();
  }

  /** The place as extract method takes it. */
  String place() {
    Span all = Span.joined(spans);
    return "%s:%d-%d".formatted(method.range().file(), all.firstLine(), all.lastLine());
  }

  /**
   * A name after the one value that it gives, or after its method, until somebody finds a better
   * one.
   */
  String name(TypeFact type) {
    Set<String> given = method.body().left(Span.joined(spans));
    Optional<String> told =
        given.stream()
            .filter(value -> given.size() == 1 && value.length() >= TELLING)
            .filter(value -> type.methods().stream().noneMatch(each -> each.name().equals(value)))
            .findFirst();
    if (told.isPresent()) {
      return told.get();
    }
    String own = method.signature().replaceAll("\\(.*", "");
    return Character.toLowerCase(own.charAt(0)) + own.substring(1) + "Part";
  }
}
