package paredown.refactor.operation.parameterobject;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Modifier;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.use.OwnerClass;

/**
 * Methods that follow an object to its class: private ones that take all its values, and ask their
 * own object for nothing.
 */
public final class Followers {
  private Followers() {}

  /** The moves of those that would follow, each to be planned when the object is there. */
  public static List<Refactoring> of(ExtractParameterObject whole, Sources sources) {
    SourceIndex index = sources.index();
    DeclaredType header = index.type(whole.type());
    Set<String> files = new TreeSet<>(Set.of(header.file()));
    if (whole.everywhere()) {
      files.addAll(index.filesWithAll(whole.parameters()));
    }
    String home = index.packageOf(header.file());
    String target = home.isEmpty() ? whole.name() : home + "." + whole.name();
    Program program = RecentPrograms.of(sources, files);
    List<Refactoring> moves = new ArrayList<>();
    for (DeclaredType type : index.types()) {
      if (files.contains(type.file())) {
        moves(whole, OwnerClass.of(program, type), target, moves);
      }
    }
    return moves;
  }

  private static void moves(
      ExtractParameterObject whole, OwnerClass owner, String target, List<Refactoring> moves) {
    for (OwnerClass.Method method : owner.methods()) {
      if (follows(owner, method, whole.parameters())) {
        moves.add(
            new MoveMethod(
                owner.element().getQualifiedName().toString(),
                method.name(),
                target,
                MoveMethod.Wishes.NONE.delegate(false)));
      }
    }
  }

  private static boolean follows(
      OwnerClass owner, OwnerClass.Method method, List<String> parameters) {
    List<String> taken =
        method.tree().getParameters().stream().map(each -> each.getName().toString()).toList();
    boolean alone =
        owner.methods().stream().filter(each -> each.name().equals(method.name())).count() == 1;
    return !owner.element().getQualifiedName().isEmpty()
        && method.is(Modifier.PRIVATE)
        && alone
        && method.tree().getBody() != null
        && taken.containsAll(parameters)
        && CodeElsewhere.instance(
                owner.trees(), new TreePath(method.path(), method.tree().getBody()))
            .isEmpty();
  }
}
