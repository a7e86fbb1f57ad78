package paredown.refactor.carry;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** The block that a lambda gets which only says an expression. */
public final class LambdaBlock {
  private final UnitTrees trees;
  private final TreePath body;
  private final String outer;
  private final String indent;

  private LambdaBlock(UnitTrees trees, TreePath body) {
    this.trees = trees;
    this.body = body;
    this.outer = trees.source().indentAt(trees.start(body.getParentPath().getLeaf()));
    OwnerClass around = OwnerClass.of(trees.program(), trees.classAround(body));
    this.indent = outer + Layout.of(around).unit();
  }

  /** The block of the innermost lambda around; empty where a place is in no expression of one. */
  public static Optional<LambdaBlock> around(UnitTrees trees, TreePath expression) {
    for (TreePath at = expression;
        at.getLeaf() instanceof ExpressionTree;
        at = at.getParentPath()) {
      if (at.getParentPath().getLeaf() instanceof LambdaExpressionTree lambda
          && lambda.getBody() == at.getLeaf()) {
        return Optional.of(new LambdaBlock(trees, at));
      }
    }
    return Optional.empty();
  }

  /** The expression of the lambda. */
  public TreePath body() {
    return body;
  }

  public int start() {
    return trees.start(body.getLeaf());
  }

  public int end() {
    return trees.end(body.getLeaf());
  }

  /** The indent of what stands within. */
  public String indent() {
    return indent;
  }

  /** Whether nobody gets a value from the lambda. */
  public boolean isVoid() {
    Program program = trees.program();
    return program.types().asElement(program.trees().getTypeMirror(body.getParentPath()))
            instanceof TypeElement type
        && ElementFilter.methodsIn(program.elements().getAllMembers(type)).stream()
            .filter(each -> each.getModifiers().contains(Modifier.ABSTRACT))
            .allMatch(each -> each.getReturnType().getKind() == TypeKind.VOID);
  }

  /** The expression as a statement, with some edits in it. */
  public List<Piece> said(List<Replacement> inside) {
    Indent deeper = new Indent(outer, indent);
    return List.of(
        Written.plain(isVoid() ? "" : "return "),
        new Carried(trees.path(), start(), end(), inside, deeper, null),
        Written.plain(";"));
  }

  /** Statements in braces, for the place of the expression. */
  public List<Piece> around(List<Piece> statements) {
    String end = trees.source().lineEnd();
    List<Piece> pieces = new ArrayList<>();
    pieces.add(Written.plain("{" + end + indent));
    pieces.addAll(statements);
    pieces.add(Written.plain(end + outer + "}"));
    return pieces;
  }
}
