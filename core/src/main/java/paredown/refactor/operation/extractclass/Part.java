package paredown.refactor.operation.extractclass;

import paredown.refactor.Refactoring;

/** A part is a step of an extraction that nobody asks for by itself. */
sealed interface Part extends Refactoring permits BeginClass {

  /** The extraction that it is a part of. */
  ExtractClass whole();

  @Override
  default String command() {
    return whole().command();
  }

  @Override
  default String says() {
    return whole().says();
  }
}
