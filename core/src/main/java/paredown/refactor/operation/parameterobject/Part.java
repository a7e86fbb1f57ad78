package paredown.refactor.operation.parameterobject;

import paredown.refactor.StepOf;

/** A part is a step of the extraction of a parameter object. */
sealed interface Part extends StepOf permits BeginObject, GiveObject {

  /** The extraction that it is a part of. */
  @Override
  ExtractParameterObject whole();
}
