package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.alike.GivenField;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** A part in the method that it stands in: what it takes and gives, and how it ends. */
final class Extraction {
  private final UnitTrees trees;
  private final Program program;
  private final SourceText source;
  private final Part part;
  private final TreePath method;
  private final OwnerClass owner;
  private final Locals locals;
  private final Exits exits;

  /**
   * A part in its method.
   *
   * @throws paredown.UnusableRequest where it stands in none
   * @throws paredown.refactor.Refused where it leaves for what is around it
   */
  Extraction(UnitTrees trees, Part part) {
    this.trees = trees;
    this.program = trees.program();
    this.source = trees.source();
    this.part = part;
    this.method = methodAround();
    this.owner = OwnerClass.of(program, trees.classAround(method));
    this.locals = new Locals(trees, part, method);
    this.exits = new Exits(trees, part);
  }

  private TreePath methodAround() {
    for (TreePath at = part.first(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof MethodTree) {
        return at;
      }
      if (at.getLeaf() instanceof ClassTree) {
        break;
      }
    }
    throw new UnusableRequest(
        source.place(part.start()) + " is in no method.",
        "Give a place within the body of a method or constructor.");
  }

  UnitTrees trees() {
    return trees;
  }

  Part part() {
    return part;
  }

  TreePath method() {
    return method;
  }

  OwnerClass owner() {
    return owner;
  }

  Locals locals() {
    return locals;
  }

  /**
   * What a call in its place does with what the method gives.
   *
   * @throws paredown.refactor.Refused where no one call could do it
   */
  Shape shape() {
    TypeMirror none = program.types().getNoType(TypeKind.VOID);
    if (part.isExpression()) {
      return new Shape(Shape.Result.VALUE, List.of(), program.trees().getTypeMirror(part.first()));
    }
    List<VariableElement> results = locals.results();
    boolean constructor = ((MethodTree) method.getLeaf()).getReturnType() == null;
    TypeMirror given =
        constructor ? none : ((ExecutableElement) trees.element(method)).getReturnType();
    boolean isVoid = given.getKind() == TypeKind.VOID;
    boolean ends = isVoid && isTail() && exits.returns() && !isInLambda();
    if (exits.leaveAlike() && results.isEmpty() && !exits.neverEnds() && !ends) {
      TypeMirror said = program.types().getPrimitiveType(TypeKind.BOOLEAN);
      return new Shape(Shape.Result.LEAVES, List.of(), said);
    }
    exits.requireReturns();
    if (exits.returns() || exits.neverEnds() && !isTail()) {
      boolean whole = exits.neverEnds() || isVoid && isTail();
      boolean throwsOnly = !exits.returns() && !isVoid;
      if (!whole || throwsOnly || isInLambda()) {
        throw ExtractMethodChecks.leaves(trees, part);
      }
      return new Shape(
          isVoid && isTail() ? Shape.Result.NONE : Shape.Result.RETURNS, List.of(), given);
    }
    if (results.isEmpty()) {
      return new Shape(Shape.Result.NONE, List.of(), none);
    }
    results.forEach(locals::requireSetInTheEnd);
    if (results.size() > 1) {
      return new Shape(Shape.Result.SEVERAL, results, none);
    }
    VariableElement variable = results.get(0);
    return new Shape(
        locals.isOwn(variable) ? Shape.Result.DECLARES : Shape.Result.SETS,
        results,
        variable.asType());
  }

  private boolean isInLambda() {
    for (TreePath at = part.first(); at != method; at = at.getParentPath()) {
      if (at.getLeaf() instanceof LambdaExpressionTree) {
        return true;
      }
    }
    return false;
  }

  /** Whether nothing of the method comes behind the part. */
  private boolean isTail() {
    BlockTree body = ((MethodTree) method.getLeaf()).getBody();
    var last = part.trees().get(part.trees().size() - 1);
    return last.getParentPath().getLeaf() == body
        && body.getStatements().get(body.getStatements().size() - 1) == last.getLeaf();
  }

  /** Its jumps, where a call says whether it left by one. */
  List<TreePath> jumps() {
    return exits.jumps();
  }

  /** What such a call does behind it; empty text where no jump leads out of it. */
  String jump() {
    return exits.jumps().isEmpty()
        ? ""
        : source.slice(
            trees.start(exits.jumps().get(0).getLeaf()), trees.end(exits.jumps().get(0).getLeaf()));
  }

  /**
   * What the new method takes.
   *
   * @param apart whether it could stand elsewhere, where the variables around its class are unknown
   */
  List<VariableElement> parameters(Shape shape, boolean apart) {
    List<VariableElement> parameters = new ArrayList<>(locals.inputs());
    parameters.removeIf(each -> !apart && locals.isAroundClass(each));
    shape.variables().stream().filter(locals::isUnset).forEach(parameters::remove);
    return parameters;
  }

  boolean isStatic() {
    return trees.element(method).getModifiers().contains(Modifier.STATIC);
  }

  /**
   * Requires that it could run without an object of its class.
   *
   * @throws Refused where it needs its object
   */
  void requireStatic(Shape shape, List<VariableElement> parameters) {
    for (TreePath each : part.trees()) {
      Optional<TreePath> self = CodeElsewhere.instance(trees, each, false);
      if (self.isPresent()) {
        throw Refused.advising(
            RefusalKind.NEEDS_OWNER,
            "It cannot be static: it needs %s of its object.".formatted(self.get().getLeaf()),
            "Leave --static out.",
            trees.place(self.get().getLeaf()));
      }
    }
    if (isOfObject() || varies(shape, parameters)) {
      throw Refused.advising(
          RefusalKind.NEEDS_OWNER,
          "It cannot be static: %s.".formatted(whyNot()),
          "Leave --static out.",
          trees.source().place(part.start()));
    }
  }

  private String whyNot() {
    return isOfObject()
        ? "its class belongs to an object"
        : "it has a type that only its class knows";
  }

  /** Whether a type variable of its class is part of what it takes or gives. */
  private boolean varies(Shape shape, List<VariableElement> parameters) {
    return !WritableType.variables(shape.type()).isEmpty()
        || parameters.stream().anyMatch(each -> !WritableType.variables(each.asType()).isEmpty())
        || GivenField.types(trees, part).stream()
            .anyMatch(each -> !WritableType.variables(each).isEmpty());
  }

  /** Whether its class stands in an object of another, and so has no static members. */
  private boolean isOfObject() {
    return owner.element().getNestingKind().isNested()
        && !owner.element().getModifiers().contains(Modifier.STATIC)
        && owner.element().getKind().isClass()
        && trees.language() < 16;
  }

  /**
   * Why other classes could not run it: it needs its object, or what only its class knows; empty
   * where they could.
   */
  Optional<Refused> bound(Shape shape, List<VariableElement> parameters) {
    boolean given = GivenField.areSteady(trees, part);
    for (TreePath each : part.trees()) {
      Optional<TreePath> self = CodeElsewhere.instance(trees, each, given);
      if (self.isPresent()) {
        Tree leaf = self.get().getLeaf();
        return Optional.of(bound("it needs %s of its object".formatted(leaf), trees.place(leaf)));
      }
    }
    return isOfObject() || varies(shape, parameters)
        ? Optional.of(bound(whyNot(), trees.source().place(part.start())))
        : Optional.empty();
  }

  private static Refused bound(String why, String place) {
    return Refused.advising(
        RefusalKind.NEEDS_OWNER,
        "Other classes cannot call it: %s.".formatted(why),
        "Say --duplicates all for the places of its class.",
        place);
  }

  /**
   * Requires that a type can be written down where the new method stands.
   *
   * @param known the type variables of its own that the new method has
   * @throws Refused where it cannot
   */
  void requireWritable(TypeMirror type, List<TypeParameterElement> known) {
    UnitTrees trees = trees();
    Part part = part();
    Element method = trees.element(method());
    boolean ofMethod =
        WritableType.variables(type).stream()
            .anyMatch(each -> each.getGenericElement().equals(method) && !known.contains(each));
    boolean writable = type.getKind() == TypeKind.VOID || WritableType.is(type);
    if (ofMethod || !writable) {
      throw ExtractMethodChecks.alone(
          trees, part, "a value of it has the type %s, which is known there only".formatted(type));
    }
  }
}
