package paredown.refactor.operation.movemethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;

/** Writes the object that a call asked for a method that moves, and what it holds. */
final class AskedObject {
  private final MovedCall call;
  private final TypeNames names;
  private final EditList edits;
  private final UnitTrees trees;
  private final TypeElement around;
  private boolean objectPlaced;

  AskedObject(MovedCall call, TypeNames names, EditList edits) {
    this.call = call;
    this.names = names;
    this.edits = edits;
    this.trees = call.trees();
    this.around = call.around();
  }

  /** The object itself, carried where it is written first and repeated behind. */
  private Piece object(TreePath expression) {
    if (!objectPlaced) {
      objectPlaced = true;
      return edits.carried(trees, expression.getLeaf());
    }
    return new Copied(
        trees.path(),
        trees.start(expression.getLeaf()),
        trees.end(expression.getLeaf()),
        List.of());
  }

  /** Writes a member of the old object, as the caller sees it. */
  void member(Element member, List<Piece> pieces) {
    Element visible = visible(member);
    String name = visible.getSimpleName().toString();
    String key = call.moving().program().symbols().key(visible);
    String behind = visible.getKind() == ElementKind.METHOD ? "()" : "";
    Written.Text text = Written.text("");
    if (call.object().isPresent()) {
      pieces.add(object(call.object().get()));
      text.text(".");
    } else {
      unqualified(text, name);
    }
    pieces.add(text.name(name, key).text(behind).done());
  }

  private void unqualified(Written.Text text, String name) {
    TypeElement asked = askedClass();
    boolean own = asked.equals(around);
    if (own && !isLocal(name)) {
      text.here(UseKind.RECEIVER, call.moving().program().symbols().key(asked));
    } else {
      if (!own) {
        names.write(text, asked, around);
        text.text(".");
      }
      text.name("this", "this of " + call.moving().program().symbols().binary(asked)).text(".");
    }
  }

  /** The class around the call whose object is asked without saying so. */
  private TypeElement askedClass() {
    TypeElement around = trees.classAround(call.use().path(), call.moving().owner().element());
    if (around == null) {
      throw call.refused(RefusalKind.CALL_SHAPE, "a caller reaches it in a way not understood yet");
    }
    return around;
  }

  /** Whether a local variable around the call has a name. */
  boolean isLocal(String name) {
    TreePath body = call.use().path();
    while (body != null
        && !(body.getLeaf() instanceof MethodTree)
        && !(body.getLeaf() instanceof ClassTree)
        && !(body.getLeaf() instanceof BlockTree
            && body.getParentPath().getLeaf() instanceof ClassTree)) {
      body = body.getParentPath();
    }
    if (body == null || body.getLeaf() instanceof ClassTree) {
      return false;
    }
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        found[0] |= tree.getName().contentEquals(name);
        return super.visitVariable(tree, null);
      }
    }.scan(body, null);
    return found[0];
  }

  /** A field, or the accessor that gives it where it cannot be seen. */
  private Element visible(Element member) {
    Sight sight = new Sight(around, call.moving().program());
    if (!sight.hides(member)) {
      return member;
    }
    Moving moving = call.moving();
    return PlainGetter.of(moving.owner(), moving.method(), moving.calm(), member, around)
        .map(Element.class::cast)
        .orElseThrow(
            () ->
                call.refused(
                    member.equals(call.moving().through().variable())
                        ? RefusalKind.HIDDEN_FROM_OUTSIDE
                        : RefusalKind.VALUE_HIDDEN,
                    member.getSimpleName().toString()));
  }

  /** Writes the old object itself, as the caller sees it. */
  void whole(List<Piece> pieces) {
    if (call.object().isPresent()) {
      pieces.add(object(call.object().get()));
      return;
    }
    TypeElement asked = askedClass();
    Written.Text text = Written.text("");
    if (!asked.equals(around)) {
      names.write(text, asked, around);
      text.text(".");
    }
    pieces.add(
        text.name("this", "this of " + call.moving().program().symbols().binary(asked)).done());
  }
}
