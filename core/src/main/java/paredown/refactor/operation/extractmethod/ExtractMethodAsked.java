package paredown.refactor.operation.extractmethod;

import java.util.Arrays;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.refactor.RefusalKind;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.operation.condition.ConditionForm;

/** How extract method is asked for. */
public final class ExtractMethodAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.EXTRACT,
              "method",
              "Makes a method of statements that follow each other, or of one expression.",
              "The method is private, stands below the one that the code is in, and is "
                  + "called in its place. It takes the values that it needs in the order in which "
                  + "it names them, and gives the one that what follows needs. With --duplicates "
                  + "all, places of the class that say the same call it, too; with --to it moves "
                  + "on to the type that it lives on.")
          .on(
              "PLACE",
              "The code: FILE:FIRST-LAST for whole lines, or FILE:LINE:COLUMN-LINE:COLUMN with both"
                  + " ends. A type may stand for its file. With --stages: TYPE#METHOD.")
          .value("--name", "NAME", "The name of the new method.")
          .flag(
              Operation.STAGES,
              "With TYPE#METHOD as the place: every stage of it becomes a method, named by its comment"
                  + " or by what it gives. Stages are parted by blank lines and comments; those that"
                  + " cannot be methods stay, and are named.")
          .oneOf(
              "--duplicates",
              Arrays.stream(Duplicates.values()).map(Duplicates::word).toList(),
              "all: other places of the class that say the same call it, too; literals in which they"
                  + " differ become parameters. any: the same, if there are any. project: those of all"
                  + " classes of the package as well, where it needs no object. ask: shows each, and asks. none is usual.")
          .list(
              "--leave",
              "FILE:LINE",
              "With --duplicates: places that stay as they are, with commas between them.")
          .value(
              "--to",
              "TYPE",
              "Moves it on at once to the type of one of the values that it takes, or of a field.")
          .value(
              "--result",
              "NAME",
              "The name of a record, or a small class in older Java, of the values that come out, where"
                  + " there are several.")
          .oneOf(
              "--visibility",
              Arrays.stream(AccessLevel.values()).map(AccessLevel::word).toList(),
              "Who sees the new method; private is usual.")
          .flag("--static", "Let it need no object of its class.")
          .oneOf(
              "--condition",
              Arrays.stream(ConditionForm.values()).map(ConditionForm::word).toList(),
              "With the condition of an if as the place. turned: the method answers the opposite, and"
                  + " the branches change places. joined: it asks what the if within asks as well.")
          .accepting(
              ExtractMethod.acceptable(),
              "With --to: refusals to overrule, as in move method;"
                  + " without it started-earlier, where other classes call the method.")
          .examples(
              "pare extract method FerryDesk:64-65 --name byTheMetre",
              "pare extract method FerryDesk:87:12-87:44 --name isParty",
              "pare extract method FerryDesk:87:12-87:44 --name isParty --to Booking")
          .reading(ExtractMethodAsked::of);

  private static ExtractMethod of(Given given) {
    if (!given.has("--name")) {
      throw new UnusableRequest(
          "The new method has no name.", "Say --name NAME, or --stages for all of a method.");
    }
    boolean more = !Set.of(RefusalKind.STARTED_EARLIER).containsAll(given.accepted());
    if (!given.has("--to") && more) {
      throw new UnusableRequest(
          "Without --to there is nothing else to accept than started-earlier.",
          "Leave --accept out, or say --to.");
    }
    return new ExtractMethod(
        given.subject(),
        given.required("--name"),
        given.value("--to"),
        new Others(
            given
                .oneOf("--duplicates")
                .map(word -> Duplicates.valueOf(word.toUpperCase()))
                .orElse(Duplicates.NONE),
            Set.copyOf(given.list("--leave"))),
        given.accepted(),
        given.value("--result"),
        Set.of(),
        new NewForm(
            given.oneOf("--visibility").map(word -> AccessLevel.valueOf(word.toUpperCase())),
            given.has("--static"),
            given.oneOf("--condition").map(word -> ConditionForm.valueOf(word.toUpperCase())),
            false));
  }

  private ExtractMethodAsked() {}
}
