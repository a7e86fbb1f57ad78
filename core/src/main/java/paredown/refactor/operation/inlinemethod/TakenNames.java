package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The names that the code of a method has taken where it was called before. */
final class TakenNames {
  private record Taken(Call call, Set<String> names) {}

  private final List<Taken> all = new ArrayList<>();

  /** The names that blocks around a call, or within its own, have got. */
  Set<String> near(Call call) {
    Set<String> near = new HashSet<>();
    for (Taken each : all) {
      if (isWithin(call, each.call()) || isWithin(each.call(), call)) {
        near.addAll(each.names());
      }
    }
    return near;
  }

  void add(Call call, Set<String> names) {
    all.add(new Taken(call, Set.copyOf(names)));
  }

  /** Whether a call stands in the block that another stands in. */
  private static boolean isWithin(Call inner, Call outer) {
    Tree block = outer.scope();
    for (TreePath at = inner.path(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() == block) {
        return true;
      }
    }
    return false;
  }
}
