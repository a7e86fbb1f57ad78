package paredown.refactor.operation.parameterobject;

import paredown.refactor.Refactoring;

/** A part is a step of the extraction of a parameter object. */
sealed interface Part extends Refactoring permits BeginObject, GiveObject {

  /** The extraction that it is a part of. */
  ExtractParameterObject whole();

  @Override
  default String command() {
    return whole().command();
  }

  @Override
  default String says() {
    return whole().says();
  }
}
