package paredown.refactor.startup;

import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;
import paredown.refactor.use.Reach;

/**
 * Refuses where code that runs before the new object is made could use it: an inherited constructor
 * that calls an overridden method, or an initialiser that runs earlier.
 */
public final class EarlyUses {
  /** Packages whose classes do not call what a subclass overrides while they are constructed. */
  private static final Set<String> QUIET =
      Set.of("java.lang", "java.io", "java.util", "java.util.concurrent", "java.text", "java.net");

  private final OwnerClass owner;
  private final List<OwnerClass.Field> fields;
  private final Leaving leaving;
  private final Construction construction;
  private final Reach reach;

  public EarlyUses(Leaving leaving, Construction construction) {
    this.owner = leaving.owner();
    this.fields = leaving.fieldsOfObject();
    this.leaving = leaving;
    this.construction = construction;
    this.reach = new Reach(leaving);
  }

  public void require() {
    requireQuietSuperclass();
    int made = construction.atDeclaration() ? lastInitialised() : Integer.MAX_VALUE;
    for (OwnerClass.Field field : owner.fields()) {
      boolean runs = field.startsWithObject();
      if (runs && !fields.contains(field) && field.declared() < made) {
        requireQuiet(new TreePath(field.path(), field.tree().getInitializer()));
      }
    }
    for (OwnerClass.Initialiser block : owner.initialisers()) {
      if (!block.tree().isStatic() && owner.trees().start(block.tree()) < made) {
        requireQuiet(block.path());
      }
    }
  }

  /** Where the last of the fields has its value; the new object has all of them at the first. */
  private int lastInitialised() {
    return fields.stream()
        .filter(field -> field.tree().getInitializer() != null)
        .mapToInt(field -> field.declared())
        .max()
        .orElse(fields.isEmpty() ? -1 : fields.get(0).declared());
  }

  /** Whether a use stands where its field, and the object that will hold it, are there already. */
  private boolean isReady(MemberUse use) {
    boolean declared =
        fields.stream()
            .filter(field -> field.key().equals(use.key()))
            .allMatch(field -> field.declared() < use.offset());
    return construction.atDeclaration()
        && declared
        && (fields.isEmpty() || fields.get(0).declared() < use.offset());
  }

  private void requireQuiet(TreePath code) {
    int start = owner.trees().start(code.getLeaf());
    int end = owner.trees().end(code.getLeaf());
    for (MemberUse use : leaving.staying()) {
      boolean here =
          use.key().startsWith("field ")
              && use.file().equals(owner.trees().path())
              && use.offset() >= start
              && use.offset() < end;
      if (here && !isReady(use)) {
        throw early(use.offset());
      }
    }
    for (OwnerTouches.Touch touch : OwnerTouches.in(owner, code)) {
      if (touch.called() == null || reach.uses(touch)) {
        throw early(touch.offset());
      }
    }
  }

  private String subject() {
    return fields.isEmpty() ? leaving.methods().get(0).name() : fields.get(0).name();
  }

  private Refused early(int offset) {
    return Refused.because(RefusalKind.USED_BEFORE_BUILT, subject(), owner.source().place(offset));
  }

  /**
   * Requires that the constructors above come to nothing that leaves.
   *
   * @throws Refused where one does
   */
  public void requireQuietSuperclass() {
    SuperclassRun run = new SuperclassRun(leaving);
    for (TypeElement above = superclass(owner.element());
        above != null && !above.getQualifiedName().contentEquals("java.lang.Object");
        above = superclass(above)) {
      if (!owner.program().declares(above)) {
        requireQuietPlatform(above);
        continue;
      }
      String name = above.getSimpleName().toString();
      TypeElement type = above;
      run.use(OwnerClass.of(owner.program(), above))
          .filter(place -> !place.isEmpty() || overridesAnything(type))
          .ifPresent(
              place -> {
                throw Refused.of(
                    RefusalKind.USED_BEFORE_BUILT,
                    subject(),
                    "the constructor of " + name + " comes to it",
                    place.isEmpty() ? owner.trees().place(owner.tree()) : place);
              });
    }
  }

  /**
   * Whether code that gets the object from a superclass's constructor could come to what leaves.
   */
  private boolean overridesAnything(TypeElement above) {
    return owner.methods().stream()
        .anyMatch(method -> overrides(method, above) && reach.uses(method.element()));
  }

  /** Constructors of other libraries might call what the owner overrides. */
  private void requireQuietPlatform(TypeElement above) {
    String packageName =
        owner.program().elements().getPackageOf(above).getQualifiedName().toString();
    if (QUIET.contains(packageName)) {
      return;
    }
    for (OwnerClass.Method method : owner.methods()) {
      if (overrides(method, above) && reach.uses(method.element())) {
        throw Refused.of(
            RefusalKind.USED_BEFORE_BUILT,
            subject(),
            "the constructor of "
                + above.getSimpleName()
                + " might call "
                + OwnerClass.signature(method),
            owner.trees().place(method.tree()));
      }
    }
  }

  private TypeElement superclass(TypeElement type) {
    TypeMirror above = type.getSuperclass();
    return owner.program().types().asElement(above) instanceof TypeElement element ? element : null;
  }

  private boolean overrides(OwnerClass.Method method, TypeElement above) {
    return ElementFilter.methodsIn(above.getEnclosedElements()).stream()
        .anyMatch(
            each ->
                each.getSimpleName().equals(method.element().getSimpleName())
                    && owner
                        .program()
                        .elements()
                        .overrides(method.element(), each, owner.element()));
  }
}
