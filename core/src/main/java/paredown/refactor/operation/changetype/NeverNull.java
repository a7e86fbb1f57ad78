package paredown.refactor.operation.changetype;

import javax.lang.model.type.TypeKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.use.Overruled;

/**
 * An object stands for a value, and no object for none: where the old value may be null, that
 * shows.
 */
record NeverNull(Exchange exchange, Overruled overruled, Cannot cannot) {

  /**
   * Whether it matters: a number is never null, and an object that is only known for less may be.
   */
  boolean matters() {
    return exchange.maker().isPresent() && exchange.from().getKind() == TypeKind.DECLARED;
  }

  /**
   * Refuses for a place that makes or looks for null, unless that does not matter.
   *
   * @param why a clause
   */
  void require(String why, String place) {
    if (matters() && !overruled.overrules(RefusalKind.MAYBE_NULL)) {
      throw cannot.because(
          RefusalKind.MAYBE_NULL,
          why,
          "If its value is never asked for then, say --accept maybe-null.",
          place);
    }
  }
}
