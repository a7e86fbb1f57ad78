package paredown.refactor.operation.movemethod;

import java.util.List;
import java.util.Optional;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How move method is asked for. */
public final class MoveMethodAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.MOVE,
              "method",
              "Takes a method to the type that it lives on.",
              "That may be the type of one of its parameters or of a field of its class, a "
                  + "type around or within its own, or one without any link. It receives the "
                  + "values that it needs of its old object, and the whole object only where it "
                  + "must.")
          .on("TYPE#METHOD", "The method, as short as one meaning is left.")
          .required("--to", "TYPE", "The class, interface, enum or record that gets it.")
          .value(
              "--through",
              "WAY",
              "How it reaches its new object: a parameter's or field's name, outer (the object around"
                  + " its own), new (one for each call), new-field (one that each object keeps), callers"
                  + " (one that each caller has), or static (none). Needed where several or none are"
                  + " plain.")
          .delegating()
          .oneOf(
              "--pass",
              List.of("values", "owner"),
              "What it receives of its old object: by default the values, where they will do.")
          .value("--name", "NAME", "Its name in the new place.")
          .accepting(MoveMethod.acceptable())
          .examples(
              "pare move method DeckPlan#deckFor --to Passenger --delegate none",
              "pare move method FerryDesk#money --to DuesClerk --through static")
          .reading(MoveMethodAsked::of);

  private static MoveMethod of(Given given) {
    MemberName name = given.member("method", "Sailing#floats");
    return new MoveMethod(
        name.type(),
        name.member(),
        given.required("--to"),
        new MoveMethod.Wishes(
            given.value("--through"),
            given.delegate(),
            given.oneOf("--pass").equals(Optional.of("owner")),
            given.value("--name"),
            given.accepted()));
  }

  private MoveMethodAsked() {}
}
