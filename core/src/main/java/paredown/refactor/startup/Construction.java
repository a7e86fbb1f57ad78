package paredown.refactor.startup;

import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;

/**
 * How the new object comes to be: made where its field is declared, or in the constructors from the
 * values that they gave the extracted fields.
 *
 * @param parameters the fields whose values the new class's constructor takes, in its order; empty
 *     where the object is made where its field is declared
 * @param builds one for each constructor that makes the object
 */
public record Construction(List<OwnerClass.Field> parameters, List<Build> builds) {

  /**
   * What one constructor does.
   *
   * @param assignments the statements that set the parameters, in the order of the text
   * @param early reads of these fields before the object is made
   * @param anyOrder whether the order in which the object takes its values makes no difference
   */
  public record Build(
      OwnerClass.Method constructor,
      List<Assigned> assignments,
      List<EarlyRead> early,
      boolean anyOrder) {

    /** The variable that keeps a field's value until the object is made. */
    public String local(OwnerClass.Field field) {
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
  public record Assigned(
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
  public record EarlyRead(OwnerClass.Field field, MemberUse use) {}

  public boolean atDeclaration() {
    return parameters.isEmpty();
  }

  /** Where the constructors name the fields before the object is made. */
  public Set<Integer> targets(OwnerClass owner) {
    Set<Integer> targets = new HashSet<>();
    for (Build build : builds) {
      build.early().forEach(read -> targets.add(read.use().offset()));
      for (Assigned each : build.assignments()) {
        targets.add(owner.trees().nameOffset(each.target().getLeaf()));
      }
    }
    return targets;
  }

  public static Construction of(Leaving leaving) {
    return leaving.fieldsOfObject().isEmpty()
        ? new Construction(List.of(), List.of())
        : new ConstructionSearch(leaving).find();
  }
}
