package paredown.refactor.carry;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import paredown.refactor.plan.Fluent;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;

/** Chooses the methods that stay as delegates: those that somebody else could call, or must. */
public final class DelegateChoice {
  private final Leaving leaving;
  private final List<MemberUse> staying;

  public DelegateChoice(Leaving leaving) {
    this.leaving = leaving;
    this.staying = leaving.staying();
  }

  /**
   * The methods, in their order.
   *
   * @param none whether only those are to stay that must
   */
  public Set<OwnerClass.Method> of(boolean none) {
    return leaving.methods().stream()
        .filter(method -> !none && !method.is(Modifier.PRIVATE) || mustStay(method))
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private boolean mustStay(OwnerClass.Method method) {
    return Ties.of(leaving.owner(), method).isPresent()
        || Fluent.is(leaving.owner(), method)
        || !method.is(Modifier.STATIC)
            && staying.stream().anyMatch(use -> use.key().equals(method.key()) && namesClass(use));
  }

  /** Whether a use is a method reference that has no object yet: {@code Sailing::free}. */
  private static boolean namesClass(MemberUse use) {
    return use.path().getLeaf() instanceof MemberReferenceTree reference
        && !isObject(use, reference);
  }

  private static boolean isObject(MemberUse use, MemberReferenceTree reference) {
    Element asked =
        use.trees().element(new TreePath(use.path(), reference.getQualifierExpression()));
    boolean above =
        reference.getQualifierExpression() instanceof IdentifierTree name
            && name.getName().contentEquals("super");
    return !above && !(asked instanceof TypeElement) && !(asked instanceof TypeParameterElement);
  }
}
