package paredown.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.cli.show.AppliedText;
import paredown.cli.show.ChangeJson;
import paredown.cli.show.PreviewText;
import paredown.gate.quick.WouldNotice;
import paredown.gate.reach.ReachOfChange;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.session.Applied;
import paredown.session.ApplyOptions;
import paredown.session.Preview;
import paredown.session.Session;
import paredown.session.Testing;
import picocli.CommandLine.Option;

/** A command that changes code: a preview, unless it is told to apply. */
abstract class ChangeCommand extends PareCommand {
  @Option(
      names = "--apply",
      description =
          "Write the change, run all the project's tests, and keep it or put everything back. "
              + "The tests may take 30 minutes; test-timeout: in pare.yaml sets another limit.")
  private boolean apply;

  @Option(
      names = "--expect",
      paramLabel = "CHANGE",
      description = "Apply only if it is just the change with this id.")
  private String expect;

  @Option(names = "--keep-api", description = "Refuse where the public API would change.")
  private boolean keepApi;

  @Option(
      names = "--strict",
      description =
          "Refuse a change that rests on what no proof can give; without it a preview says so in its "
              + "lines that begin with Assumes. strict: true in pare.yaml does the same for the project.")
  private boolean strict;

  @Option(names = "--untested", description = "Apply although the project has no tests.")
  private boolean untested;

  @Option(
      names = "--tests",
      paramLabel = "all|quick",
      description =
          "all: run all tests, through the build (usual). quick: run those first that reach the"
              + " change, in one process without the build, so that a mistake shows sooner.")
  private String tests = "all";

  @Option(
      names = "--would-notice",
      description =
          "With a preview: try small faults in the lines that change, in memory and one by one, and"
              + " tell which of them no test would notice. It takes a minute at most, and all tests"
              + " where they were not run before.")
  private boolean wouldNotice;

  @Option(
      names = "--expect-red",
      paramLabel = "TEST",
      split = ",",
      description = "Tests that may fail, since the change means them to.")
  private List<String> expectRed = new ArrayList<>();

  /** The change that is asked for. */
  abstract Preview preview(Session session);

  /** The command as it was typed, without its options for applying. */
  String typed(Preview preview) {
    return preview.command();
  }

  /** The change that is asked for, where it is what was wished for besides. */
  final Preview wished(Session session) {
    Preview preview = preview(session.strict(strict));
    if (keepApi && !preview.change().report().api().isEmpty()) {
      throw Refused.advising(
          RefusalKind.API_CHANGES,
          "The API would change: " + String.join("; ", preview.change().report().api()) + ".",
          "Choose other members, or leave --keep-api out.");
    }
    return preview;
  }

  @Override
  int run() throws InterruptedException {
    boolean json = json();
    Session session = apply ? openToWrite() : open();
    Preview preview = wished(session);
    if (!apply) {
      show(session, preview, json);
      return preview.verdict().passed() ? Exit.DONE : Exit.PUT_BACK;
    }
    Applied applied =
        session.apply(
            preview,
            new ApplyOptions(Optional.ofNullable(expect), untested, expectRed)
                .testing(testing(tests, Testing.QUICK_FIRST)));
    if (json) {
      print(ChangeJson.of(preview, applied));
    } else {
      print(new AppliedText(terminal(), here()).of(applied));
    }
    return applied.kept() ? Exit.DONE : Exit.PUT_BACK;
  }

  /** Which tests are asked for. */
  static Testing testing(String typed, Testing quick) {
    return switch (typed) {
      case "all" -> Testing.ALL;
      case "quick" -> quick;
      default ->
          throw new UnusableRequest(
              "--tests is all or quick, not " + typed + ".", "Say --tests quick.");
    };
  }

  private void show(Session session, Preview preview, boolean json) throws InterruptedException {
    Optional<ReachOfChange> reach = session.net().reach(preview.change());
    Optional<WouldNotice> notice =
        wouldNotice ? session.net().wouldNotice(preview.change()) : Optional.empty();
    if (json) {
      ObjectNode answer = ChangeJson.of(preview, reach);
      notice.ifPresent(each -> ChangeJson.notice(answer, each));
      print(answer);
      return;
    }
    String next = typed(preview) + here() + " --expect " + preview.change().id() + " --apply";
    PreviewText text = new PreviewText(terminal()).with(notice);
    byte[] answer = text.of(preview, reach, next);
    quiet();
    if (wouldNotice && notice.isEmpty()) {
      terminal()
          .err()
          .println(
              "No test reaches it that runs without the build, so that nothing could be tried.");
    }
    terminal().out().printBytes(answer);
    terminal().out().requireOut();
  }
}
