package paredown.refactor.startup;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import paredown.refactor.code.Writes;
import paredown.refactor.use.OwnerClass;

/**
 * The values that a constructor gives fields: which of them could be worked out at another time.
 */
record GivenValues(OwnerClass owner, OwnerClass.Method constructor) {

  /**
   * Whether a value is the same after statements of the constructor, and itself changes nothing.
   */
  boolean isSame(Construction.Assigned assigned, List<? extends StatementTree> statements) {
    if (isPlain(assigned.value())) {
      return statements.stream().noneMatch(each -> writes(each, assigned.value()));
    }
    return isRead(assigned.value()) && statements.stream().allMatch(this::onlySets);
  }

  /** Whether the order in which values are worked out makes no difference. */
  boolean haveNoOrder(List<Construction.Assigned> assigned) {
    List<TreePath> others =
        assigned.stream()
            .filter(each -> each.local() == null)
            .map(Construction.Assigned::value)
            .filter(each -> !isPlain(each))
            .toList();
    boolean oneThatSetsNothing =
        others.size() == 1 && Writes.in(owner.trees(), others.get(0)).isEmpty();
    return oneThatSetsNothing || others.stream().allMatch(this::isRead);
  }

  /** Whether a value is a literal or a variable of the constructor. */
  private boolean isPlain(TreePath value) {
    return value.getLeaf() instanceof LiteralTree
        || value.getLeaf() instanceof IdentifierTree && isLocal(owner.trees().element(value));
  }

  /** Whether a value is a field of what a variable of the constructor holds. */
  private boolean isRead(TreePath value) {
    if (!(value.getLeaf() instanceof MemberSelectTree select)) {
      return isPlain(value);
    }
    Element field = owner.trees().element(value);
    return field != null
        && field.getKind() == ElementKind.FIELD
        && !field.getModifiers().contains(Modifier.VOLATILE)
        && isPlain(new TreePath(value, select.getExpression()));
  }

  private static boolean isLocal(Element element) {
    return element != null
        && (element.getKind() == ElementKind.PARAMETER
            || element.getKind() == ElementKind.LOCAL_VARIABLE);
  }

  /** Whether a statement only gives a field of the new object a value that is there. */
  private boolean onlySets(StatementTree statement) {
    if (!(statement instanceof ExpressionStatementTree plain)
        || !(plain.getExpression() instanceof AssignmentTree set)) {
      return false;
    }
    TreePath path = new TreePath(path(statement), set);
    Element target = owner.trees().element(new TreePath(path, set.getVariable()));
    boolean own =
        set.getVariable() instanceof IdentifierTree || EarlyReads.isOfThis(set.getVariable());
    return own
        && target != null
        && target.getKind() == ElementKind.FIELD
        && isRead(new TreePath(path, set.getExpression()));
  }

  private boolean writes(StatementTree statement, TreePath value) {
    Set<Element> read = variables(value);
    return Writes.in(owner.trees(), path(statement)).stream().anyMatch(read::contains);
  }

  private Set<Element> variables(TreePath value) {
    Set<Element> found = new HashSet<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = owner.trees().element(getCurrentPath());
        if (element != null) {
          found.add(element);
        }
        return null;
      }
    }.scan(value, null);
    return found;
  }

  private TreePath path(Tree statement) {
    return new TreePath(new TreePath(constructor.path(), constructor.tree().getBody()), statement);
  }
}
