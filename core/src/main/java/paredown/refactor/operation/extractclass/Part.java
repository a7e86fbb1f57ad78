package paredown.refactor.operation.extractclass;

import paredown.refactor.StepOf;

/** A part is a step of an extraction that nobody asks for by itself. */
sealed interface Part extends StepOf permits BeginClass {

  /** The extraction that it is a part of. */
  @Override
  ExtractClass whole();
}
