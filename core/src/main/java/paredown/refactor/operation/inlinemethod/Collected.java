package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.OwnerClass;

/**
 * What a call gives to a last parameter that collects several values in an array: the values are
 * passed on one by one, where the code of the method passes the array on.
 *
 * <p>The Java Language Specification, section 15.12.4.2.
 *
 * @param index of the parameter
 * @param name of the parameter
 * @param type of each value
 * @param values as the call gives them, which may be none
 * @param uses where the code names the parameter
 */
record Collected(
    int index, String name, TypeMirror type, List<TreePath> values, List<TreePath> uses) {

  /**
   * What a call gives so; empty where it gives an array as it is, or the method collects nothing.
   *
   * @param written the variables that the code of the method sets
   * @throws Refused where the code does more with the array than pass it on
   */
  static Optional<Collected> of(
      OwnerClass.Method method, Call call, BodyNames names, Set<Element> written) {
    Program program = call.trees().program();
    List<? extends VariableElement> parameters = method.element().getParameters();
    if (!isCollecting(program, method.element(), call)) {
      return Optional.empty();
    }
    int index = parameters.size() - 1;
    VariableElement parameter = parameters.get(index);
    List<TreePath> uses = names.uses(parameter);
    boolean passed =
        !written.contains(parameter)
            && uses.stream().allMatch(use -> isPassedOn(program, use, parameter.asType()));
    if (!passed) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The last parameter collects its values in an array, and the code does more than pass it on.",
          "Write the array in the call first.",
          call.place());
    }
    return Optional.of(
        new Collected(
            index,
            parameter.getSimpleName().toString(),
            ((ArrayType) parameter.asType()).getComponentType(),
            IntStream.range(index, call.arguments().size()).mapToObj(call::argument).toList(),
            uses));
  }

  private static boolean isCollecting(Program program, ExecutableElement method, Call call) {
    int count = method.getParameters().size();
    if (!method.isVarArgs() || count != call.arguments().size()) {
      return method.isVarArgs();
    }
    TypeMirror given = program.trees().getTypeMirror(call.argument(count - 1));
    TypeMirror array = program.types().erasure(method.getParameters().get(count - 1).asType());
    return given != null
        && given.getKind() != TypeKind.NULL
        && !program.types().isSubtype(program.types().erasure(given), array);
  }

  /** Whether a use is all that is given to a parameter which collects values of the same type. */
  private static boolean isPassedOn(Program program, TreePath use, TypeMirror array) {
    Tree around = use.getParentPath().getLeaf();
    List<? extends ExpressionTree> given = given(around);
    if (!(program.trees().getElement(use.getParentPath()) instanceof ExecutableElement taken)
        || !taken.isVarArgs()
        || given.size() != taken.getParameters().size()
        || given.get(given.size() - 1) != use.getLeaf()) {
      return false;
    }
    TypeMirror last = taken.getParameters().get(given.size() - 1).asType();
    return program.types().isSameType(last, array);
  }

  /** What a call or a creation is given; nothing for other code. */
  static List<? extends ExpressionTree> given(Tree tree) {
    return tree instanceof MethodInvocationTree asked
        ? asked.getArguments()
        : tree instanceof NewClassTree made ? made.getArguments() : List.of();
  }
}
