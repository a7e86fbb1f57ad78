package paredown.refactor.operation.order;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.program.Use;
import paredown.refactor.code.DocReference;
import paredown.refactor.use.OwnerClass;

/**
 * The methods that a Javadoc comment of their file means by a name without parameters: that is the
 * first of its name, and goes on to be.
 */
final class MeantByDocs {
  private final OwnerClass owner;

  MeantByDocs(OwnerClass owner) {
    this.owner = owner;
  }

  /** An order in which each of them stands above the others of its name. */
  List<OwnerClass.Method> kept(List<OwnerClass.Method> order) {
    List<OwnerClass.Method> kept = new ArrayList<>(order);
    Set<String> meant =
        owner
            .program()
            .uses()
            .in(owner.trees().path())
            .filter(Use::isDoc)
            .filter(use -> isBare(use.offset()))
            .map(Use::key)
            .collect(Collectors.toSet());
    for (OwnerClass.Method method : owner.methods()) {
      if (meant.contains(method.key())) {
        kept.remove(method);
        kept.add(first(kept, method, order.indexOf(method)), method);
      }
    }
    return kept;
  }

  /** Where the first of the others of a method's name stands, or else the method itself. */
  private static int first(List<OwnerClass.Method> others, OwnerClass.Method method, int alone) {
    for (int i = 0; i < others.size(); i++) {
      if (others.get(i).name().equals(method.name())) {
        return Math.min(i, alone);
      }
    }
    return Math.min(alone, others.size());
  }

  private boolean isBare(int reference) {
    int end = DocReference.end(owner.source(), reference);
    return !owner.source().slice(reference, end).contains("(");
  }
}
