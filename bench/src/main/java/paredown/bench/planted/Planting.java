package paredown.bench.planted;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import paredown.facts.Facts;
import paredown.facts.FactsDrawer;
import paredown.facts.Range;
import paredown.facts.TypeFact;
import paredown.history.History;
import paredown.program.CompileError;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.project.SourceFile;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.detector.Detectors;
import paredown.text.SourceText;

/** A planting is a project's main sources in memory, with smells that were put into them. */
public final class Planting {
  private static final Pattern PACKAGE = Pattern.compile("(?m)^package [\\w.]+;");

  private final Sources sources;
  private final Facts facts;
  private final Map<String, List<Use>> names;
  private final Map<String, List<Edit>> edits = new HashMap<>();
  private final Set<String> gone = new HashSet<>();

  private record Edit(int start, int end, String text) {}

  public Planting(Sources sources) {
    this.sources = sources;
    Program program = Program.of(sources, sources.paths(SourceFile.Kind.MAIN));
    this.facts = FactsDrawer.draw(program);
    this.names =
        program
            .uses()
            .all()
            .filter(use -> use.isName() || use.kind() == UseKind.RECEIVER)
            .collect(Collectors.groupingBy(Use::file));
  }

  public Facts facts() {
    return facts;
  }

  public SourceText text(String file) {
    return sources.text(file);
  }

  /** The names in a range of a file. */
  public List<Use> names(String file, int start, int end) {
    return names.getOrDefault(file, List.of()).stream()
        .filter(use -> use.isName())
        .filter(use -> start <= use.offset() && use.offset() < end)
        .toList();
  }

  /** The names that mean one symbol. */
  public List<Use> of(String key) {
    return names.values().stream()
        .flatMap(Collection::stream)
        .filter(use -> use.isName() && use.key().equals(key))
        .toList();
  }

  /** Whether a name stands for a member of the object itself, without saying so. */
  public boolean isImplicit(Use name) {
    return names.get(name.file()).stream()
        .anyMatch(use -> use.kind() == UseKind.RECEIVER && use.offset() == name.offset());
  }

  public int start(Range range) {
    return offset(range.file(), range.start());
  }

  public int end(Range range) {
    return offset(range.file(), range.end());
  }

  private int offset(String file, Range.Position position) {
    SourceText text = text(file);
    int at = 0;
    for (int line = 1; line < position.line(); line++) {
      at = text.nextLine(at);
    }
    return at + position.column() - 1;
  }

  public void replace(String file, int start, int end, String text) {
    edits.computeIfAbsent(file, f -> new ArrayList<>()).add(new Edit(start, end, text));
  }

  /** Where imports can be put: behind the package's declaration. */
  public int importsOf(String file) {
    Matcher declaration = PACKAGE.matcher(text(file).text());
    return declaration.find() ? declaration.end() : 0;
  }

  /** Lets a file see by its imports what another one sees. */
  public void takeImports(String from, String to) {
    int at = importsOf(to);
    String imports =
        text(from)
            .text()
            .lines()
            .filter(line -> line.startsWith("import "))
            .collect(Collectors.joining(" "));
    replace(to, at, at, " " + imports);
  }

  /** The classes in files of their own that smells can be put into, in an order by lot. */
  public List<TypeFact> classes(Random random) {
    List<TypeFact> types =
        new ArrayList<>(
            facts.types().stream()
                .filter(type -> type.kind() == TypeFact.Kind.CLASS && type.outer().isEmpty())
                .filter(type -> !type.isException() && !type.head().isDeprecated())
                .toList());
    Collections.shuffle(types, random);
    return types;
  }

  public void delete(String file) {
    gone.add(file);
  }

  /** The text of a range with some insertions before offsets in it. */
  public String slice(String file, int start, int end, Map<Integer, String> before) {
    StringBuilder text = new StringBuilder();
    for (int at = start; at < end; at++) {
      text.append(before.getOrDefault(at, "")).append(text(file).slice(at, at + 1));
    }
    return text.toString();
  }

  /**
   * What a survey finds in the planted sources.
   *
   * @param faulty the files that do not compile, so that what was planted there does not count
   */
  public record Result(Facts facts, List<Finding> findings, Set<String> faulty) {}

  public Result survey() {
    Map<String, SourceText> texts = new LinkedHashMap<>();
    for (String file : sources.paths(SourceFile.Kind.MAIN)) {
      if (!gone.contains(file)) {
        SourceText text = text(file);
        texts.put(file, new SourceText(file, edited(file), text.charset()));
      }
    }
    Program program = Program.attribute(sources, texts);
    Facts planted = FactsDrawer.draw(program);
    Set<String> faulty =
        program.errors().stream().map(CompileError::file).collect(Collectors.toSet());
    return new Result(
        planted, Detectors.find(Grounds.of(planted, History.NONE, Limits.defaults())), faulty);
  }

  private String edited(String file) {
    List<Edit> all = new ArrayList<>(edits.getOrDefault(file, List.of()));
    all.sort(Comparator.comparingInt(Edit::start).thenComparingInt(Edit::end).reversed());
    StringBuilder text = new StringBuilder(text(file).text());
    all.forEach(edit -> text.replace(edit.start(), edit.end(), edit.text()));
    return text.toString();
  }

  public static String packageOf(TypeFact type) {
    int dot = type.name().lastIndexOf('.');
    return dot < 0 ? "" : type.name().substring(0, dot);
  }
}
