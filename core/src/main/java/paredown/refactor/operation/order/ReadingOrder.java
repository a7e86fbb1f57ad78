package paredown.refactor.operation.order;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.use.OwnerClass;

/**
 * The reading order of methods: a depth-first order of their calls, in which each stands above what
 * it calls, where no circle of calls forbids that; plain accessors stand last.
 */
final class ReadingOrder {
  private final OwnerClass owner;
  private final CalmCalls calm;
  private final Map<OwnerClass.Method, List<OwnerClass.Method>> calls = new LinkedHashMap<>();
  private final Set<OwnerClass.Method> seen = new LinkedHashSet<>();
  private final Deque<OwnerClass.Method> order = new ArrayDeque<>();

  ReadingOrder(OwnerClass owner) {
    this.owner = owner;
    this.calm = new CalmCalls(owner.program());
  }

  /** All methods, the first to be read first. */
  List<OwnerClass.Method> methods() {
    List<OwnerClass.Method> accessors = new ArrayList<>();
    for (OwnerClass.Method method : owner.methods()) {
      if (isAccessor(method)) {
        accessors.add(method);
      } else {
        calls.put(method, List.of());
      }
    }
    Map<String, OwnerClass.Method> byKey = new HashMap<>();
    calls.keySet().forEach(method -> byKey.put(method.key(), method));
    calls.replaceAll((method, none) -> called(method, byKey));
    // What is visited last stands first, so that all is visited from behind.
    reversed(uncalled()).forEach(this::visit);
    reversed(List.copyOf(calls.keySet())).forEach(this::visit);
    List<OwnerClass.Method> all = new ArrayList<>(order);
    all.addAll(accessors);
    return all;
  }

  private void visit(OwnerClass.Method method) {
    if (seen.add(method)) {
      reversed(calls.get(method)).forEach(this::visit);
      order.addFirst(method);
    }
  }

  private static <T> List<T> reversed(List<T> all) {
    List<T> reversed = new ArrayList<>(all);
    java.util.Collections.reverse(reversed);
    return reversed;
  }

  /** The other methods that one calls, in the order of the calls. */
  private List<OwnerClass.Method> called(
      OwnerClass.Method method, Map<String, OwnerClass.Method> byKey) {
    int start = method.range().declaration();
    int end = method.range().declarationEnd();
    return owner.program().uses().within(owner.trees().path(), start, end).stream()
        .filter(use -> use.isName() && byKey.containsKey(use.key()))
        .map(use -> byKey.get(use.key()))
        .filter(each -> each != method)
        .distinct()
        .toList();
  }

  private List<OwnerClass.Method> uncalled() {
    Set<OwnerClass.Method> uncalled = new LinkedHashSet<>(calls.keySet());
    calls.values().forEach(called -> called.forEach(uncalled::remove));
    return List.copyOf(uncalled);
  }

  /** Whether a method does no more than giving or setting a field. */
  private boolean isAccessor(OwnerClass.Method method) {
    if (method.tree().getBody() == null || method.tree().getBody().getStatements().size() != 1) {
      return false;
    }
    return method.tree().getBody().getStatements().get(0) instanceof ReturnTree
        ? calm.field(method.element()).isPresent()
        : setsOnly(method);
  }

  private static boolean setsOnly(OwnerClass.Method method) {
    List<? extends StatementTree> statements = method.tree().getBody().getStatements();
    return method.tree().getParameters().size() == 1
        && statements.get(0) instanceof ExpressionStatementTree statement
        && statement.getExpression() instanceof AssignmentTree set
        && set.getExpression() instanceof IdentifierTree value
        && value.getName().equals(method.tree().getParameters().get(0).getName());
  }
}
