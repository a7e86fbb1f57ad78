package paredown.refactor.operation.movefield;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;
import paredown.text.Listed;

/**
 * The object of the target that each object of the owner has for itself, in a field that is set
 * when it is made: what the owner keeps can as well be kept there.
 *
 * @param field the owner's field that holds it
 */
record HeldTarget(OwnerClass owner, OwnerClass target, OwnerClass.Field field) {

  /**
   * The field through which a target is held.
   *
   * @param through its name; empty where there is one only
   * @throws UnusableRequest where there is none, or several
   */
  static HeldTarget of(OwnerClass owner, OwnerClass target, Optional<String> through) {
    List<OwnerClass.Field> holding =
        owner.fields().stream()
            .filter(each -> !each.is(Modifier.STATIC))
            .filter(
                each ->
                    target
                        .element()
                        .equals(owner.program().types().asElement(each.element().asType())))
            .filter(each -> through.isEmpty() || each.name().equals(through.get()))
            .toList();
    if (holding.isEmpty()) {
      throw new UnusableRequest(
          through.isEmpty()
              ? "%s holds no %s in a field.".formatted(owner.writtenName(), target.simpleName())
              : "%s holds no %s in a field %s."
                  .formatted(owner.writtenName(), target.simpleName(), through.get()),
          "A field of objects goes to an object that each of them holds.");
    }
    if (holding.size() > 1) {
      throw new UnusableRequest(
          "%s holds several: %s."
              .formatted(
                  owner.writtenName(),
                  Listed.of(holding.stream().map(OwnerClass.Field::name).toList())),
          "Say which with --through.");
    }
    return new HeldTarget(owner, target, holding.get(0));
  }

  private Program program() {
    return owner.program();
  }

  private Refused refused(RefusalKind kind, String moved, String why, String advice, TreePath at) {
    return Refused.advising(
        kind,
        "%s cannot be moved to %s: %s.".formatted(moved, target.writtenName(), why),
        advice,
        owner.trees().place(at.getLeaf()));
  }

  /**
   * Requires that each object of the owner has one for itself, from before the moved field is used.
   *
   * @param shared whether it does not matter that several could have one
   * @throws Refused where they could share it, or it could be missing
   */
  void require(OwnerClass.Field moved, boolean shared) {
    if (owner.isA("java.lang.Cloneable")) {
      throw refused(
          RefusalKind.CLONED,
          moved.name(),
          "a clone would share %s".formatted(field.name()),
          "",
          field.path());
    }
    List<TreePath> values = new ArrayList<>();
    List<TreePath> before = new ArrayList<>();
    boolean declared = field.tree().getInitializer() != null;
    int made = declared ? field.declared() : Integer.MAX_VALUE;
    initialisers(moved, made, before);
    if (declared) {
      values.add(new TreePath(field.path(), field.tree().getInitializer()));
    } else {
      constructors(moved, values, before);
    }
    requireNeverSet(moved, values.size());
    for (TreePath value : values) {
      requireOwn(moved, value, shared);
    }
    before.addAll(values);
    for (TreePath code : before) {
      boolean comes =
          !OwnerTouches.in(owner, code).isEmpty()
              || CodeElsewhere.named(owner.trees(), code).contains(moved.element());
      if (comes) {
        throw refused(
            RefusalKind.USED_BEFORE_BUILT,
            moved.name(),
            "what runs before %s is set could come to it".formatted(field.name()),
            "Set %s first of all.".formatted(field.name()),
            code);
      }
    }
    new EarlyUses(Leaving.of(owner, List.of(moved.name()), List.of()), null)
        .requireQuietSuperclass();
  }

  /** What runs in the declarations before the target is there. */
  private void initialisers(OwnerClass.Field moved, int made, List<TreePath> before) {
    for (OwnerClass.Field each : owner.fields()) {
      boolean runs = each.startsWithObject();
      if (runs && each.declared() < made && !each.equals(moved)) {
        before.add(new TreePath(each.path(), each.tree().getInitializer()));
      }
    }
    owner.initialisers().stream()
        .filter(each -> !each.tree().isStatic())
        .filter(each -> owner.trees().start(each.tree()) < made)
        .forEach(each -> before.add(each.path()));
  }

  /** What each constructor sets it to, and what it does before. */
  private void constructors(OwnerClass.Field moved, List<TreePath> values, List<TreePath> before) {
    List<OwnerClass.Method> all =
        owner.constructors().stream().filter(each -> !each.callsAnother()).toList();
    for (OwnerClass.Method each : all) {
      TreePath body = new TreePath(each.path(), each.tree().getBody());
      TreePath value = null;
      for (StatementTree statement : each.tree().getBody().getStatements()) {
        TreePath path = new TreePath(body, statement);
        value = set(path);
        if (value != null) {
          break;
        }
        if (!ConstructorCall.isSuper(statement)) {
          before.add(path);
        }
      }
      if (value == null) {
        throw missing(moved, each.path());
      }
      values.add(value);
    }
    if (all.isEmpty()) {
      throw missing(moved, field.path());
    }
  }

  private Refused missing(OwnerClass.Field moved, TreePath at) {
    return refused(
        RefusalKind.MAYBE_NULL,
        moved.name(),
        "%s is not set there, so that it could be missing".formatted(field.name()),
        "Set it where it is declared.",
        at);
  }

  private TreePath set(TreePath statement) {
    if (statement.getLeaf() instanceof ExpressionStatementTree done
        && done.getExpression() instanceof AssignmentTree assignment) {
      TreePath at = new TreePath(statement, assignment);
      Element set = owner.trees().element(new TreePath(at, assignment.getVariable()));
      return field.element().equals(set) ? new TreePath(at, assignment.getExpression()) : null;
    }
    return null;
  }

  /** It is set once, when the object is made. */
  private void requireNeverSet(OwnerClass.Field moved, int times) {
    long set = 0;
    for (MemberUses.MemberUse use :
        MemberUses.of(program(), Map.of(field.element(), field.key()))) {
      boolean writes =
          use.access() == MemberUses.Access.WRITE || use.access() == MemberUses.Access.UPDATE;
      set += writes ? 1 : 0;
    }
    long known = field.tree().getInitializer() != null ? 0 : times;
    if (set != known) {
      throw refused(
          RefusalKind.TARGET_CHANGES,
          moved.name(),
          "%s is set again, and another object would keep it then".formatted(field.name()),
          "",
          field.path());
    }
  }

  /** A new object is nobody else's. */
  private void requireOwn(OwnerClass.Field moved, TreePath value, boolean shared) {
    if (value.getLeaf() instanceof NewClassTree) {
      return;
    }
    if (shared && isGiven(value)) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.NULL,
              "%s is never null here".formatted(field.name()),
              owner.trees().place(value.getLeaf()));
      return;
    }
    throw refused(
        RefusalKind.TARGET_SHARED,
        moved.name(),
        "%s is no new object, so that several %ss could have one, and would share %s"
            .formatted(field.name(), owner.simpleName(), moved.name()),
        "If each has one for itself, say --accept target-shared.",
        value);
  }

  private boolean isGiven(TreePath value) {
    Element element = owner.trees().element(value);
    return element != null && element.getKind() == ElementKind.PARAMETER;
  }
}
