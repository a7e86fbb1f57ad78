package paredown.refactor.operation.extractclass;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeMirror;
import paredown.program.Below;
import paredown.program.ModuleDeclaration;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.Effects;
import paredown.refactor.startup.Construction;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.Access;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;
import paredown.refactor.use.Remarks;

/** What must hold of fields before they may be extracted. */
final class FieldChecks {
  private final OwnerClass owner;
  private final List<OwnerClass.Field> fields;
  private final List<OwnerClass.Field> ofObject;
  private final List<MemberUse> uses;
  private final Overruled overruled;
  private final Leaving leaving;
  private Optional<OwnCopy> copied = Optional.empty();

  FieldChecks(Leaving leaving, Overruled overruled) {
    this.leaving = leaving;
    this.owner = leaving.owner();
    this.fields = leaving.fields();
    this.ofObject = leaving.fieldsOfObject();
    this.uses = leaving.usesOfFields();
    this.overruled = overruled;
  }

  /** Refuses where the fields may not be taken out of their class. */
  void require() {
    for (OwnerClass.Field field : fields) {
      requireMovable(field);
    }
    if (!ofObject.isEmpty()) {
      requireNoOnlookers();
      requireNoStoredShape();
    }
    for (MemberUse use : uses) {
      requireUnderstood(use);
    }
  }

  private void requireMovable(OwnerClass.Field field) {
    String place = owner.trees().place(field.tree());
    boolean constant = !field.is(Modifier.STATIC) && field.element().getConstantValue() != null;
    refuseIf(constant, RefusalKind.CONSTANT_FIELD, field, place);
    for (AnnotationTree annotation : field.tree().getModifiers().getAnnotations()) {
      refuseIf(
          !isHarmless(field.path(), field.tree().getModifiers(), annotation),
          RefusalKind.MAPPED_FIELD,
          field,
          place);
    }
  }

  private boolean isHarmless(TreePath member, Tree modifiers, AnnotationTree annotation) {
    return Remarks.isRemark(owner, new TreePath(new TreePath(member, modifiers), annotation));
  }

  /** Frameworks and native code may look at the fields of a class by their names. */
  private void requireNoOnlookers() {
    OwnerClass.Field first = ofObject.get(0);
    for (AnnotationTree annotation : owner.tree().getModifiers().getAnnotations()) {
      refuseIf(
          !isHarmless(owner.path(), owner.tree().getModifiers(), annotation),
          RefusalKind.MAPPED_CLASS,
          first,
          owner.trees().place(annotation));
    }
    var sources = owner.program().sources();
    ModuleDeclaration.of(
            sources.project(), sources.file(owner.trees().path()).orElseThrow().module())
        .filter(module -> module.opens(owner.packageName()))
        .ifPresent(module -> refuseIf(true, RefusalKind.MAPPED_CLASS, first, module.path()));
    for (OwnerClass.Method method : owner.methods()) {
      refuseIf(
          method.is(Modifier.NATIVE),
          RefusalKind.NATIVE_CODE,
          first,
          owner.trees().place(method.tree()));
    }
  }

  private void requireNoStoredShape() {
    String place = owner.trees().place(owner.tree());
    OwnerClass.Field first = ofObject.get(0);
    refuseIf(owner.isA("java.io.Serializable"), RefusalKind.SERIALIZED, first, place);
    if (isWritten() && isCloned()) {
      copied = copy();
      refuseIf(copied.isEmpty(), RefusalKind.CLONED, first, place);
    }
  }

  /** Whether anything sets one of the fields once the object is there. */
  private boolean isWritten() {
    Set<String> steady =
        ofObject.stream()
            .filter(field -> field.is(Modifier.FINAL))
            .map(OwnerClass.Field::key)
            .collect(Collectors.toSet());
    return uses.stream()
        .filter(use -> !steady.contains(use.key()))
        .anyMatch(use -> use.access() == Access.WRITE || use.access() == Access.UPDATE);
  }

  /**
   * Where clones can get an object of their own: the class itself copies, or will.
   *
   * @throws Refused where the method that copies would leave
   */
  private Optional<OwnCopy> copy() {
    Optional<OwnCopy> copy =
        CloneCopy.of(owner)
            .map(each -> (OwnCopy) each)
            .or(() -> ClonedAbove.of(owner).map(each -> each));
    leaving.methods().stream()
        .filter(method -> copy.isPresent() && copy.get().isIn(method))
        .findFirst()
        .ifPresent(
            method -> {
              throw Refused.because(
                  RefusalKind.CLONED,
                  OwnerClass.signature(method),
                  owner.trees().place(method.tree()));
            });
    return copy;
  }

  /** Requires that the class of the clones' own objects has no type variables. */
  void requirePlainCopies(List<? extends Tree> variables) {
    if (copied.isPresent() && !variables.isEmpty()) {
      String place = owner.trees().place(owner.tree());
      throw Refused.because(RefusalKind.CLONED, ofObject.get(0).name(), place);
    }
  }

  /**
   * Where clones get an object of their own, once the checks are done; empty where they share it.
   */
  Optional<OwnCopy> copied() {
    return copied;
  }

  /** Whether the class, or one below it, makes copies of its objects. */
  private boolean isCloned() {
    TypeMirror cloneable =
        owner.program().elements().getTypeElement("java.lang.Cloneable").asType();
    return owner.isA("java.lang.Cloneable")
        || Below.of(owner.program(), List.of(owner.element())).stream()
            .anyMatch(type -> owner.program().types().isAssignable(type.asType(), cloneable));
  }

  private void requireUnderstood(MemberUse use) {
    String name = use.key().substring(use.key().indexOf('#') + 1);
    if (!use.isNear(owner.packageName())) {
      throw Refused.because(RefusalKind.OTHER_PACKAGE, name, use.place());
    }
  }

  /** Refuses where initialisers could tell that they run elsewhere now. */
  void requireIndependentInitialisers(Construction construction) {
    for (OwnerClass.Field field : ofObject) {
      if (field.tree().getInitializer() != null) {
        TreePath initialiser = new TreePath(field.path(), field.tree().getInitializer());
        requireOwnless(field, initialiser);
        refuseIf(
            !isSimple(initialiser) && !(construction.atDeclaration() && standsAlone(field)),
            RefusalKind.INITIALISATION_ORDER,
            field,
            owner.trees().place(field.tree()));
      }
    }
  }

  private void requireOwnless(OwnerClass.Field field, TreePath initialiser) {
    List<OwnerTouches.Touch> touches = OwnerTouches.in(owner, initialiser);
    if (!touches.isEmpty()) {
      throw Refused.because(
          RefusalKind.INITIALISER_NEEDS_OWNER,
          field.name(),
          owner.source().place(touches.get(0).offset()));
    }
  }

  /** Whether no other initialiser runs between those of the extracted fields. */
  private boolean standsAlone(OwnerClass.Field field) {
    boolean whole =
        FieldDeclaration.of(owner, ofObject).stream().allMatch(FieldDeclaration::isWhole);
    int first = ofObject.get(0).declared();
    int here = field.declared();
    boolean fieldBetween =
        owner.fields().stream()
            .filter(each -> each.startsWithObject())
            .filter(each -> !ofObject.contains(each))
            .anyMatch(each -> each.declared() > first && each.declared() < here);
    boolean blockBetween =
        owner.initialisers().stream()
            .map(block -> owner.trees().start(block.tree()))
            .anyMatch(start -> start > first && start < here);
    return whole && !fieldBetween && !blockBetween;
  }

  /** Whether an initialiser does the same whenever it runs, and nobody can tell. */
  private boolean isSimple(TreePath initialiser) {
    return new Effects(owner.program()).of(initialiser).kinds().isEmpty();
  }

  private void refuseIf(boolean condition, RefusalKind kind, OwnerClass.Field field, String place) {
    if (condition && !overruled.overrules(kind)) {
      throw Refused.because(kind, field.name(), place);
    }
  }
}
