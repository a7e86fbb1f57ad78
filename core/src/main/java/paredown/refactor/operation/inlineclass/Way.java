package paredown.refactor.operation.inlineclass;

import java.util.Set;
import javax.lang.model.element.TypeElement;
import paredown.edit.Change;
import paredown.refactor.Refused;

/** A way is how a class can go: what takes its place, and who follows. */
interface Way {
  /** The files that the change could touch beside those that name the class. */
  Set<String> affected();

  /** The class that takes the place of the other. */
  TypeElement stays();

  /**
   * The change.
   *
   * @throws Refused where the class cannot go that way here
   */
  Change change() throws Refused;
}
