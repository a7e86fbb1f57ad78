package paredown.refactor.operation.inlinefield;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How inline constant and inline field are asked for. */
public final class InlineFieldAsked {

  public static final Operation CONSTANT =
      Operation.of(
              Verb.INLINE,
              "constant",
              "Puts a constant's value where it is named, and takes the constant away.",
              "All files follow; names that the value needs are written as they are known "
                  + "there.")
          .on("TYPE#FIELD", "The field, with its class as short as one meaning is left.")
          .accepting(InlineField.acceptable())
          .examples("pare inline constant DuesClerk#CENTS_A_METRE")
          .reading(given -> of(given, true));

  public static final Operation FIELD =
      Operation.of(
              Verb.INLINE,
              "field",
              "Puts a field's one value where it is read, and takes the field away.",
              "The field must be declared with its value and set nowhere else, and the "
                  + "value must be the same for each object.")
          .on("TYPE#FIELD", "The field, with its class as short as one meaning is left.")
          .accepting(InlineField.acceptable())
          .examples("pare inline field DuesClerk#CENTS_A_METRE")
          .reading(given -> of(given, false));

  private static InlineField of(Given given, boolean constant) {
    MemberName name = given.member("field", "DuesClerk#CENTS_A_METRE");
    return new InlineField(name.type(), name.member(), constant, given.accepted());
  }

  private InlineFieldAsked() {}
}
