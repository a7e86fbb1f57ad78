package paredown.refactor;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import paredown.program.DeclaredNames;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.text.SourceText;

/** The trees of one unit, with their positions and elements at hand. */
final class UnitTrees {
  private final Program program;
  private final Unit unit;
  private final SourcePositions positions;
  private final DeclaredNames names;

  UnitTrees(Program program, Unit unit) {
    this.program = program;
    this.unit = unit;
    this.positions = program.trees().getSourcePositions();
    this.names = new DeclaredNames(positions, unit);
  }

  Program program() {
    return program;
  }

  Unit unit() {
    return unit;
  }

  /** The package of its code; empty for the unnamed one. */
  String packageName() {
    var name = unit.tree().getPackageName();
    return name == null ? "" : name.toString();
  }

  SourceText source() {
    return unit.source();
  }

  String path() {
    return unit.path();
  }

  int start(Tree tree) {
    return (int) positions.getStartPosition(unit.tree(), tree);
  }

  int end(Tree tree) {
    return (int) positions.getEndPosition(unit.tree(), tree);
  }

  /** Where the name of an identifier or member select stands. */
  int nameOffset(Tree expression) {
    return expression instanceof MemberSelectTree select
        ? end(select) - select.getIdentifier().length()
        : start(expression);
  }

  DeclaredNames names() {
    return names;
  }

  Element element(TreePath path) {
    return program.trees().getElement(path);
  }

  String place(Tree tree) {
    return source().place(Math.max(0, start(tree)));
  }
}
