package paredown.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import paredown.Problem;
import paredown.UnusableRequest;
import paredown.cli.show.ChangeJson;
import paredown.cli.show.PreviewText;
import paredown.refactor.plan.Arguments;
import paredown.session.ApplyOptions;
import paredown.session.GateStopped;
import paredown.session.Preview;
import paredown.session.Session;
import paredown.session.Testing;
import paredown.text.Counted;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Does the steps of a file. */
@Command(
    name = "carry",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Does the steps of a file, a command a line, each on what the one before it left. pare steps",
      "--as-file writes such a file of what was done. Lines with no empty line between them are a",
      "group; what stands behind # above a group says what it does."
    },
    footer = {
      "",
      "Example:",
      "  pare steps --as-file > passage.steps",
      "  pare carry passage.steps --project ../other-checkout",
      "  pare carry passage.steps --apply --commit",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class CarryCommand extends PareCommand {
  @Parameters(paramLabel = "FILE", description = "The file of steps.")
  private Path file;

  @Option(names = "--apply", description = "Do the steps, and keep each that passes all tests.")
  private boolean apply;

  @Option(
      names = "--test",
      paramLabel = "each|end",
      description =
          "each: run the tests after each step, which is one to take back (usual). end: run them at"
              + " the end of each group, which is one step then.")
  private String test = "each";

  @Option(
      names = "--tests",
      paramLabel = "all|quick",
      description =
          "all: each time all tests, through the build (usual). quick: after each step those that"
              + " reach it, in one process without the build, and all at the end of each group.")
  private String tests = "all";

  @Option(
      names = "--from",
      paramLabel = "N",
      description = "Begin with the step of this number; the first is 1.")
  private int from = 1;

  @Option(names = "--until", paramLabel = "N", description = "Stop after the step of this number.")
  private int until = Integer.MAX_VALUE;

  @Option(
      names = "--expect",
      paramLabel = "CHANGE",
      description = "Apply only if all steps together are just the change with this id.")
  private String expect;

  @Option(names = "--untested", description = "Apply although the project has no tests.")
  private boolean untested;

  @Option(
      names = "--commit",
      description =
          "Make a commit of each group that was kept, with what stands above it as the message. The"
              + " work tree has to be clean; nothing is pushed.")
  private boolean commit;

  @Option(names = "--hooks", description = "With --commit: run the repository's hooks, too.")
  private boolean hooks;

  @Override
  int run() throws InterruptedException {
    boolean json = json();
    requireOptions();
    CarriedFile steps = CarriedFile.read(file).between(from, until);
    if (steps.groups().isEmpty()) {
      throw new UnusableRequest(
          "There is no step to do in " + file + ".", "Write a command a line into it.");
    }
    steps.lines().forEach(line -> told(line, line::command));
    if (!apply || expect != null) {
      Session session = open();
      Preview all = planned(session, steps.lines());
      if (!apply) {
        show(session, steps, all, json);
        return all.verdict().passed() ? Exit.DONE : Exit.PUT_BACK;
      }
      requireExpected(all);
    }
    return new Carrying(this, options(), test.equals("end"), json).run(steps);
  }

  private void requireOptions() {
    if (!test.equals("each") && !test.equals("end")) {
      throw new UnusableRequest("--test is each or end, not " + test + ".", "Say --test end.");
    }
    ChangeCommand.testing(tests, Testing.QUICK);
    if (hooks && !commit || commit && !apply) {
      throw new UnusableRequest(
          hooks && !commit
              ? "Without --commit there is nothing that hooks are run for."
              : "Without --apply there is nothing to commit.",
          hooks && !commit ? "Leave --hooks out." : "Say --apply --commit.");
    }
  }

  private void requireExpected(Preview all) {
    if (!all.change().id().equals(expect)) {
      throw new GateStopped(
          "The change is %s now, not %s; nothing was written.".formatted(all.change().id(), expect),
          "Look at the preview again: " + typed());
    }
  }

  private ApplyOptions options() {
    return new ApplyOptions(Optional.empty(), untested, List.of())
        .testing(ChangeCommand.testing(tests, Testing.QUICK));
  }

  boolean commits() {
    return commit;
  }

  boolean runsHooks() {
    return hooks;
  }

  /** The command without what applies it. */
  String typed() {
    return "pare carry "
        + Arguments.quoted(file.toString())
        + (from > 1 ? " --from " + from : "")
        + (until < Integer.MAX_VALUE ? " --until " + until : "")
        + (test.equals("each") ? "" : " --test " + test)
        + (tests.equals("all") ? "" : " --tests " + tests)
        + here();
  }

  /** The command that goes on with a step. */
  String goingOn(int step) {
    from = step;
    return typed() + " --apply" + (commit ? " --commit" : "");
  }

  /** Steps planned one after the other in memory, as one change. */
  Preview planned(Session session, List<CarriedFile.Line> lines) {
    List<Preview> all = new ArrayList<>();
    Session at = session;
    for (CarriedFile.Line line : lines) {
      Session here = at;
      Preview preview = told(line, () -> line.preview(here));
      all.add(preview);
      at = at.after(preview);
    }
    return joined(all);
  }

  private static Preview joined(List<Preview> all) {
    return all.size() == 1
        ? all.get(0)
        : Preview.joined(
            "%s: %s."
                .formatted(
                    Counted.of(all.size(), "step", "steps"),
                    all.stream()
                        .map(each -> each.refactoring().says())
                        .collect(Collectors.joining("; "))),
            all);
  }

  /** Does something for a line, and says which where it cannot be done. */
  private <T> T told(CarriedFile.Line line, Supplier<T> what) {
    try {
      return what.get();
    } catch (RuntimeException problem) {
      if (problem instanceof Problem) {
        quiet();
        terminal()
            .err()
            .println("Step %d, in line %d of %s:".formatted(line.number(), line.line(), file));
        terminal().err().println("  " + line.typed());
      }
      throw problem;
    }
  }

  private void show(Session session, CarriedFile steps, Preview all, boolean json) {
    if (json) {
      print(ChangeJson.of(all, session.net().reach(all.change())));
      return;
    }
    StringBuilder list = new StringBuilder();
    for (CarriedFile.Group group : steps.groups()) {
      for (CarriedFile.Line line : group.lines()) {
        list.append("%3d  %s%n".formatted(line.number(), line.typed()));
      }
    }
    String next = typed() + " --expect " + all.change().id() + " --apply";
    byte[] answer = new PreviewText(terminal()).of(all, session.net().reach(all.change()), next);
    quiet();
    terminal().out().print(list.append('\n').toString());
    terminal().out().printBytes(answer);
    terminal().out().requireOut();
  }
}
