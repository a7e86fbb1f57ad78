package paredown.refactor.operation.inlinemethod;

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

/** The block that a lambda gets whose expression the call stands in. */
final class LambdaBlock {
  private final SiteCode code;
  private final TreePath body;
  private final String outer;
  private final String indent;

  private LambdaBlock(SiteCode code, TreePath body) {
    this.code = code;
    this.body = body;
    UnitTrees trees = code.call().trees();
    this.outer = code.source().indentAt(trees.start(body.getParentPath().getLeaf()));
    this.indent = outer + code.unit();
  }

  /** The block; empty where a call stands in no expression of a lambda. */
  static Optional<LambdaBlock> of(SiteCode code) {
    for (TreePath at = code.call().path();
        at.getLeaf() instanceof ExpressionTree;
        at = at.getParentPath()) {
      if (at.getParentPath().getLeaf() instanceof LambdaExpressionTree lambda
          && lambda.getBody() == at.getLeaf()) {
        return Optional.of(new LambdaBlock(code, at));
      }
    }
    return Optional.empty();
  }

  /** The expression of the lambda. */
  TreePath body() {
    return body;
  }

  /** The indent of what stands within. */
  String indent() {
    return indent;
  }

  /** Whether the expression is the call, and nothing else. */
  boolean isCall() {
    return body.getLeaf() == code.call().tree();
  }

  /** Whether nobody gets a value from the lambda. */
  boolean isVoid() {
    Program program = code.call().trees().program();
    TreePath lambda = body.getParentPath();
    return program.types().asElement(program.trees().getTypeMirror(lambda))
            instanceof TypeElement type
        && ElementFilter.methodsIn(program.elements().getAllMembers(type)).stream()
            .filter(each -> each.getModifiers().contains(Modifier.ABSTRACT))
            .allMatch(each -> each.getReturnType().getKind() == TypeKind.VOID);
  }

  /** The expression, with what the method gives in the place of the call. */
  List<Piece> said(List<Piece> result) {
    UnitTrees trees = code.call().trees();
    Replacement given = code.replacement(code.call().start(), code.call().end(), result);
    List<Piece> pieces = new ArrayList<>();
    pieces.add(Written.plain(isVoid() ? "" : "return "));
    pieces.add(
        new Carried(
            trees.path(),
            trees.start(body.getLeaf()),
            trees.end(body.getLeaf()),
            List.of(given),
            new Indent(outer, indent),
            null));
    pieces.add(Written.plain(";"));
    return pieces;
  }

  /** Pieces in braces in the place of the expression. */
  Replacement around(List<Piece> statements) {
    UnitTrees trees = code.call().trees();
    String end = code.source().lineEnd();
    List<Piece> pieces = new ArrayList<>();
    pieces.add(Written.plain("{" + end + indent));
    pieces.addAll(statements);
    pieces.add(Written.plain(end + outer + "}"));
    return code.replacement(trees.start(body.getLeaf()), trees.end(body.getLeaf()), pieces);
  }
}
