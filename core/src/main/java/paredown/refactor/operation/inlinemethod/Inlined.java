package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.LambdaBlock;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.text.SourceText;

/** The code of a method in the place of one call: an expression, or statements in front of it. */
final class Inlined {
  private final Body body;
  private final Call call;
  private final Given values;
  private final SiteCode code;
  private final Set<String> commented;
  private final CalmCalls calm;
  private final Assumptions assumptions;
  private final UnitTrees trees;
  private final SourceText source;
  private final Front front;
  private final List<Replacement> edits = new ArrayList<>();

  /**
   * @param commented the statements that have got the comments of the method already
   */
  Inlined(SiteCode code, CalmCalls calm, Assumptions assumptions, Set<String> commented) {
    this.commented = commented;
    this.code = code;
    this.body = code.body();
    this.call = code.call();
    this.values = code.values();
    this.calm = calm;
    this.assumptions = assumptions;
    this.trees = call.trees();
    this.source = trees.source();
    this.front = new Front(call, values, calm);
    Optional<TreePath> expression = body.expression();
    boolean held = values.all().stream().anyMatch(Value::needsVariable);
    boolean lost = call.isStatement() && body.result() != null && !isStatement(body.result());
    Optional<Choice> choice = body.early() == null ? Optional.empty() : Choice.of(body);
    if (choice.isPresent() && !call.endsMethod() && !call.isStatement()) {
      choose(choice.get(), held);
    } else if (body.early() != null) {
      ending(held);
    } else if (expression.isPresent() && !held && !lost && !isDoneWithComments()) {
      comment();
      replace(call.start(), call.end(), code.result(expression.get()));
    } else {
      statements();
    }
  }

  List<Replacement> edits() {
    return edits;
  }

  /** Whether the method does one thing, and says something of it. */
  private boolean isDoneWithComments() {
    return call.isStatement() && !body.statements().isEmpty() && body.isCommented();
  }

  /** A comment on what the method gives stands above the statement that gets it. */
  private void comment() {
    TreePath statement = call.inBlock();
    if (statement == null || !body.statements().isEmpty() || !body.isCommented()) {
      return;
    }
    int start = trees.start(statement.getLeaf());
    if (!commented.add(call.trees().path() + ":" + start)) {
      return;
    }
    String indent = source.indentAt(start);
    List<Piece> pieces = new ArrayList<>(List.of(code.statements(indent, body.end())));
    code.newLine(pieces, indent);
    edits.add(code.insertion(start, pieces));
  }

  private static boolean isStatement(TreePath value) {
    return Values.isStatement(value.getLeaf());
  }

  private void replace(int start, int end, List<Piece> pieces) {
    edits.add(code.replacement(start, end, pieces));
  }

  /** One value or another in the place of the call, behind the variables that it needs. */
  private void choose(Choice choice, boolean held) {
    if (held) {
      TreePath statement = front.statement();
      String indent = source.indentAt(trees.start(statement.getLeaf()));
      List<Piece> pieces = code.held(indent);
      code.newLine(pieces, indent);
      edits.add(code.insertion(trees.start(statement.getLeaf()), pieces));
    }
    replace(call.start(), call.end(), choice.at(call.path(), code::expression));
  }

  private void statements() {
    if (call.isBranch()) {
      inBraces(call.statement());
      return;
    }
    Optional<LambdaBlock> lambda = LambdaBlock.around(trees, call.path());
    if (lambda.isPresent()) {
      inLambda(lambda.get());
      return;
    }
    TreePath statement = front.statement();
    String indent = source.indentAt(trees.start(statement.getLeaf()));
    List<Piece> pieces = inFront(indent);
    int start = trees.start(statement.getLeaf());
    if (call.isStatement() || body.throwsAtEnd() && call.isLast()) {
      alone(statement, pieces, indent);
      return;
    }
    requireResult();
    code.newLine(pieces, indent);
    edits.add(code.insertion(start, pieces));
    replace(call.start(), call.end(), code.result(body.result()));
  }

  private void requireResult() {
    if (body.result() == null) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The method gives no value here: it always fails.",
          "Let the call be all that is thrown or returned there.",
          call.place());
    }
  }

  /** Whether the call is all that a lambda says. */
  private boolean isCall(LambdaBlock block) {
    return block.body().getLeaf() == call.tree();
  }

  private void put(LambdaBlock block, List<Piece> statements) {
    replace(block.start(), block.end(), block.around(statements));
  }

  /** A lambda that only says an expression gets a block. */
  private void inLambda(LambdaBlock block) {
    front.requireFirst(block.body());
    List<Piece> pieces = inFront(block.indent());
    if (isCall(block) && block.isVoid()) {
      behind(pieces, block.indent());
    } else if (!(isCall(block) && body.throwsAtEnd())) {
      requireResult();
      code.newLine(pieces, block.indent());
      List<Piece> result = code.result(body.result(), block.indent());
      pieces.addAll(block.said(List.of(code.replacement(call.start(), call.end(), result))));
    }
    put(block, pieces);
  }

  /** Code that returns in its middle stands as it is where the call ends its own method as well. */
  private void ending(boolean held) {
    Optional<LambdaBlock> lambda = LambdaBlock.around(trees, call.path()).filter(this::isCall);
    if (lambda.isPresent() && lambda.get().isVoid() != call.givesValue()) {
      String indent = lambda.get().indent();
      List<Piece> pieces = code.held(indent);
      code.newLine(pieces, indent);
      pieces.add(code.statements(indent, body.wholeEnd()));
      put(lambda.get(), pieces);
      return;
    }
    Preset preset = new Preset(body, held, calm, assumptions);
    EarlyEnd end = new EarlyEnd(code, preset, this::isOmissible);
    TreePath statement = call.isBranch() ? call.statement() : front.statement();
    boolean valued = ((ReturnTree) body.early().getLeaf()).getExpression() != null;
    if (!call.endsMethod() || valued && call.isStatement()) {
      edits.addAll(end.edits(statement));
      return;
    }
    String indent = source.indentAt(trees.start(statement.getLeaf()));
    List<Piece> pieces = code.held(indent);
    code.newLine(pieces, indent);
    pieces.add(code.statements(indent, body.wholeEnd()));
    whole(statement, pieces, body.wholeEnd(), indent);
  }

  /** A branch without braces gets some. */
  private void inBraces(TreePath own) {
    Braces braces = new Braces(code, own);
    List<Piece> pieces = new ArrayList<>(inFront(braces.indent()));
    behind(pieces, braces.indent());
    edits.add(braces.around(pieces));
  }

  private void alone(TreePath statement, List<Piece> pieces, String indent) {
    behind(pieces, indent);
    if (pieces.isEmpty()) {
      int[] range = MemberRange.withGap(source, trees.leaving(statement.getLeaf()));
      replace(range[0], range[1], List.of());
    } else {
      whole(statement, pieces, body.end(), indent);
    }
  }

  /** Puts code in the place of a statement; what follows in its line does not become a comment. */
  private void whole(TreePath statement, List<Piece> pieces, int end, String indent) {
    int behind = trees.end(statement.getLeaf());
    if (body.isLineComment(end) && !source.endsLine(behind)) {
      code.newLine(pieces, indent);
    }
    replace(trees.start(statement.getLeaf()), behind, pieces);
  }

  /** What nobody uses of a result stays only where it does something. */
  private void behind(List<Piece> pieces, String indent) {
    if (body.result() == null) {
      return;
    }
    if (isStatement(body.result())) {
      code.newLine(pieces, indent);
      pieces.addAll(code.result(body.result()));
      pieces.add(Written.plain(";"));
    } else if (!isOmissible(body.result())) {
      throw code.unused();
    }
  }

  private boolean isOmissible(TreePath value) {
    return new Shift(trees.program(), calm, value, assumptions).isOmissible();
  }

  /** The variables that hold what the call gives, and the statements of the method. */
  private List<Piece> inFront(String indent) {
    List<Piece> pieces = code.held(indent);
    if (!body.statements().isEmpty() || body.isCommented()) {
      code.newLine(pieces, indent);
      pieces.add(code.statements(indent, body.end()));
    }
    return pieces;
  }
}
