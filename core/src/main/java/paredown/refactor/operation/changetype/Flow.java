package paredown.refactor.operation.changetype;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;

/** Where the value of an expression goes that has the new type. */
final class Flow {
  private final Program program;
  private final Exchange exchange;

  Flow(Program program, Exchange exchange) {
    this.program = program;
    this.exchange = exchange;
  }

  /**
   * Where a value goes.
   *
   * @param grown what stands around it and has the new type with it, from the inside out
   * @param into the variable or method that takes it, if it has the new type, too; null for none
   * @param asked the methods that stand for those that are asked of it, or called with it, by the
   *     expressions that name these
   * @param stays whether what stands there takes the new type as it is
   */
  record Sink(
      List<TreePath> grown,
      Element into,
      Map<ExpressionTree, ExecutableElement> asked,
      boolean stays) {}

  /** Where the value of an expression goes. */
  Sink of(UnitTrees trees, TreePath expression) {
    List<TreePath> grown = new ArrayList<>();
    Map<ExpressionTree, ExecutableElement> asked = new LinkedHashMap<>();
    TreePath at = expression;
    while (true) {
      TreePath around = at.getParentPath();
      Tree tree = around.getLeaf();
      Tree part = at.getLeaf();
      Optional<ExecutableElement> other = overload(trees, around, part);
      other.ifPresent(each -> asked.put(((MethodInvocationTree) tree).getMethodSelect(), each));
      boolean gives = other.filter(each -> isNew(each.getReturnType())).isPresent();
      if (other.isPresent() && !gives) {
        return new Sink(grown, null, asked, true);
      }
      if (!gives && !(tree instanceof ParenthesizedTree) && !exchange.grows(trees, around, part)) {
        Sink end = end(trees, around, part, grown);
        end.asked().forEach(asked::put);
        return new Sink(
            end.grown(), end.into(), end.grown() == grown ? asked : Map.of(), end.stays());
      }
      grown.add(around);
      at = around;
    }
  }

  private boolean isNew(TypeMirror type) {
    return program.types().isSameType(type, exchange.to());
  }

  /** The method that does with the new type what the one that is called did with the old. */
  private Optional<ExecutableElement> overload(UnitTrees trees, TreePath call, Tree part) {
    return call.getLeaf() instanceof MethodInvocationTree tree
            && tree.getArguments().contains(part)
            && trees.element(call) instanceof ExecutableElement called
            && !program.declares((TypeElement) called.getEnclosingElement())
        ? exchange.overload(called)
        : Optional.empty();
  }

  private Sink end(UnitTrees trees, TreePath around, Tree part, List<TreePath> grown) {
    Tree tree = around.getLeaf();
    if (tree instanceof ExpressionStatementTree || exchange.stays(trees, around, part)) {
      return new Sink(grown, null, Map.of(), true);
    }
    if (tree instanceof AssignmentTree set && set.getExpression() == part) {
      TreePath variable = new TreePath(around, set.getVariable());
      return into(grown, trees.element(variable), program.trees().getTypeMirror(variable));
    }
    if (tree instanceof VariableTree declared && declared.getInitializer() == part) {
      Element variable = trees.element(around);
      return into(grown, variable, variable == null ? null : variable.asType());
    }
    if (tree instanceof ReturnTree) {
      return method(around)
          .map(method -> into(grown, method, method.getReturnType()))
          .orElse(back());
    }
    if (tree instanceof MethodInvocationTree call && call.getArguments().contains(part)) {
      return argument(trees, around, call.getArguments().indexOf(part), grown);
    }
    if (tree instanceof NewClassTree made && made.getArguments().contains(part)) {
      return argument(trees, around, made.getArguments().indexOf(part), grown);
    }
    if (tree instanceof MemberSelectTree select && select.getExpression() == part) {
      Optional<ExecutableElement> same = exchange.member(trees.element(around));
      return same.map(each -> new Sink(grown, null, Map.of(select, each), true)).orElse(back());
    }
    return tree instanceof LambdaExpressionTree && givesNothing(around)
        ? new Sink(grown, null, Map.of(), true)
        : back();
  }

  /** Whether a lambda stands for a method that gives nothing. */
  private boolean givesNothing(TreePath lambda) {
    return program.trees().getTypeMirror(lambda) instanceof DeclaredType type
        && ElementFilter.methodsIn(program.elements().getAllMembers((TypeElement) type.asElement()))
            .stream()
            .filter(each -> each.getModifiers().contains(Modifier.ABSTRACT))
            .allMatch(each -> each.getReturnType().getKind() == TypeKind.VOID);
  }

  private static Sink back() {
    return new Sink(List.of(), null, Map.of(), false);
  }

  private Sink into(List<TreePath> grown, Element target, TypeMirror type) {
    if (type != null && exchange.fits(type)) {
      return new Sink(grown, target, Map.of(), true);
    }
    return type != null && target != null && program.types().isSameType(type, exchange.from())
        ? new Sink(grown, target, Map.of(), false)
        : back();
  }

  /** The method whose result a statement gives; empty where that is a lambda's. */
  private Optional<ExecutableElement> method(TreePath statement) {
    for (TreePath at = statement; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof LambdaExpressionTree) {
        return Optional.empty();
      }
      if (at.getLeaf() instanceof MethodTree) {
        return Optional.ofNullable((ExecutableElement) program.trees().getElement(at));
      }
    }
    return Optional.empty();
  }

  private Sink argument(UnitTrees trees, TreePath call, int index, List<TreePath> grown) {
    if (!(trees.element(call) instanceof ExecutableElement called)
        || called.isVarArgs()
        || index >= called.getParameters().size()) {
      return back();
    }
    VariableElement parameter = called.getParameters().get(index);
    boolean chosen = exchange.fits(parameterType(call, called, index)) && isAlone(called);
    boolean given =
        !called.getTypeParameters().isEmpty()
            && called.getTypeParameters().stream()
                .anyMatch(each -> each.asType().equals(called.getReturnType()));
    if (chosen && !given) {
      return new Sink(grown, parameter, Map.of(), true);
    }
    boolean own =
        program.declares((TypeElement) called.getEnclosingElement())
            && program.types().isSameType(parameter.asType(), exchange.from());
    return own ? new Sink(grown, parameter, Map.of(), false) : back();
  }

  /** The type of a parameter as the call sees it. */
  private TypeMirror parameterType(TreePath call, ExecutableElement called, int index) {
    if (call.getLeaf() instanceof MethodInvocationTree tree
        && program.trees().getTypeMirror(new TreePath(call, tree.getMethodSelect()))
            instanceof ExecutableType type) {
      return type.getParameterTypes().get(index);
    }
    return called.getParameters().get(index).asType();
  }

  /** Whether a call with another argument could choose no other method. */
  private boolean isAlone(ExecutableElement called) {
    TypeElement type = (TypeElement) called.getEnclosingElement();
    return program.elements().getAllMembers(type).stream()
            .filter(ExecutableElement.class::isInstance)
            .map(ExecutableElement.class::cast)
            .filter(each -> each.getSimpleName().equals(called.getSimpleName()))
            .filter(
                each ->
                    each.isVarArgs()
                        || each.getParameters().size() == called.getParameters().size())
            .count()
        == 1;
  }

  /** The arguments that a call gives, be it of a method or a constructor. */
  static List<? extends ExpressionTree> arguments(Tree call) {
    return call instanceof MethodInvocationTree method
        ? method.getArguments()
        : call instanceof NewClassTree made ? made.getArguments() : List.of();
  }
}
