package paredown.refactor.code;

/**
 * How code outside the new class reaches an extracted field.
 *
 * @param accessor the method that gives its value; null where none is used
 * @param isDirect whether the field itself is used
 * @param isNew whether the accessor has to be written
 */
public record FieldAccess(String accessor, boolean isDirect, boolean isNew) {

  /** Nobody outside uses it. */
  public static FieldAccess none() {
    return new FieldAccess(null, false, false);
  }

  public static FieldAccess direct() {
    return new FieldAccess(null, true, false);
  }

  public static FieldAccess through(String accessor, boolean isNew) {
    return new FieldAccess(accessor, false, isNew);
  }
}
