package paredown.refactor.operation.movemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.CallerObject;
import paredown.refactor.code.ListItem;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;

/** One call of a method that moves, rewritten to ask for it where it went. */
final class CallSite {
  private static final String REASON = "the call asks another object now";

  private final MovedCall site;
  private final TypeNames names;
  private final EditList edits;
  private final AskedObject asked;

  CallSite(MovedCall site, TypeNames names, EditList edits) {
    this.site = site;
    this.names = names;
    this.edits = edits;
    this.asked = new AskedObject(site, names, edits);
  }

  void rewrite() {
    new CallChecks(site).require();
    List<Piece> pieces = new ArrayList<>();
    int start = site.trees().start(site.use().path().getLeaf());
    int end = site.trees().end(site.use().path().getLeaf());
    receiver(pieces);
    pieces.add(
        Written.text("")
            .name(
                site.moving().name(),
                site.moving().newKey(),
                Rewriting.name(site.trees(), site.use().offset()))
            .done());
    List<Replacement> own = arguments();
    List<Piece> elsewhere = own.stream().map(Replacement::pieces).flatMap(List::stream).toList();
    edits.add(site.use().file(), Rewriting.of(site.trees(), start, end, REASON, pieces, elsewhere));
    own.forEach(edit -> edits.add(site.use().file(), edit));
  }

  private void receiver(List<Piece> pieces) {
    Through through = site.moving().through();
    if (through instanceof Through.Parameter parameter) {
      TreePath argument = site.arguments().get(parameter.index());
      boolean brackets = !isPrimary(argument.getLeaf());
      pieces.add(Written.plain(brackets ? "(" : ""));
      pieces.add(edits.carried(site.trees(), argument.getLeaf()));
      pieces.add(Written.plain(brackets ? ")." : "."));
    } else if (through instanceof Through.Field field) {
      asked.member(field.variable(), pieces);
      pieces.add(Written.plain("."));
    } else {
      Written.Text text = Written.text("");
      if (through instanceof Through.Around) {
        names.write(text, site.moving().target().element(), site.around());
        text.text(".").name("this", "this of " + site.moving().target().binaryName()).text(".");
      } else if (through instanceof Through.Callers && !(caller() instanceof CallerObject.Made)) {
        caller(text);
      } else if (through instanceof Through.Fresh || through instanceof Through.Callers) {
        text.here(
                UseKind.CREATION,
                Symbols.constructorKey(site.moving().target().binaryName(), List.of()))
            .text("new ");
        names.write(text, site.moving().target().element(), site.around());
        text.text("().");
      } else if (!site.around().equals(site.moving().target().element())) {
        names.write(text, site.moving().target().element(), site.around());
        text.text(".");
      }
      pieces.add(text.done());
    }
  }

  private CallerObject caller() {
    return CallerObject.of(site.trees(), site.use().path(), site.moving().target().element());
  }

  /** What the caller has, where it has one. */
  private void caller(Written.Text text) {
    if (caller() instanceof CallerObject.Held held) {
      String name = held.field().getSimpleName().toString();
      if (asked.isLocal(name)) {
        text.name("this", "this of " + site.moving().program().symbols().binary(site.around()))
            .text(".");
      } else {
        text.here(UseKind.RECEIVER, site.moving().program().symbols().key(site.around()));
      }
      text.name(name, site.moving().program().symbols().key(held.field())).text(".");
    } else if (caller() instanceof CallerObject.Itself itself) {
      if (itself.type().equals(site.around())) {
        text.here(UseKind.RECEIVER, site.moving().program().symbols().key(site.around()));
      } else {
        names.write(text, itself.type(), site.around());
        text.text(".")
            .name("this", "this of " + site.moving().program().symbols().binary(itself.type()))
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
    int bracket =
        site.trees().source().codeTokenFrom(site.trees().end(site.use().path().getLeaf())).end();
    List<TreePath> kept = new ArrayList<>(site.arguments());
    if (site.moving().through() instanceof Through.Parameter parameter) {
      kept.remove(parameter.index());
      found.add(removal(parameter.index()));
    }
    if (site.moving().given().isOwner()) {
      List<Piece> pieces = new ArrayList<>();
      asked.whole(pieces);
      pieces.add(Written.plain(kept.isEmpty() ? "" : ", "));
      found.add(new Replacement(bracket, bracket, pieces, List.of()));
    }
    if (!site.moving().given().values().isEmpty()) {
      found.add(values(kept, bracket));
    }
    return found;
  }

  private Replacement removal(int index) {
    ListItem item = ListItem.of(site.trees(), site.tree().getArguments(), index);
    requireBare(item.start(), site.trees().start(site.arguments().get(index).getLeaf()));
    requireBare(site.trees().end(site.arguments().get(index).getLeaf()), item.end());
    return Replacement.removal(item.start(), item.end());
  }

  private void requireBare(int start, int end) {
    if (!site.trees().source().slice(start, end).replace(",", "").isBlank()) {
      throw site.refused(RefusalKind.CALL_SHAPE, "a comment stands between a caller's arguments");
    }
  }

  private Replacement values(List<TreePath> kept, int bracket) {
    int fixed = site.moving().kept().size() - (site.moving().isVarArgs() ? 1 : 0);
    boolean before = site.moving().isVarArgs() && kept.size() > fixed;
    if (site.moving().isVarArgs()
        && !kept.subList(Math.min(fixed, kept.size()), kept.size()).stream()
            .allMatch(site.order()::isQuiet)) {
      throw site.refused(
          RefusalKind.CALL_ORDER, "a caller's expressions would be evaluated in another order");
    }
    List<Piece> pieces = new ArrayList<>();
    boolean first = true;
    boolean behindOwn = !kept.isEmpty() && !before;
    for (Given.Value value : site.moving().given().values()) {
      pieces.add(Written.plain(first && !behindOwn ? "" : ", "));
      asked.member(value.member(), pieces);
      first = false;
    }
    pieces.add(Written.plain(before ? ", " : ""));
    int at =
        before
            ? site.trees().start(kept.get(fixed).getLeaf())
            : kept.isEmpty() ? bracket : site.trees().end(kept.get(kept.size() - 1).getLeaf());
    return new Replacement(at, at, pieces, List.of());
  }
}
