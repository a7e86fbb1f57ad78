package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import paredown.facts.MethodFact;
import paredown.facts.Span;

/**
 * A run of statements that stands elsewhere, too, or the longest part of it that could be a method:
 * it leaves by its end alone, and gives one value at most.
 */
record RepeatedRun(MethodFact method, List<Span> spans) {
  /** Less than so many words are not worth a method. */
  private static final int LEAST_WORDS = 18;

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

  /** Whether it could be a method as far as the facts tell. */
  boolean isPlain() {
    Span all = Span.joined(spans);
    return !all.jumps() && method.body().left(all).size() <= 1;
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

  private int words() {
    return spans.stream().mapToInt(span -> span.wording().words()).sum();
  }

  int lines() {
    return Span.joined(spans).lines();
  }

  /** The place as extract method takes it. */
  String place() {
    Span all = Span.joined(spans);
    return "%s:%d-%d".formatted(method.range().file(), all.firstLine(), all.lastLine());
  }

  /** A name after its method, until somebody finds a better one. */
  String name() {
    String own = method.signature().replaceAll("\\(.*", "");
    return Character.toLowerCase(own.charAt(0)) + own.substring(1) + "Part";
  }
}
