package paredown.refactor.operation.changetype;

import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.refactor.use.MemberUses;

/**
 * A value that is counted on, {@code taken += 2} or {@code taken++}, and whether a new type can be.
 */
final class Counting {
  private final Program program;
  private final Exchange exchange;
  private final MemberUses.MemberUse use;
  private final TreePath path;

  /** What counts on a holder that is used so. */
  Counting(Program program, Exchange exchange, MemberUses.MemberUse use) {
    this.program = program;
    this.exchange = exchange;
    this.use = use;
    this.path = Holders.value(use).orElseThrow();
  }

  /** The assignment, or the step. */
  TreePath path() {
    return path;
  }

  /** Why the new type cannot be counted on so; empty where it can. */
  Optional<String> obstacle() {
    if (exchange.maker().isPresent()) {
      return isPlain()
          ? Optional.empty()
          : Optional.of("it is counted on in one go: write it as an assignment first");
    }
    boolean kept =
        path.getLeaf() instanceof CompoundAssignmentTree count
            ? exchange.counts(count.getKind(), by(count))
            : exchange.counts(path.getLeaf().getKind(), null);
    return kept
        ? Optional.empty()
        : Optional.of("it is counted on there in a way that the old type cuts off or rounds");
  }

  private TypeMirror by(CompoundAssignmentTree count) {
    return program.trees().getTypeMirror(new TreePath(path, count.getExpression()));
  }

  /**
   * Whether it is a statement, whose object nothing has to work out, and which cuts off nothing.
   */
  private boolean isPlain() {
    boolean plain =
        use.simple()
            || use.path().getLeaf() instanceof MemberSelectTree select
                && select.getExpression() instanceof IdentifierTree;
    boolean alone = path.getParentPath().getLeaf() instanceof ExpressionStatementTree;
    boolean whole =
        !(path.getLeaf() instanceof CompoundAssignmentTree count)
            || program.types().isAssignable(by(count), exchange.from());
    return plain && alone && whole;
  }
}
