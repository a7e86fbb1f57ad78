package paredown.refactor.operation.movefield;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How move field is asked for. */
public final class MoveFieldAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.MOVE,
              "field",
              "Takes a field with its comment to another type.",
              "A static one goes as it is; one of objects goes to an object of that type "
                  + "which each of them holds in a field and has for itself. All who name it "
                  + "follow, in code, imports and links, and it becomes as visible as they need.")
          .on("TYPE#FIELD", "The field, with its class as short as one meaning is left.")
          .required("--to", "TYPE", "The class, interface, enum or record that gets it.")
          .value("--through", "FIELD", "The field that holds the object, where there are several.")
          .accepting(MoveField.acceptable())
          .examples("pare move field DuesClerk#CENTS_A_METRE --to QuayBook")
          .reading(MoveFieldAsked::of);

  private static MoveField of(Given given) {
    MemberName name = given.member("field", "DuesClerk#CENTS_A_METRE");
    return new MoveField(
        name.type(),
        name.member(),
        given.required("--to"),
        given.value("--through"),
        given.accepted());
  }

  private MoveFieldAsked() {}
}
