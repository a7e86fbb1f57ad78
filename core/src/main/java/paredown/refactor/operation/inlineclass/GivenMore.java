package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;

/** The places that make an object, and give the constants that its constructor gave. */
final class GivenMore {
  private static final String WHY = "the constructor that is gone gave it";

  private final OwnerClass gone;
  private final Program program;
  private final Map<Element, ParentCall> calls;
  private final StandIn standIn;
  private final EditList edits;

  GivenMore(OwnerClass gone, Map<Element, ParentCall> calls, StandIn standIn, EditList edits) {
    this.gone = gone;
    this.program = gone.program();
    this.calls = calls;
    this.standIn = standIn;
    this.edits = edits;
  }

  /** Says a creation that has to give more; whether it was one. */
  boolean made(UnitTrees trees, TreePath mention) {
    TreePath around = mention.getParentPath();
    if (around.getLeaf() instanceof MemberReferenceTree) {
      requireSame(calls.get(trees.element(around)), trees, around);
    }
    if (!(around.getLeaf() instanceof NewClassTree made)
        || made.getIdentifier() != mention.getLeaf()) {
      return false;
    }
    if (made.getClassBody() != null) {
      calls.values().forEach(call -> requireSame(call, trees, around));
    }
    ParentCall call = calls.get(trees.element(around));
    if (call == null || call.isSame()) {
      return false;
    }
    int start = trees.start(made);
    int end = trees.end(made.getIdentifier());
    String key = program.symbols().key(call.constructor());
    Written.Text text =
        Written.text("")
            .here(UseKind.CREATION, key, new Use.Place(trees.path(), start, UseKind.CREATION))
            .text("new ");
    standIn.write(text, trees, mention);
    edits.add(trees.path(), Rewriting.of(trees, start, end, WHY, text.done()));
    give(trees, around, made.getArguments(), call, end);
    return true;
  }

  /** The calls of subclasses' constructors give the constants, too. */
  void others() {
    if (calls.values().stream().allMatch(ParentCall::isSame)) {
      return;
    }
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
          if (tree.getMethodSelect() instanceof IdentifierTree
              && !standIn.isWithin(getCurrentPath())) {
            above(trees, getCurrentPath(), tree);
          }
          return super.visitMethodInvocation(tree, null);
        }
      }.scan(unit.tree(), null);
    }
  }

  private void above(UnitTrees trees, TreePath path, MethodInvocationTree tree) {
    ParentCall call = calls.get(trees.element(new TreePath(path, tree.getMethodSelect())));
    int start = trees.start(tree.getMethodSelect());
    int end = trees.end(tree.getMethodSelect());
    if (call == null || call.isSame()) {
      return;
    }
    if (end < 0) {
      requireSame(call, trees, path);
    }
    Written name =
        Written.text("")
            .name("super", program.symbols().key(call.constructor()), Rewriting.name(trees, start))
            .done();
    edits.add(trees.path(), Replacement.of(start, end, name));
    give(trees, path, tree.getArguments(), call, end);
  }

  private void requireSame(ParentCall call, UnitTrees trees, TreePath at) {
    if (call != null && !call.isSame()) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "%s cannot be inlined: what its constructor adds cannot be given there."
              .formatted(gone.writtenName()),
          "Make the object with new there.",
          trees.place(at.getLeaf()));
    }
  }

  /** Puts the constants between the arguments. */
  private void give(
      UnitTrees trees,
      TreePath at,
      List<? extends ExpressionTree> given,
      ParentCall call,
      int behindName) {
    List<Piece> pieces = new ArrayList<>();
    int next = 0;
    for (TreePath each : call.arguments()) {
      if (each != null) {
        pieces.add(constant(trees, at, each));
      } else {
        Tree argument = given.get(next++);
        if (!pieces.isEmpty()) {
          insert(trees, trees.start(argument), "", pieces, ", ");
        }
      }
    }
    if (!pieces.isEmpty()) {
      boolean none = given.isEmpty();
      int place = none ? trees.behindBracket(behindName) : trees.end(given.get(given.size() - 1));
      insert(trees, place, none ? "" : ", ", pieces, "");
    }
  }

  private void insert(
      UnitTrees trees, int place, String before, List<Piece> constants, String behind) {
    List<Piece> pieces = new ArrayList<>();
    pieces.add(Written.plain(before));
    for (int i = 0; i < constants.size(); i++) {
      if (i > 0) {
        pieces.add(Written.plain(", "));
      }
      pieces.add(constants.get(i));
    }
    pieces.add(Written.plain(behind));
    edits.add(trees.path(), new Replacement(place, place, pieces, List.of(), WHY));
    constants.clear();
  }

  private Piece constant(UnitTrees trees, TreePath at, TreePath constant) {
    UnitTrees from = gone.trees();
    CodeElsewhere code =
        new CodeElsewhere(from, standIn.names(trees), trees.classAround(at), false);
    return new Copied(
        from.path(),
        from.start(constant.getLeaf()),
        from.end(constant.getLeaf()),
        code.edits(constant));
  }
}
