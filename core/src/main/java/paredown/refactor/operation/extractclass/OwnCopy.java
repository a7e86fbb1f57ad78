package paredown.refactor.operation.extractclass;

import paredown.edit.Replacement;
import paredown.refactor.use.OwnerClass;

/** Where a copy of an object of the old class gets a new object of its own. */
sealed interface OwnCopy permits CloneCopy, ClonedAbove {

  /** Gives the copy an object of its own. */
  Replacement given(Holder holder);

  /** Whether a method has to do with the copy, so that it cannot leave. */
  boolean isIn(OwnerClass.Method method);
}
