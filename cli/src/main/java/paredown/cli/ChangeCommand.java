package paredown.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.gate.reach.ReachOfChange;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.session.Applied;
import paredown.session.ApplyOptions;
import paredown.session.Preview;
import paredown.session.Session;
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
      show(preview, session.reach(preview.change()), json);
      return preview.verdict().passed() ? Exit.DONE : Exit.PUT_BACK;
    }
    Applied applied =
        session.apply(preview, new ApplyOptions(Optional.ofNullable(expect), untested, expectRed));
    if (json) {
      print(ChangeJson.of(preview, applied));
    } else {
      print(new AppliedText(terminal(), here()).of(applied));
    }
    return applied.kept() ? Exit.DONE : Exit.PUT_BACK;
  }

  private void show(Preview preview, Optional<ReachOfChange> reach, boolean json) {
    if (json) {
      print(ChangeJson.of(preview, reach));
      return;
    }
    String next = typed(preview) + here() + " --expect " + preview.change().id() + " --apply";
    byte[] answer = new PreviewText(terminal()).of(preview, reach, next);
    quiet();
    terminal().out().printBytes(answer);
    terminal().out().requireOut();
  }
}
