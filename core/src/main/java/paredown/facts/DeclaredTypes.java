package paredown.facts;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.facts.Access.Root;
import paredown.program.Program;
import paredown.program.Unit;

/**
 * The named types that a program's files declare, or the other files of the whole that it is a part
 * of, and the names of their members.
 */
final class DeclaredTypes {
  private final Program program;
  private final SourcePositions positions;
  private final Set<Element> types = Collections.newSetFromMap(new IdentityHashMap<>());
  private final Map<Element, Boolean> elsewhere = new IdentityHashMap<>();
  private final Map<Element, String> names = new IdentityHashMap<>();
  private final Set<String> files;

  DeclaredTypes(Program program, Set<String> files) {
    this.program = program;
    this.files = files;
    this.positions = program.trees().getSourcePositions();
    for (Unit unit : program.units()) {
      TreePath path = new TreePath(unit.tree());
      unit.tree().getTypeDecls().forEach(type -> add(new TreePath(path, type)));
    }
  }

  private void add(TreePath path) {
    if (path.getLeaf() instanceof ClassTree type && element(path) instanceof TypeElement declared) {
      types.add(declared);
      type.getMembers().forEach(member -> add(new TreePath(path, member)));
    }
  }

  Element element(TreePath path) {
    return program.trees().getElement(path);
  }

  boolean holds(Element type) {
    return types.contains(type)
        || type instanceof TypeElement named
            && named.asType().getKind() != TypeKind.ERROR
            && elsewhere.computeIfAbsent(
                named, each -> program.skeletonOf(named).filter(files::contains).isPresent());
  }

  String name(TypeElement type) {
    return names.computeIfAbsent(type, each -> type.getQualifiedName().toString());
  }

  /** The name of the declared type that an expression has; empty where it has no such type. */
  String typeOf(TreePath path) {
    return program.trees().getTypeMirror(path) instanceof DeclaredType type
            && type.asElement() instanceof TypeElement element
            && holds(element)
        ? name(element)
        : "";
  }

  /** Whether an expression gives a number. */
  boolean isNumber(TreePath path) {
    TypeMirror type = program.trees().getTypeMirror(path);
    return type != null && type.getKind().isPrimitive() && type.getKind() != TypeKind.BOOLEAN;
  }

  UnitPlaces places(Unit unit) {
    return new UnitPlaces(positions, unit);
  }

  /** What the member at a path is reached through, where it is no static one. */
  Root root(TreePath path) {
    Tree receiver =
        path.getLeaf() instanceof MemberSelectTree select
            ? select.getExpression()
            : path.getLeaf() instanceof MemberReferenceTree reference
                ? reference.getQualifierExpression()
                : null;
    if (receiver == null) {
      return Root.SELF;
    }
    boolean ofSelf =
        receiver instanceof MemberSelectTree select
            && select.getExpression() instanceof IdentifierTree self
            && self.getName().contentEquals("this");
    if (!(receiver instanceof IdentifierTree) && !ofSelf) {
      return Root.EXPRESSION;
    }
    Element element = element(new TreePath(path, receiver));
    String name = element == null ? "" : element.getSimpleName().toString();
    if (name.equals("this") || name.equals("super")) {
      return Root.SELF;
    }
    return element == null ? Root.EXPRESSION : root(element.getKind(), name);
  }

  private static Root root(ElementKind kind, String name) {
    return switch (kind) {
      case PARAMETER -> new Root(Root.Kind.PARAMETER, name);
      case LOCAL_VARIABLE, EXCEPTION_PARAMETER, RESOURCE_VARIABLE, BINDING_VARIABLE ->
          new Root(Root.Kind.LOCAL, name);
      case FIELD -> new Root(Root.Kind.FIELD, name);
      default -> Root.EXPRESSION;
    };
  }

  /** A method's name with the simple names of its parameters' types. */
  String signature(ExecutableElement method) {
    return names.computeIfAbsent(method, each -> spelled(method));
  }

  private static String spelled(ExecutableElement method) {
    String name =
        method.getKind() == ElementKind.CONSTRUCTOR
            ? method.getEnclosingElement().getSimpleName().toString()
            : method.getSimpleName().toString();
    return name
        + method.getParameters().stream()
            .map(parameter -> simple(parameter.asType().toString()))
            .collect(Collectors.joining(", ", "(", ")"));
  }

  private static String simple(String type) {
    String erased = type;
    while (erased.contains("<")) {
      String next = erased.replaceAll("<[^<>]*>", "");
      if (next.equals(erased)) {
        break;
      }
      erased = next;
    }
    return erased.substring(erased.lastIndexOf('.') + 1).strip();
  }
}
