package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
import java.util.List;
import paredown.edit.Piece;

/** What stands where the method returned. */
interface Ending {
  List<Piece> at(TreePath value, String indent);

  /** Whether it can stand in a try statement as well as behind it. */
  boolean canBeTried(TryTree tree);

  /** Whether it can stand in front of a loop that puts another in its place. */
  boolean canBeFirst();
}
