package paredown.refactor.operation.movemethod;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.CallerObject;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Sight;
import paredown.refactor.name.StaticImports;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** Lets every caller ask the moved method in its new place. */
final class CallSites {
  private final Moving moving;
  private final Map<String, TypeNames> names;
  private final List<MemberUses.MemberUse> uses;
  private boolean makes;

  /** Finds the callers, which must see the method where it goes. */
  CallSites(Moving moving, Map<String, TypeNames> names) {
    this.moving = moving;
    this.names = names;
    OwnerClass.Method method = moving.method();
    this.uses =
        moving.delegate()
            ? List.of()
            : MemberUses.of(moving.program(), Map.of(method.element(), method.key())).stream()
                .filter(use -> !moving.owner().holds(method.range(), use))
                .sorted(Comparator.comparingInt(CallSites::size))
                .toList();
    for (MemberUses.MemberUse use : uses) {
      TypeElement around = use.trees().classAround(use.path());
      moving.visibility().seenFrom(around);
      if (moving.through() instanceof Through.Callers) {
        caller(use, around);
      }
      receiver(use).ifPresent(type -> requireSeen(type, around, use));
    }
    ExportedTarget.require(moving, uses);
  }

  private void caller(MemberUses.MemberUse use, TypeElement around) {
    CallerObject has = CallerObject.of(use.trees(), use.path(), moving.target().element());
    if (has instanceof CallerObject.Itself itself) {
      moving.visibility().askedOf(itself.type());
    } else if (has instanceof CallerObject.Made) {
      makes = true;
      moving.visibility().makes(new Sight(around, moving.program()));
    }
  }

  /** Whether a caller makes a new object of the target, as it has none. */
  boolean makesObjects() {
    return makes;
  }

  /** The type of the argument that a caller will ask; empty where it asks something else. */
  private Optional<TypeElement> receiver(MemberUses.MemberUse use) {
    TreePath above = use.path().getParentPath();
    if (moving.through() instanceof Through.Parameter parameter
        && use.access() == MemberUses.Access.CALL
        && above.getLeaf() instanceof MethodInvocationTree call) {
      TreePath argument = new TreePath(above, call.getArguments().get(parameter.index()));
      TypeMirror type = moving.program().trees().getTypeMirror(argument);
      Element element = moving.program().types().asElement(moving.program().types().erasure(type));
      return Optional.ofNullable(element instanceof TypeElement named ? named : null);
    }
    return Optional.empty();
  }

  private void requireSeen(TypeElement type, TypeElement around, MemberUses.MemberUse use) {
    if (new Sight(around, moving.program()).hides(type)) {
      throw refused(moving, use, "a caller gives what it may not ask");
    }
    moving.visibility().askedOf(type);
  }

  private static int size(MemberUses.MemberUse use) {
    Tree call = use.path().getParentPath().getLeaf();
    return use.trees().end(call) - use.trees().start(call);
  }

  void collect(EditList edits) {
    for (MemberUses.MemberUse use : uses) {
      TypeNames here = names.get(use.file());
      if (use.access() == MemberUses.Access.REFERENCE) {
        edits.add(use.file(), new ReferenceSite(moving, here, use).rewritten());
      } else if (use.access() == MemberUses.Access.CALL) {
        new CallSite(new MovedCall(moving, use), here, edits).rewrite();
      } else {
        throw refused(moving, use, "it is used in a way that is not understood yet");
      }
    }
    for (Unit unit : moving.program().units()) {
      UnitTrees trees = new UnitTrees(moving.program(), unit);
      StaticImports.removals(trees, moving.owner(), List.of(moving.method().element()))
          .forEach(edit -> edits.add(trees.path(), edit));
      new MovedLinks(moving, names.get(unit.path()), trees).collect(edits);
    }
  }

  static Refused refused(Moving moving, MemberUses.MemberUse use, String why) {
    return Refused.of(
        RefusalKind.CALL_SHAPE,
        OwnerClass.signature(moving.method()),
        why + "; --delegate keep leaves it as it is",
        use.place());
  }
}
