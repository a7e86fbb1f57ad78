package paredown.program;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URI;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import paredown.project.Module;
import paredown.project.Project;
import paredown.text.SourceText;

/**
 * A program is a set of source files as the compiler understands them. Other sources of the project
 * are found by the compiler where these files need them.
 */
public final class Program implements AutoCloseable {
  private final Sources sources;
  private final StandardJavaFileManager files;
  private final SourcePath sourcePath;
  private final DocTrees trees;
  private final Elements elements;
  private final Types types;
  private final Map<String, Unit> units;
  private final List<CompileError> errors;
  private Symbols symbols;
  private Uses uses;

  private Program(
      Sources sources,
      JavacTask task,
      StandardJavaFileManager files,
      SourcePath sourcePath,
      Map<String, Unit> units,
      List<CompileError> errors) {
    this.sources = sources;
    this.files = files;
    this.sourcePath = sourcePath;
    this.trees = DocTrees.instance(task);
    this.elements = task.getElements();
    this.types = task.getTypes();
    this.units = units;
    this.errors = errors;
  }

  /** Attributes files of a project as they stand on the disk. */
  public static Program of(Sources sources, Collection<String> paths) {
    Map<String, SourceText> texts = new LinkedHashMap<>();
    paths.parallelStream().forEach(sources::text);
    new TreeSet<>(paths).forEach(path -> texts.put(path, sources.text(path)));
    return attribute(sources, texts);
  }

  /** Attributes these texts, in place of what stands on the disk under their paths. */
  public static Program attribute(Sources sources, Map<String, SourceText> texts) {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
    StandardJavaFileManager files = compiler.getStandardFileManager(said, null, null);
    SourcePath sourcePath = new SourcePath(sources.project());
    try {
      List<TextObject> objects = texts.values().stream().map(TextObject::new).toList();
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  Writer.nullWriter(),
                  files,
                  said,
                  options(sources.project(), sourcePath),
                  null,
                  objects);
      Map<String, Unit> units = new LinkedHashMap<>();
      for (CompilationUnitTree tree : task.parse()) {
        SourceText source = texts.get(path(tree.getSourceFile()));
        units.put(source.path(), new Unit(source, tree));
      }
      task.analyze();
      return new Program(sources, task, files, sourcePath, units, errors(said, texts.keySet()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (RuntimeException e) {
      sourcePath.close();
      throw e;
    }
  }

  private static List<String> options(Project project, SourcePath sourcePath) {
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
                String.join(java.io.File.pathSeparator, classPath),
                "-sourcepath",
                sourcePath.option()));
    if (release != 0 && release != Runtime.version().feature()) {
      options.addAll(List.of("--release", String.valueOf(release)));
    }
    return options;
  }

  private static List<CompileError> errors(
      DiagnosticCollector<JavaFileObject> said, Set<String> paths) {
    List<CompileError> errors = new ArrayList<>();
    for (Diagnostic<? extends JavaFileObject> each : said.getDiagnostics()) {
      if (each.getKind() == Diagnostic.Kind.ERROR) {
        String file = each.getSource() == null ? "" : path(each.getSource());
        if (paths.contains(file) || each.getSource() == null) {
          errors.add(
              new CompileError(
                  each.getCode(),
                  file,
                  (int) each.getPosition(),
                  each.getLineNumber(),
                  each.getMessage(java.util.Locale.ENGLISH)));
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

  public Sources sources() {
    return sources;
  }

  public DocTrees trees() {
    return trees;
  }

  public Elements elements() {
    return elements;
  }

  public Types types() {
    return types;
  }

  public Collection<Unit> units() {
    return units.values();
  }

  public Optional<Unit> unit(String path) {
    return Optional.ofNullable(units.get(path));
  }

  public List<CompileError> errors() {
    return errors;
  }

  /** Names the symbols of this program. */
  public synchronized Symbols symbols() {
    if (symbols == null) {
      symbols = new Symbols(elements, types);
      units
          .values()
          .forEach(unit -> new DeclarationPlaces(trees, symbols, unit).scan(unit.tree(), null));
    }
    return symbols;
  }

  /** All classes and interfaces above a type, each once, the type itself left out. */
  public Set<TypeElement> supertypes(TypeElement type) {
    Set<TypeElement> found = new LinkedHashSet<>();
    collectSupertypes(type.asType(), found);
    return found;
  }

  private void collectSupertypes(TypeMirror type, Set<TypeElement> found) {
    for (TypeMirror supertype : types.directSupertypes(type)) {
      if (types.asElement(supertype) instanceof TypeElement element && found.add(element)) {
        collectSupertypes(supertype, found);
      }
    }
  }

  /** Every use of a name in these files, and what it is bound to. */
  public synchronized Uses uses() {
    if (uses == null) {
      uses = UseRecorder.record(this);
    }
    return uses;
  }

  /** Lets go of the archives on the class path; symbols may not be asked for more behind this. */
  @Override
  public void close() {
    try {
      sourcePath.close();
      files.close();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A source text in memory, as the compiler wants it. */
  private static final class TextObject extends SimpleJavaFileObject {
    static final String SCHEME = "pare";

    private final SourceText source;

    TextObject(SourceText source) {
      super(URI.create(SCHEME + ":///" + escaped(source.path())), Kind.SOURCE);
      this.source = source;
    }

    private static String escaped(String path) {
      try {
        return new URI(null, null, path, null).getRawPath();
      } catch (java.net.URISyntaxException e) {
        throw new IllegalArgumentException(path, e);
      }
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return source.text();
    }
  }
}
