package paredown.refactor;

import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;

/**
 * Tells whether a field holds one value all through a method, so that it can be read once before.
 */
final class SteadyFields {
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Set<Element> written;
  private final List<TreePath> unknown = new ArrayList<>();
  private final Map<Element, Boolean> changing = new HashMap<>();

  SteadyFields(OwnerClass owner, OwnerClass.Method method, CalmCalls calm) {
    this.owner = owner;
    this.method = method;
    this.written = Writes.in(owner.trees(), method.path());
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        note(new TreePath(getCurrentPath(), tree.getMethodSelect()));
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        note(getCurrentPath());
        return super.visitNewClass(tree, null);
      }

      private void note(TreePath call) {
        Element called = owner.trees().element(call);
        if (called == null || !calm.isCalm(called)) {
          unknown.add(getCurrentPath());
        }
      }
    }.scan(method.path(), null);
  }

  /**
   * Whether what a field holds when the method begins is what a read finds.
   *
   * @param later whether the read is in a lambda or local class
   */
  boolean is(VariableElement field, TreePath read, boolean later) {
    if (field.getModifiers().contains(Modifier.FINAL)) {
      return true;
    }
    if (field.getModifiers().contains(Modifier.VOLATILE) || written.contains(field)) {
      return false;
    }
    if (!changing.computeIfAbsent(field, this::changesAfterConstruction)) {
      return true;
    }
    return !later && unknown.stream().noneMatch(call -> comesBefore(call, read));
  }

  private boolean changesAfterConstruction(Element field) {
    if (!field.getModifiers().contains(Modifier.PRIVATE)
        || !field.getEnclosingElement().equals(owner.element())) {
      return true;
    }
    TreePath unit = new TreePath(owner.trees().unit().tree());
    Map<Element, String> keys = Map.of(field, owner.program().symbols().key(field));
    return Writes.in(owner.trees(), unit).contains(field)
        && MemberUses.of(owner.program(), keys).stream()
            .filter(use -> use.access() != MemberUses.Access.READ)
            .anyMatch(use -> !isInConstruction(use.path()));
  }

  private boolean isInConstruction(TreePath path) {
    return owner.constructors().stream().anyMatch(each -> isAround(each.path(), path))
        || owner.initialisers().stream().anyMatch(each -> isAround(each.path(), path));
  }

  private static boolean isAround(TreePath outer, TreePath inner) {
    for (TreePath at = inner; at != null; at = at.getParentPath()) {
      if (at.getLeaf() == outer.getLeaf()) {
        return true;
      }
    }
    return false;
  }

  private boolean comesBefore(TreePath call, TreePath read) {
    if (owner.trees().end(call.getLeaf()) <= owner.trees().start(read.getLeaf())) {
      return true;
    }
    for (TreePath at = call; at != null && at.getLeaf() != method.tree(); at = at.getParentPath()) {
      if (isLoop(at.getLeaf()) && isAround(at, read)) {
        return true;
      }
    }
    return false;
  }

  private static boolean isLoop(Tree tree) {
    return tree instanceof ForLoopTree
        || tree instanceof EnhancedForLoopTree
        || tree instanceof WhileLoopTree
        || tree instanceof DoWhileLoopTree;
  }
}
