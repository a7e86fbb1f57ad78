package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.Layout;
import paredown.refactor.carry.ValueInPlace;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** The code of a method in the place of one call: an expression, or statements in front of it. */
final class Inlined {
  private static final String PROOF = "it is the code that the call ran";

  private final Body body;
  private final Call call;
  private final Given values;
  private final Site site;
  private final TypeNames types;
  private final CalmCalls calm;
  private final Assumptions assumptions;
  private final boolean first;
  private final UnitTrees trees;
  private final SourceText source;
  private final List<Replacement> edits = new ArrayList<>();
  private final List<Piece> carried = new ArrayList<>();

  Inlined(
      Body body,
      Call call,
      Given values,
      Site site,
      TypeNames types,
      CalmCalls calm,
      Assumptions assumptions,
      boolean first) {
    this.body = body;
    this.call = call;
    this.values = values;
    this.site = site;
    this.types = types;
    this.calm = calm;
    this.assumptions = assumptions;
    this.first = first;
    this.trees = call.trees();
    this.source = trees.source();
    Optional<TreePath> expression = body.expression();
    boolean held = values.all().stream().anyMatch(Value::needsVariable);
    boolean lost = call.isStatement() && body.result() != null && !isStatement(body.result());
    Optional<Choice> choice = body.early() == null ? Optional.empty() : Choice.of(body);
    if (choice.isPresent() && !call.endsMethod() && !call.isStatement()) {
      choose(choice.get(), held);
    } else if (body.early() != null) {
      ending();
    } else if (expression.isPresent() && !held && !lost) {
      replace(call.start(), call.end(), result(expression.get()));
    } else {
      statements();
    }
  }

  List<Replacement> edits() {
    return edits;
  }

  /** The pieces that carry the method's code away. */
  List<Piece> carried() {
    return carried;
  }

  private static boolean isStatement(TreePath value) {
    return Values.isStatement(value.getLeaf());
  }

  private void replace(int start, int end, List<Piece> pieces) {
    List<Piece> elsewhere = new ArrayList<>(site.carriedValues());
    edits.add(
        Rewriting.of(trees, start, end, "its code stands there", pieces, elsewhere).proving(PROOF));
  }

  /** One value or another in the place of the call, behind the variables that it needs. */
  private void choose(Choice choice, boolean held) {
    if (held) {
      TreePath statement = frontOf();
      String indent = source.indentAt(trees.start(statement.getLeaf()));
      List<Piece> pieces = held(indent);
      pieces.add(Written.plain(source.lineEnd() + indent));
      int start = trees.start(statement.getLeaf());
      edits.add(Rewriting.of(trees, start, start, "", pieces, List.of()).proving(PROOF));
    }
    replace(call.start(), call.end(), withSelf(choice.at(call.path(), this::piece)));
  }

  /** An expression of the method as it stands at the call. */
  private Piece piece(TreePath expression) {
    Tree tree = expression.getLeaf();
    return range(body.trees().start(tree), body.trees().end(tree), Indent.SAME);
  }

  /** What the method gives, as an expression in the place of the call. */
  private List<Piece> result(TreePath value) {
    Program program = trees.program();
    TypeMirror type = program.trees().getTypeMirror(call.path());
    ValueInPlace place = new ValueInPlace(body.trees(), value, type, types);
    int start = body.trees().start(value.getLeaf());
    int end = body.trees().end(value.getLeaf());
    if (first) {
      carried.add(Carried.range(body.trees().path(), start, end));
    }
    return withSelf(place.at(trees, call.path(), first, site.within(start, end)));
  }

  /** The object that code belongs to is another where a class below calls it. */
  private List<Piece> withSelf(List<Piece> pieces) {
    return site.self() == null
        ? pieces
        : pieces.stream().map(each -> each.as(site.self())).toList();
  }

  private void statements() {
    if (call.isBranch()) {
      inBraces(call.statement());
      return;
    }
    TreePath statement = frontOf();
    String indent = source.indentAt(trees.start(statement.getLeaf()));
    List<Piece> pieces = inFront(indent);
    int start = trees.start(statement.getLeaf());
    if (call.isStatement() || body.throwsAtEnd() && call.isLast()) {
      alone(statement, pieces, indent);
      return;
    }
    if (body.result() == null) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The method gives no value here: it always fails.",
          "Let the call be all that is thrown or returned there.",
          call.place());
    }
    pieces.add(Written.plain(source.lineEnd() + indent));
    edits.add(Rewriting.of(trees, start, start, "", pieces, List.of()).proving(PROOF));
    replace(call.start(), call.end(), result(body.result()));
  }

  /**
   * The statement in front of which code of the method can stand.
   *
   * @throws Refused where it can in front of none
   */
  private TreePath frontOf() {
    TreePath statement = call.inBlock();
    if (statement == null || !isFirst(statement)) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The code of the method cannot stand in front of this statement: %s."
              .formatted(why().orElse("other things run before the call")),
          "Give what the call gives to a variable first: pare extract variable.",
          call.place());
    }
    return statement;
  }

  /** Code that returns in its middle can stand where the call ends its own method as well. */
  private void ending() {
    TreePath statement = call.inBlock();
    if (!call.endsMethod() || !isFirst(statement)) {
      throw Refused.advising(
          RefusalKind.LEAVES_EARLY,
          "The method returns before its end, and the call is not the end of its own.",
          "Extract what comes before as a method of its own, and inline that.",
          call.place(),
          body.trees().place(body.early().getLeaf()));
    }
    String indent = source.indentAt(trees.start(statement.getLeaf()));
    List<Piece> pieces = held(indent);
    if (!pieces.isEmpty()) {
      pieces.add(Written.plain(source.lineEnd() + indent));
    }
    pieces.addAll(withSelf(List.of(code(indent, body.wholeEnd()))));
    replace(trees.start(statement.getLeaf()), trees.end(statement.getLeaf()), pieces);
  }

  /** Why the code cannot be an expression. */
  private Optional<String> why() {
    return values.all().stream()
        .filter(Value::needsVariable)
        .map(each -> each.why().orElseThrow().why())
        .findFirst();
  }

  /** Whether nothing that could show runs in a statement before the call. */
  private boolean isFirst(TreePath statement) {
    Between between = Between.of(trees, trees.start(statement.getLeaf()), call.path());
    return !between.perhaps()
        && !between.repeats()
        && !between.later()
        && !between.guarded()
        && between.code().stream().allMatch(code -> Shift.isInert(trees.program(), calm, code))
        && values.all().stream().allMatch(each -> each.shift().over(between).isEmpty());
  }

  /** A branch without braces gets some. */
  private void inBraces(TreePath own) {
    String outer = source.indentAt(trees.start(own.getParentPath().getLeaf()));
    String unit = Layout.of(OwnerClass.of(trees.program(), call.type())).unit();
    String indent = outer + unit;
    String end = source.lineEnd();
    int start = trees.start(own.getLeaf());
    Token last = source.tokens().get(source.tokenAt(start) - 1);
    List<Piece> pieces = new ArrayList<>();
    boolean behind = !last.kind().isComment();
    pieces.add(Written.plain((behind ? " {" : "{") + end + indent));
    pieces.addAll(inFront(indent));
    behind(pieces, indent);
    pieces.add(Written.plain(end + outer + "}"));
    replace(behind ? last.end() : start, trees.end(own.getLeaf()), pieces);
  }

  private void alone(TreePath statement, List<Piece> pieces, String indent) {
    behind(pieces, indent);
    if (pieces.isEmpty()) {
      int[] range = MemberRange.withGap(source, trees.leaving(statement.getLeaf()));
      replace(range[0], range[1], List.of());
    } else {
      replace(trees.start(statement.getLeaf()), trees.end(statement.getLeaf()), pieces);
    }
  }

  /** What nobody uses of a result stays only where it does something. */
  private void behind(List<Piece> pieces, String indent) {
    if (body.result() == null) {
      return;
    }
    Shift shift = new Shift(trees.program(), calm, body.result(), assumptions);
    if (isStatement(body.result())) {
      if (!pieces.isEmpty()) {
        pieces.add(Written.plain(source.lineEnd() + indent));
      }
      pieces.addAll(result(body.result()));
      pieces.add(Written.plain(";"));
    } else if (!shift.isOmissible()) {
      throw Refused.advising(
          RefusalKind.RUNS_OFTEN,
          "Nothing uses what the method gives, but working it out could show.",
          "Use it there, or leave the method.",
          call.place());
    }
  }

  /** The variables that hold what the call gives, and the statements of the method. */
  private List<Piece> inFront(String indent) {
    List<Piece> pieces = held(indent);
    if (!body.statements().isEmpty()) {
      if (!pieces.isEmpty()) {
        pieces.add(Written.plain(source.lineEnd() + indent));
      }
      pieces.addAll(withSelf(List.of(code(indent, body.end()))));
    }
    return pieces;
  }

  /** The variables that hold what the call gives. */
  private List<Piece> held(String indent) {
    List<Piece> pieces = new ArrayList<>();
    String end = source.lineEnd();
    for (Value each : values.all()) {
      if (!each.needsVariable()) {
        continue;
      }
      if (!WritableType.is(each.type())) {
        throw Refused.advising(
            RefusalKind.NO_VALUE,
            "A variable would have to hold a value of the type %s, which cannot be written down."
                .formatted(each.type()),
            "Give it to a variable first.",
            call.place());
      }
      if (!pieces.isEmpty()) {
        pieces.add(Written.plain(end + indent));
      }
      Written.Text text = Written.text("");
      types.write(text, each.type(), call.type());
      pieces.add(text.text(" " + site.nameOf(each) + " = ").done());
      pieces.add(each.inPlace().carried());
      pieces.add(Written.plain(";"));
    }
    return pieces;
  }

  private Piece code(String indent, int end) {
    int start = body.start();
    return range(start, end, new Indent(body.trees().source().indentAt(start), indent));
  }

  /** Code of the method with what it says otherwise at the call: moved there, or repeated. */
  private Piece range(int start, int end, Indent indent) {
    String path = body.trees().path();
    List<Replacement> inside = site.within(start, end);
    if (first) {
      carried.add(Carried.range(path, start, end));
      return new Carried(path, start, end, inside, indent, null);
    }
    return new Copied(path, start, end, inside, indent, null);
  }
}
