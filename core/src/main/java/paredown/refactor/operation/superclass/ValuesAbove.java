package paredown.refactor.operation.superclass;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Modifier;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Constants;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.use.OwnerClass;

/**
 * Whether fields can have their values above: what they are declared with is worked out before all
 * that their own class does when it starts, or when an object of it is made.
 *
 * <p>The Java Language Specification, sections 12.4.2 and 12.5.
 */
final class ValuesAbove {
  private final CommonMembers common;
  private final FreeAbove free;
  private final OwnerClass parent;
  private final Program program;
  private final CalmCalls calm;

  ValuesAbove(CommonMembers common, FreeAbove free) {
    this.common = common;
    this.free = free;
    this.parent = common.parent();
    this.program = parent.program();
    this.calm = new CalmCalls(program);
  }

  void require(OwnerClass owner, OwnerClass.Field field) {
    Tree value = field.tree().getInitializer();
    TreePath path = value == null ? null : new TreePath(field.path(), value);
    boolean constant = value != null && Constants.unknown(owner.trees(), path).isEmpty();
    if (field.is(Modifier.STATIC)) {
      requireShared(owner, field, constant);
    }
    if (value == null || constant || isInert(path) || isInOrder(owner, field)) {
      return;
    }
    throw cannot(field)
        .because(
            RefusalKind.INITIALISATION_ORDER,
            "working its value out could show, and would be done before other things",
            "Give it its value in a method first.",
            owner.trees().place(field.tree()));
  }

  private static Cannot cannot(OwnerClass.Field field) {
    return new Cannot("%s cannot go up".formatted(field.name()));
  }

  private boolean isInert(TreePath code) {
    return Shift.isInert(program, calm, code);
  }

  /** A static field that several classes have becomes one, which only equal values may. */
  private void requireShared(OwnerClass owner, OwnerClass.Field field, boolean constant) {
    if (constant && field.is(Modifier.FINAL)) {
      return;
    }
    boolean set =
        owner.initialisers().stream()
            .anyMatch(each -> Writes.in(program, each.path()).contains(field.element()));
    if (!common.siblings().isEmpty() || set) {
      throw cannot(field)
          .because(
              RefusalKind.STATIC_CONTEXT,
              set
                  ? "its class sets it when it starts"
                  : "each class has one of its own, and then there would be one for all",
              "Leave it where it is.",
              owner.trees().place(field.tree()));
    }
  }

  /** Whether nothing that shows is done between its old moment and its new one. */
  private boolean isInOrder(OwnerClass owner, OwnerClass.Field field) {
    return (field.is(Modifier.STATIC) ? startsWithThese() : isMadeOfNothing())
        && before(owner, field).stream().allMatch(this::isInert);
  }

  /** Whether the class above is started by these classes alone, and does nothing then. */
  private boolean startsWithThese() {
    return free.isForTheseOnly() && parent.fields().isEmpty() && parent.methods().isEmpty();
  }

  /** Whether the class above does nothing when an object is made but make the one above it. */
  private boolean isMadeOfNothing() {
    List<TreePath> values = new ArrayList<>();
    parent.initialisers().forEach(each -> values.add(each.path()));
    parent.fields().stream()
        .filter(each -> each.tree().getInitializer() != null)
        .forEach(each -> values.add(new TreePath(each.path(), each.tree().getInitializer())));
    return values.stream().allMatch(this::isInert)
        && parent.constructors().stream()
            .flatMap(each -> each.tree().getBody().getStatements().stream())
            .allMatch(ConstructorCall::isSuper);
  }

  /** What stays in its class and is worked out in front of it, be it in a block. */
  private List<TreePath> before(OwnerClass owner, OwnerClass.Field field) {
    int start = owner.trees().start(field.tree());
    List<OwnerClass.Field> going =
        common.fields().stream().map(each -> common.of(owner, each)).toList();
    List<TreePath> before = new ArrayList<>();
    for (OwnerClass.Field each : owner.fields()) {
      Tree value = each.tree().getInitializer();
      boolean first = owner.trees().start(each.tree()) < start;
      boolean ordered = going.indexOf(each) < going.indexOf(field);
      boolean stays = going.contains(each) ? first != ordered : first;
      if (value != null && stays && each.is(Modifier.STATIC) == field.is(Modifier.STATIC)) {
        before.add(new TreePath(each.path(), value));
      }
    }
    owner.initialisers().stream()
        .filter(each -> owner.trees().start(each.path().getLeaf()) < start)
        .forEach(each -> before.add(each.path()));
    return before;
  }
}
