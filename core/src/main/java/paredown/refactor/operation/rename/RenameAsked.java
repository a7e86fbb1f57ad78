package paredown.refactor.operation.rename;

import java.util.List;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How rename is asked for. */
public final class RenameAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.RENAME,
              "",
              "Gives a type, a member or a variable another name, wherever it is meant.",
              "A type takes its file along, and a method all that override it or are "
                  + "overridden by it; a component of a record its accessor. Strings and other "
                  + "files stay as they are unless --in-strings is said.")
          .on(
              "TYPE[#MEMBER[#VARIABLE]]",
              "What gets another name, as short as one meaning is left; a variable may be a type"
                  + " variable.")
          .required("--name", "NAME", "The new name.")
          .flag(
              "--accessors",
              "Let the plain accessors of a field follow, getTide and setTide for example.")
          .flag(
              "--in-strings",
              "Say the new name in strings, too: the whole name of a type, also in files that are not"
                  + " Java, such as lists of services; and strings that are just a member's name, in"
                  + " files that know its class.")
          .accepting(acceptable())
          .examples(
              "pare rename Sailing --name Crossing",
              "pare rename Sailing#tide --name highWater --accessors",
              "pare rename 'Sailing#crossing()' --name minutesAtSea",
              "pare rename 'DeckPlan#deckFor(Passenger)#passenger' --name guest",
              "pare rename Sailing --name Crossing --in-strings")
          .reading(RenameAsked::of);

  private static List<RefusalKind> acceptable() {
    return Stream.concat(Rename.acceptable().stream(), RenameType.acceptable().stream())
        .distinct()
        .toList();
  }

  private static Refactoring of(Given given) {
    List<String> parts = List.of(given.subject().split("#", -1));
    if (parts.size() > 3 || parts.stream().anyMatch(String::isBlank)) {
      throw new UnusableRequest(
          given.subject() + " names no type and no member of one.",
          "Name a type, Sailing for example, or a member with its class, Sailing#tide.");
    }
    boolean inStrings = given.has("--in-strings");
    if (parts.size() > 1) {
      return new Rename(
          parts.get(0),
          parts.get(1),
          parts.size() > 2 ? parts.get(2) : "",
          given.required("--name"),
          given.has("--accessors"),
          inStrings,
          given.accepted());
    }
    if (given.has("--accessors")) {
      throw new UnusableRequest(
          "Only a field has accessors that could be renamed after it.", "Leave --accessors out.");
    }
    return new RenameType(parts.get(0), given.required("--name"), inStrings, given.accepted());
  }

  private RenameAsked() {}
}
