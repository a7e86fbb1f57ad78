package paredown.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import paredown.Problem;
import paredown.cli.show.AppliedText;
import paredown.cli.show.ChangeJson;
import paredown.cli.show.Json;
import paredown.gate.TestRun;
import paredown.gate.TestsPass;
import paredown.history.GitCommits;
import paredown.journal.Step;
import paredown.session.Applied;
import paredown.session.ApplyOptions;
import paredown.session.Preview;
import paredown.session.Session;
import paredown.session.Testing;
import paredown.text.Counted;

/** The steps of a file while they are applied, group by group. */
final class Carrying {
  private final CarryCommand command;
  private final ApplyOptions options;
  private final boolean atEnd;
  private final boolean json;
  private final ObjectNode answer = Json.answer("pare-carry/1");
  private final ArrayNode steps = answer.putArray("steps");
  private final ArrayNode commits = answer.putArray("commits");
  private final StringBuilder text = new StringBuilder();
  private int next = 1;

  /**
   * Applying.
   *
   * @param atEnd whether tests are run at the end of each group only, which is one step then
   * @param json whether all is told as one answer in the end, and not step by step
   */
  Carrying(CarryCommand command, ApplyOptions options, boolean atEnd, boolean json) {
    this.command = command;
    this.options = options;
    this.atEnd = atEnd;
    this.json = json;
  }

  /** Applies all, and prints what became of them; the exit code. */
  int run(CarriedFile file) throws InterruptedException {
    Session session = command.openToWrite();
    if (command.commits()) {
      session.commits().requireReady();
    }
    boolean kept = true;
    try {
      for (CarriedFile.Group group : file.groups()) {
        kept = kept && group(group);
      }
    } catch (RuntimeException problem) {
      if (problem instanceof Problem) {
        goOn();
      }
      throw problem;
    }
    answer.put("outcome", kept ? "kept" : "stopped");
    if (kept) {
      text.append(
          "Next: pare survey%s      Take back: pare undo %d%s%n"
              .formatted(command.here(), steps.size(), command.here()));
    }
    command.print(json ? Json.text(answer) : text.toString());
    return kept ? Exit.DONE : Exit.PUT_BACK;
  }

  /** Applies the steps of a group, and commits them; whether all were kept. */
  private boolean group(CarriedFile.Group group) throws InterruptedException {
    Set<String> touched = new TreeSet<>();
    List<String> summaries = new ArrayList<>();
    List<List<CarriedFile.Line>> parts =
        atEnd ? List.of(group.lines()) : group.lines().stream().map(List::of).toList();
    boolean quick = options.testing() == Testing.QUICK;
    Optional<TestRun> before = quick ? Optional.of(command.open().held(options)) : Optional.empty();
    for (List<CarriedFile.Line> part : parts) {
      CarriedFile.Line first = part.get(0);
      Session session = command.open();
      next = first.number();
      Preview preview = command.planned(session, part);
      Applied applied = session.apply(preview, before.map(options::against).orElse(options));
      before = before.map(run -> Session.expected(run, preview.change()));
      ObjectNode node = ChangeJson.of(preview, applied).put("line", first.line());
      steps.add(node);
      said(part, applied);
      if (!applied.kept()) {
        return false;
      }
      summaries.add(preview.change().summary());
      applied.step().files().stream().map(Step.Entry::path).forEach(touched::add);
    }
    if (before.isPresent() && !before.get().isEmpty() && !checked(before.get(), parts)) {
      return false;
    }
    if (command.commits()) {
      commit(group, summaries, touched);
    }
    return true;
  }

  /** Runs all tests behind the steps of a group, which are taken back where one fails. */
  private boolean checked(TestRun before, List<List<CarriedFile.Line>> parts)
      throws InterruptedException {
    Session session = command.open();
    TestsPass.Outcome outcome = session.net().check(before);
    AppliedText said = new AppliedText(command.terminal(), command.here());
    said.checked(outcome).lines().forEach(this::indented);
    if (!outcome.passed()) {
      session.taken().undo(parts.size());
      indented("%s taken back.".formatted(Counted.of(parts.size(), "step was", "steps were")));
      next = parts.get(0).get(0).number();
      text.append("When that is mended: ").append(command.goingOn(next)).append('\n');
    }
    tell();
    return outcome.passed();
  }

  private void said(List<CarriedFile.Line> part, Applied applied) {
    for (CarriedFile.Line line : part) {
      text.append("%3d  %s%n".formatted(line.number(), line.typed()));
    }
    String became = new AppliedText(command.terminal(), command.here()).of(applied);
    became.lines().filter(line -> !line.startsWith("Next: ")).forEach(this::indented);
    if (!applied.kept()) {
      text.append("When that is mended: ").append(command.goingOn(next)).append('\n');
    }
    tell();
  }

  /** Says what there is to say so far, since the next step may take its time. */
  private void tell() {
    if (!json) {
      command.print(text.toString());
      text.setLength(0);
    }
  }

  /** How to go on behind the steps that were kept. */
  private void goOn() {
    if (!steps.isEmpty()) {
      String kept = Counted.of(steps.size(), "step is", "steps are");
      command
          .terminal()
          .err()
          .println("%s kept. When this is mended: %s".formatted(kept, command.goingOn(next)));
    }
  }

  private void indented(String line) {
    text.append("     ").append(line).append('\n');
  }

  private void commit(CarriedFile.Group group, List<String> summaries, Set<String> touched) {
    GitCommits git = command.openSteps().commits();
    String message =
        group.title().isEmpty()
            ? summaries.stream().distinct().collect(Collectors.joining("\n"))
            : group.title();
    Optional<String> made = git.commit(message, touched, command.runsHooks());
    made.ifPresent(
        name -> {
          commits.addObject().put("commit", name).put("message", message);
          indented("Commit %s: %s".formatted(name, message.lines().findFirst().orElse("")));
          tell();
        });
  }
}
