package paredown.refactor;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.refactor.MemberUses.MemberUse;

/**
 * How the new object comes to be: made where its field is declared, or in the constructors from the
 * values that they gave the extracted fields.
 *
 * @param parameters the fields whose values the new class's constructor takes, in its order; empty
 *     where the object is made where its field is declared
 * @param builds one for each constructor that makes the object
 */
record Construction(List<OwnerClass.Field> parameters, List<Build> builds) {

  /**
   * What one constructor does.
   *
   * @param assignments the statements that set the parameters, in the order of the text
   * @param early reads of these fields before the object is made
   */
  record Build(OwnerClass.Method constructor, List<Assigned> assignments, List<EarlyRead> early) {

    /** The variable that keeps a field's value until the object is made. */
    String local(OwnerClass.Field field) {
      return assignments.stream()
          .filter(each -> each.field().equals(field))
          .findFirst()
          .orElseThrow()
          .local();
    }
  }

  /**
   * One statement that sets a field, and the value it sets.
   *
   * @param local the variable that keeps the value until the object is made; null where the object
   *     takes the value itself
   */
  record Assigned(
      OwnerClass.Field field,
      StatementTree statement,
      TreePath target,
      TreePath value,
      String local) {

    Assigned kept(String variable) {
      return new Assigned(field, statement, target, value, variable);
    }
  }

  /** A read of a field that is set already, before the object is made. */
  record EarlyRead(OwnerClass.Field field, MemberUse use) {}

  boolean atDeclaration() {
    return parameters.isEmpty();
  }

  /** Where the constructors name the fields before the object is made. */
  Set<Integer> targets(OwnerClass owner) {
    Set<Integer> targets = new HashSet<>();
    for (Build build : builds) {
      build.early().forEach(read -> targets.add(read.use().offset()));
      for (Assigned each : build.assignments()) {
        targets.add(owner.trees().nameOffset(each.target().getLeaf()));
      }
    }
    return targets;
  }

  static Construction of(Leaving leaving) {
    return leaving.fieldsOfObject().isEmpty()
        ? new Construction(List.of(), List.of())
        : new Search(leaving).find();
  }

  /** The names that a constructor's variables may have. */
  private static final class Locals {
    private final Set<String> taken = new HashSet<>();

    Locals(OwnerClass.Method constructor) {
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitVariable(VariableTree tree, Void unused) {
          taken.add(tree.getName().toString());
          return super.visitVariable(tree, null);
        }
      }.scan(constructor.path(), null);
    }

    /** A free name for a variable with the value of a field. */
    String name(OwnerClass.Field field) {
      String name = field.name();
      while (!taken.add(name)) {
        name += "Value";
      }
      return name;
    }
  }

  /** Looks for a way to construct the object that nobody can tell from what was before. */
  private static final class Search {
    private final OwnerClass owner;
    private final List<OwnerClass.Field> fields;
    private final List<MemberUse> uses;
    private final Reach reach;

    Search(Leaving leaving) {
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
      Set<OwnerClass.Field> wanted = new HashSet<>(mustBeSet);
      wanted.addAll(couldBeSet);
      if (wanted.isEmpty()) {
        return new Construction(List.of(), List.of());
      }
      try {
        return inConstructors(wanted);
      } catch (Refused refused) {
        if (mustBeSet.isEmpty()) {
          return new Construction(List.of(), List.of());
        }
        if (wanted.size() > mustBeSet.size()) {
          return inConstructors(new HashSet<>(mustBeSet));
        }
        throw refused;
      }
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
      List<Build> builds = makers.stream().map(maker -> build(maker, wanted)).toList();
      List<OwnerClass.Field> order =
          builds.get(0).assignments().stream().map(Assigned::field).toList();
      for (Build build : builds) {
        boolean sameOrder =
            build.assignments().stream().map(Assigned::field).toList().equals(order);
        if (!sameOrder && !build.assignments().stream().allMatch(this::isHarmless)) {
          throw shape(order.get(0), owner.trees().place(build.constructor().tree()));
        }
      }
      return new Construction(order, builds);
    }

    private Build build(OwnerClass.Method constructor, Set<OwnerClass.Field> wanted) {
      TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
      List<Assigned> assigned = new ArrayList<>();
      List<Integer> at = new ArrayList<>();
      List<? extends StatementTree> statements = constructor.tree().getBody().getStatements();
      for (int i = 0; i < statements.size(); i++) {
        Assigned each = assigned(new TreePath(body, statements.get(i)), wanted);
        if (each != null) {
          assigned.add(each);
          at.add(i);
        }
      }
      Set<OwnerClass.Field> set =
          assigned.stream().map(Assigned::field).collect(Collectors.toSet());
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
      List<EarlyRead> early = earlyReads(constructor, assigned);
      boolean together = last - first + 1 == assigned.size();
      boolean moves = !together || !early.isEmpty();
      Locals locals = new Locals(constructor);
      List<Assigned> kept = new ArrayList<>();
      for (Assigned each : assigned) {
        boolean read = early.stream().anyMatch(use -> use.field().equals(each.field()));
        boolean later = each != assigned.get(assigned.size() - 1);
        boolean same = isHarmless(each) && !isWritten(each, body, statements, at);
        kept.add(read || moves && later && !same ? each.kept(locals.name(each.field())) : each);
      }
      return new Build(constructor, kept, early);
    }

    private Assigned assigned(TreePath statement, Set<OwnerClass.Field> wanted) {
      if (!(statement.getLeaf() instanceof ExpressionStatementTree expression)
          || !(expression.getExpression() instanceof AssignmentTree assignment)) {
        return null;
      }
      TreePath path =
          new TreePath(
              new TreePath(statement, expression.getExpression()), assignment.getVariable());
      ExpressionTree target = assignment.getVariable();
      boolean own = target instanceof IdentifierTree || isOfThis(target);
      Element element = owner.trees().element(path);
      return own
          ? wanted.stream()
              .filter(field -> field.element().equals(element))
              .findFirst()
              .map(
                  field ->
                      new Assigned(
                          field,
                          expression,
                          path,
                          new TreePath(path.getParentPath(), assignment.getExpression()),
                          null))
              .orElse(null)
          : null;
    }

    private static boolean isOfThis(Tree tree) {
      return tree instanceof MemberSelectTree select
          && select.getExpression() instanceof IdentifierTree self
          && self.getName().contentEquals("this");
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
      Set<Modifier> modifiers = method.getModifiers();
      boolean last =
          modifiers.contains(Modifier.PRIVATE)
              || modifiers.contains(Modifier.FINAL)
              || owner.element().getModifiers().contains(Modifier.FINAL);
      return !last || !method.getEnclosingElement().equals(owner.element());
    }

    /** Reads of fields that are set already, before the object is made. */
    private List<EarlyRead> earlyReads(OwnerClass.Method constructor, List<Assigned> assigned) {
      int start = owner.trees().start(constructor.tree().getBody());
      int end = owner.trees().end(assigned.get(assigned.size() - 1).statement());
      Set<Integer> targets =
          assigned.stream()
              .map(each -> owner.trees().nameOffset(each.target().getLeaf()))
              .collect(Collectors.toSet());
      List<EarlyRead> early = new ArrayList<>();
      for (MemberUse use : uses) {
        boolean within =
            use.file().equals(owner.trees().path()) && use.offset() >= start && use.offset() < end;
        if (within && !targets.contains(use.offset()) && isField(use) && !isReadOfParameter(use)) {
          Assigned set =
              assigned.stream()
                  .filter(each -> each.field().key().equals(use.key()))
                  .filter(each -> owner.trees().end(each.statement()) <= use.offset())
                  .filter(each -> isReadOfOwn(use, constructor))
                  .findFirst()
                  .orElseThrow(
                      () ->
                          Refused.because(
                              RefusalKind.USED_BEFORE_BUILT, nameOf(use.key()), use.place()));
          early.add(new EarlyRead(set.field(), use));
        }
      }
      return early;
    }

    /** Whether a use reads the field of another object, which is complete. */
    private boolean isReadOfParameter(MemberUse use) {
      if (use.access() != MemberUses.Access.READ
          || !(use.path().getLeaf() instanceof MemberSelectTree select)) {
        return false;
      }
      Element asked = owner.trees().element(new TreePath(use.path(), select.getExpression()));
      return asked != null && asked.getKind() == ElementKind.PARAMETER;
    }

    /** Whether the constructor itself reads its own field: not a lambda or class within it. */
    private boolean isReadOfOwn(MemberUse use, OwnerClass.Method constructor) {
      if (use.access() != MemberUses.Access.READ) {
        return false;
      }
      for (TreePath at = use.path(); at.getLeaf() != constructor.tree(); at = at.getParentPath()) {
        if (at.getLeaf() instanceof LambdaExpressionTree || at.getLeaf() instanceof ClassTree) {
          return false;
        }
      }
      return use.simple() || isOfThis(use.path().getLeaf());
    }

    private void requireNoReturn(TreePath statement, OwnerClass.Field field) {
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitReturn(ReturnTree tree, Void unused) {
          throw shape(field, owner.trees().place(tree));
        }
      }.scan(statement, null);
    }

    private boolean isField(MemberUse use) {
      return fields.stream().anyMatch(field -> field.key().equals(use.key()));
    }

    private String nameOf(String key) {
      return fields.stream()
          .filter(field -> field.key().equals(key))
          .map(OwnerClass.Field::name)
          .findFirst()
          .orElse(key);
    }

    /** Whether a variable that a value reads is set between the assignments. */
    private boolean isWritten(
        Assigned assigned,
        TreePath body,
        List<? extends StatementTree> statements,
        List<Integer> at) {
      Set<Element> read = variables(assigned.value());
      for (int i = at.get(0); i <= at.get(at.size() - 1); i++) {
        TreePath statement = new TreePath(body, statements.get(i));
        if (Writes.in(owner.trees(), statement).stream().anyMatch(read::contains)) {
          return true;
        }
      }
      return false;
    }

    /** Whether a value is a literal or a variable of the constructor, the same whenever taken. */
    private boolean isHarmless(Assigned assigned) {
      Tree value = assigned.value().getLeaf();
      if (value instanceof LiteralTree) {
        return true;
      }
      Element element =
          value instanceof IdentifierTree ? owner.trees().element(assigned.value()) : null;
      return element != null
          && (element.getKind() == ElementKind.PARAMETER
              || element.getKind() == ElementKind.LOCAL_VARIABLE);
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

    private Refused shape(OwnerClass.Field field, String place) {
      return Refused.because(RefusalKind.CONSTRUCTOR_SHAPE, field.name(), place);
    }
  }
}
