package paredown.refactor.operation.extractvariable;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How extract variable, extract constant and extract field are asked for. */
public final class ExtractVariableAsked {

  public static final Operation VARIABLE =
      naming(
              "variable",
              "Gives the value of an expression to a new local variable.",
              "The variable is declared in front of the statement, and named wherever the "
                  + "same expression stands again in its block and gives the same value.")
          .examples("pare extract variable Sailing:82:28-82:50 --name needed")
          .reading(given -> of(ExtractVariable.Kind.VARIABLE, given));

  public static final Operation CONSTANT =
      naming(
              "constant",
              "Gives a value that the compiler knows to a new constant of the class.",
              "The constant is private, stands behind the constants that are there, and is "
                  + "named wherever the class says the same.")
          .examples("pare extract constant Tide:33:40-33:42 --name MINUTES_OF_FALL")
          .reading(given -> of(ExtractVariable.Kind.CONSTANT, given));

  public static final Operation FIELD =
      naming(
              "field",
              "Gives the value of an expression to a new private field of the class.",
              "It is set where the expression stands, and named there and where the same "
                  + "follows. In a line that declares a local variable, the variable becomes the "
                  + "field.")
          .examples(
              "pare extract field Sailing:82:28-82:50 --name needed",
              "pare extract field Tide:33 --name fallen")
          .reading(given -> of(ExtractVariable.Kind.FIELD, given));

  /** What all of them take. */
  private static Operation.Declaring naming(String noun, String summary, String more) {
    return Operation.of(Verb.EXTRACT, noun, summary, more)
        .on(
            "PLACE",
            "The expression: FILE:LINE:COLUMN-LINE:COLUMN with both ends, or FILE:LINE where it has"
                + " the line for itself. A type may stand for its file.")
        .required("--name", "NAME", "The new name.")
        .flag("--only-here", "Leave it where the same expression stands again.");
  }

  private static ExtractVariable of(ExtractVariable.Kind kind, Given given) {
    return new ExtractVariable(
        kind, given.subject(), given.required("--name"), given.has("--only-here"));
  }

  private ExtractVariableAsked() {}
}
