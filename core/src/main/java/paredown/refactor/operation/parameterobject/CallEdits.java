package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import javax.lang.model.element.Element;
import javax.lang.model.element.VariableElement;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.UseKind;
import paredown.refactor.code.CalledName;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;

/** The calls of the heads, which give an object: their own, or a new one of what they gave. */
final class CallEdits {
  private static final String WHY = "the object holds it";

  private final Program program;
  private final Signatures signatures;
  private final ObjectType type;
  private final FileNames names;
  private final EditList edits;

  CallEdits(
      Program program, Signatures signatures, ObjectType type, FileNames names, EditList edits) {
    this.program = program;
    this.signatures = signatures;
    this.type = type;
    this.names = names;
    this.edits = edits;
  }

  /** Inner calls come first, so that outer ones take them along as they are then. */
  void add(List<Call> calls) {
    for (Call call : calls) {
      if (call.path().getLeaf() instanceof MethodInvocationTree tree) {
        edits.add(
            call.trees().path(),
            CalledName.meaning(call.trees(), tree, call.head().newKey(type.element())));
      }
      give(call);
    }
  }

  private void give(Call call) {
    UnitTrees trees = call.trees();
    Head head = call.head();
    List<? extends ExpressionTree> given = call.given();
    int first = head.first();
    int last = head.last();
    int start = trees.start(given.get(first));
    int end = trees.end(given.get(last));
    List<Piece> pieces = new ArrayList<>();
    LongLine line = LongLine.of(call, start, end, type.element().getSimpleName().length());
    Optional<Head> caller = passingOn(call);
    if (caller.isPresent()) {
      for (int position : head.positions()) {
        edits.take(trees.path(), trees.start(given.get(position)), trees.end(given.get(position)));
      }
      pieces.add(Written.text("").local(caller.get().object()).done());
    } else {
      start = line.start();
      pieces.add(Written.plain(line.before()));
      made(call, pieces);
    }
    for (int i = first + 1; i <= last; i++) {
      if (!head.positions().contains(i)) {
        pieces.add(Written.plain(", "));
        pieces.add(edits.carried(trees, given.get(i)));
      }
    }
    edits.add(
        trees.path(),
        Rewriting.of(trees, start, end, WHY, pieces, List.of())
            .proving("the object gives the values that were given here"));
  }

  /** Writes the creation of an object of what a call gave. */
  private void made(Call call, List<Piece> pieces) {
    UnitTrees trees = call.trees();
    List<? extends ExpressionTree> given = call.given();
    Written.Text text =
        Written.text("")
            .here(UseKind.CREATION, program.symbols().key(type.constructor()))
            .text("new ");
    names.of(trees).write(text, type.element(), trees.classAround(call.path()));
    String arguments = type.element().getTypeParameters().isEmpty() ? "" : "<>";
    pieces.add(text.text(arguments + "(").done());
    List<Integer> order = type.order().stream().map(call.head().positions()::get).toList();
    boolean together =
        IntStream.range(0, order.size()).allMatch(i -> order.get(i) == order.get(0) + i);
    if (together) {
      int start = trees.start(given.get(order.get(0)));
      int end = trees.end(given.get(order.get(order.size() - 1)));
      String indent = trees.source().indentAt(start);
      boolean lines =
          trees.source().startsLine(start) && trees.source().slice(start, end).contains("\n");
      Indent deeper = lines ? new Indent(indent, indent + "    ") : Indent.SAME;
      pieces.add(Written.plain(lines ? trees.source().lineEnd() + deeper.to() : ""));
      pieces.add(
          new Carried(
              trees.path(), start, end, edits.take(trees.path(), start, end), deeper, null));
    } else {
      for (int i = 0; i < order.size(); i++) {
        if (i > 0) {
          pieces.add(Written.plain(", "));
        }
        pieces.add(edits.carried(trees, given.get(order.get(i))));
      }
    }
    pieces.add(Written.plain(")"));
  }

  /** The caller that was given just these values and has not changed them: it has the object. */
  private Optional<Head> passingOn(Call call) {
    UnitTrees trees = call.trees();
    List<Integer> positions = call.head().positions();
    for (TreePath at = call.path(); at != null; at = at.getParentPath()) {
      Optional<Head> caller = signatures.head(trees.element(at));
      if (at.getLeaf() instanceof com.sun.source.tree.MethodTree && caller.isPresent()) {
        Set<Element> written = Writes.in(trees, new TreePath(at, caller.get().tree().getBody()));
        boolean same =
            IntStream.range(0, positions.size())
                .allMatch(
                    i -> {
                      ExpressionTree argument = call.given().get(positions.get(i));
                      VariableElement parameter = caller.get().parameter(i);
                      return argument instanceof IdentifierTree
                          && parameter.equals(trees.element(new TreePath(call.path(), argument)))
                          && !written.contains(parameter);
                    });
        if (same) {
          return caller;
        }
      }
    }
    return Optional.empty();
  }
}
