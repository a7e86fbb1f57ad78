package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Returns;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;
import paredown.text.Token;
import paredown.text.TokenKind;

/**
 * The body of a method as it can stand elsewhere: statements, and what it gives behind them.
 *
 * @param path of its block
 * @param statements those before the result
 * @param result what is returned at the end; null where nothing is
 * @param early a return in its middle; null where there is none
 */
record Body(
    UnitTrees trees, TreePath path, List<TreePath> statements, TreePath result, TreePath early) {

  /** The body of a method. */
  static Body of(OwnerClass owner, OwnerClass.Method method) {
    UnitTrees trees = owner.trees();
    TreePath path = new TreePath(method.path(), method.tree().getBody());
    List<TreePath> statements = new ArrayList<>();
    for (StatementTree each : ((BlockTree) path.getLeaf()).getStatements()) {
      statements.add(new TreePath(path, each));
    }
    TreePath result = null;
    TreePath last = statements.isEmpty() ? null : statements.get(statements.size() - 1);
    if (last != null && last.getLeaf() instanceof ReturnTree end) {
      statements.remove(last);
      result = end.getExpression() == null ? null : new TreePath(last, end.getExpression());
    }
    TreePath end = last;
    TreePath early =
        Returns.in(path).stream()
            .filter(each -> end == null || each.getLeaf() != end.getLeaf())
            .findFirst()
            .orElse(null);
    return new Body(trees, path, List.copyOf(statements), result, early);
  }

  /** Whether it gives nothing since it always fails. */
  boolean throwsAtEnd() {
    return !statements.isEmpty()
        && statements.get(statements.size() - 1).getLeaf() instanceof ThrowTree;
  }

  /** The one expression that it is: what it returns, or the one thing that it does. */
  Optional<TreePath> expression() {
    if (statements.isEmpty()) {
      return Optional.ofNullable(result);
    }
    return result == null
            && statements.size() == 1
            && statements.get(0).getLeaf() instanceof ExpressionStatementTree only
        ? Optional.of(new TreePath(statements.get(0), only.getExpression()))
        : Optional.empty();
  }

  /** Where its statements begin, with the comments in front of the first. */
  int start() {
    int open = trees.start(path.getLeaf()) + 1;
    Token first = trees.source().tokens().get(trees.source().tokenAt(open));
    return first.start();
  }

  /** Where its statements end, with the comments behind the last. */
  int end() {
    int end = statements.isEmpty() ? start() : end(statements.get(statements.size() - 1).getLeaf());
    return endOfComments(end);
  }

  /** Whether an end is that of a comment which goes on to the end of its line. */
  boolean isLineComment(int end) {
    Token last = trees.source().tokens().get(trees.source().tokenAt(end) - 1);
    return last.end() == end && last.kind() == TokenKind.LINE_COMMENT;
  }

  /** Whether it has comments beside what stands in its statements, or in front of what it gives. */
  boolean isCommented() {
    boolean before = !statements.isEmpty() && trees.start(statements.get(0).getLeaf()) > start();
    int end =
        statements.isEmpty() ? start() : trees.end(statements.get(statements.size() - 1).getLeaf());
    return before || end() > end;
  }

  /** Where the last comment in front of the result ends, or of the end; else the same offset. */
  private int endOfComments(int from) {
    int last = from;
    int limit =
        result == null
            ? trees.end(path.getLeaf()) - 1
            : trees.start(result.getParentPath().getLeaf());
    List<Token> tokens = trees.source().tokens();
    for (int i = trees.source().tokenAt(from); tokens.get(i).start() < limit; i++) {
      last = tokens.get(i).kind().isComment() ? Math.max(last, tokens.get(i).end()) : last;
    }
    return last;
  }

  /** Where all of it ends, a return with it. */
  int wholeEnd() {
    List<? extends StatementTree> all = ((BlockTree) path.getLeaf()).getStatements();
    int end = end(all.get(all.size() - 1));
    return result == null ? Math.max(end, endOfComments(end)) : end;
  }

  /** Where a statement ends, with a comment behind it in its line. */
  int end(Tree last) {
    int end = trees.end(last);
    String rest = trees.source().slice(end, trees.source().nextLine(end - 1)).stripTrailing();
    return rest.strip().startsWith("//") ? end + rest.length() : end;
  }

  /**
   * Requires that no comment would be lost.
   *
   * @param carried the ranges that are carried, each by its start and end
   * @throws Refused where one would be
   */
  void requireNoCommentBeside(List<int[]> carried) {
    int end = trees.end(path.getLeaf());
    List<Token> tokens = trees.source().tokens();
    for (int i = trees.source().tokenAt(trees.start(path.getLeaf())); i < tokens.size(); i++) {
      Token token = tokens.get(i);
      if (token.start() >= end) {
        return;
      }
      boolean kept =
          carried.stream().anyMatch(each -> each[0] <= token.start() && token.end() <= each[1]);
      if (token.kind().isComment() && !kept) {
        throw Refused.advising(
            RefusalKind.CALL_SHAPE,
            "A comment stands within what would be rewritten.",
            "Move it above the method or out of the body first.",
            trees.source().place(token.start()));
      }
    }
  }
}
