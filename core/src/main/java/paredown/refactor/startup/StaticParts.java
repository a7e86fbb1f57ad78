package paredown.refactor.startup;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Assumption;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.effect.Effects;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.Access;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;

/** What must hold of static fields and methods before they may be extracted. */
public final class StaticParts {
  private static final Set<Deed> MAKING =
      EnumSet.of(Deed.READS, Deed.SETS_LOCAL, Deed.CHANGES, Deed.THROWS);

  private final OwnerClass owner;
  private final Map<Element, String> moved;
  private final Leaving leaving;

  public StaticParts(Leaving leaving) {
    this.owner = leaving.owner();
    this.moved = leaving.keys();
    this.leaving = leaving;
  }

  /** Refuses where somebody could tell that the fields are initialised elsewhere now. */
  public void require() {
    for (OwnerClass.Field field : leaving.fields()) {
      if (!field.is(Modifier.STATIC)) {
        continue;
      }
      String place = owner.trees().place(field.tree());
      if (field.name().equals("serialVersionUID")) {
        throw Refused.because(RefusalKind.SERIALIZED, field.name(), place);
      }
      if (field.tree().getInitializer() != null && field.element().getConstantValue() == null) {
        requireQuiet(field);
      }
      for (OwnerClass.Initialiser block : owner.initialisers()) {
        int start = owner.trees().start(block.tree());
        int end = owner.trees().end(block.tree());
        boolean set =
            leaving.uses().stream()
                .filter(use -> use.key().equals(field.key()) && use.access() != Access.READ)
                .filter(use -> use.file().equals(owner.trees().path()))
                .anyMatch(use -> start <= use.offset() && use.offset() < end);
        if (set) {
          throw Refused.because(RefusalKind.INITIALISATION_ORDER, field.name(), place);
        }
      }
    }
  }

  /**
   * Its initialiser may know nothing of the project but constants and what leaves with it, or only
   * make something new of it, of which it is assumed that nobody can tell when.
   */
  private void requireQuiet(OwnerClass.Field field) {
    TreePath value = new TreePath(field.path(), field.tree().getInitializer());
    List<TreePath> others = others(value);
    if (others.isEmpty()) {
      return;
    }
    String place = owner.trees().place(others.get(0).getLeaf());
    if (!onlyMakes(value, others)) {
      throw Refused.because(RefusalKind.INITIALISATION_ORDER, field.name(), place);
    }
    owner
        .assumptions()
        .add(
            Assumption.Kind.START,
            "it shows nowhere when the value of %s is worked out".formatted(field.name()),
            place);
  }

  /** The names in a value that mean something of the project. */
  private List<TreePath> others(TreePath value) {
    List<TreePath> others = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        // The name of a class is not the class.
        return tree.getIdentifier().contentEquals("class")
            ? null
            : super.visitMemberSelect(tree, null);
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = owner.trees().element(getCurrentPath());
        boolean constant =
            element instanceof VariableElement variable && variable.getConstantValue() != null;
        if (!constant && !moved.containsKey(element) && isOfProject(element)) {
          others.add(getCurrentPath());
        }
        return super.visitIdentifier(tree, null);
      }
    }.scan(value, null);
    return others;
  }

  /** Whether a value is made of objects that nobody else knows, by code that is all known. */
  private boolean onlyMakes(TreePath value, List<TreePath> others) {
    Deeds deeds = new Effects(owner.program()).of(value);
    return MAKING.containsAll(deeds.kinds())
        && moved.keySet().containsAll(deeds.lookedAt())
        && others.stream()
            .map(each -> owner.trees().element(each))
            .noneMatch(each -> each.getKind() == ElementKind.ENUM_CONSTANT);
  }

  private boolean isOfProject(Element element) {
    Element type = element;
    while (type != null && !(type instanceof TypeElement)) {
      type = type.getEnclosingElement();
    }
    return type instanceof TypeElement named && owner.program().declares(named);
  }

  /**
   * Refuses where code elsewhere would not start the old class any more, and that shows.
   *
   * @param asking uses that will ask the new class
   */
  public void requireNoLaterStart(List<MemberUse> asking) {
    Set<String> started =
        moved.entrySet().stream()
            .filter(entry -> entry.getKey().getModifiers().contains(Modifier.STATIC))
            .filter(entry -> !isConstant(entry.getKey()))
            .map(Map.Entry::getValue)
            .collect(java.util.stream.Collectors.toSet());
    Optional<MemberUse> elsewhere =
        asking.stream()
            .filter(use -> started.contains(use.key()))
            .filter(use -> !isWithinOwner(use))
            .findFirst();
    if (elsewhere.isPresent()) {
      StaticStart.Sound sound =
          new StaticStart(owner.program()).of(owner.element(), owner.element());
      if (sound == StaticStart.Sound.LOUD) {
        throw Refused.advising(
            RefusalKind.STARTED_EARLIER,
            "%s would not start the static parts of %s any more, which do something that shows."
                .formatted(elsewhere.get().place(), owner.simpleName()),
            "Leave a delegate, or what starts it, where it is.",
            elsewhere.get().place());
      }
      if (sound == StaticStart.Sound.ASSUMED) {
        StaticStart.assume(owner, owner, elsewhere.get().place());
      }
    }
  }

  private static boolean isConstant(Element element) {
    return element instanceof VariableElement field && field.getConstantValue() != null;
  }

  private boolean isWithinOwner(MemberUse use) {
    TypeElement around = use.trees().classAround(use.path());
    for (Element at = around; at != null; at = at.getEnclosingElement()) {
      if (at.equals(owner.element())) {
        return true;
      }
    }
    return false;
  }
}
