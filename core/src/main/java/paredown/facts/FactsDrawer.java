package paredown.facts;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import paredown.facts.MethodFact.Parameter;
import paredown.program.CompileError;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.text.Lexer;
import paredown.text.SourceText;
import paredown.text.Token;

/** Draws facts from an attributed program. */
public final class FactsDrawer {
  /** Bodies of fewer statements look alike without meaning anything by it. */
  private static final int SHAPED = 3;

  private final Program program;
  private final DeclaredTypes own;
  private final Map<String, List<CompileError>> errors;
  private List<TypeFact> types = new ArrayList<>();
  private UnitPlaces places;

  private FactsDrawer(Program program, Set<String> files) {
    this.program = program;
    this.own = new DeclaredTypes(program, files);
    this.errors = program.errors().stream().collect(Collectors.groupingBy(CompileError::file));
  }

  /** The facts of a program that stands for itself. */
  public static Facts draw(Program program) {
    return draw(program, Set.of()).facts();
  }

  /**
   * The facts of a program that is a part of a larger one.
   *
   * @param files the paths of the whole
   */
  static Drawn draw(Program program, Set<String> files) {
    FactsDrawer drawer = new FactsDrawer(program, files);
    List<FileFacts> drawn = program.units().stream().map(drawer::file).toList();
    Set<String> read = drawn.stream().map(FileFacts::file).collect(Collectors.toSet());
    return new Drawn(
        drawn, program.errors().stream().filter(error -> !read.contains(error.file())).toList());
  }

  private FileFacts file(Unit unit) {
    places = own.places(unit);
    types = new ArrayList<>();
    TreePath path = new TreePath(unit.tree());
    unit.tree().getTypeDecls().forEach(type -> draw(new TreePath(path, type), ""));
    List<CompileError> found = errors.getOrDefault(unit.path(), List.of());
    return new FileFacts(
        unit.path(),
        types,
        found.stream().sorted(Comparator.comparingInt(CompileError::offset)).toList(),
        DeclaredReader.read(places, found));
  }

  private Range range(Tree tree) {
    SourceText source = places.source();
    int start = Math.max(0, places.start(tree));
    int end = Math.max(start, places.end(tree));
    return new Range(
        source.path(),
        new Range.Position(source.line(start), source.column(start)),
        new Range.Position(source.line(end), source.column(end)));
  }

  private void draw(TreePath path, String outer) {
    if (path.getLeaf() instanceof ClassTree tree && own.element(path) instanceof TypeElement type) {
      int at = types.size();
      types.add(null);
      types.set(at, type(path, tree, type, outer));
    }
  }

  private TypeFact type(TreePath path, ClassTree tree, TypeElement type, String outer) {
    List<FieldFact> fields = new ArrayList<>();
    List<MethodFact> methods = new ArrayList<>();
    Set<String> mentions = new TreeSet<>();
    Inherited inherited = new Inherited(program, type);
    BodyScan initialising = new BodyScan(own, places, mentions);
    Set<String> named = fieldNames(tree);
    for (Tree member : tree.getMembers()) {
      TreePath at = new TreePath(path, member);
      if (member instanceof ClassTree) {
        draw(at, own.name(type));
      } else if (places.end(member) >= 0) {
        if (member instanceof VariableTree variable) {
          fields.add(field(variable));
          initialising.scan(at, null);
        } else if (member instanceof BlockTree) {
          initialising.scan(at, null);
        } else if (member instanceof MethodTree method
            && own.element(at) instanceof ExecutableElement declared) {
          methods.add(method(at, method, declared, inherited, named, mentions));
        }
      }
    }
    scanHeader(path, tree, mentions);
    return new TypeFact(
        own.name(type),
        kind(type),
        head(tree.getModifiers()),
        range(tree),
        superclass(type),
        inherited.names(),
        outer,
        fields,
        methods,
        initialising.body(0, Set.of()),
        mentions,
        errors.containsKey(places.unit().path()));
  }

  private static Set<String> fieldNames(ClassTree tree) {
    return tree.getMembers().stream()
        .filter(VariableTree.class::isInstance)
        .map(member -> ((VariableTree) member).getName().toString())
        .collect(Collectors.toSet());
  }

  private void scanHeader(TreePath path, ClassTree tree, Set<String> mentions) {
    BodyScan header = new BodyScan(own, places, mentions);
    List<Tree> parts = new ArrayList<>(List.of(tree.getModifiers()));
    parts.addAll(tree.getTypeParameters());
    parts.addAll(tree.getImplementsClause());
    if (tree.getExtendsClause() != null) {
      parts.add(tree.getExtendsClause());
    }
    parts.forEach(part -> header.scan(new TreePath(path, part), null));
  }

  private static String superclass(TypeElement type) {
    if (type.getKind() == ElementKind.CLASS
        && type.getSuperclass() instanceof DeclaredType above
        && above.asElement() instanceof TypeElement element
        && !element.getQualifiedName().contentEquals("java.lang.Object")) {
      return element.getQualifiedName().toString();
    }
    return "";
  }

  private static TypeFact.Kind kind(TypeElement type) {
    return switch (type.getKind()) {
      case INTERFACE -> TypeFact.Kind.INTERFACE;
      case ENUM -> TypeFact.Kind.ENUM;
      case RECORD -> TypeFact.Kind.RECORD;
      case ANNOTATION_TYPE -> TypeFact.Kind.ANNOTATION;
      default -> TypeFact.Kind.CLASS;
    };
  }

  private static Head head(ModifiersTree tree) {
    Set<String> annotations = new TreeSet<>();
    Set<String> living = new TreeSet<>();
    for (AnnotationTree annotation : tree.getAnnotations()) {
      String name = annotation.getAnnotationType().toString();
      annotations.add(name.substring(name.lastIndexOf('.') + 1));
      if (name.endsWith("SuppressWarnings")) {
        new TreeScanner<Void, Void>() {
          @Override
          public Void visitLiteral(LiteralTree literal, Void unused) {
            if (String.valueOf(literal.getValue()).startsWith("pare:")) {
              living.add(String.valueOf(literal.getValue()).substring("pare:".length()));
            }
            return null;
          }
        }.scan(annotation.getArguments(), null);
      }
    }
    return new Head(tree.getFlags(), annotations, living);
  }

  private FieldFact field(VariableTree tree) {
    return new FieldFact(
        tree.getName().toString(),
        String.valueOf(tree.getType()),
        head(tree.getModifiers()),
        range(tree));
  }

  private MethodFact method(
      TreePath path,
      MethodTree tree,
      ExecutableElement method,
      Inherited inherited,
      Set<String> fields,
      Set<String> mentions) {
    BodyScan body = new BodyScan(own, places, mentions);
    body.scan(path, null);
    PlainBody plain = new PlainBody(own, places, path, tree);
    return new MethodFact(
        method.getKind() == ElementKind.CONSTRUCTOR
            ? method.getEnclosingElement().getSimpleName().toString()
            : tree.getName().toString(),
        own.signature(method),
        head(tree.getModifiers()),
        tree.getParameters().stream()
            .map(each -> new Parameter(each.getName().toString(), String.valueOf(each.getType())))
            .toList(),
        tree.getReturnType() == null ? "" : tree.getReturnType().toString(),
        method.getKind() == ElementKind.CONSTRUCTOR,
        inherited.isOverriddenBy(method),
        plain.returned(),
        plain.assigns(),
        plain.forwards(),
        method.getKind() == ElementKind.CONSTRUCTOR && plain.passesUp(),
        tree.getBody() == null
            ? Body.NONE
            : body.body(hasSiblings(inherited) ? shape(tree) : 0, fields),
        range(tree));
  }

  /** Whether other classes of the project may extend the same class. */
  private boolean hasSiblings(Inherited inherited) {
    return inherited.superclass() != null && own.holds(inherited.superclass());
  }

  private long shape(MethodTree tree) {
    if (tree.getBody().getStatements().size() < SHAPED) {
      return 0;
    }
    String text = places.source().slice(places.start(tree.getBody()), places.end(tree.getBody()));
    long hash = 1;
    for (Token token : Lexer.tokens(text)) {
      if (!token.kind().isComment()) {
        for (int i = token.start(); i < token.end(); i++) {
          hash = hash * 1_000_003 + text.charAt(i);
        }
        hash = hash * 1_000_003 + ' ';
      }
    }
    return hash;
  }
}
