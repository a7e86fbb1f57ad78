package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.edit.Carried;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Part;
import paredown.refactor.code.Place;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;

/**
 * An expression whose value gets a name.
 *
 * @param path of the expression, without brackets around it
 */
record Extracted(UnitTrees trees, TreePath path) {

  /**
   * The expression in a place.
   *
   * @throws UnusableRequest where there is none
   * @throws Refused where it is no value
   */
  static Extracted of(UnitTrees trees, Place place) {
    Part part = place.part(trees);
    TreePath path = part.first();
    if (part.trees().size() == 1 && path.getLeaf() instanceof ExpressionStatementTree statement) {
      throw Refused.advising(
          RefusalKind.NO_VALUE,
          "Nothing uses what the statement gives.",
          "Choose an expression whose value is used.",
          trees.place(statement));
    }
    if (!part.isExpression()) {
      throw new UnusableRequest(
          place + " holds statements, not an expression.",
          "Give the line and the columns of an expression, Sailing:12:9-12:30 for example.");
    }
    while (path.getLeaf() instanceof ParenthesizedTree brackets) {
      path = new TreePath(path, brackets.getExpression());
    }
    if (!Values.isOne(trees, path)) {
      throw Refused.advising(
          RefusalKind.NO_VALUE,
          "It is no value that could have a name.",
          "Choose an expression whose value is used.",
          trees.place(path.getLeaf()));
    }
    return new Extracted(trees, path);
  }

  Program program() {
    return trees.program();
  }

  ExpressionTree tree() {
    return (ExpressionTree) path.getLeaf();
  }

  TypeMirror type() {
    return program().trees().getTypeMirror(path);
  }

  String text() {
    return trees.source().slice(trees.start(tree()), trees.end(tree()));
  }

  /** The local variables that it names. */
  List<Element> locals() {
    List<Element> locals = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = trees.element(getCurrentPath());
        if (element != null && Symbols.isLocal(element)) {
          locals.add(element);
        }
        return null;
      }
    }.scan(path, null);
    return locals;
  }

  Carried carried() {
    return Carried.range(trees.path(), trees.start(tree()), trees.end(tree()));
  }

  /** Puts a name in the place of an expression that is equal, and of brackets around it. */
  Replacement named(TreePath equal, Written name) {
    TreePath whole = equal;
    while (whole.getParentPath().getLeaf() instanceof ParenthesizedTree
        && !Values.isHead(whole.getParentPath().getParentPath().getLeaf())) {
      whole = whole.getParentPath();
    }
    boolean here = equal.getLeaf() == tree();
    int start = trees.start(whole.getLeaf());
    int end = trees.end(whole.getLeaf());
    return Rewriting.of(
            trees,
            start,
            end,
            "the name stands there",
            List.of(name),
            here ? List.of(carried()) : List.of())
        .proving("it has the value of the name");
  }
}
