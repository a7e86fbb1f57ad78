package paredown.refactor.use;

import java.util.Map;
import javax.lang.model.element.Modifier;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;

/** Who knows a field by its name without being code: annotations, stored objects, reflection. */
public final class FieldOnlookers {
  private FieldOnlookers() {}

  /**
   * Requires that there are none, where their refusals are not overruled.
   *
   * @param what cannot be done, a participle: {@code inlined}
   * @throws Refused where there are
   */
  public static void requireNone(
      OwnerClass owner, OwnerClass.Field field, Overruled overruled, String what) {
    Remarks.telling(owner, field.path(), field.tree().getModifiers(), name -> false)
        .map(owner.trees()::place)
        .forEach(place -> require(field, overruled, RefusalKind.MAPPED_FIELD, what, place));
    boolean stored =
        !field.is(Modifier.STATIC)
            && !field.is(Modifier.TRANSIENT)
            && owner.isA("java.io.Serializable");
    boolean version = field.name().startsWith("serial") && field.is(Modifier.STATIC);
    if (stored || version) {
      require(field, overruled, RefusalKind.SERIALIZED, what, owner.trees().place(field.tree()));
    }
    new ReflectionCheck(owner, Map.of(field.element(), field.key())).requireUnless(overruled);
  }

  private static void require(
      OwnerClass.Field field, Overruled overruled, RefusalKind kind, String what, String place) {
    if (!overruled.overrules(kind)) {
      throw Refused.advising(
          kind,
          "%s cannot be %s: %s.".formatted(field.name(), what, kind.why()),
          "If that does not matter here, say --accept " + kind.id() + ".",
          place);
    }
  }
}
