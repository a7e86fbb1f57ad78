package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.refactor.code.UnitTrees;

/**
 * A call of a head, or the creation of an object by one.
 *
 * @param given what it gives
 */
record Call(UnitTrees trees, TreePath path, List<? extends ExpressionTree> given, Head head) {

  TreePath argument(int position) {
    return new TreePath(path, given.get(position));
  }

  /** The positions of what it gives in the order in which that is worked out then. */
  List<Integer> order(List<Integer> components) {
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < given.size(); i++) {
      if (i == head.first()) {
        components.stream().map(head.positions()::get).forEach(order::add);
      } else if (!head.positions().contains(i)) {
        order.add(i);
      }
    }
    return order;
  }
}
