package paredown.refactor.code;

import com.sun.source.tree.Tree;
import java.util.List;

/**
 * The range of one of several parameters or arguments, with the comma that parts it from the next
 * or else from the one before.
 */
public record ListItem(int start, int end) {

  public static ListItem of(UnitTrees trees, List<? extends Tree> all, int index) {
    int start = trees.start(all.get(index));
    int end = trees.end(all.get(index));
    if (index + 1 < all.size()) {
      return new ListItem(start, trees.start(all.get(index + 1)));
    }
    return new ListItem(index > 0 ? trees.end(all.get(index - 1)) : start, end);
  }
}
