package paredown.refactor.name;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Overriding;

/** The declarations that a change makes more visible, each only as far as it needs. */
public final class Widening {
  private final Program program;
  private final Map<Element, Boolean> widened = new LinkedHashMap<>();

  public Widening(Program program) {
    this.program = program;
  }

  /**
   * Makes an element visible from a class.
   *
   * @param subject what needs it, for the refusal
   * @throws Refused where its declaration cannot be edited
   */
  public void open(Element element, Sight sight, String subject, String place) {
    for (Element closed :
        sight.closed(isImplicit(element) ? element.getEnclosingElement() : element)) {
      if (!isEditable(closed) || !sight.isNear(closed) && !mayBePublic(closed)) {
        throw Refused.of(
            RefusalKind.HIDDEN_FROM_OUTSIDE, subject, name(closed) + " cannot be seen", place);
      }
      requireAlone(closed, subject, place);
      boolean toPublic =
          !sight.isNear(closed) || closed.getEnclosingElement().getKind().isInterface();
      widened.merge(closed, toPublic, Boolean::logicalOr);
    }
    for (TypeElement type : unnamed(element)) {
      if (sight.hides(type)) {
        open(type, sight, subject, place);
      }
    }
  }

  /** Only one type of a file may be public, the one that is named after it. */
  private boolean mayBePublic(Element closed) {
    return closed.getEnclosingElement().getKind() != ElementKind.PACKAGE
        || new OpenedDeclaration(program, closed)
            .file()
            .endsWith("/" + closed.getSimpleName() + ".java");
  }

  /**
   * The types that code with a member uses without naming them: what it gives, and the interfaces
   * that a lambda stands for and the arrays that arguments are collected in.
   */
  private Set<TypeElement> unnamed(Element member) {
    Set<TypeElement> types = new LinkedHashSet<>();
    if (member instanceof ExecutableElement method) {
      add(method.getReturnType(), types);
      for (VariableElement parameter : method.getParameters()) {
        TypeMirror type = parameter.asType();
        boolean collected = method.isVarArgs() && type instanceof ArrayType;
        Element element = program.types().asElement(type);
        if (collected || element != null && element.getKind().isInterface()) {
          add(type, types);
        }
      }
    } else if (member.getKind().isField()) {
      add(member.asType(), types);
    }
    return types;
  }

  private void add(TypeMirror type, Set<TypeElement> types) {
    TypeMirror each = type;
    while (each instanceof ArrayType array) {
      each = array.getComponentType();
    }
    if (program.types().asElement(each) instanceof TypeElement element) {
      types.add(element);
    }
  }

  /** A constructor that is not written is seen as far as its class. */
  private boolean isImplicit(Element element) {
    TreePath path =
        element.getKind() == ElementKind.CONSTRUCTOR ? program.trees().getPath(element) : null;
    return path != null
        && program
                .trees()
                .getSourcePositions()
                .getEndPosition(path.getCompilationUnit(), path.getLeaf())
            < 0;
  }

  /** Among several methods of a name, calls elsewhere could choose the one that is opened. */
  private void requireAlone(Element opened, String subject, String place) {
    if (!(opened instanceof ExecutableElement method)) {
      return;
    }
    TypeElement type = (TypeElement) method.getEnclosingElement();
    boolean chosen =
        program.elements().getAllMembers(type).stream()
            .filter(ExecutableElement.class::isInstance)
            .map(ExecutableElement.class::cast)
            .filter(other -> other.getKind() == method.getKind() && !other.equals(method))
            .filter(other -> other.getSimpleName().equals(method.getSimpleName()))
            // What is seen no further than the method is chosen by nobody else.
            .filter(other -> AccessLevel.of(other).compareTo(AccessLevel.of(method)) > 0)
            .anyMatch(
                other ->
                    other.isVarArgs()
                        || method.isVarArgs()
                        || other.getParameters().size() == method.getParameters().size());
    if (chosen) {
      throw Refused.of(RefusalKind.OVERLOAD_OPENED, subject, name(opened), place);
    }
  }

  /** Whether an element is a component of a record, which is private whatever is said. */
  private static boolean isComponent(Element element) {
    return element.getKind() == ElementKind.FIELD
        && element.getEnclosingElement().getKind() == ElementKind.RECORD
        && !element.getModifiers().contains(Modifier.STATIC);
  }

  private boolean isEditable(Element element) {
    TreePath path = program.declaration(element);
    boolean declared =
        path != null
            && program.unit(path).isPresent()
            && program
                .sources()
                .file(program.unit(path).get().path())
                .filter(SourceIndex::isEditable)
                .isPresent();
    return declared
        && !mayBeOverridden(element)
        && !isComponent(element)
        && new UnitTrees(program, program.unit(path).get()).end(path.getLeaf()) >= 0;
  }

  /** What overrides a method would have to be opened with it. */
  private boolean mayBeOverridden(Element element) {
    Set<Modifier> modifiers = element.getModifiers();
    return element.getKind() == ElementKind.METHOD
        && !modifiers.contains(Modifier.PRIVATE)
        && (modifiers.contains(Modifier.PROTECTED)
            || modifiers.contains(Modifier.ABSTRACT)
            || Overriding.isOverridden(program, (ExecutableElement) element));
  }

  /** What a declaration is called where it is announced: {@code Sailing#fare}. */
  public static String name(Element element) {
    return element instanceof TypeElement type
        ? type.getSimpleName().toString()
        : element.getEnclosingElement().getSimpleName()
            + (element.getKind() == ElementKind.CONSTRUCTOR
                ? "'s constructor"
                : "#" + element.getSimpleName());
  }

  /** The simple names of what becomes visible. */
  public Set<String> names() {
    return widened.keySet().stream()
        .filter(element -> element.getKind() != ElementKind.CONSTRUCTOR)
        .map(element -> element.getSimpleName().toString())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** What is announced: {@code Sailing#fare: private -> package}. */
  public List<String> announced() {
    List<String> announced = new ArrayList<>();
    widened.forEach(
        (element, toPublic) -> {
          String from = new OpenedDeclaration(program, element).word().orElse("package");
          announced.add(
              "%s: %s -> %s".formatted(name(element), from, toPublic ? "public" : "package"));
        });
    return announced;
  }

  /** The edit that opens one declaration; empty where it stays as it is. */
  public Optional<Replacement> of(Element element) {
    return Optional.ofNullable(widened.get(element))
        .map(toPublic -> new OpenedDeclaration(program, element).edit(toPublic));
  }

  /**
   * Gives the edits that open the declarations.
   *
   * @param except the declaration that is rewritten as a whole; null for none
   * @param edits takes a file's path and an edit of it
   */
  public void collect(Element except, BiConsumer<String, Replacement> edits) {
    Set<String> places = new HashSet<>();
    widened.forEach(
        (element, toPublic) -> {
          OpenedDeclaration opened = new OpenedDeclaration(program, element);
          Replacement edit = opened.edit(toPublic);
          // Fields that are declared together share their modifiers.
          boolean first = places.add(opened.file() + ":" + edit.start());
          if (first && !element.equals(except)) {
            edits.accept(opened.file(), edit);
          }
        });
  }
}
