package paredown.refactor.code;

import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.text.SourceText;

/**
 * A quote names code by what it says: {@code {int due = fare(ride);}} for all of it, or {@code {int
 * due = }..{print(due);}} for the words that it begins and ends with. White space between words
 * does not count.
 *
 * @param from how it begins
 * @param to how it ends, the first time behind that; empty where {@code from} is all
 * @param turn which of several places is meant, counted from 1; 0 where there is only one
 */
public record Quote(String from, String to, int turn) {
  private static final String TURN = "(?:#(\\d{1,6}))?";
  private static final Pattern BOTH =
      Pattern.compile("\\{(.+?)}\\.\\.\\{(.+)}" + TURN, Pattern.DOTALL);
  private static final Pattern WHOLE = Pattern.compile("\\{(.+)}" + TURN, Pattern.DOTALL);

  /** Reads a quote; empty where it is none. */
  static Optional<Quote> of(String typed) {
    Matcher both = BOTH.matcher(typed);
    if (both.matches()) {
      return Optional.of(
          new Quote(both.group(1).strip(), both.group(2).strip(), turn(both.group(3))));
    }
    Matcher whole = WHOLE.matcher(typed);
    return whole.matches()
        ? Optional.of(new Quote(whole.group(1).strip(), "", turn(whole.group(2))))
        : Optional.empty();
  }

  private static int turn(String typed) {
    return typed == null ? 0 : Integer.parseInt(typed);
  }

  /** The shortest quote, in whole lines, that means a stretch of a text and nothing else. */
  public static Quote of(SourceText source, int start, int end) {
    String all = source.slice(start, end);
    String from = beginning(source, all, start);
    if (from.length() == all.length()) {
      return whole(source, all, start);
    }
    String to = ending(source, all, start, end);
    return to.length() == all.length()
        ? whole(source, all, start)
        : new Quote(words(from), words(to), 0);
  }

  /** A quote of all of it, and which one it is where that stands several times. */
  private static Quote whole(SourceText source, String all, int start) {
    Matcher found = pattern(all).matcher(source.text());
    int count = 0;
    int turn = 0;
    while (found.find()) {
      count++;
      turn = found.start() <= start ? count : turn;
    }
    return new Quote(words(all), "", count > 1 ? turn : 0);
  }

  /** The first lines of code, as many as stand nowhere else. */
  private static String beginning(SourceText source, String all, int start) {
    for (int at = all.indexOf('\n'); at >= 0; at = all.indexOf('\n', at + 1)) {
      String from = all.substring(0, at).strip();
      Matcher found = pattern(from).matcher(source.text());
      if (found.find() && found.start() == start && !found.find()) {
        return from;
      }
    }
    return all;
  }

  /** The last lines of code, as many as end nowhere earlier behind where it begins. */
  private static String ending(SourceText source, String all, int start, int end) {
    for (int at = all.lastIndexOf('\n'); at >= 0; at = all.lastIndexOf('\n', at - 1)) {
      String to = all.substring(at).strip();
      Matcher found = pattern(to).matcher(source.text());
      if (!to.isEmpty() && found.find(start) && found.end() == end) {
        return to;
      }
    }
    return all;
  }

  private static String words(String text) {
    return text.strip().replaceAll("\\s+", " ");
  }

  private static Pattern pattern(String text) {
    return Pattern.compile(
        Arrays.stream(text.strip().split("\\s+"))
            .map(Pattern::quote)
            .collect(Collectors.joining("\\s+")));
  }

  /**
   * Where the code begins and ends in a text.
   *
   * @throws UnusableRequest where it does not stand there, or several times
   */
  int[] within(SourceText source) {
    Matcher found = pattern(from).matcher(source.text());
    for (int i = 0; i < Math.max(1, turn); i++) {
      if (!found.find()) {
        throw new UnusableRequest(
            "%s does not say%s: %s"
                .formatted(source.path(), turn > 1 ? " " + turn + " times" : "", from),
            "Quote the code as it stands there; only white space may differ.");
      }
    }
    int start = found.start();
    int end = found.end();
    if (turn == 0 && found.find()) {
      throw new UnusableRequest(
          "%s says this more than once, in lines %d and %d: %s"
              .formatted(source.path(), source.line(start), source.line(found.start()), from),
          "Quote more of it, or say which is meant: #1 behind it for the first.");
    }
    if (to.isEmpty()) {
      return new int[] {start, end};
    }
    Matcher last = pattern(to).matcher(source.text());
    if (!last.find(start)) {
      throw new UnusableRequest(
          "%s does not say, behind line %d: %s".formatted(source.path(), source.line(start), to),
          "Quote the code as it stands there; only white space may differ.");
    }
    return new int[] {start, last.end()};
  }

  @Override
  public String toString() {
    return "{" + from + "}" + (to.isEmpty() ? "" : "..{" + to + "}") + (turn > 0 ? "#" + turn : "");
  }
}
