package paredown.refactor.name;

import com.sun.source.tree.ImportTree;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import paredown.edit.Replacement;
import paredown.program.Unit;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** The static imports of members that are not in their class any more. */
public final class StaticImports {
  private StaticImports() {}

  /**
   * Takes them out of all files of the owner's program.
   *
   * @param gone members of the owner
   * @param edits takes a file's path and an edit of it
   */
  public static void remove(
      OwnerClass owner, Collection<? extends Element> gone, BiConsumer<String, Replacement> edits) {
    for (Unit unit : owner.program().units()) {
      removals(new UnitTrees(owner.program(), unit), owner, gone)
          .forEach(each -> edits.accept(unit.path(), each));
    }
  }

  /**
   * The edits that take them out of a file; one that means another member of the name as well
   * stays.
   *
   * @param gone members of the owner
   */
  public static List<Replacement> removals(
      UnitTrees trees, OwnerClass owner, Collection<? extends Element> gone) {
    Set<String> left =
        owner.element().getEnclosedElements().stream()
            .filter(each -> !gone.contains(each))
            .map(each -> each.getSimpleName().toString())
            .collect(Collectors.toSet());
    Set<String> names =
        gone.stream()
            .map(each -> each.getSimpleName().toString())
            .filter(each -> !left.contains(each))
            .map(each -> owner.element().getQualifiedName() + "." + each)
            .collect(Collectors.toSet());
    List<Replacement> removals = new ArrayList<>();
    for (ImportTree tree : trees.unit().tree().getImports()) {
      if (tree.isStatic() && names.contains(tree.getQualifiedIdentifier().toString())) {
        int start = trees.source().lineStart(trees.start(tree));
        int end = trees.source().nextLine(trees.end(tree) - 1);
        int[] wide = MemberRange.withGap(trees.source(), new int[] {start, end});
        removals.add(Rewriting.of(trees, wide[0], wide[1], "the member is in another class now"));
      }
    }
    return removals;
  }
}
