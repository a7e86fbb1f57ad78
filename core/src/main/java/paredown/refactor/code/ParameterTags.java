package paredown.refactor.code;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.ParamTree;
import com.sun.source.util.DocSourcePositions;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import paredown.text.SourceText;

/** The tags in the comment of a method that say something of its parameters. */
public record ParameterTags(UnitTrees trees, TreePath method) {

  private DocCommentTree comment() {
    return trees.program().trees().getDocCommentTree(method);
  }

  /** The tags of parameters with these names. */
  public List<ParamTree> of(Collection<String> names) {
    DocCommentTree comment = comment();
    return comment == null
        ? List.of()
        : comment.getBlockTags().stream()
            .filter(ParamTree.class::isInstance)
            .map(ParamTree.class::cast)
            .filter(each -> !each.isTypeParameter())
            .filter(each -> names.contains(each.getName().getName().toString()))
            .toList();
  }

  /** Where those stand that have their lines alone, from their signs to the ends of their texts. */
  public List<int[]> ranges(Collection<String> names) {
    List<int[]> ranges = new ArrayList<>();
    DocSourcePositions positions = trees.program().trees().getSourcePositions();
    SourceText source = trees.source();
    for (ParamTree tag : of(names)) {
      int start = (int) positions.getStartPosition(trees.unit().tree(), comment(), tag);
      int end = (int) positions.getEndPosition(trees.unit().tree(), comment(), tag);
      while (end > start && Character.isWhitespace(source.text().charAt(end - 1))) {
        end--;
      }
      int next = source.nextLine(Math.max(start, end - 1));
      String before = source.slice(source.lineStart(start), start).strip();
      boolean alone = before.equals("*") && source.slice(end, next).isBlank();
      if (alone) {
        ranges.add(new int[] {start, end});
      }
    }
    return ranges;
  }
}
