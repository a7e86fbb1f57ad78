package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.UnitTrees;

/**
 * A method that gives one value or another, by conditions that it looks at first of all: as an
 * expression it is {@code condition ? value : other}.
 *
 * @param conditions in their order
 * @param values one for each condition, and the last one
 */
record Choice(UnitTrees trees, List<TreePath> conditions, List<TreePath> values) {
  /** More conditions than that are no pleasure to read in one expression. */
  private static final int MOST = 2;

  /** The choice that a body is; empty where it is none. */
  static Optional<Choice> of(Body body) {
    List<TreePath> conditions = new ArrayList<>();
    List<TreePath> values = new ArrayList<>();
    for (TreePath each : body.statements()) {
      TreePath value = value(each);
      if (value != null) {
        TreePath brackets = new TreePath(each, ((IfTree) each.getLeaf()).getCondition());
        ParenthesizedTree condition = (ParenthesizedTree) brackets.getLeaf();
        conditions.add(new TreePath(brackets, condition.getExpression()));
        values.add(value);
      }
    }
    boolean all = conditions.size() == body.statements().size() && body.result() != null;
    if (!all || conditions.isEmpty() || conditions.size() > MOST) {
      return Optional.empty();
    }
    values.add(body.result());
    Choice choice = new Choice(body.trees(), conditions, values);
    return Optional.of(choice).filter(each -> each.isOfOneType(body.path().getParentPath()));
  }

  /** What {@code if (…) return value;} gives; null for other statements. */
  private static TreePath value(TreePath statement) {
    if (!(statement.getLeaf() instanceof IfTree guard) || guard.getElseStatement() != null) {
      return null;
    }
    TreePath then = new TreePath(statement, guard.getThenStatement());
    if (then.getLeaf() instanceof BlockTree block && block.getStatements().size() == 1) {
      then = new TreePath(then, block.getStatements().get(0));
    }
    return then.getLeaf() instanceof ReturnTree end && end.getExpression() != null
        ? new TreePath(then, end.getExpression())
        : null;
  }

  /** Whether all values have the type that the method gives, so that their choice has it, too. */
  private boolean isOfOneType(TreePath method) {
    Tree written = ((MethodTree) method.getLeaf()).getReturnType();
    TypeMirror declared = type(new TreePath(method, written));
    var types = trees.program().types();
    List<TypeMirror> given =
        values.stream()
            .map(this::type)
            .filter(each -> each == null || each.getKind() != TypeKind.NULL)
            .toList();
    boolean nothing = given.size() < values.size();
    return !given.isEmpty()
        && given.stream().allMatch(each -> each != null && types.isSameType(each, declared))
        && !(nothing && declared.getKind().isPrimitive());
  }

  private TypeMirror type(TreePath path) {
    return trees.program().trees().getTypeMirror(path);
  }

  /**
   * The pieces that take the place of a call.
   *
   * @param code the pieces of a condition or value, as it stands there
   */
  List<Piece> at(TreePath call, Function<Tree, Piece> code) {
    List<Piece> pieces = new ArrayList<>();
    boolean around = Brackets.areNeededAroundChoice(call);
    pieces.add(Written.plain(around ? "(" : ""));
    for (int i = 0; i < conditions.size(); i++) {
      TreePath condition = conditions.get(i);
      add(pieces, code.apply(tree(condition)), Brackets.areNeededAsCondition(tree(condition)));
      pieces.add(Written.plain(" ? "));
      pieces.add(code.apply(tree(values.get(i))));
      pieces.add(Written.plain(" : "));
    }
    TreePath last = values.get(conditions.size());
    add(pieces, code.apply(tree(last)), Brackets.areNeededAsLastChoice(tree(last)));
    pieces.add(Written.plain(around ? ")" : ""));
    return pieces;
  }

  private static void add(List<Piece> pieces, Piece code, boolean brackets) {
    pieces.add(Written.plain(brackets ? "(" : ""));
    pieces.add(code);
    pieces.add(Written.plain(brackets ? ")" : ""));
  }

  private static ExpressionTree tree(TreePath path) {
    return (ExpressionTree) path.getLeaf();
  }
}
