package paredown.refactor.operation.changetype;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How change type is asked for. */
public final class ChangeTypeAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.CHANGE,
              "type",
              "Gives a field, or what a method gives, another type.",
              "All variables, parameters and methods that the value goes to get the type, too. "
                  + "Where it goes on to code that cannot change, it is turned back, and the "
                  + "preview names the place. A number becomes a wider one, an object one of a "
                  + "type above it, and any value an object of a type that is made of it.")
          .on("TYPE#MEMBER", "The class and its field or method.")
          .required("--to", "TYPE", "The new type: long, List, ferry.fleet.Depth.")
          .value(
              "--as",
              "METHOD",
              "What makes an object of the old value: Duration.ofMinutes. The constructor with one"
                  + " parameter is usual.")
          .value(
              "--back",
              "METHOD",
              "What the object gives the old value by: toMinutes. The one method that gives such a"
                  + " value is usual.")
          .accepting(ChangeType.acceptable())
          .examples(
              "pare change type QuayBook#received --to long",
              "pare change type Booking#passengers --to Collection")
          .reading(ChangeTypeAsked::of);

  private static ChangeType of(Given given) {
    MemberName name = given.member("field or method", "QuayBook#received");
    return new ChangeType(
        name.type(),
        name.member(),
        given.required("--to"),
        given.value("--as"),
        given.value("--back"),
        given.accepted());
  }

  private ChangeTypeAsked() {}
}
