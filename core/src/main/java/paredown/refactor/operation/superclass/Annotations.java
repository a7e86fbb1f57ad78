package paredown.refactor.operation.superclass;

import com.sun.source.tree.AnnotationTree;
import paredown.edit.Replacement;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;

/** Takes annotations away. */
final class Annotations {
  private Annotations() {}

  /** An annotation with the white space behind it. */
  static Replacement removal(UnitTrees trees, AnnotationTree annotation) {
    int start = trees.start(annotation);
    int end = trees.end(annotation);
    while (Character.isWhitespace(trees.source().text().charAt(end))) {
      end++;
    }
    return Rewriting.of(trees, start, end, "nothing is above it there");
  }
}
