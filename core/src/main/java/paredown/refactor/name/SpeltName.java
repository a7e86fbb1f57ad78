package paredown.refactor.name;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.edit.ChangedFile;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.OtherFiles;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Unit;
import paredown.project.SourceFile;
import paredown.text.Counted;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * A spelt name is the whole name of a type where no compiler reads it: in strings, in lists of
 * services, settings and other files that are not code.
 */
public final class SpeltName {
  private static final String WHY = "says the new name, as it was asked to";

  private final Sources sources;
  private final Map<Pattern, String> names = new LinkedHashMap<>();
  private int strings;
  private int others;

  /**
   * @param binary the type's binary name
   * @param now the one that it has afterwards
   */
  public SpeltName(Sources sources, String binary, String now) {
    this.sources = sources;
    boolean packaged = binary.contains(".");
    // A name without a package is any word: only where it stands alone does it mean the type.
    String before = packaged ? "(?<![\\w$.])" : "(?<![^\"\\r\\n>])";
    String after = packaged ? "(?!\\w)" : "(?![^\"\\r\\n<$])";
    for (char sign : new char[] {'$', '.'}) {
      for (char dot : new char[] {'.', '/'}) {
        names.putIfAbsent(
            Pattern.compile(before + Pattern.quote(written(binary, sign, dot)) + after),
            written(now, sign, dot));
      }
    }
  }

  private static String written(String binary, char nesting, char dot) {
    return binary.replace('.', dot).replace('$', nesting);
  }

  /** The source files that have it in a string and may be edited. */
  public Set<String> files() {
    Set<String> found = new TreeSet<>();
    for (SourceFile file : sources.files()) {
      SourceText source = sources.text(file.path());
      boolean spelt = SourceIndex.isEditable(file) && !said(source.text()).equals(source.text());
      if (spelt && !literals(source).isEmpty()) {
        found.add(file.path());
      }
    }
    return found;
  }

  /** A text with the new name wherever it had the old one. */
  public String said(String text) {
    String said = text;
    for (Map.Entry<Pattern, String> name : names.entrySet()) {
      said = name.getKey().matcher(said).replaceAll(Matcher.quoteReplacement(name.getValue()));
    }
    return said;
  }

  private List<Token> literals(SourceText source) {
    return source.tokens().stream()
        .filter(Token::isLiteral)
        .filter(token -> source.text().charAt(token.start()) == '"')
        .filter(
            token -> {
              String literal = source.slice(token.start(), token.end());
              return !said(literal).equals(literal);
            })
        .toList();
  }

  /** Says the new name in the strings of a program. */
  public void inStrings(Program program, BiConsumer<String, Replacement> edits) {
    for (Unit unit : program.units()) {
      if (program.sources().file(unit.path()).filter(SourceIndex::isEditable).isEmpty()) {
        continue;
      }
      for (Token token : literals(unit.source())) {
        strings++;
        String literal = unit.source().slice(token.start(), token.end());
        edits.accept(
            unit.path(),
            Replacement.of(token.start(), token.end(), Written.plain(said(literal))).proving(WHY));
      }
    }
  }

  /** The files that are not code with the new name in them. */
  public List<ChangedFile> inFiles() {
    List<ChangedFile> changed = new ArrayList<>();
    for (SourceText file : sources.others().data()) {
      String said = said(file.text());
      String service = OtherFiles.service(file.path());
      String path =
          file.path().substring(0, file.path().length() - service.length()) + said(service);
      boolean same = said.equals(file.text()) && path.equals(file.path());
      if (!same && file.charset().newEncoder().canEncode(said)) {
        others++;
        changed.add(
            ChangedFile.judged(
                path, Optional.of(file), new SourceText(path, said, file.charset())));
      }
    }
    return changed;
  }

  /** What was said in strings and other files, for a reader; nothing where it is nowhere. */
  public List<String> notes() {
    List<String> where = new ArrayList<>();
    if (strings > 0) {
      where.add(Counted.of(strings, "string", "strings"));
    }
    if (others > 0) {
      where.add(Counted.of(others, "file that is not Java", "files that are not Java"));
    }
    String verb = strings + others == 1 ? " says" : " say";
    return where.isEmpty()
        ? List.of()
        : List.of(
            "%s%s the new name, too. No compiler reads it there: look at the preview."
                .formatted(String.join(" and ", where), verb));
  }
}
