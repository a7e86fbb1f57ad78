package paredown.refactor.operation.changetype;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;

/**
 * A number of a wider type, which holds all that the old one did.
 *
 * <p>The Java Language Specification, section 5.1.2, and 5.6 for what operators make of it.
 */
record WiderNumber(Program program, TypeMirror from, TypeMirror to) implements Exchange {
  private static final List<TypeKind> WIDTH =
      List.of(
          TypeKind.BYTE,
          TypeKind.SHORT,
          TypeKind.CHAR,
          TypeKind.INT,
          TypeKind.LONG,
          TypeKind.FLOAT,
          TypeKind.DOUBLE);

  private static final Set<Tree.Kind> SUMS =
      Set.of(Tree.Kind.PLUS, Tree.Kind.MINUS, Tree.Kind.MULTIPLY);

  private static final Set<Tree.Kind> WHOLE =
      Set.of(Tree.Kind.DIVIDE, Tree.Kind.REMAINDER, Tree.Kind.AND, Tree.Kind.OR, Tree.Kind.XOR);

  private static final Set<Tree.Kind> SHIFTS =
      Set.of(Tree.Kind.LEFT_SHIFT, Tree.Kind.RIGHT_SHIFT, Tree.Kind.UNSIGNED_RIGHT_SHIFT);

  private static final Set<Tree.Kind> COMPARISONS =
      Set.of(
          Tree.Kind.EQUAL_TO,
          Tree.Kind.NOT_EQUAL_TO,
          Tree.Kind.LESS_THAN,
          Tree.Kind.LESS_THAN_EQUAL,
          Tree.Kind.GREATER_THAN,
          Tree.Kind.GREATER_THAN_EQUAL);

  /** What makes text of its one argument. */
  private static final Set<String> SHOWING =
      Set.of(
          "java.io.PrintStream.print",
          "java.io.PrintStream.println",
          "java.io.PrintWriter.print",
          "java.io.PrintWriter.println",
          "java.lang.String.valueOf",
          "java.lang.StringBuilder.append",
          "java.lang.StringBuffer.append");

  /** What gives one of its arguments, or that without its sign. */
  private static final Set<String> WORKING =
      Set.of("java.lang.Math.max", "java.lang.Math.min", "java.lang.Math.abs");

  /** Whether a number of one type can be one of another; {@code float} holds too few whole ones. */
  static boolean is(Program program, TypeMirror from, TypeMirror to) {
    boolean numbers = WIDTH.contains(from.getKind()) && WIDTH.contains(to.getKind());
    return numbers
        && !program.types().isSameType(from, to)
        && program.types().isSubtype(from, to)
        && !(to.getKind() == TypeKind.FLOAT && isWhole(from.getKind()));
  }

  private static boolean isWhole(TypeKind kind) {
    return kind != TypeKind.FLOAT && kind != TypeKind.DOUBLE;
  }

  private boolean staysWhole() {
    return isWhole(to.getKind());
  }

  /** Whether the old type shows as text what the new one does. */
  private boolean showsAlike() {
    return staysWhole() && from.getKind() != TypeKind.CHAR;
  }

  /** Numbers that are meant to go beyond their type, and begin again at its other end. */
  private static final Pattern ROUND =
      Pattern.compile("(?i).*(?:hash|crc|check_?sum|digest|seed|random).*", Pattern.DOTALL);

  private static boolean goesRound(TreePath path) {
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      Tree tree = at.getLeaf();
      String name =
          tree instanceof VariableTree variable
              ? variable.getName().toString()
              : tree instanceof AssignmentTree set
                  ? set.getVariable().toString()
                  : tree instanceof MethodTree method ? method.getName().toString() : "";
      if (ROUND.matcher(name).matches()) {
        return true;
      }
    }
    return false;
  }

  @Override
  public boolean grows(UnitTrees trees, TreePath around, Tree part) {
    Tree tree = around.getLeaf();
    boolean same =
        tree instanceof ConditionalExpressionTree
            || number(typeOf(around)) == promoted(from.getKind());
    if (goesRound(around) || !same) {
      return false;
    }
    if (tree instanceof ConditionalExpressionTree either) {
      Tree other =
          either.getTrueExpression() == part
              ? either.getFalseExpression()
              : either.getTrueExpression();
      return either.getCondition() != part
          && isExact(typeOf(new TreePath(around, other)))
          && becomes(trees, around, other) == to.getKind();
    }
    if (tree instanceof UnaryTree unary) {
      boolean sign =
          unary.getKind() == Tree.Kind.UNARY_MINUS || unary.getKind() == Tree.Kind.UNARY_PLUS;
      boolean turned = unary.getKind() == Tree.Kind.BITWISE_COMPLEMENT && staysWhole();
      return (sign || turned) && promoted(to.getKind()) == to.getKind();
    }
    return tree instanceof BinaryTree binary
        && isKept(binary.getKind())
        && becomes(trees, around, other(binary, part)) == to.getKind();
  }

  private static Tree other(BinaryTree binary, Tree part) {
    return binary.getLeftOperand() == part ? binary.getRightOperand() : binary.getLeftOperand();
  }

  /** A float takes what is whole less exactly than a double does, so that results would differ. */
  private boolean isExact(TypeMirror other) {
    return number(other) != TypeKind.FLOAT
        || to.getKind() != TypeKind.DOUBLE
        || !isWhole(from.getKind());
  }

  /** Whether an operator works out the same with both types. */
  private boolean isKept(Tree.Kind operator) {
    return SUMS.contains(operator) || WHOLE.contains(operator) && staysWhole();
  }

  /** The type that an expression of the new type and another has; null where it is no number. */
  private TypeKind becomes(UnitTrees trees, TreePath around, Tree other) {
    TypeKind kind = number(program.trees().getTypeMirror(new TreePath(around, other)));
    if (kind == null) {
      return null;
    }
    TypeKind one = promoted(kind);
    TypeKind two = promoted(to.getKind());
    return WIDTH.indexOf(one) > WIDTH.indexOf(two) ? one : two;
  }

  private static TypeKind promoted(TypeKind kind) {
    return WIDTH.indexOf(kind) < WIDTH.indexOf(TypeKind.INT) ? TypeKind.INT : kind;
  }

  private TypeKind number(TypeMirror type) {
    if (type == null) {
      return null;
    }
    TypeMirror plain = type;
    if (type.getKind() == TypeKind.DECLARED) {
      try {
        plain = program.types().unboxedType(type);
      } catch (IllegalArgumentException none) {
        return null;
      }
    }
    return WIDTH.contains(plain.getKind()) ? plain.getKind() : null;
  }

  @Override
  public boolean stays(UnitTrees trees, TreePath around, Tree part) {
    Tree tree = around.getLeaf();
    if (tree instanceof BinaryTree binary) {
      Tree other = other(binary, part);
      if (isText(around)) {
        return showsAlike();
      }
      if (SHIFTS.contains(binary.getKind())) {
        return binary.getRightOperand() == part && staysWhole();
      }
      TypeKind with = becomes(trees, around, other);
      return with != null
          && isExact(typeOf(new TreePath(around, other)))
          && (COMPARISONS.contains(binary.getKind())
              || isKept(binary.getKind()) && with == number(typeOf(around)));
    }
    if (tree instanceof CompoundAssignmentTree count && count.getExpression() == part) {
      TypeMirror counted = typeOf(new TreePath(around, count.getVariable()));
      return number(counted) == null
          ? showsAlike() && count.getKind() == Tree.Kind.PLUS_ASSIGNMENT
          : isKept(operator(count.getKind())) && isExact(counted);
    }
    if (tree instanceof ConditionalExpressionTree either && either.getCondition() != part) {
      Tree other =
          either.getTrueExpression() == part
              ? either.getFalseExpression()
              : either.getTrueExpression();
      TypeKind with = becomes(trees, around, other);
      return with != null && with == number(typeOf(around));
    }
    return tree instanceof TypeCastTree cast
        && typeOf(new TreePath(around, cast.getType())).getKind().isPrimitive();
  }

  private TypeMirror typeOf(TreePath path) {
    return program.trees().getTypeMirror(path);
  }

  private boolean isText(TreePath path) {
    TypeMirror type = typeOf(path);
    return type != null && type.getKind() == TypeKind.DECLARED;
  }

  /** The operator of a counting assignment. */
  private static Tree.Kind operator(Tree.Kind assignment) {
    return Tree.Kind.valueOf(assignment.name().replace("_ASSIGNMENT", ""));
  }

  @Override
  public boolean fits(TypeMirror variable) {
    return variable.getKind().isPrimitive() && program.types().isAssignable(to, variable);
  }

  @Override
  public Optional<ExecutableElement> overload(ExecutableElement called) {
    TypeElement type = (TypeElement) called.getEnclosingElement();
    String name = type.getQualifiedName() + "." + called.getSimpleName();
    boolean shown = SHOWING.contains(name) && showsAlike();
    boolean worked = WORKING.contains(name);
    if (!shown && !worked) {
      return Optional.empty();
    }
    return ElementFilter.methodsIn(type.getEnclosedElements()).stream()
        .filter(each -> each.getSimpleName().equals(called.getSimpleName()))
        .filter(each -> each.getParameters().size() == called.getParameters().size())
        .filter(
            each ->
                each.getParameters().stream()
                    .allMatch(one -> program.types().isSameType(one.asType(), to)))
        .findFirst();
  }

  @Override
  public boolean counts(Tree.Kind operator, TypeMirror by) {
    TypeKind kind = by == null ? from.getKind() : number(by);
    boolean counted = by == null || isKept(operator(operator));
    return kind != null && counted && (!isWhole(from.getKind()) || isWhole(kind));
  }

  @Override
  public List<Assumption> assumed(String what, boolean counted, String place) {
    boolean rounds = from.getKind() == TypeKind.FLOAT;
    boolean loses = from.getKind() == TypeKind.LONG && to.getKind() == TypeKind.DOUBLE;
    if (!counted && !loses) {
      return List.of();
    }
    String sentence =
        rounds
            ? "nothing rests on %s being rounded as a float is"
            : loses
                ? "%s is never beyond the whole numbers that a double holds, 2 to the power of 53"
                : "neither %s nor what is worked out with it goes beyond what the type "
                    + from
                    + " holds";
    return List.of(new Assumption(Assumption.Kind.RANGE, sentence.formatted(what), place));
  }
}
