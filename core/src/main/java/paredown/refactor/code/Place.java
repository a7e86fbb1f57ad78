package paredown.refactor.code;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.UnusableRequest;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.text.SourceText;

/**
 * A place is a stretch of a file as it is typed: {@code path:12-18} for whole lines, {@code
 * path:12:9-14:30} from a column to another, both counted from 1 and both included, and {@code
 * TYPE:12-18} or {@code TYPE#method:12-18} for the file of a type; or a quote of the code in the
 * place of the numbers, {@code TYPE:{int due = 3;}}.
 *
 * @param file the path or the type, as it is typed
 * @param firstColumn 0 where whole lines are meant
 * @param quote what the code says; null where lines are meant, which are all 0 otherwise
 */
public record Place(
    String file, int firstLine, int firstColumn, int lastLine, int lastColumn, Quote quote) {
  private static final Pattern LINES = Pattern.compile("(.+?):(\\d{1,8})(?:-(\\d{1,8}))?");
  private static final Pattern COLUMNS =
      Pattern.compile("(.+?):(\\d{1,8}):(\\d{1,8})-(\\d{1,8}):(\\d{1,8})");
  private static final Pattern QUOTED = Pattern.compile("(.+?):(\\{.+}(?:#\\d+)?)", Pattern.DOTALL);

  /**
   * Reads a place.
   *
   * @throws UnusableRequest where it is none
   */
  public static Place of(String typed) {
    Matcher quoted = QUOTED.matcher(typed);
    if (quoted.matches()) {
      return new Place(quoted.group(1), 0, 0, 0, 0, Quote.of(quoted.group(2)).orElseThrow());
    }
    Matcher columns = COLUMNS.matcher(typed);
    if (columns.matches()) {
      return new Place(
          columns.group(1),
          Integer.parseInt(columns.group(2)),
          Integer.parseInt(columns.group(3)),
          Integer.parseInt(columns.group(4)),
          Integer.parseInt(columns.group(5)),
          null);
    }
    Matcher lines = LINES.matcher(typed);
    if (!lines.matches()) {
      throw new UnusableRequest(
          typed + " names no place.",
          "Give a file or a type with lines, src/ferry/Sailing.java:12-18 for example, or with columns,"
              + " Sailing:12:9-12:30, or with the code itself, 'Sailing:{int due = 3;}'.");
    }
    int first = Integer.parseInt(lines.group(2));
    int last = lines.group(3) == null ? first : Integer.parseInt(lines.group(3));
    return new Place(lines.group(1), first, 0, last, 0, null);
  }

  /**
   * The path of the file that is meant.
   *
   * @throws UnusableRequest where there is none, or several
   */
  public String path(Sources sources, SourceIndex index) {
    String wanted = file.replace('\\', '/').replaceAll("^(?:\\./)+", "");
    if (sources.file(wanted).isPresent()) {
      return wanted;
    }
    if (wanted.endsWith(".java")) {
      List<String> meant =
          sources.files().stream()
              .map(SourceFile::path)
              .filter(path -> path.endsWith("/" + wanted))
              .toList();
      if (meant.size() != 1) {
        throw new UnusableRequest(
            meant.isEmpty()
                ? "There is no source file " + wanted + " in this project."
                : wanted + " could be any of " + meant.size() + " files.",
            meant.isEmpty()
                ? "Give its path from the project's folder, or name its type."
                : "Say which: " + String.join(", ", meant) + ".");
      }
      return meant.get(0);
    }
    int sharp = wanted.indexOf('#');
    return index.type(sharp < 0 ? wanted : wanted.substring(0, sharp)).file();
  }

  /**
   * Where it begins and ends in a text, without white space around it.
   *
   * @throws UnusableRequest where the text has no such place
   */
  private int[] within(SourceText source) {
    if (quote != null) {
      return quote.within(source);
    }
    int lines = source.line(source.length());
    if (firstLine < 1 || lastLine < firstLine || lastLine > lines) {
      throw new UnusableRequest(
          "%s has no lines %d to %d; its last is %d."
              .formatted(source.path(), firstLine, lastLine, lines),
          "Give the first and the last line, both counted from 1.");
    }
    int start = source.lineOffset(firstLine);
    int end = source.lineOffset(lastLine) + source.lineText(lastLine).length();
    if (firstColumn > 0) {
      end = Math.min(end, source.lineOffset(lastLine) + lastColumn);
      start = Math.min(source.length(), start + firstColumn - 1);
    }
    while (start < end && Character.isWhitespace(source.text().charAt(start))) {
      start++;
    }
    while (end > start && Character.isWhitespace(source.text().charAt(end - 1))) {
      end--;
    }
    if (start >= end) {
      throw new UnusableRequest(
          "There is no code in %s.".formatted(this), "Give a place that holds statements.");
    }
    return new int[] {start, end};
  }

  /** Whether an offset is within it. */
  public boolean holds(SourceText source, int offset) {
    int[] range = within(source);
    return range[0] <= offset && offset < range[1];
  }

  /** The same place, named by what stands there in a text. */
  public Place quoted(SourceText source) {
    int[] range = within(source);
    return new Place(file, 0, 0, 0, 0, Quote.of(source, range[0], range[1]));
  }

  /** The part of a method that it is in a file. */
  public Part part(UnitTrees trees) {
    return Part.of(trees, within(trees.source()), firstColumn > 0);
  }

  @Override
  public String toString() {
    if (quote != null) {
      return file + ":" + quote;
    }
    return firstColumn > 0
        ? "%s:%d:%d-%d:%d".formatted(file, firstLine, firstColumn, lastLine, lastColumn)
        : firstLine == lastLine
            ? "%s:%d".formatted(file, firstLine)
            : "%s:%d-%d".formatted(file, firstLine, lastLine);
  }
}
