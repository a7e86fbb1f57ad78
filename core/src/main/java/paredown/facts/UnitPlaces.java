package paredown.facts;

import com.sun.source.tree.Tree;
import com.sun.source.util.SourcePositions;
import paredown.program.Unit;
import paredown.text.SourceText;

/** Where the trees of one file stand in its text. */
record UnitPlaces(SourcePositions positions, Unit unit) {

  SourceText source() {
    return unit.source();
  }

  /** Where a tree begins; below zero where it stands in no text. */
  int start(Tree tree) {
    return (int) positions.getStartPosition(unit.tree(), tree);
  }

  /** Where a tree ends; below zero where it stands in no text. */
  int end(Tree tree) {
    return (int) positions.getEndPosition(unit.tree(), tree);
  }

  /** The line that a tree begins on, from 1. */
  int line(Tree tree) {
    return source().line(Math.max(0, start(tree)));
  }
}
