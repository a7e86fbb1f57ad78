package paredown.refactor.operation.value;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How extract value is asked for. */
public final class ExtractValueAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.EXTRACT,
              "value",
              "Makes a type of its own for the bare number or string that a field holds.",
              "The field holds an object of the new type then, which gives the value. With "
                  + "--check, no object can be made of another value: tests that make one fail, "
                  + "and --expect-red names them.")
          .on("TYPE#FIELD", "The class and its field.")
          .required("--name", "NAME", "The name of the new type.")
          .value(
              "--check",
              "CONDITION",
              "What must hold, in Java, of a value that is called value: 'value >= 0'.")
          .flag(
              "--accessors",
              "Let plain accessors give and take the new type, and constructors that only keep it.")
          .accepting(ExtractValue.acceptable())
          .examples("pare extract value Berth#depthCm --name Depth --check 'value > 0' --accessors")
          .reading(ExtractValueAsked::of);

  private static ExtractValue of(Given given) {
    MemberName name = given.member("field", "Berth#depthCm");
    return new ExtractValue(
        name.type(),
        name.member(),
        given.required("--name"),
        given.value("--check"),
        given.has("--accessors"),
        given.accepted());
  }

  private ExtractValueAsked() {}
}
