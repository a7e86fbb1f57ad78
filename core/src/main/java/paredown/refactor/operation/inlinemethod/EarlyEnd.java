package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.LocalUses;
import paredown.refactor.code.Returns;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.flow.Jumps;
import paredown.text.Token;

/**
 * The code of a method that returns in its middle in the place of a call that goes on: what it
 * returned is set to the variable that got it, or nobody asks for it.
 */
final class EarlyEnd {
  private final SiteCode code;
  private final Preset preset;
  private final Predicate<TreePath> omissible;
  private final Call call;
  private final UnitTrees trees;

  /**
   * The code for a call.
   *
   * @param preset what the method gives where a loop found nothing
   * @param omissible whether working a value out does not show
   */
  EarlyEnd(SiteCode code, Preset preset, Predicate<TreePath> omissible) {
    this.preset = preset;
    this.code = code;
    this.omissible = omissible;
    this.call = code.call();
    this.trees = call.trees();
  }

  /**
   * The edits that put it there.
   *
   * @param statement the statement with the call, in front of which code can stand
   */
  List<Replacement> edits(TreePath statement) {
    Tree tree = statement.getLeaf();
    String indent = code.source().indentAt(trees.start(tree));
    if (call.isBranch()) {
      Braces braces = new Braces(code, statement);
      return List.of(braces.around(pieces(new Unused(), braces.indent())));
    }
    if (call.isStatement()) {
      return List.of(
          code.replacement(trees.start(tree), trees.end(tree), pieces(new Unused(), indent)));
    }
    if (tree instanceof VariableTree variable
        && variable.getInitializer() == call.tree()
        && Blocks.isDeclaredAlone(trees, statement)
        && !(isSetTwice() && isFixed(statement, variable))) {
      return declared(statement, variable, indent);
    }
    if (tree instanceof ExpressionStatementTree only
        && only.getExpression() instanceof AssignmentTree set
        && set.getExpression() == call.tree()
        && isPlain(set.getVariable())
        && canBeSet(set.getVariable())) {
      TypeMirror type = type(new TreePath(call.path().getParentPath(), set.getVariable()));
      List<Piece> target = target(set.getVariable());
      List<Piece> pieces = pieces(new Kept(target, type, false), indent);
      int start = trees.start(tree);
      return List.of(code.replacement(start, trees.end(tree), pieces, target.get(0)));
    }
    return inVariable(statement, indent);
  }

  private List<Piece> pieces(Ending ending, String indent) {
    List<Piece> pieces = code.held(indent);
    code.newLine(pieces, indent);
    pieces.addAll(new Branches(code, ending, preset).all(indent));
    return pieces;
  }

  /** A variable that was set to the call is declared in front, and set in each branch. */
  private List<Replacement> declared(TreePath statement, VariableTree tree, String indent) {
    int start = trees.start(tree);
    List<Piece> pieces = new ArrayList<>();
    if (trees.isVar(tree)) {
      int word = before(trees.names().of(tree)).start();
      pieces.add(Carried.range(trees.path(), start, word));
      pieces.add(code.type(type(call.path())).text(" ").done());
      pieces.add(named(trees.names().of(tree), tree.getName().length()));
    } else {
      Token sign = before(call.start());
      while (!code.source().spells(sign, "=")) {
        sign = before(sign.start());
      }
      pieces.add(Carried.range(trees.path(), start, before(sign.start()).end()));
    }
    Written name = Written.text("").local(tree.getName().toString()).done();
    pieces.addAll(begun(new Kept(List.of(name), type(statement), true), indent));
    return List.of(code.replacement(trees.start(tree), trees.end(tree), pieces));
  }

  /** Whether the code may set its variable a second time, or seems to. */
  private boolean isSetTwice() {
    Body body = code.body();
    return preset.value().isPresent()
        || Returns.in(body.path()).stream()
            .anyMatch(each -> isWithin(each, body.path().getLeaf(), EarlyEnd::isSeenTwice));
  }

  /** Whether the compiler may think that what stands in code runs twice, or not to its end. */
  private static boolean isSeenTwice(Tree tree) {
    return tree instanceof TryTree || Jumps.isLoop(tree);
  }

  /** Whether something of a kind stands between code and what it stands in. */
  private static boolean isWithin(TreePath code, Tree around, Predicate<Tree> kind) {
    for (TreePath at = code; at.getLeaf() != around; at = at.getParentPath()) {
      if (kind.test(at.getLeaf())) {
        return true;
      }
    }
    return false;
  }

  /** Whether a variable may be set only once: it is final, or named in a lambda or class. */
  private boolean isFixed(TreePath statement, VariableTree variable) {
    return variable.getModifiers().getFlags().contains(Modifier.FINAL)
        || LocalUses.of(trees, statement).stream()
            .anyMatch(use -> isWithin(use, statement.getParentPath().getLeaf(), EarlyEnd::isLater));
  }

  private static boolean isLater(Tree tree) {
    return tree instanceof LambdaExpressionTree || tree instanceof ClassTree;
  }

  /** The name of a variable whose type is written down now. */
  private Piece named(int name, int length) {
    String path = trees.path();
    Use.Place place = new Use.Place(path, name, UseKind.INFERRED);
    Replacement.Dropped dropped = new Replacement.Dropped(place, "its type is written down");
    Replacement nothing = new Replacement(name, name, List.of(), List.of(dropped));
    return new Carried(path, name, name + length, List.of(nothing), Indent.SAME, null);
  }

  /** A variable in front takes what the call gave in the middle of a statement. */
  private List<Replacement> inVariable(TreePath statement, String indent) {
    String name = code.freeName("result");
    Written local = Written.text("").local(name).done();
    TypeMirror type = type(call.path());
    List<Piece> pieces = new ArrayList<>();
    pieces.add(code.type(type).text(" " + name).done());
    pieces.addAll(begun(new Kept(List.of(local), type, true), indent));
    code.newLine(pieces, indent);
    return List.of(
        code.insertion(trees.start(statement.getLeaf()), pieces),
        code.replacement(call.start(), call.end(), List.of(local)));
  }

  /** What follows the name of a variable, up to the last statement that sets it. */
  private List<Piece> begun(Kept variable, String indent) {
    List<Piece> pieces = new ArrayList<>();
    preset.value().ifPresent(value -> pieces.addAll(variable.set(value, indent)));
    pieces.add(Written.plain(";"));
    code.newLine(pieces, indent);
    pieces.addAll(pieces(variable, indent));
    return pieces;
  }

  private Token before(int offset) {
    return code.source().tokens().get(code.source().tokenAt(offset) - 1);
  }

  private TypeMirror type(TreePath path) {
    return trees.program().trees().getTypeMirror(path);
  }

  /** What was set to the call, where nothing is worked out to reach it. */
  private static boolean isPlain(ExpressionTree target) {
    return target instanceof IdentifierTree
        || target instanceof MemberSelectTree select
            && select.getExpression() instanceof IdentifierTree self
            && self.getName().contentEquals("this");
  }

  /** Whether branches can set what an assignment sets: it is not final, or set once in each. */
  private boolean canBeSet(ExpressionTree target) {
    Element element = trees.element(new TreePath(call.path().getParentPath(), target));
    boolean fixed = element == null || element.getModifiers().contains(Modifier.FINAL);
    return preset.value().isEmpty() && !(isSetTwice() && fixed);
  }

  /** The variable that an assignment sets: it stands in the first branch, and again in others. */
  private List<Piece> target(Tree tree) {
    int start = trees.start(tree);
    int end = trees.end(tree);
    return List.of(
        Carried.range(trees.path(), start, end), new Copied(trees.path(), start, end, List.of()));
  }

  /**
   * A value is kept by a variable.
   *
   * @param names the pieces that name the variable: the first time, and each time behind that
   * @param type of the variable
   * @param fresh whether nothing else knows it yet
   */
  private final class Kept implements Ending {
    private final List<Piece> names;
    private final TypeMirror type;
    private final boolean fresh;
    private int times;

    Kept(List<? extends Piece> names, TypeMirror type, boolean fresh) {
      this.names = List.copyOf(names);
      this.type = type;
      this.fresh = fresh;
    }

    @Override
    public List<Piece> at(TreePath value, String indent) {
      List<Piece> pieces = new ArrayList<>();
      pieces.add(names.get(Math.min(times++, names.size() - 1)));
      pieces.addAll(set(value, indent));
      pieces.add(Written.plain(";"));
      return pieces;
    }

    /** What gives the variable a value, behind its name. */
    List<Piece> set(TreePath value, String indent) {
      List<Piece> pieces = new ArrayList<>(List.of(Written.plain(" = ")));
      pieces.addAll(code.value(value, type, indent));
      return pieces;
    }

    @Override
    public boolean canBeFirst() {
      return fresh;
    }

    @Override
    public boolean canBeTried(TryTree tree) {
      boolean closes = tree.getFinallyBlock() != null || !tree.getResources().isEmpty();
      boolean unboxed = type.getKind().isPrimitive() && !type(call.path()).getKind().isPrimitive();
      return (fresh || !closes) && (tree.getCatches().isEmpty() || !unboxed);
    }
  }

  /** A value that nobody asks for stays only where it does something. */
  private final class Unused implements Ending {
    @Override
    public List<Piece> at(TreePath value, String indent) {
      if (Values.isStatement(value.getLeaf())) {
        List<Piece> pieces = new ArrayList<>(code.result(value, indent));
        pieces.add(Written.plain(";"));
        return pieces;
      }
      if (!omissible.test(value)) {
        throw code.unused();
      }
      return List.of();
    }

    @Override
    public boolean canBeTried(TryTree tree) {
      return true;
    }

    @Override
    public boolean canBeFirst() {
      return true;
    }
  }
}
