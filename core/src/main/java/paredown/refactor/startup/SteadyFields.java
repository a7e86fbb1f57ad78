package paredown.refactor.startup;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
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
import paredown.edit.Assumption;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.effect.Effects;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/**
 * Tells whether a field holds one value all through a method, so that it can be read once before.
 */
public final class SteadyFields {
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Set<Element> written;
  private final List<Event> events = new ArrayList<>();
  private final Map<Element, Boolean> changing = new HashMap<>();
  private final List<Assumption> assumed = new ArrayList<>();
  private Boolean early;

  /** Something that the method does on its way. */
  private record Event(TreePath path, Deeds deeds) {}

  public SteadyFields(OwnerClass owner, OwnerClass.Method method, CalmCalls calm) {
    this.owner = owner;
    this.method = method;
    this.written = Writes.in(owner.trees(), method.path());
    Effects effects = calm.effects();
    new TreePathScanner<Void, Void>() {
      private void note() {
        events.add(new Event(getCurrentPath(), effects.of(getCurrentPath())));
      }

      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        note();
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        note();
        return super.visitNewClass(tree, null);
      }

      @Override
      public Void visitBinary(BinaryTree tree, Void unused) {
        if (tree.getKind() == Tree.Kind.PLUS) {
          note();
        }
        return super.visitBinary(tree, null);
      }

      @Override
      public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
        note();
        return super.visitCompoundAssignment(tree, null);
      }

      @Override
      public Void visitEnhancedForLoop(EnhancedForLoopTree tree, Void unused) {
        TreePath over = new TreePath(getCurrentPath(), tree.getExpression());
        events.add(new Event(over, effects.of(getCurrentPath())));
        return super.visitEnhancedForLoop(tree, null);
      }

      @Override
      public Void visitTry(TryTree tree, Void unused) {
        if (!tree.getResources().isEmpty()) {
          note();
        }
        return super.visitTry(tree, null);
      }
    }.scan(method.path(), null);
  }

  /**
   * Whether what a field holds when the method begins is what a read finds.
   *
   * @param later whether the read is in a lambda or local class
   */
  public boolean is(VariableElement field, TreePath read, boolean later) {
    Set<Modifier> modifiers = field.getModifiers();
    if (!modifiers.contains(Modifier.FINAL)) {
      if (modifiers.contains(Modifier.VOLATILE) || written.contains(field)) {
        return false;
      }
      if (changing.computeIfAbsent(field, this::changesAfterConstruction)) {
        return !later && isKeptUntil(field, read);
      }
    }
    return field.getConstantValue() != null || !later || !mayRunEarly();
  }

  /** What was assumed where a field was found to be steady. */
  public List<Assumption> assumed() {
    return List.copyOf(assumed);
  }

  /** Whether the method may run while its object is being made, before a field has its value. */
  private boolean mayRunEarly() {
    if (early == null) {
      early = !new EarlyRun(owner, method).isNever();
    }
    return early;
  }

  private boolean isKeptUntil(VariableElement field, TreePath read) {
    List<Assumption> needed = new ArrayList<>();
    for (Event event : events) {
      if (comesBefore(event.path(), read)) {
        if (event.deeds().has(Deed.UNKNOWN) || event.deeds().fields().contains(field)) {
          return false;
        }
        needed.addAll(
            Assumptions.of(event.deeds(), owner.trees(), event.path(), owner.simpleName()));
      }
    }
    assumed.addAll(needed);
    return true;
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
            .anyMatch(use -> !isOfConstruction(use.path()));
  }

  /** Whether a write belongs to the making of the very object that it writes to. */
  private boolean isOfConstruction(TreePath write) {
    boolean own =
        write.getLeaf() instanceof IdentifierTree
            || write.getLeaf() instanceof MemberSelectTree select && isThis(select.getExpression());
    for (TreePath at = write; own && at != null; at = at.getParentPath()) {
      Tree tree = at.getLeaf();
      if (tree instanceof LambdaExpressionTree) {
        return false;
      }
      if (tree instanceof ClassTree) {
        return false;
      }
      if (isMaking(tree)) {
        return at.getParentPath().getLeaf() == owner.tree();
      }
    }
    return false;
  }

  private static boolean isThis(ExpressionTree object) {
    return object instanceof IdentifierTree name && name.getName().contentEquals("this");
  }

  private boolean isMaking(Tree tree) {
    return owner.constructors().stream().anyMatch(each -> each.tree() == tree)
        || owner.initialisers().stream()
            .anyMatch(each -> each.tree() == tree && !each.tree().isStatic());
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
