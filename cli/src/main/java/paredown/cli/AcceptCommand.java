package paredown.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import paredown.UnusableRequest;
import paredown.cli.show.Columns;
import paredown.cli.show.Json;
import paredown.session.Accepted;
import paredown.session.Session;
import paredown.smell.Finding;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Lives with a finding, or lists what the project lives with. */
@Command(
    name = "accept",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Lives with a finding: it stays away until its own figures get clearly worse, by a fifth.",
      "Without a finding, lists those that are accepted. They are kept in pare-accepted.yaml."
    },
    footer = {
      "",
      "Example:",
      "  pare accept clump-5e09a1 --because \"the wire format is fixed\"",
      "  pare accept clump-5e09a1 --withdraw"
    })
final class AcceptCommand extends PareCommand {
  @Parameters(
      paramLabel = "FINDING",
      arity = "0..1",
      description = "The id of a finding, or its beginning.")
  private String finding;

  @Option(names = "--because", paramLabel = "TEXT", description = "Why it is left alone.")
  private String because = "";

  @Option(names = "--withdraw", description = "Let it come back.")
  private boolean withdraw;

  @Override
  int run() {
    boolean json = json();
    boolean looksAtCode = finding != null && !withdraw;
    Session session = looksAtCode ? open() : openSteps();
    String said = finding == null ? "" : change(session);
    if (json) {
      print(json(session));
    } else if (finding == null) {
      print(list(session));
    } else {
      print(said + "Next: pare survey" + here() + "\n");
    }
    return Exit.DONE;
  }

  private String change(Session session) {
    if (withdraw) {
      return session.withdraw(finding).id() + " is shown again.\n";
    }
    Finding accepted = session.accept(finding, because);
    return "%s of %s is accepted, until its figures get worse by a fifth.%nTake back: pare accept %s --withdraw%s%n"
        .formatted(accepted.id(), accepted.shortType(), accepted.id(), here());
  }

  private String list(Session session) {
    if (withdraw) {
      throw new UnusableRequest(
          "Which finding is to come back?", "Name it: pare accept FINDING --withdraw.");
    }
    StringBuilder text = new StringBuilder();
    for (Accepted each : session.accepted()) {
      text.append(
          "%s  %s  since %s%s%n"
              .formatted(
                  Columns.pad(each.id(), 18),
                  Finding.shortName(each.type()),
                  each.since(),
                  each.because().isEmpty() ? "" : ": " + each.because()));
    }
    String none = text.isEmpty() ? "No finding is accepted.\n" : "";
    return none + text + "Next: pare survey" + here() + "\n";
  }

  private static ObjectNode json(Session session) {
    ObjectNode answer = Json.answer("pare-accepted/1");
    ArrayNode all = answer.putArray("accepted");
    for (Accepted each : session.accepted()) {
      ObjectNode node =
          all.addObject()
              .put("id", each.id())
              .put("type", each.type())
              .put("because", each.because())
              .put("since", each.since());
      ObjectNode figures = node.putObject("figures");
      each.figures().forEach(figures::put);
    }
    return answer;
  }
}
