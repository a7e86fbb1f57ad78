package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.WildcardType;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Types;
import paredown.edit.Assumption;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ShownType;
import paredown.refactor.name.TypeMatch;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;

/**
 * What the type variables of a method, and of its class, are where one call stands: the types that
 * the compiler has found for it.
 *
 * <p>The Java Language Specification, section 18.5.
 */
final class TypesThere {
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Call call;
  private final Program program;
  private final Types types;
  private final Map<TypeParameterElement, TypeMirror> found;
  private final VariablesElsewhere there;

  TypesThere(OwnerClass owner, OwnerClass.Method method, Call call) {
    this.owner = owner;
    this.method = method;
    this.call = call;
    this.program = owner.program();
    this.types = program.types();
    TypeMatch match =
        new TypeMatch(
            each ->
                each.getGenericElement().equals(method.element())
                    || each.getGenericElement().equals(owner.element()));
    ofMethod(match);
    ofClass(match);
    this.found = match.found();
    found.values().removeIf(type -> !WritableType.is(type) || type instanceof WildcardType);
    this.there = VariablesElsewhere.where(types, found);
  }

  /** What the compiler has found for the variables of the method. */
  private void ofMethod(TypeMatch match) {
    ExecutableElement declared = method.element();
    List<TypeMirror> parameters = new ArrayList<>();
    TreePath select = new TreePath(call.path(), call.tree().getMethodSelect());
    if (program.trees().getTypeMirror(select) instanceof ExecutableType given) {
      declared.getParameters().forEach(each -> parameters.add(each.asType()));
      match.all(parameters, given.getParameterTypes());
      match.add(declared.getReturnType(), given.getReturnType());
    }
  }

  /** What the object that is asked gives to the variables of its class. */
  private void ofClass(TypeMatch match) {
    if (!isOwnObject() && !method.element().getModifiers().contains(Modifier.STATIC)) {
      TypeMirror object =
          call.receiver() == null
              ? call.type().asType()
              : program.trees().getTypeMirror(call.receiver());
      above(object).ifPresent(type -> match.add(owner.element().asType(), type));
    }
  }

  /** Whether the class asks its own object, so that its variables are the same. */
  private boolean isOwnObject() {
    return call.receiver() == null && call.isWithin(owner.element());
  }

  /** The type of the class that a type is, or is below. */
  private Optional<TypeMirror> above(TypeMirror type) {
    if (type instanceof DeclaredType declared && declared.asElement().equals(owner.element())) {
      return Optional.of(type);
    }
    return type == null
        ? Optional.empty()
        : types.directSupertypes(type).stream()
            .map(this::above)
            .flatMap(Optional::stream)
            .findFirst();
  }

  /** A type of the method as it is at the call. */
  TypeMirror in(TypeMirror type) {
    return there.in(type);
  }

  /** What the variables are there, by their names, as types are shown. */
  Map<String, String> shown() {
    return there.shown(program.symbols());
  }

  /**
   * What the code says in the place of type variables.
   *
   * @param named where it names some
   * @throws Refused where the call does not tell what one is, or a cast would look at its object
   */
  List<Replacement> edits(List<TreePath> named, TypeNames names, MovedUses uses) {
    UnitTrees trees = owner.trees();
    named.stream().filter(this::isHeld).findFirst().ifPresent(this::assumeContent);
    List<Replacement> edits = new ArrayList<>();
    for (TreePath each : named) {
      TypeParameterElement variable = (TypeParameterElement) trees.element(each);
      boolean own = variable.getGenericElement() instanceof TypeElement && isOwnObject();
      if (own) {
        continue;
      }
      TypeMirror type = found.get(variable);
      if (type == null) {
        throw refused("the call does not tell what its type variable " + variable + " is", each);
      }
      requireNoOtherCast(each);
      int start = trees.start(each.getLeaf());
      Written.Text text = Written.text("");
      names.write(text, type, call.type());
      edits.add(
          new Replacement(
              start,
              trees.end(each.getLeaf()),
              List.of(text.done()),
              uses.dropped(uses.at(start, UseKind.NAME)),
              "the call tells which type it is"));
    }
    return edits;
  }

  /** Whether a variable holds what code with a type variable never looks at. */
  private boolean isHeld(TreePath named) {
    TypeMirror type = program.trees().getTypeMirror(named);
    return named.getParentPath().getLeaf() instanceof VariableTree
        && !types.isSameType(types.erasure(type), types.erasure(there.in(type)));
  }

  private void assumeContent(TreePath named) {
    TypeParameterElement variable = (TypeParameterElement) owner.trees().element(named);
    owner
        .assumptions()
        .add(
            Assumption.Kind.CONTENT,
            "what the code has as %s is %s, as the call says"
                .formatted(variable, ShownType.one(found.get(variable))),
            call.place());
  }

  /**
   * What the code says for methods that it asks of an object whose type was a variable: that type
   * may have its own.
   *
   * @param asked where it names some
   */
  List<Replacement> asked(List<TreePath> asked, MovedUses uses) {
    UnitTrees trees = owner.trees();
    List<Replacement> edits = new ArrayList<>();
    for (TreePath each : asked) {
      TreePath object = new TreePath(each, ((MemberSelectTree) each.getLeaf()).getExpression());
      TypeMirror type = there.in(program.trees().getTypeMirror(object));
      ExecutableElement method = (ExecutableElement) trees.element(each);
      overriding(type, method)
          .ifPresent(
              own -> {
                String name = method.getSimpleName().toString();
                int at = trees.nameOffset((MemberSelectTree) each.getLeaf());
                Written named =
                    Written.text("")
                        .name(name, program.symbols().key(own), uses.standsFor(at))
                        .done();
                edits.add(new Replacement(at, at + name.length(), List.of(named), List.of()));
              });
    }
    return edits;
  }

  /** The method of a type that is run in the place of another. */
  private Optional<ExecutableElement> overriding(TypeMirror type, ExecutableElement method) {
    if (!(types.asElement(types.erasure(type)) instanceof TypeElement element)) {
      return Optional.empty();
    }
    return ElementFilter.methodsIn(program.elements().getAllMembers(element)).stream()
        .filter(each -> each.getSimpleName().equals(method.getSimpleName()))
        .filter(each -> program.elements().overrides(each, method, element))
        .findFirst();
  }

  /** A cast to a type variable looks at nothing when it runs; one to a class does. */
  private void requireNoOtherCast(TreePath named) {
    TreePath at = named;
    while (isType(at.getParentPath().getLeaf())) {
      at = at.getParentPath();
    }
    if (at.getParentPath().getLeaf() instanceof TypeCastTree cast
        && cast.getType() == at.getLeaf()) {
      TypeMirror type = program.trees().getTypeMirror(at);
      if (!types.isSameType(types.erasure(type), types.erasure(there.in(type)))) {
        throw refused("its cast to a type variable would look at the object when it runs", named);
      }
    }
  }

  private static boolean isType(Tree tree) {
    return switch (tree.getKind()) {
      case ARRAY_TYPE,
          PARAMETERIZED_TYPE,
          EXTENDS_WILDCARD,
          SUPER_WILDCARD,
          INTERSECTION_TYPE,
          ANNOTATED_TYPE ->
          true;
      default -> tree instanceof MemberSelectTree;
    };
  }

  private Refused refused(String why, TreePath place) {
    return Refused.advising(
        RefusalKind.CALL_SHAPE,
        "%s cannot be inlined here: %s.".formatted(method.name(), why),
        "Inline the other calls with --at, or leave the method.",
        owner.trees().place(place.getLeaf()));
  }
}
