package paredown.program;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.util.JavacTask;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import paredown.project.Module;
import paredown.project.Project;
import paredown.project.ProjectUnreadable;
import paredown.text.SourceText;

/**
 * An attribution lets the compiler understand some source texts, each in whole or as far as it is
 * asked to.
 *
 * @param more options of the compiler besides those of the project
 * @param seen what it sees of a text
 */
record Attribution(Sources sources, List<String> more, Function<SourceText, CharSequence> seen) {
  private static final SourceText EMPTY = new SourceText("Empty.java", "", StandardCharsets.UTF_8);

  static Attribution whole(Sources sources) {
    return new Attribution(sources, List.of(), SourceText::text);
  }

  /** Without documentation comments, and errors that only the flow of code shows. */
  static Attribution withoutFlowAndDocs(Sources sources) {
    return new Attribution(sources, List.of("--should-stop=ifNoError=ATTR"), PlainDocs::of);
  }

  /** What stands on the disk under some paths. */
  static Map<String, SourceText> texts(Sources sources, Collection<String> paths) {
    Map<String, SourceText> texts = new LinkedHashMap<>();
    paths.parallelStream().forEach(sources::text);
    new TreeSet<>(paths).forEach(path -> texts.put(path, sources.text(path)));
    return texts;
  }

  /** The program of some texts, in place of what stands on the disk under their paths. */
  Program of(Map<String, SourceText> texts) {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
    List<String> options = options(sources.project());
    OtherSources others =
        new OtherSources(CompilerFiles.with(List.copyOf(options)), sources, texts.keySet());
    options.addAll(more);
    try {
      List<TextObject> objects =
          texts.values().stream().map(source -> new TextObject(source, seen)).toList();
      JavacTask task =
          (JavacTask) compiler.getTask(Writer.nullWriter(), others, said, options, null, objects);
      Map<String, Unit> units = new LinkedHashMap<>();
      for (CompilationUnitTree tree : task.parse()) {
        SourceText source = texts.get(path(tree.getSourceFile()));
        units.put(source.path(), new Unit(source, tree));
      }
      int read = said.getDiagnostics().size();
      try {
        task.analyze();
      } catch (IllegalStateException | AssertionError brokenDown) {
        return without(texts, errors(said, texts.keySet(), read), brokenDown);
      }
      return new Program(sources, task, units, errors(said, texts.keySet(), read));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The same without the files that do not parse: the compiler itself breaks down on some of them.
   *
   * @param unread what it says of these files
   * @throws ProjectUnreadable where it breaks down on others
   */
  private Program without(
      Map<String, SourceText> texts, List<CompileError> unread, Throwable brokenDown) {
    Map<String, SourceText> left = new LinkedHashMap<>(texts);
    unread.forEach(error -> left.remove(error.file()));
    if (left.size() == texts.size()) {
      throw new ProjectUnreadable(
          "The JDK's compiler breaks down on these sources, among them "
              + texts.keySet().iterator().next()
              + ".",
          "Try another JDK, or leave the file that it cannot read out with exclude: in pare.yaml.",
          brokenDown);
    }
    boolean none = left.isEmpty();
    if (none) {
      // The compiler will not start on nothing.
      left.put(EMPTY.path(), EMPTY);
    }
    Program program = of(left);
    List<CompileError> errors = new ArrayList<>(unread);
    errors.addAll(program.errors());
    return program.among(none ? Map.of() : program.unitsByPath(), errors);
  }

  private static List<String> options(Project project) {
    Set<String> classPath = new LinkedHashSet<>();
    int release = 0;
    String encoding = "UTF-8";
    for (Module module : project.modules()) {
      module.classPath().forEach(path -> classPath.add(path.toString()));
      release = Math.max(release, module.release());
      encoding = module.encoding().name();
    }
    List<String> options =
        new ArrayList<>(
            List.of(
                "-proc:none",
                // Otherwise the compiler starts plug-ins that it finds on the project's class path.
                "-processorpath",
                "",
                "-implicit:none",
                "-nowarn",
                "-Xlint:none",
                "-Xmaxerrs",
                "100000",
                "-Xprefer:source",
                "--should-stop=ifError=FLOW",
                "-encoding",
                encoding,
                "-classpath",
                String.join(java.io.File.pathSeparator, classPath)));
    if (release != 0 && release != Runtime.version().feature()) {
      options.addAll(List.of("--release", String.valueOf(release)));
    }
    return options;
  }

  /**
   * The errors of some files.
   *
   * @param read how many of all messages came while the texts were read
   */
  private static List<CompileError> errors(
      DiagnosticCollector<JavaFileObject> said, Set<String> paths, int read) {
    List<CompileError> errors = new ArrayList<>();
    int at = 0;
    for (Diagnostic<? extends JavaFileObject> each : said.getDiagnostics()) {
      boolean parsing = at++ < read;
      if (each.getKind() == Diagnostic.Kind.ERROR) {
        String file = each.getSource() == null ? "" : path(each.getSource());
        if (paths.contains(file) || each.getSource() == null) {
          errors.add(
              new CompileError(
                  each.getCode(),
                  file,
                  (int) each.getPosition(),
                  each.getLineNumber(),
                  each.getMessage(java.util.Locale.ENGLISH),
                  parsing));
        }
      }
    }
    return errors;
  }

  /** The project's path of a text that was given to the compiler; empty for any other file. */
  private static String path(JavaFileObject file) {
    URI uri = file.toUri();
    return TextObject.SCHEME.equals(uri.getScheme()) ? uri.getPath().substring(1) : "";
  }

  /** What the compiler knows a file of the project by. */
  static URI uri(String scheme, String path) {
    try {
      return new URI(scheme, "", "/" + path, null);
    } catch (URISyntaxException e) {
      throw new IllegalArgumentException(path, e);
    }
  }

  /** A source text in memory, as the compiler wants it. */
  private static final class TextObject extends SimpleJavaFileObject {
    static final String SCHEME = "pare";

    private final SourceText source;
    private final Function<SourceText, CharSequence> seen;

    TextObject(SourceText source, Function<SourceText, CharSequence> seen) {
      super(uri(SCHEME, source.path()), Kind.SOURCE);
      this.source = source;
      this.seen = seen;
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return seen.apply(source);
    }
  }
}
