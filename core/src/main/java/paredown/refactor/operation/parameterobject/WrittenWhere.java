package paredown.refactor.operation.parameterobject;

import javax.lang.model.element.Element;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.Sight;
import paredown.refactor.name.WritableType;

/** Whether the types of components can be written down in the class of the object. */
final class WrittenWhere {
  private WrittenWhere() {}

  /**
   * Requires that.
   *
   * @throws Refused where a type is hidden there, or only known where the parameter is
   */
  static void require(Component component, Sight sight, Signatures signatures) {
    String place = signatures.place();
    if (!WritableType.is(component.type())) {
      throw Refused.advising(
          RefusalKind.OWNER_TYPE_VARIABLE,
          "%s has the type %s, which is known there only."
              .formatted(component.name(), component.type()),
          "Leave it out.",
          place);
    }
    if (isHidden(component.type(), sight)) {
      throw Refused.advising(
          RefusalKind.HIDDEN_FROM_OUTSIDE,
          "%s has the type %s, which the new class cannot see."
              .formatted(component.name(), component.type()),
          "Leave it out, or make the type more visible.",
          place);
    }
  }

  private static boolean isHidden(TypeMirror type, Sight sight) {
    if (type instanceof ArrayType array) {
      return isHidden(array.getComponentType(), sight);
    }
    if (!(type instanceof DeclaredType declared)) {
      return false;
    }
    for (Element at = declared.asElement(); at != null; at = at.getEnclosingElement()) {
      if (at.getKind().isClass() || at.getKind().isInterface()) {
        if (sight.hides(at)) {
          return true;
        }
      }
    }
    return declared.getTypeArguments().stream().anyMatch(each -> isHidden(each, sight));
  }
}
