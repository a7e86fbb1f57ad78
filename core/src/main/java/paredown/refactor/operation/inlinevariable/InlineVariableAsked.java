package paredown.refactor.operation.inlinevariable;

import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How inline variable is asked for. */
public final class InlineVariableAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.INLINE,
              "variable",
              "Puts a variable's value where it is used, and takes the variable away.",
              "The value must be the same there, and must not be worked out more often "
                  + "where that shows.")
          .on(
              "VARIABLE",
              "TYPE#METHOD#VARIABLE, or FILE:LINE where it is declared. A type may stand for its file.")
          .examples(
              "pare inline variable 'Tide#depthAt#fallen'", "pare inline variable FerryDesk:64")
          .reading(given -> new InlineVariable(given.subject()));

  private InlineVariableAsked() {}
}
