package paredown.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import paredown.text.SourceText;
import paredown.text.Token;

/** Puts the text of a changed file together from its pieces and keeps where each came from. */
public final class Rendering {
  private final Function<String, SourceText> sources;
  private final StringBuilder text = new StringBuilder();
  private final List<Run> runs = new ArrayList<>();
  private final List<WrittenUse> written = new ArrayList<>();
  private final List<Replacement.Dropped> dropped = new ArrayList<>();
  private final List<Region> regions = new ArrayList<>();
  private int piece;

  private Rendering(Function<String, SourceText> sources) {
    this.sources = sources;
  }

  /** An existing file with ranges replaced; they may not overlap. */
  public static ChangedFile edited(
      SourceText before, List<Replacement> replacements, Function<String, SourceText> sources) {
    Rendering rendering = new Rendering(sources);
    rendering.range(
        new Origin(before, Run.Kind.KEPT, Indent.SAME, null, 0), 0, before.length(), replacements);
    return rendering.file(before.path(), Optional.of(before), before);
  }

  /** A new file, in the encoding of another. */
  public static ChangedFile created(
      String path, List<Piece> pieces, SourceText like, Function<String, SourceText> sources) {
    Rendering rendering = new Rendering(sources);
    pieces.forEach(rendering::piece);
    return rendering.file(path, Optional.empty(), like);
  }

  private ChangedFile file(String path, Optional<SourceText> before, SourceText like) {
    SourceText after = new SourceText(path, text.toString(), like.charset());
    return new ChangedFile(path, before, after, runs, written, dropped, regions);
  }

  /** What a stretch of old text is part of. */
  private record Origin(SourceText source, Run.Kind kind, Indent indent, Self self, int piece) {}

  private void piece(Piece each) {
    piece++;
    if (each instanceof Written names) {
      int base = text.length();
      text.append(names.text());
      names.uses().forEach(use -> written.add(use.shifted(base)));
      if (!names.proof().isEmpty()) {
        regions.add(new Region(base, text.length(), "", 0, 0, Region.Kind.REPLACED, names.proof()));
      }
    } else if (each instanceof Carried range) {
      int start = text.length();
      int place = regions.size();
      range(
          new Origin(
              sources.apply(range.file()), Run.Kind.CARRIED, range.indent(), range.self(), piece),
          range.start(),
          range.end(),
          range.inside());
      regions.add(
          place,
          new Region(
              start,
              text.length(),
              range.file(),
              range.start(),
              range.end(),
              Region.Kind.CARRIED,
              ""));
    } else if (each instanceof Copied range) {
      range(
          new Origin(
              sources.apply(range.file()), Run.Kind.COPIED, range.indent(), range.self(), piece),
          range.start(),
          range.end(),
          range.inside());
    }
  }

  private void range(Origin origin, int start, int end, List<Replacement> replacements) {
    int at = start;
    int indented = -1;
    for (Replacement replacement : sorted(replacements, start, end)) {
      verbatim(origin, at, replacement.start(), indented);
      indented = beginLine(origin, replacement.start()) ? replacement.start() : indented;
      dropped.addAll(replacement.dropped());
      int begin = text.length();
      int place = regions.size();
      replacement.pieces().forEach(this::piece);
      regions.add(
          place,
          new Region(
              begin,
              text.length(),
              origin.source().path(),
              replacement.start(),
              replacement.end(),
              Region.Kind.REPLACED,
              replacement.proof()));
      at = replacement.end();
    }
    verbatim(origin, at, end, indented);
  }

  /** Indents a line that began without white space and begins with an edit; whether it did. */
  private boolean beginLine(Origin origin, int at) {
    Indent indent = origin.indent();
    boolean bare =
        !indent.changesNothing()
            && indent.from().isEmpty()
            && at == origin.source().lineStart(at)
            && !isBlank(origin.source(), at)
            && !Character.isWhitespace(origin.source().text().charAt(at));
    if (bare) {
      text.append(indent.to());
    }
    return bare;
  }

  private static boolean isBlank(SourceText source, int line) {
    return line >= source.length() || "\r\n".indexOf(source.text().charAt(line)) >= 0;
  }

  private static List<Replacement> sorted(List<Replacement> replacements, int start, int end) {
    List<Replacement> sorted = new ArrayList<>(replacements);
    sorted.sort(
        java.util.Comparator.comparingInt(Replacement::start).thenComparingInt(Replacement::end));
    int at = start;
    for (Replacement each : sorted) {
      if (!each.isWithin(at, end)) {
        throw new IllegalStateException(
            "two edits meet at " + each.start() + "-" + each.end() + " behind " + at);
      }
      at = each.end();
    }
    return sorted;
  }

  /**
   * Text as it is, but for how its lines are indented.
   *
   * @param indented where a line begins that is indented already
   */
  private void verbatim(Origin origin, int start, int end, int indented) {
    SourceText source = origin.source();
    int at = start;
    if (!origin.indent().changesNothing()) {
      String from = origin.indent().from();
      int first = start == source.lineStart(start) ? start : source.nextLine(start);
      for (int line = first; line < end; line = source.nextLine(line)) {
        boolean bare = from.isEmpty() && (line == indented || isBlank(source, line));
        if (!bare && source.text().startsWith(from, line) && !insideLiteral(source, line)) {
          run(origin, at, line);
          text.append(origin.indent().to());
          at = Math.min(end, line + from.length());
          Indent.Level level = origin.indent().level();
          while (level.changes() && source.text().startsWith(level.from(), at) && at < end) {
            text.append(level.to());
            at += level.from().length();
          }
        }
      }
    }
    run(origin, at, end);
  }

  /** Whether a line begins within a text block, whose white space is part of its value. */
  private static boolean insideLiteral(SourceText source, int offset) {
    int index = source.tokenAt(offset) - 1;
    if (index < 0) {
      return false;
    }
    Token token = source.tokens().get(index);
    return token.isLiteral() && token.covers(offset);
  }

  private void run(Origin origin, int start, int end) {
    SourceText source = origin.source();
    String lineEnd = origin.indent().lineEnd();
    int at = start;
    while (!lineEnd.isEmpty() && at < end) {
      int next = Math.min(end, source.nextLine(at));
      int stop = next;
      while (stop > at && "\r\n".indexOf(source.text().charAt(stop - 1)) >= 0) {
        stop--;
      }
      if (stop < next && !source.slice(stop, next).equals(lineEnd)) {
        verbatimRun(origin, at, stop);
        text.append(lineEnd);
      } else {
        verbatimRun(origin, at, next);
      }
      at = next;
    }
    verbatimRun(origin, at, end);
  }

  private void verbatimRun(Origin origin, int start, int end) {
    if (start < end) {
      runs.add(
          new Run(
              text.length(),
              end - start,
              origin.source().path(),
              start,
              origin.kind(),
              origin.self(),
              origin.piece()));
      text.append(origin.source().text(), start, end);
    }
  }
}
