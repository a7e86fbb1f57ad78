package paredown.refactor.startup;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.Overriding;
import paredown.refactor.use.FreeLocals;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;
import paredown.refactor.use.Reach;

/** Looks for a way to construct the object that nobody can tell from what was before. */
final class ConstructionSearch {
  private final OwnerClass owner;
  private final List<OwnerClass.Field> fields;
  private final List<MemberUse> uses;
  private final Reach reach;

  ConstructionSearch(Leaving leaving) {
    this.owner = leaving.owner();
    this.fields = leaving.fieldsOfObject();
    this.uses = leaving.usesOfFields();
    this.reach = new Reach(leaving);
  }

  Construction find() {
    List<OwnerClass.Field> mustBeSet =
        fields.stream()
            .filter(field -> field.is(Modifier.FINAL) && field.tree().getInitializer() == null)
            .toList();
    List<OwnerClass.Field> couldBeSet =
        fields.stream()
            .filter(
                field -> field.tree().getInitializer() == null && isSetInConstructorsOnly(field))
            .toList();
    if (mustBeSet.isEmpty() && couldBeSet.isEmpty()) {
      return new Construction(List.of(), List.of());
    }
    Set<OwnerClass.Field> setAtFirst = new HashSet<>(mustBeSet);
    fields.stream().filter(this::isSetByEveryConstructor).forEach(setAtFirst::add);
    Set<OwnerClass.Field> wanted = new HashSet<>(mustBeSet);
    wanted.addAll(couldBeSet);
    return firstThatWorks(List.of(wanted, new HashSet<>(mustBeSet), setAtFirst));
  }

  /**
   * Takes the first of several sets of fields whose values the constructors can give the object.
   *
   * @throws Refused as the first of them is, where none works
   */
  private Construction firstThatWorks(List<Set<OwnerClass.Field>> ways) {
    Refused first = null;
    for (Set<OwnerClass.Field> way : ways) {
      if (way.isEmpty()) {
        return new Construction(List.of(), List.of());
      }
      try {
        return inConstructors(way);
      } catch (Refused refused) {
        first = first == null ? refused : first;
      }
    }
    throw first;
  }

  private boolean isSetByEveryConstructor(OwnerClass.Field field) {
    return field.tree().getInitializer() == null
        && owner.constructors().stream()
            .filter(each -> !each.callsAnother())
            .allMatch(
                each ->
                    uses.stream()
                        .filter(use -> use.key().equals(field.key()))
                        .filter(use -> use.access() == MemberUses.Access.WRITE)
                        .anyMatch(use -> owner.holds(each.range(), use)));
  }

  private boolean isSetInConstructorsOnly(OwnerClass.Field field) {
    boolean[] written = {false};
    boolean only =
        uses.stream()
            .filter(use -> use.key().equals(field.key()))
            .filter(use -> use.access() != MemberUses.Access.READ)
            .filter(use -> use.access() != MemberUses.Access.LOCK)
            .filter(use -> use.access() != MemberUses.Access.RESOURCE)
            .peek(use -> written[0] = true)
            .allMatch(
                use ->
                    use.access() == MemberUses.Access.WRITE
                        && owner.constructors().stream()
                            .anyMatch(c -> owner.holds(c.range(), use)));
    return only && written[0];
  }

  private Construction inConstructors(Set<OwnerClass.Field> wanted) {
    List<OwnerClass.Method> makers =
        owner.constructors().stream().filter(c -> !c.callsAnother()).toList();
    if (makers.isEmpty()) {
      throw shape(fields.get(0), owner.trees().place(owner.tree()));
    }
    List<Construction.Build> builds = makers.stream().map(maker -> build(maker, wanted)).toList();
    List<OwnerClass.Field> order =
        builds.get(0).assignments().stream().map(Construction.Assigned::field).toList();
    for (Construction.Build build : builds) {
      boolean sameOrder =
          build.assignments().stream().map(Construction.Assigned::field).toList().equals(order);
      if (!sameOrder && !build.anyOrder()) {
        throw shape(order.get(0), owner.trees().place(build.constructor().tree()));
      }
    }
    return new Construction(order, builds);
  }

  private Construction.Build build(OwnerClass.Method constructor, Set<OwnerClass.Field> wanted) {
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    List<Construction.Assigned> assigned = new ArrayList<>();
    List<Integer> at = new ArrayList<>();
    List<? extends StatementTree> statements = constructor.tree().getBody().getStatements();
    for (int i = 0; i < statements.size(); i++) {
      Construction.Assigned each = assigned(new TreePath(body, statements.get(i)), wanted);
      if (each != null) {
        assigned.add(each);
        at.add(i);
      }
    }
    Set<OwnerClass.Field> set =
        assigned.stream().map(Construction.Assigned::field).collect(Collectors.toSet());
    if (!set.equals(wanted) || assigned.size() != wanted.size()) {
      OwnerClass.Field missing =
          wanted.stream()
              .filter(field -> !set.contains(field))
              .findFirst()
              .orElseGet(() -> wanted.iterator().next());
      throw shape(missing, owner.trees().place(constructor.tree()));
    }
    int first = at.get(0);
    int last = at.get(at.size() - 1);
    requireQuiet(body, statements, last, assigned.get(0).field());
    List<Construction.EarlyRead> early =
        new EarlyReads(owner, fields, uses).of(constructor, assigned);
    boolean together = last - first + 1 == assigned.size();
    boolean moves = !together || !early.isEmpty();
    FreeLocals locals = new FreeLocals(constructor);
    GivenValues values = new GivenValues(owner, constructor);
    List<Construction.Assigned> kept = new ArrayList<>();
    for (Construction.Assigned each : assigned) {
      boolean read = early.stream().anyMatch(use -> use.field().equals(each.field()));
      boolean later = each != assigned.get(assigned.size() - 1);
      boolean same = values.isSame(each, statements.subList(first, last + 1));
      kept.add(read || moves && later && !same ? each.kept(locals.name(each.field())) : each);
    }
    return new Construction.Build(constructor, kept, early, values.haveNoOrder(kept));
  }

  private Construction.Assigned assigned(TreePath statement, Set<OwnerClass.Field> wanted) {
    if (!(statement.getLeaf() instanceof ExpressionStatementTree expression)
        || !(expression.getExpression() instanceof AssignmentTree assignment)) {
      return null;
    }
    TreePath path =
        new TreePath(new TreePath(statement, expression.getExpression()), assignment.getVariable());
    ExpressionTree target = assignment.getVariable();
    boolean own = target instanceof IdentifierTree || EarlyReads.isOfThis(target);
    Element element = owner.trees().element(path);
    return own
        ? wanted.stream()
            .filter(field -> field.element().equals(element))
            .findFirst()
            .map(
                field ->
                    new Construction.Assigned(
                        field,
                        expression,
                        path,
                        new TreePath(path.getParentPath(), assignment.getExpression()),
                        null))
            .orElse(null)
        : null;
  }

  /** Before the object is made nothing may be called that might use a field of it. */
  private void requireQuiet(
      TreePath body, List<? extends StatementTree> statements, int last, OwnerClass.Field field) {
    for (int i = 0; i <= last; i++) {
      TreePath statement = new TreePath(body, statements.get(i));
      for (OwnerTouches.Touch touch : OwnerTouches.in(owner, statement)) {
        if (touch.called() == null || mayBeOverridden(touch.called()) || reach.uses(touch)) {
          throw Refused.because(
              RefusalKind.USED_BEFORE_BUILT, field.name(), owner.source().place(touch.offset()));
        }
      }
      requireNoReturn(statement, field);
    }
  }

  private boolean mayBeOverridden(ExecutableElement method) {
    return !Overriding.isFinal(method) || !method.getEnclosingElement().equals(owner.element());
  }

  private void requireNoReturn(TreePath statement, OwnerClass.Field field) {
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitReturn(ReturnTree tree, Void unused) {
        throw shape(field, owner.trees().place(tree));
      }
    }.scan(statement, null);
  }

  private Refused shape(OwnerClass.Field field, String place) {
    return Refused.because(RefusalKind.CONSTRUCTOR_SHAPE, field.name(), place);
  }
}
