package paredown.cli;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Takes code out of a method. */
@Command(
    name = "method",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Makes a private method of statements that follow each other, or of one expression, below",
      "the method that they stand in, and calls it in their place. It takes the values that it",
      "needs in the order in which it names them, and gives the one that what follows needs.",
      "With --duplicates all, places of the class that say the same call it, too; with --to it moves",
      "on to the type that it lives on."
    },
    footer = {
      "",
      "Examples:",
      "  pare extract method FerryDesk:64-65 --name byTheMetre",
      "  pare extract method FerryDesk:87:12-87:44 --name isParty",
      "  pare extract method FerryDesk:87:12-87:44 --name isParty --to Booking",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class ExtractMethodCommand extends ChangeCommand {
  @Parameters(
      paramLabel = "PLACE",
      description =
          "The code: FILE:FIRST-LAST for whole lines, or "
              + "FILE:LINE:COLUMN-LINE:COLUMN with both ends. A type may stand "
              + "for its file. With --stages: TYPE#METHOD.")
  private String place;

  @Option(names = "--name", paramLabel = "NAME", description = "The name of the new method.")
  private String name;

  @Option(
      names = "--stages",
      description =
          "With TYPE#METHOD as the place: every stage of it becomes a method, named by its comment"
              + " or by what it gives. Stages are parted by blank lines and comments; those that"
              + " cannot be methods stay, and are named.")
  private boolean stages;

  @Option(
      names = "--duplicates",
      paramLabel = "none|any|all|project",
      description =
          "all: other places of the class that say the same call it, too; literals in which they"
              + " differ become parameters. any: the same, if there are any. project: those of all classes of the package as well,"
              + " where it needs no object. none is usual.")
  private String duplicates = "none";

  @Option(
      names = "--to",
      paramLabel = "TYPE",
      description =
          "Moves it on at once to the type of one of the values that it " + "takes, or of a field.")
  private String target;

  @Option(
      names = "--accept",
      paramLabel = "REFUSAL",
      split = ",",
      description = "With --to: refusals to overrule, as in move method.")
  private List<String> accepted = List.of();

  @Override
  Preview preview(Session session) {
    if (stages) {
      MemberName method = MemberName.of(place, "method", "FerryDesk#receipt");
      return session.stages(method.type(), method.member());
    }
    if (name == null) {
      throw new UnusableRequest(
          "The new method has no name.", "Say --name NAME, or --stages for all of a method.");
    }
    if (target == null && !accepted.isEmpty()) {
      throw new UnusableRequest(
          "Without --to there is nothing to accept.", "Leave --accept out, or say --to.");
    }
    return session.preview(
        new ExtractMethod(
            place,
            name,
            Optional.ofNullable(target),
            which(),
            Accepted.of(accepted, ExtractMethod.acceptable())));
  }

  private Duplicates which() {
    return Arrays.stream(Duplicates.values())
        .filter(each -> each.word().equals(duplicates))
        .findFirst()
        .orElseThrow(
            () ->
                new UnusableRequest(
                    "--duplicates is none, any, all or project, not " + duplicates + ".",
                    "Say --duplicates all, or leave it out."));
  }
}
