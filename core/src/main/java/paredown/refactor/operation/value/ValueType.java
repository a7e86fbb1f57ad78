package paredown.refactor.operation.value;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.Tree;
import java.util.List;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.UseKind;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;

/** The new type, as code writes it: its name, objects of it, and the value that they give. */
record ValueType(Program program, TypeElement element, FileNames names, EditList edits) {
  private static final String PROOF = "the object holds the value";

  /** Notes what takes the place of some code, and holds or gives the same value. */
  void replace(UnitTrees trees, int start, int end, List<Piece> pieces) {
    edits.add(
        trees.path(), Rewriting.of(trees, start, end, PROOF, pieces, List.of()).proving(PROOF));
  }

  /** Notes what takes the place of a tree. */
  void replace(UnitTrees trees, Tree tree, Piece... pieces) {
    replace(trees, trees.start(tree), trees.end(tree), List.of(pieces));
  }

  /** Puts its name where another type stands. */
  void name(UnitTrees trees, Tree written, TypeElement scope) {
    Written.Text text = Written.text("");
    names.of(trees).write(text, element, scope);
    replace(trees, written, text.done());
  }

  /** Writes the creation of an object, up to the bracket before its value. */
  void begin(Written.Text text, UnitTrees trees, TypeElement scope) {
    var constructor = ElementFilter.constructorsIn(element.getEnclosedElements()).get(0);
    text.here(UseKind.CREATION, program.symbols().key(constructor)).text("new ");
    names.of(trees).write(text, element, scope);
    text.text("(");
  }

  /** Makes an object of what an expression gives, in its place. */
  void make(UnitTrees trees, ExpressionTree value, TypeElement scope) {
    Written.Text text = Written.text("");
    begin(text, trees, scope);
    replace(trees, value, text.done(), edits.carried(trees, value), Written.plain(")"));
  }

  /** Writes that an object is asked for its value. */
  void ask(Written.Text text) {
    var accessor =
        ElementFilter.methodsIn(element.getEnclosedElements()).stream()
            .filter(each -> each.getSimpleName().contentEquals(ValueText.VALUE))
            .findFirst()
            .orElseThrow();
    text.text(".").name(ValueText.VALUE, program.symbols().key(accessor)).text("()");
  }
}
