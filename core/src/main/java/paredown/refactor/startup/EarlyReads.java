package paredown.refactor.startup;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;

/** Finds the reads of fields that a constructor has set already, before the object is made. */
record EarlyReads(OwnerClass owner, List<OwnerClass.Field> fields, List<MemberUse> uses) {

  /** The reads, in the order of the text; others that are too early are refused. */
  List<Construction.EarlyRead> of(
      OwnerClass.Method constructor, List<Construction.Assigned> assigned) {
    int start = owner.trees().start(constructor.tree().getBody());
    int end = owner.trees().end(assigned.get(assigned.size() - 1).statement());
    Set<Integer> targets =
        assigned.stream()
            .map(each -> owner.trees().nameOffset(each.target().getLeaf()))
            .collect(Collectors.toSet());
    List<Construction.EarlyRead> early = new ArrayList<>();
    for (MemberUse use : uses) {
      boolean within =
          use.file().equals(owner.trees().path()) && use.offset() >= start && use.offset() < end;
      if (within && !targets.contains(use.offset()) && isField(use) && !isReadOfParameter(use)) {
        Construction.Assigned set =
            assigned.stream()
                .filter(each -> each.field().key().equals(use.key()))
                .filter(each -> owner.trees().end(each.statement()) <= use.offset())
                .filter(each -> isReadOfOwn(use, constructor))
                .findFirst()
                .orElseThrow(
                    () ->
                        Refused.because(
                            RefusalKind.USED_BEFORE_BUILT, nameOf(use.key()), use.place()));
        early.add(new Construction.EarlyRead(set.field(), use));
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

  static boolean isOfThis(Tree tree) {
    return tree instanceof MemberSelectTree select
        && select.getExpression() instanceof IdentifierTree self
        && self.getName().contentEquals("this");
  }
}
