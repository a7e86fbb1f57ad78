package paredown.program;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
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
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;
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
 * A program is a set of source files as the compiler understands them. Other sources of the project
 * are found by the compiler where these files need them.
 */
public final class Program {
  private static final SourceText EMPTY = new SourceText("Empty.java", "", StandardCharsets.UTF_8);

  private final Sources sources;
  private final DocTrees trees;
  private final Elements elements;
  private final Types types;
  private final Map<String, Unit> units;
  private final List<CompileError> errors;
  private final Aliases aliases;
  private Symbols symbols;
  private Uses uses;

  private Program(
      Sources sources, JavacTask task, Map<String, Unit> units, List<CompileError> errors) {
    this.sources = sources;
    this.trees = DocTrees.instance(task);
    this.elements = task.getElements();
    this.types = task.getTypes();
    this.units = units;
    this.errors = errors;
    this.aliases = Aliases.NONE;
  }

  /** Attributes files of a project as they stand on the disk. */
  public static Program of(Sources sources, Collection<String> paths) {
    return attribute(sources, texts(sources, paths));
  }

  /** The same, but without documentation comments, and errors that only the flow of code shows. */
  public static Program withoutFlowAndDocs(Sources sources, Collection<String> paths) {
    return attribute(
        sources, texts(sources, paths), List.of("--should-stop=ifNoError=ATTR"), PlainDocs::of);
  }

  private static Map<String, SourceText> texts(Sources sources, Collection<String> paths) {
    Map<String, SourceText> texts = new LinkedHashMap<>();
    paths.parallelStream().forEach(sources::text);
    new TreeSet<>(paths).forEach(path -> texts.put(path, sources.text(path)));
    return texts;
  }

  /** Attributes these texts, in place of what stands on the disk under their paths. */
  public static Program attribute(Sources sources, Map<String, SourceText> texts) {
    return attribute(sources, texts, List.of(), SourceText::text);
  }

  private static Program attribute(
      Sources sources,
      Map<String, SourceText> texts,
      List<String> more,
      Function<SourceText, CharSequence> seen) {
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
        return without(sources, texts, errors(said, texts.keySet(), read), more, seen, brokenDown);
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
  private static Program without(
      Sources sources,
      Map<String, SourceText> texts,
      List<CompileError> unread,
      List<String> more,
      Function<SourceText, CharSequence> seen,
      Throwable brokenDown) {
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
    Program program = attribute(sources, left, more, seen);
    List<CompileError> errors = new ArrayList<>(unread);
    errors.addAll(program.errors);
    return new Program(program, none ? Map.of() : program.units, errors, program.aliases);
  }

  /**
   * The same program with types under other names in keys.
   *
   * @param names binary names, and the binary name that is to stand for each
   */
  public Program calling(Map<String, String> names) {
    return names.isEmpty() ? this : new Program(this, units, errors, new Aliases(names));
  }

  private Program(
      Program same, Map<String, Unit> units, List<CompileError> errors, Aliases aliases) {
    this.aliases = aliases;
    this.sources = same.sources;
    this.trees = same.trees;
    this.elements = same.elements;
    this.types = same.types;
    this.units = units;
    this.errors = errors;
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

  /** The file that a tree of this program stands in; empty where only its skeleton is known. */
  public Optional<Unit> unit(TreePath path) {
    return units.values().stream()
        .filter(unit -> unit.tree() == path.getCompilationUnit())
        .findFirst();
  }

  public List<CompileError> errors() {
    return errors;
  }

  /** Whether a type is declared in the sources of the project. */
  public boolean declares(TypeElement type) {
    return trees.getTree(type) != null;
  }

  /**
   * Where an element is declared in the sources of the project; null where it is not.
   *
   * @throws OnlySkeleton where its file is none of this program's, so that its code is not known
   */
  public TreePath declaration(Element element) {
    TreePath path = trees.getPath(element);
    skeletonOf(path)
        .ifPresent(
            file -> {
              throw new OnlySkeleton(file);
            });
    return path;
  }

  /**
   * Whether an element is declared in the project, in a file of which only the skeleton is read.
   */
  public boolean isSkeleton(Element element) {
    return skeletonOf(trees.getPath(element)).isPresent();
  }

  /**
   * Makes sure that classes below a type that stand within bodies are known where they could
   * declare a method of a name.
   *
   * @throws OnlySkeleton where a file has such classes and is none of this program's
   */
  public void requireBodiesBelow(TypeElement type, String method) {
    sources.index().filesWithBodiesBelow(type.getSimpleName().toString(), method).stream()
        .filter(file -> !units.containsKey(file))
        .findFirst()
        .ifPresent(
            file -> {
              throw new OnlySkeleton(file);
            });
  }

  /** The path of the file whose skeleton declares a type; empty where none does. */
  public Optional<String> skeletonOf(TypeElement type) {
    return skeletonOf(trees.getPath(type));
  }

  private static Optional<String> skeletonOf(TreePath path) {
    return Optional.ofNullable(path)
        .map(each -> each.getCompilationUnit().getSourceFile().toUri())
        .filter(file -> OtherSources.SCHEME.equals(file.getScheme()))
        .map(file -> file.getPath().substring(1));
  }

  /** Names the symbols of this program. */
  public synchronized Symbols symbols() {
    if (symbols == null) {
      symbols = new Symbols(elements, types, aliases);
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
