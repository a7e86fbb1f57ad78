package paredown.refactor;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.TypeElement;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;

/** One call of a method that moves, rewritten to ask for it where it went. */
final class CallSite {
  private static final String REASON = "the call asks another object now";

  private final MovedCall site;
  private final Moving moving;
  private final TypeNames names;
  private final MemberUses.MemberUse use;
  private final EditList edits;
  private final UnitTrees trees;
  private final List<TreePath> arguments;
  private final TypeElement around;
  private final AskedObject asked;

  CallSite(Moving moving, TypeNames names, MemberUses.MemberUse use, EditList edits) {
    this.site = new MovedCall(moving, use);
    this.moving = moving;
    this.names = names;
    this.use = use;
    this.edits = edits;
    this.trees = use.trees();
    this.arguments = site.arguments();
    this.around = site.around();
    this.asked = new AskedObject(site, names, edits);
  }

  void rewrite() {
    new CallChecks(site).require();
    List<Piece> pieces = new ArrayList<>();
    int start = trees.start(use.path().getLeaf());
    int end = trees.end(use.path().getLeaf());
    receiver(pieces);
    pieces.add(
        Written.text("")
            .name(moving.name(), moving.newKey(), Rewriting.name(trees, use.offset()))
            .done());
    List<Replacement> own = arguments();
    List<Piece> elsewhere = own.stream().map(Replacement::pieces).flatMap(List::stream).toList();
    edits.add(use.file(), Rewriting.of(trees, start, end, REASON, pieces, elsewhere));
    own.forEach(edit -> edits.add(use.file(), edit));
  }

  private void receiver(List<Piece> pieces) {
    Through through = moving.through();
    if (through instanceof Through.Parameter parameter) {
      TreePath argument = arguments.get(parameter.index());
      boolean brackets = !isPrimary(argument.getLeaf());
      pieces.add(Written.plain(brackets ? "(" : ""));
      pieces.add(edits.carried(trees, argument.getLeaf()));
      pieces.add(Written.plain(brackets ? ")." : "."));
    } else if (through instanceof Through.Field field) {
      asked.member(field.variable(), pieces);
      pieces.add(Written.plain("."));
    } else {
      Written.Text text = Written.text("");
      if (through instanceof Through.Around) {
        names.write(text, moving.target().element(), around);
        text.text(".").name("this", "this of " + moving.target().binaryName()).text(".");
      } else if (through instanceof Through.Callers && !(caller() instanceof CallerObject.Made)) {
        caller(text);
      } else if (through instanceof Through.Fresh || through instanceof Through.Callers) {
        text.here(UseKind.CREATION, Symbols.constructorKey(moving.target().binaryName(), List.of()))
            .text("new ");
        names.write(text, moving.target().element(), around);
        text.text("().");
      } else if (!around.equals(moving.target().element())) {
        names.write(text, moving.target().element(), around);
        text.text(".");
      }
      pieces.add(text.done());
    }
  }

  private CallerObject caller() {
    return CallerObject.of(trees, use.path(), moving.target().element());
  }

  /** What the caller has, where it has one. */
  private void caller(Written.Text text) {
    if (caller() instanceof CallerObject.Held held) {
      String name = held.field().getSimpleName().toString();
      if (asked.isLocal(name)) {
        text.name("this", "this of " + moving.program().symbols().binary(around)).text(".");
      } else {
        text.here(UseKind.RECEIVER, moving.program().symbols().key(around));
      }
      text.name(name, moving.program().symbols().key(held.field())).text(".");
    } else if (caller() instanceof CallerObject.Itself itself) {
      if (itself.type().equals(around)) {
        text.here(UseKind.RECEIVER, moving.program().symbols().key(around));
      } else {
        names.write(text, itself.type(), around);
        text.text(".")
            .name("this", "this of " + moving.program().symbols().binary(itself.type()))
            .text(".");
      }
    }
  }

  private static boolean isPrimary(Tree tree) {
    return tree instanceof IdentifierTree
        || tree instanceof MemberSelectTree
        || tree instanceof MethodInvocationTree
        || tree instanceof NewClassTree
        || tree instanceof ParenthesizedTree
        || tree instanceof com.sun.source.tree.ArrayAccessTree;
  }

  private List<Replacement> arguments() {
    List<Replacement> found = new ArrayList<>();
    int bracket = trees.source().codeTokenFrom(trees.end(use.path().getLeaf())).end();
    List<TreePath> kept = new ArrayList<>(arguments);
    if (moving.through() instanceof Through.Parameter parameter) {
      kept.remove(parameter.index());
      found.add(removal(parameter.index()));
    }
    if (moving.given().isOwner()) {
      List<Piece> pieces = new ArrayList<>();
      asked.whole(pieces);
      pieces.add(Written.plain(kept.isEmpty() ? "" : ", "));
      found.add(new Replacement(bracket, bracket, pieces, List.of()));
    }
    if (!moving.given().values().isEmpty()) {
      found.add(values(kept, bracket));
    }
    return found;
  }

  private Replacement removal(int index) {
    ListItem item = ListItem.of(trees, site.tree().getArguments(), index);
    requireBare(item.start(), trees.start(arguments.get(index).getLeaf()));
    requireBare(trees.end(arguments.get(index).getLeaf()), item.end());
    return Replacement.removal(item.start(), item.end());
  }

  private void requireBare(int start, int end) {
    if (!trees.source().slice(start, end).replace(",", "").isBlank()) {
      throw site.refused(RefusalKind.CALL_SHAPE, "a comment stands between a caller's arguments");
    }
  }

  private Replacement values(List<TreePath> kept, int bracket) {
    int fixed = moving.kept().size() - (moving.isVarArgs() ? 1 : 0);
    boolean before = moving.isVarArgs() && kept.size() > fixed;
    if (moving.isVarArgs()
        && !kept.subList(Math.min(fixed, kept.size()), kept.size()).stream()
            .allMatch(site.order()::isQuiet)) {
      throw site.refused(
          RefusalKind.CALL_ORDER, "a caller's expressions would be evaluated in another order");
    }
    List<Piece> pieces = new ArrayList<>();
    boolean first = true;
    boolean behindOwn = !kept.isEmpty() && !before;
    for (Given.Value value : moving.given().values()) {
      pieces.add(Written.plain(first && !behindOwn ? "" : ", "));
      asked.member(value.member(), pieces);
      first = false;
    }
    pieces.add(Written.plain(before ? ", " : ""));
    int at =
        before
            ? trees.start(kept.get(fixed).getLeaf())
            : kept.isEmpty() ? bracket : trees.end(kept.get(kept.size() - 1).getLeaf());
    return new Replacement(at, at, pieces, List.of());
  }
}
