package paredown.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.concurrent.Callable;
import paredown.UnusableRequest;
import paredown.cli.show.Json;
import paredown.cli.show.Terminal;
import paredown.journal.Step;
import paredown.project.ProjectUnreadable;
import paredown.session.PutBack;
import paredown.session.Session;
import paredown.text.Listed;
import picocli.CommandLine.Mixin;

/** What all commands share: the project, the terminal, and how an answer gets out. */
abstract class PareCommand implements Callable<Integer> {
  @Mixin private Common common;

  private final Terminal terminal = Terminal.ofProcess();
  private final ProgressLine progress = new ProgressLine(terminal);

  Terminal terminal() {
    return terminal;
  }

  Common common() {
    return common;
  }

  /** Whether the answer is wanted as JSON, where text is the other choice. */
  boolean json() {
    Format format = common.format();
    if (format != Format.JSON && format != Format.TEXT) {
      throw new UnusableRequest(
          "Only a survey can be given as " + format.typed() + ".",
          "Use --format text or --format json.");
    }
    return format == Format.JSON;
  }

  /** Opens the project, and says so where a step of it was cut off. */
  Session open() {
    requireCompiler();
    Session session =
        common.withoutBuild()
            ? Session.withoutBuild(common.directory(), progress)
            : Session.open(common.directory(), progress);
    warn(session);
    return session;
  }

  /** Opens the project; a step that was cut off is put back before anything new is written. */
  Session openToWrite() {
    Session session = open();
    if (session.taken().unverified().isEmpty()) {
      return session;
    }
    session.taken().recover().ifPresent(this::tell);
    return open();
  }

  private void tell(PutBack back) {
    terminal.err().println("Step " + back.step().number() + " was put back.");
    back.edited().forEach(file -> terminal.err().println("Edited since, left alone: " + file));
  }

  /** Opens what was applied in the project, without a look at its build or its sources. */
  Session openSteps() {
    Session session = Session.ofSteps(common.directory(), progress);
    warn(session);
    return session;
  }

  private void warn(Session session) {
    if (session.taken().isBusy()) {
      terminal.err().println("Another pare is changing this project right now.");
    } else {
      session.taken().unverified().ifPresent(this::warn);
    }
    List<String> strangers = session.taken().strangers();
    if (!strangers.isEmpty()) {
      terminal
          .err()
          .println(
              "%s in the journal %s left alone: it was not written by this pare for this folder, or it is damaged. Delete it where nothing in it is needed."
                  .formatted(Listed.of(strangers), strangers.size() == 1 ? "is" : "are")
                  .replace("it was not", strangers.size() == 1 ? "it was not" : "they were not")
                  .replace("or it is", strangers.size() == 1 ? "or it is" : "or they are"));
    }
  }

  private static void requireCompiler() {
    if (ModuleLayer.boot().findModule("jdk.compiler").isEmpty()) {
      throw new ProjectUnreadable(
          "This Java has no compiler, so it is a JRE and not a JDK.",
          "Install a JDK, 17 or later, and let JAVA_HOME point to it.");
    }
  }

  private void warn(Step step) {
    terminal
        .err()
        .println(
            "Step %d (%s) was cut off before it was verified. pare undo puts it back."
                .formatted(step.number(), step.command()));
  }

  @Override
  public final Integer call() throws Exception {
    try {
      return run();
    } finally {
      progress.close();
    }
  }

  abstract int run() throws Exception;

  /** Takes the progress line away, so that an answer can be printed. */
  void quiet() {
    progress.close();
  }

  void print(String text) {
    quiet();
    terminal.out().print(text);
    terminal.out().requireOut();
  }

  void print(ObjectNode json) {
    print(Json.text(json));
  }

  /** The option that names the project, as the user has to repeat it in the next command. */
  String here() {
    return common.typed();
  }
}
