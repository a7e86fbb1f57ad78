package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.util.TreePath;
import java.util.List;
import javax.lang.model.element.VariableElement;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.refactor.code.Part;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;

/** The calls of a new method, in the place of the code that it has, here and elsewhere. */
final class CallsInstead {
  private final Extraction extraction;
  private final String name;
  private final Shape shape;
  private final NewMethod method;
  private final EditList edits = new EditList();

  CallsInstead(Extraction extraction, String name, Shape shape, NewMethod method) {
    this.extraction = extraction;
    this.name = name;
    this.shape = shape;
    this.method = method;
  }

  /** The calls, here and in other places, and the method. */
  EditList edits(DeclaredMethod declared, List<Callee> calling) {
    UnitTrees trees = extraction.trees();
    FileNames files = new FileNames(trees.program(), edits);
    TypeNames names = files.of(trees);
    boolean leaves = shape.result() == Shape.Result.LEAVES;
    int[] replaced = replaced(trees, extraction.part());
    edits.add(
        trees.path(),
        new Replacement(
            replaced[0],
            replaced[1],
            method.call(shape, names),
            List.of(),
            leaves ? DeclaredMethod.LEFT : ""));
    declareLater(extraction, shape);
    calling.forEach(each -> replace(each, files));
    edits.add(trees.path(), declared.text(names));
    files.addImports();
    return edits;
  }

  /** Where the call stands: a call needs no brackets around it. */
  private static int[] replaced(UnitTrees there, Part part) {
    TreePath brackets = part.first().getParentPath();
    boolean alone =
        part.isExpression()
            && brackets.getLeaf() instanceof ParenthesizedTree
            && !Values.isHead(brackets.getParentPath().getLeaf());
    int start = alone ? there.start(brackets.getLeaf()) : part.start();
    int end = alone ? there.end(brackets.getLeaf()) : part.end();
    boolean bare =
        there.source().slice(start, part.start()).matches("\\(?\\s*")
            && there.source().slice(part.end(), end).matches("\\s*\\)?");
    return bare ? new int[] {start, end} : new int[] {part.start(), part.end()};
  }

  private void replace(Callee each, FileNames names) {
    String why = "it is what " + name + " does";
    Part other = each.twin().part();
    UnitTrees there = each.twin().trees();
    List<Piece> call = method.call(each, names.of(there));
    int[] replaced = replaced(there, other);
    edits.add(
        there.path(),
        Rewriting.ofSaidElsewhere(there, replaced[0], replaced[1], why, call).proving(why));
    declareLater(each.at(), each.shape());
  }

  /** The uses behind the part of a variable that the call declares. */
  private void declareLater(Extraction there, Shape shape) {
    for (VariableElement each : shape.variables()) {
      if (there.locals().isOwn(each)) {
        for (Locals.Named use : there.locals().later(each)) {
          edits.add(there.trees().path(), DeclaredMethod.local(there.trees(), use));
        }
      }
    }
  }
}
