package paredown.refactor.operation.changetype;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ShownType;
import paredown.text.Listed;

/**
 * An object that is made of the old value, and gives it back.
 *
 * @param make the constructor, or the static method, that makes it
 * @param give the method that gives the value
 */
record OtherObject(
    Program program, TypeMirror from, TypeMirror to, ExecutableElement make, ExecutableElement give)
    implements Exchange {
  private static final Set<String> FACTORIES = Set.of("of", "valueOf", "from");

  /**
   * Finds the two methods.
   *
   * @throws UnusableRequest where one is not there, or it does not show which is meant
   */
  static OtherObject of(Program program, TypeMirror from, TypeMirror to, ChangeType arguments) {
    if (!(to instanceof DeclaredType declared)) {
      throw new UnusableRequest(
          "Nothing is known that makes %s of %s.".formatted(ShownType.one(to), ShownType.one(from)),
          "Name a wider number, a type above it, or a class with a method that takes it.");
    }
    TypeElement type = (TypeElement) declared.asElement();
    Predicate<ExecutableElement> makes =
        each ->
            each.getParameters().size() == 1
                && !each.isVarArgs()
                && program.types().isAssignable(from, each.getParameters().get(0).asType());
    List<ExecutableElement> makers =
        arguments.as().isEmpty()
            ? usual(program, type, makes)
            : named(program, type, arguments.as().get()).stream()
                .filter(each -> isMaker(program, each, to))
                .filter(makes)
                .toList();
    Predicate<ExecutableElement> gives =
        each ->
            each.getParameters().isEmpty()
                && !each.getModifiers().contains(Modifier.STATIC)
                && isOldValue(program, each.getReturnType(), from);
    List<ExecutableElement> givers =
        arguments.back().isEmpty()
            ? ElementFilter.methodsIn(type.getEnclosedElements()).stream()
                .filter(gives)
                .filter(each -> program.types().isSameType(each.getReturnType(), from))
                .filter(each -> !List.of("hashCode", "toString").contains(name(each)))
                .toList()
            : ElementFilter.methodsIn(program.elements().getAllMembers(type)).stream()
                .filter(each -> each.getSimpleName().contentEquals(arguments.back().get()))
                .filter(gives)
                .toList();
    return new OtherObject(
        program,
        from,
        to,
        one(
            closest(program, makers, from),
            "makes %s of %s".formatted(ShownType.one(to), ShownType.one(from)),
            "--as",
            type),
        one(
            givers,
            "gives %s of %s".formatted(ShownType.one(from), ShownType.one(to)),
            "--back",
            type));
  }

  /** The constructors that make one; where there is none, the static methods of the usual names. */
  private static List<ExecutableElement> usual(
      Program program, TypeElement type, Predicate<ExecutableElement> makes) {
    List<ExecutableElement> constructors =
        ElementFilter.constructorsIn(type.getEnclosedElements()).stream()
            .filter(each -> !type.getModifiers().contains(Modifier.ABSTRACT))
            .filter(each -> !program.elements().isDeprecated(each))
            .filter(each -> !each.getModifiers().contains(Modifier.PRIVATE))
            .filter(makes)
            .toList();
    return !constructors.isEmpty()
        ? constructors
        : ElementFilter.methodsIn(type.getEnclosedElements()).stream()
            .filter(each -> FACTORIES.contains(name(each)))
            .filter(each -> isMaker(program, each, type.asType()))
            .filter(makes)
            .toList();
  }

  private static boolean isMaker(Program program, ExecutableElement method, TypeMirror to) {
    return method.getModifiers().contains(Modifier.STATIC)
        && program.types().isAssignable(method.getReturnType(), to);
  }

  /** A number that is wider than the old one is narrowed to it. */
  private static boolean isOldValue(Program program, TypeMirror given, TypeMirror from) {
    return program.types().isSameType(given, from) || WiderNumber.is(program, from, given);
  }

  private static String name(ExecutableElement method) {
    return method.getKind() == ElementKind.CONSTRUCTOR
        ? "its constructor"
        : method.getSimpleName().toString();
  }

  /** The static methods that are named, with their type or without. */
  private static List<ExecutableElement> named(Program program, TypeElement type, String typed) {
    int dot = typed.lastIndexOf('.');
    String name = typed.substring(dot + 1);
    String home = dot < 0 ? "" : typed.substring(0, dot);
    boolean own =
        dot < 0
            || type.getSimpleName().contentEquals(home)
            || type.getQualifiedName().contentEquals(home);
    TypeElement around = own ? type : program.elements().getTypeElement(home);
    return around == null
        ? List.of()
        : ElementFilter.methodsIn(around.getEnclosedElements()).stream()
            .filter(each -> each.getSimpleName().contentEquals(name))
            .toList();
  }

  private static ExecutableElement one(
      List<ExecutableElement> all, String does, String option, TypeElement type) {
    List<ExecutableElement> open =
        all.stream().filter(each -> !each.getModifiers().contains(Modifier.PRIVATE)).toList();
    if (open.size() != 1) {
      throw new UnusableRequest(
          open.isEmpty()
              ? "No method %s.".formatted(does)
              : "More than one method %s: %s."
                  .formatted(does, Listed.of(open.stream().map(OtherObject::name).toList())),
          "Name one with %s.".formatted(option));
    }
    return open.get(0);
  }

  /** Of those that take other types as well, the one that takes just this. */
  private static List<ExecutableElement> closest(
      Program program, List<ExecutableElement> makers, TypeMirror from) {
    List<ExecutableElement> same =
        makers.stream()
            .filter(each -> program.types().isSameType(each.getParameters().get(0).asType(), from))
            .toList();
    return same.isEmpty() ? makers : same;
  }

  @Override
  public boolean stays(UnitTrees trees, TreePath around, Tree part) {
    return around.getLeaf() instanceof BinaryTree binary
        && (binary.getKind() == Tree.Kind.EQUAL_TO || binary.getKind() == Tree.Kind.NOT_EQUAL_TO)
        && (isNull(binary.getLeftOperand()) || isNull(binary.getRightOperand()));
  }

  private static boolean isNull(Tree tree) {
    return tree.getKind() == Tree.Kind.NULL_LITERAL;
  }

  @Override
  public boolean fits(TypeMirror variable) {
    return false;
  }

  @Override
  public Optional<ExecutableElement> maker() {
    return Optional.of(make);
  }

  @Override
  public Optional<ExecutableElement> giver() {
    return Optional.of(give);
  }

  @Override
  public List<Assumption> assumed(String what, boolean counted, String place) {
    String back =
        "making %s does nothing else, and %s() gives what it was made of"
            .formatted(ShownType.one(to), give.getSimpleName());
    return from.getKind() == TypeKind.DECLARED
        ? List.of(
            new Assumption(Assumption.Kind.BACK, back, place),
            new Assumption(Assumption.Kind.NULL, what + " is never null", place))
        : List.of(new Assumption(Assumption.Kind.BACK, back, place));
  }
}
