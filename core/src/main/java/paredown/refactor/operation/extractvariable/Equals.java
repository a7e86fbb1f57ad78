package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.text.Token;

/** The places in code where an expression stands again, with the same words and meanings. */
final class Equals {
  private final UnitTrees trees;
  private final TreePath expression;
  private final List<String> words;
  private final List<String> meanings;

  Equals(UnitTrees trees, TreePath expression) {
    this.trees = trees;
    this.expression = expression;
    this.words = words(expression.getLeaf());
    this.meanings = meanings(expression.getLeaf());
  }

  /** All of them in the order in which they stand, the expression itself among them. */
  List<TreePath> in(TreePath code) {
    List<TreePath> found = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree instanceof ExpressionTree && tree.getKind() == expression.getLeaf().getKind()) {
          TreePath path = new TreePath(getCurrentPath(), tree);
          if (isSame(path)) {
            found.add(path);
            return null;
          }
        }
        return super.scan(tree, null);
      }
    }.scan(code, null);
    return found;
  }

  private boolean isSame(TreePath path) {
    return path.getLeaf() == expression.getLeaf()
        || Values.isOne(trees, path)
            && words(path.getLeaf()).equals(words)
            && meanings(path.getLeaf()).equals(meanings)
            && type(path).equals(type(expression));
  }

  private String type(TreePath path) {
    return trees.program().symbols().text(trees.program().trees().getTypeMirror(path));
  }

  private List<String> words(Tree tree) {
    List<String> words = new ArrayList<>();
    int end = trees.end(tree);
    List<Token> tokens = trees.source().tokens();
    for (int i = trees.source().tokenAt(trees.start(tree)); i < tokens.size(); i++) {
      Token token = tokens.get(i);
      if (token.start() >= end) {
        break;
      }
      if (!token.kind().isComment()) {
        words.add(trees.source().slice(token.start(), token.end()));
      }
    }
    return words;
  }

  private List<String> meanings(Tree tree) {
    return trees.program().uses().within(trees.path(), trees.start(tree), trees.end(tree)).stream()
        .map(use -> use.kind() + " " + use.key() + " " + use.type())
        .toList();
  }
}
