package paredown.refactor.operation.extractmethod;

import java.util.Optional;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.operation.condition.ConditionForm;

/**
 * The form of the new method, as far as somebody asked for one.
 *
 * @param visibility empty where it is seen no farther than it must be
 * @param isStatic whether it shall need no object
 * @param condition how a condition becomes its question; empty where it does as it stands
 * @param isOnItsWay whether it moves on to another class, so that who calls it there may be
 *     anywhere
 */
public record NewForm(
    Optional<AccessLevel> visibility,
    boolean isStatic,
    Optional<ConditionForm> condition,
    boolean isOnItsWay) {

  /** Nothing is asked for. */
  public static final NewForm ANY = new NewForm(Optional.empty(), false, Optional.empty(), false);

  /** All classes shall see it. */
  public static final NewForm OPEN =
      new NewForm(Optional.of(AccessLevel.PUBLIC), false, Optional.empty(), false);

  /** The same for a condition as it stands. */
  NewForm asItStands() {
    return new NewForm(visibility, isStatic, Optional.empty(), isOnItsWay);
  }

  /** The same for a method that moves on. */
  NewForm onItsWay() {
    return new NewForm(visibility, isStatic, condition, true);
  }

  /** Whether other classes can see it, since somebody asked for it. */
  boolean isOpen() {
    return visibility.filter(each -> each != AccessLevel.PRIVATE).isPresent();
  }

  /** Whether all classes can see it, since somebody asked for it. */
  boolean isPublic() {
    return visibility.filter(AccessLevel.PUBLIC::equals).isPresent();
  }

  /** The options that ask for it. */
  String options() {
    return visibility.map(each -> " --visibility " + each.word()).orElse("")
        + (isStatic ? " --static" : "")
        + condition.map(each -> " --condition " + each.word()).orElse("");
  }
}
