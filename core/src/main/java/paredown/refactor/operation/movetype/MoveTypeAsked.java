package paredown.refactor.operation.movetype;

import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How move class is asked for. */
public final class MoveTypeAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.MOVE,
              "class",
              "Takes a class, interface, enum, record or annotation with its file to "
                  + "another package.",
              "The package is in the same source folder, and the file goes there. Imports, whole names"
                  + " and Javadoc follow; what the two packages need of each other becomes public. With"
                  + " a type as the aim, it stands within that, and its file is gone. A type within"
                  + " another gets a file of its own: its own package with --to takes it out of the type"
                  + " around it, another takes it on.")
          .on("TYPE", "The type, as short as one meaning is left.")
          .required(
              "--to",
              "PACKAGE|TYPE",
              "The package that gets it; a new one is made. Or the type that it goes into.")
          .flag(
              "--in-strings",
              "Say its new whole name in strings, too, and in files that are not Java, such as lists of"
                  + " services.")
          .flag(
              "--with-test",
              "Let its test class follow, which is named after it: BerthTest for Berth.")
          .accepting(MoveType.acceptable())
          .examples(
              "pare move class Berth --to ferry.port",
              "pare move class DeckPlan --to ferry.deck --with-test",
              "pare move class Season --to Timetable")
          .reading(
              given ->
                  new MoveType(
                      given.subject(),
                      given.required("--to"),
                      given.has("--in-strings"),
                      given.has("--with-test"),
                      given.accepted()));

  private MoveTypeAsked() {}
}
