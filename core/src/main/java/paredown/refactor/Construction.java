package paredown.refactor;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
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
   */
  record Build(OwnerClass.Method constructor, List<Assigned> assignments) {}

  /** One statement that sets a field, and the value it sets. */
  record Assigned(
      OwnerClass.Field field, StatementTree statement, TreePath target, TreePath value) {}

  boolean atDeclaration() {
    return parameters.isEmpty();
  }

  /** Where the names stand that the constructors assign to, which become arguments. */
  Set<Integer> targets(OwnerClass owner) {
    return builds.stream()
        .flatMap(build -> build.assignments().stream())
        .map(each -> owner.trees().nameOffset(each.target().getLeaf()))
        .collect(Collectors.toSet());
  }

  static Construction of(OwnerClass owner, List<OwnerClass.Field> fields, List<MemberUse> uses) {
    return new Search(owner, fields, uses).find();
  }

  /** Looks for a way to construct the object that nobody can tell from what was before. */
  private static final class Search {
    private final OwnerClass owner;
    private final List<OwnerClass.Field> fields;
    private final List<MemberUse> uses;

    Search(OwnerClass owner, List<OwnerClass.Field> fields, List<MemberUse> uses) {
      this.owner = owner;
      this.fields = fields;
      this.uses = uses;
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
          owner.constructors().stream().filter(c -> !delegates(c)).toList();
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

    private static boolean delegates(OwnerClass.Method constructor) {
      List<? extends StatementTree> statements = constructor.tree().getBody().getStatements();
      return !statements.isEmpty()
          && statements.get(0) instanceof ExpressionStatementTree first
          && first.getExpression() instanceof MethodInvocationTree call
          && call.getMethodSelect() instanceof IdentifierTree name
          && name.getName().contentEquals("this");
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
      requireUnusedBefore(constructor, body, statements, last, assigned);
      boolean together = last - first + 1 == assigned.size();
      if (!together) {
        requireHarmlessBetween(body, statements, first, last, assigned);
      }
      return new Build(constructor, assigned);
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
      boolean own =
          target instanceof IdentifierTree
              || target instanceof MemberSelectTree select
                  && select.getExpression() instanceof IdentifierTree self
                  && self.getName().contentEquals("this");
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
                          new TreePath(path.getParentPath(), assignment.getExpression())))
              .orElse(null)
          : null;
    }

    /** Before the object is made nothing may use a field of it, or call what might. */
    private void requireUnusedBefore(
        OwnerClass.Method constructor,
        TreePath body,
        List<? extends StatementTree> statements,
        int last,
        List<Assigned> assigned) {
      int start = owner.trees().start(constructor.tree().getBody());
      int end = owner.trees().end(statements.get(last));
      Set<Integer> targets =
          assigned.stream()
              .map(each -> owner.trees().nameOffset(each.target().getLeaf()))
              .collect(Collectors.toSet());
      for (MemberUse use : uses) {
        boolean within =
            use.file().equals(owner.trees().path()) && use.offset() >= start && use.offset() < end;
        if (within && !targets.contains(use.offset()) && isField(use)) {
          throw Refused.because(RefusalKind.USED_BEFORE_BUILT, nameOf(use.key()), use.place());
        }
      }
      for (int i = 0; i <= last; i++) {
        TreePath statement = new TreePath(body, statements.get(i));
        List<OwnerTouches.Touch> touches = OwnerTouches.in(owner, statement);
        if (!touches.isEmpty()) {
          throw Refused.because(
              RefusalKind.USED_BEFORE_BUILT,
              assigned.get(0).field().name(),
              owner.source().place(touches.get(0).offset()));
        }
        requireNoReturn(statement, assigned.get(0).field());
      }
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

    /** Values that are taken later than they were must be the same then. */
    private void requireHarmlessBetween(
        TreePath body,
        List<? extends StatementTree> statements,
        int first,
        int last,
        List<Assigned> assigned) {
      for (Assigned each : assigned) {
        boolean isLast = each.statement() == statements.get(last);
        if (!isLast && !isHarmless(each)) {
          throw shape(each.field(), owner.trees().place(each.statement()));
        }
      }
      Set<Element> read = new HashSet<>();
      assigned.forEach(each -> read.addAll(variables(each.value())));
      for (int i = first; i <= last; i++) {
        TreePath statement = new TreePath(body, statements.get(i));
        if (Writes.in(owner.trees(), statement).stream().anyMatch(read::contains)) {
          throw shape(assigned.get(0).field(), owner.trees().place(statements.get(i)));
        }
      }
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
