package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Set;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.startup.Construction;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;
import paredown.refactor.use.Reach;

/**
 * Whether a held object is there before it is asked: what fails for want of it would not fail when
 * its members are the holder's own.
 */
final class HeldStart {
  private final OwnerClass gone;
  private final OwnerClass home;
  private final Leaving leaving;
  private final Reach reach;

  HeldStart(OwnerClass gone, OwnerClass home, OwnerClass.Field held) {
    this.gone = gone;
    this.home = home;
    this.leaving = Leaving.of(home, List.of(held.name()), List.of());
    this.reach = new Reach(leaving);
  }

  /**
   * Requires that nothing asks for the object too early.
   *
   * @param settings the statements of constructors that set it; none where it is set when it is
   *     declared
   * @throws Refused where something could
   */
  void require(Set<TreePath> settings) {
    List<OwnerClass.Field> parameters = settings.isEmpty() ? List.of() : leaving.fields();
    try {
      new EarlyUses(leaving, new Construction(parameters, List.of())).require();
    } catch (Refused early) {
      throw early(early.places().toArray(String[]::new));
    }
    settings.forEach(this::requireFirst);
  }

  /** Requires that what a constructor does before it sets the object does not come to it. */
  private void requireFirst(TreePath setting) {
    TreePath body = setting.getParentPath();
    MethodTree constructor = (MethodTree) body.getParentPath().getLeaf();
    for (StatementTree each : constructor.getBody().getStatements()) {
      boolean last = each == setting.getLeaf();
      for (OwnerTouches.Touch touch : OwnerTouches.in(home, new TreePath(body, each))) {
        boolean sets = last && touch.called() == null;
        if (!sets && (touch.called() == null || reach.uses(touch))) {
          throw early(home.source().place(touch.offset()));
        }
      }
      for (MemberUses.MemberUse use : leaving.usesOfFields()) {
        if (isWithin(use, each) && use.access() != MemberUses.Access.WRITE) {
          throw early(use.place());
        }
      }
      if (last) {
        return;
      }
    }
  }

  private boolean isWithin(MemberUses.MemberUse use, Tree tree) {
    return use.file().equals(home.trees().path())
        && home.trees().start(tree) <= use.offset()
        && use.offset() < home.trees().end(tree);
  }

  private Refused early(String... places) {
    return Refused.advising(
        RefusalKind.USED_BEFORE_BUILT,
        "%s cannot be inlined into %s: its object could be asked there before it is made, which fails now and would not then."
            .formatted(gone.writtenName(), home.writtenName()),
        "Make it where its field is declared first.",
        places);
  }
}
