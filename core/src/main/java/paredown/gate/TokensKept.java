package paredown.gate;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Region;
import paredown.edit.Run;
import paredown.program.Program;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/**
 * The part of <em>bindings kept</em> that counts what has no name: each literal, operator and word
 * of a statement in code that runs is there once after a change, in the order in which it was, and
 * no other is. Where a change drops, doubles, writes or turns one round, it says why.
 */
final class TokensKept {
  private static final Set<String> STATEMENTS =
      Set.of(
          "if",
          "else",
          "for",
          "while",
          "do",
          "switch",
          "case",
          "default",
          "break",
          "continue",
          "throw",
          "try",
          "catch",
          "finally",
          "synchronized",
          "assert",
          "yield",
          "instanceof");

  private final Program before;
  private final Change change;
  private final Map<String, Nodes> nodes = new HashMap<>();
  private final List<String> breaks = new ArrayList<>();

  /** The replaced ranges of the old text that say why. */
  private final Function<String, Intervals<Region>> proven;

  /** What stands in the new text in their place. */
  private final Map<ChangedFile, Intervals<Region>> proofs = new IdentityHashMap<>();

  private final Function<String, Intervals<Copy>> copies;

  /** A repetition, and the file that it is in now. */
  private record Copy(ChangedFile file, Run run) {}

  private TokensKept(Program before, Change change) {
    this.before = before;
    this.change = change;
    this.proven =
        Intervals.byText(
            change.files().stream()
                .flatMap(file -> file.regions().stream())
                .filter(TokensKept::saysWhy),
            Region::origin,
            Region::from,
            Region::to);
    this.copies =
        Intervals.byText(
            change.files().stream()
                .flatMap(file -> file.runs().stream().map(run -> new Copy(file, run)))
                .filter(copy -> copy.run().kind() == Run.Kind.COPIED),
            copy -> copy.run().origin(),
            copy -> copy.run().originStart(),
            copy -> copy.run().originEnd());
    for (ChangedFile file : change.files()) {
      proofs.put(
          file,
          new Intervals<>(
              file.regions().stream().filter(TokensKept::saysWhy).toList(),
              Region::start,
              Region::end));
    }
  }

  private static boolean saysWhy(Region region) {
    return region.kind() == Region.Kind.REPLACED && !region.proof().isEmpty();
  }

  /** What is lost, doubled, made up or turned round; empty where nothing is. */
  static List<String> breaks(Program before, Program after, Change change) {
    TokensKept kept = new TokensKept(before, change);
    Map<String, int[]> counts = kept.counts();
    for (ChangedFile file : change.files()) {
      after
          .unit(file.path())
          .ifPresent(unit -> kept.written(file, Nodes.of(after, unit), unit.source()));
      kept.order(file);
      file.before().ifPresent(source -> kept.old(source, counts.get(source.path())));
    }
    return kept.breaks;
  }

  private boolean runsAt(String file, int offset) {
    return nodes
        .computeIfAbsent(
            file, path -> before.unit(path).map(unit -> Nodes.of(before, unit)).orElseThrow())
        .runsAt(offset);
  }

  /** How often each character of the changed files is there afterwards, repetitions apart. */
  private Map<String, int[]> counts() {
    Map<String, int[]> counts = new HashMap<>();
    for (ChangedFile file : change.files()) {
      file.before().ifPresent(source -> counts.put(source.path(), new int[source.length()]));
    }
    for (ChangedFile file : change.files()) {
      for (Run run : file.runs()) {
        int[] of = counts.get(run.origin());
        if (of == null) {
          continue;
        }
        for (int i = run.originStart(); i < run.originStart() + run.length(); i++) {
          of[i] += run.kind() == Run.Kind.COPIED ? COPY : 1;
        }
      }
    }
    return counts;
  }

  /** What one repetition counts. */
  private static final int COPY = 1 << 16;

  private void old(SourceText source, int[] counts) {
    for (int i = 0; i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      int count = counts[token.start()];
      if (count == 1 || !counts(source, i) || !runsAt(source.path(), token.start())) {
        continue;
      }
      String word = source.slice(token.start(), token.end());
      String place = source.place(token.start());
      if (count % COPY == 0) {
        if (!isProven(source.path(), token.start())) {
          breaks.add(place + " " + word + " was lost");
        }
      } else if (count % COPY > 1) {
        breaks.add(place + " " + word + " would be there twice");
      } else if (!isProven(source.path(), token.start()) && !isCopiedWithProof(source, token)) {
        breaks.add(place + " " + word + " would be repeated");
      }
    }
  }

  /** Whether a replaced range around an old place says why. */
  private boolean isProven(String origin, int offset) {
    return !proven.apply(origin).at(offset).isEmpty();
  }

  /** Whether every repetition of a token stands in a region that says why. */
  private boolean isCopiedWithProof(SourceText source, Token token) {
    return copies.apply(source.path()).at(token.start()).stream()
        .allMatch(copy -> isWithProof(copy.file(), copy.run().imageOf(token.start())));
  }

  private boolean isWithProof(ChangedFile file, int offset) {
    return !proofs.get(file).at(offset).isEmpty();
  }

  private void written(ChangedFile file, Nodes now, SourceText source) {
    for (int i = 0; i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      if (counts(source, i)
          && file.runAt(token.start()).isEmpty()
          && now.runsAt(token.start())
          && !isWithProof(file, token.start())) {
        breaks.add(
            source.place(token.start())
                + " "
                + source.slice(token.start(), token.end())
                + " was not there before");
      }
    }
  }

  /** What is carried within a region keeps its order, where the region does not say why not. */
  private void order(ChangedFile file) {
    Intervals<Run> runs =
        new Intervals<>(file.runs(), Run::start, run -> run.start() + run.length());
    for (Region region : file.regions()) {
      if (region.kind() != Region.Kind.REPLACED || !region.proof().isEmpty()) {
        continue;
      }
      Run last = null;
      for (Run run : runs.touching(region.start(), region.end())) {
        boolean within =
            run.start() >= region.start()
                && run.start() + run.length() <= region.end()
                && run.kind() == Run.Kind.CARRIED;
        if (!within || !isWorkedOut(file.after(), run)) {
          continue;
        }
        boolean turned =
            last != null
                && last.origin().equals(run.origin())
                && run.originStart() < last.originStart()
                && sameBody(run, last);
        if (turned) {
          SourceText source = file.after();
          breaks.add(
              source.place(run.start())
                  + " "
                  + source
                      .slice(run.start(), Math.min(run.start() + 40, run.start() + run.length()))
                      .strip()
                  + " would come behind what it came before");
        }
        last = run;
      }
    }
  }

  /** Whether a run holds anything that is worked out: brackets and commas come and go. */
  private static boolean isWorkedOut(SourceText source, Run run) {
    return source
        .slice(run.start(), run.start() + run.length())
        .chars()
        .anyMatch(sign -> Character.isJavaIdentifierPart(sign) || sign == '"' || sign == '\'');
  }

  private boolean sameBody(Run one, Run other) {
    if (!runsAt(one.origin(), one.originStart()) || !runsAt(other.origin(), other.originStart())) {
      return false;
    }
    return nodes.get(one.origin()).bodyAt(one.originStart())
        == nodes.get(one.origin()).bodyAt(other.originStart());
  }

  /** Whether a token does something without a name. */
  private static boolean counts(SourceText source, int i) {
    Token token = source.tokens().get(i);
    String word = source.slice(token.start(), token.end());
    if (token.isLiteral()) {
      return true;
    }
    if (token.kind() == TokenKind.KEYWORD || token.kind() == TokenKind.IDENTIFIER) {
      return STATEMENTS.contains(word) && !source.isBehindDot(token.start());
    }
    if (token.kind() != TokenKind.SEPARATOR) {
      return false;
    }
    char sign = word.charAt(0);
    char next = token.end() < source.length() ? source.text().charAt(token.end()) : 0;
    char last = token.start() > 0 ? source.text().charAt(token.start() - 1) : 0;
    return switch (sign) {
      case '!', '~', '%', '/', '^', '*', '+' -> true;
      case '-' -> next != '>';
      case '&', '|' -> next == sign || last == sign;
      case '=' -> next == '=' || last == '=';
      default -> false;
    };
  }
}
