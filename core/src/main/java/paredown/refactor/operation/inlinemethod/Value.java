package paredown.refactor.operation.inlinemethod;

import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.carry.ValueInPlace;
import paredown.refactor.flow.Shift;

/**
 * A value that a call gives to the code of a method: an argument, or the object that is asked.
 *
 * @param name of the parameter; of the variable that would hold the object
 * @param type of the parameter, or of the object's class
 * @param path of the expression in the call
 * @param uses where the code names it
 * @param why it cannot stand there itself, so that a variable must hold it; empty where it can
 */
record Value(
    String name,
    TypeMirror type,
    TreePath path,
    List<TreePath> uses,
    Shift shift,
    ValueInPlace inPlace,
    Optional<Shift.Obstacle> why) {

  boolean needsVariable() {
    return why.isPresent();
  }

  /** Whether it calls something, and stands in several places. */
  boolean runsOften() {
    return !needsVariable() && uses.size() > 1 && shift.isCalling();
  }

  Value held(Shift.Obstacle because) {
    return new Value(name, type, path, uses, shift, inPlace, Optional.of(because));
  }
}
