package paredown.program;

import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;
import paredown.text.SourceText;

/**
 * A program is a set of source files as the compiler understands them. Other sources of the project
 * are found by the compiler where these files need them.
 */
public final class Program {
  private final Sources sources;
  private final DocTrees trees;
  private final Elements elements;
  private final Types types;
  private final Map<String, Unit> units;
  private final List<CompileError> errors;
  private final Aliases aliases;
  private Symbols symbols;
  private Uses uses;

  /** What a compiler has attributed. */
  Program(Sources sources, JavacTask task, Map<String, Unit> units, List<CompileError> errors) {
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
    return Attribution.whole(sources).of(Attribution.texts(sources, paths));
  }

  /** The same, but without documentation comments, and errors that only the flow of code shows. */
  public static Program withoutFlowAndDocs(Sources sources, Collection<String> paths) {
    return Attribution.withoutFlowAndDocs(sources).of(Attribution.texts(sources, paths));
  }

  /** Attributes these texts, in place of what stands on the disk under their paths. */
  public static Program attribute(Sources sources, Map<String, SourceText> texts) {
    return Attribution.whole(sources).of(texts);
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

  /** The same program among more files, of which the compiler could not read the others. */
  Program among(Map<String, Unit> read, List<CompileError> all) {
    return new Program(this, read, all, aliases);
  }

  Map<String, Unit> unitsByPath() {
    return units;
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
    require(sources.index().filesWithBodiesBelow(type.getSimpleName().toString(), method));
  }

  /**
   * Makes sure that all classes below a type that stand within bodies are known.
   *
   * @throws OnlySkeleton where a file has such classes and is none of this program's
   */
  public void requireBodiesBelow(TypeElement type) {
    require(sources.index().filesWithBodiesBelow(type.getSimpleName().toString()));
  }

  /** Whether all classes below a type that stand within bodies are known. */
  public boolean knowsBodiesBelow(TypeElement type) {
    return units
        .keySet()
        .containsAll(sources.index().filesWithBodiesBelow(type.getSimpleName().toString()));
  }

  private void require(Set<String> files) {
    files.stream()
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

  /** Whether a type is another, or below it, whatever their type arguments. */
  public boolean isOrIsBelow(TypeElement type, TypeElement above) {
    return types.isSubtype(types.erasure(type.asType()), types.erasure(above.asType()));
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
}
