package paredown.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import paredown.MachineProblem;
import paredown.Problem;
import paredown.UnusableRequest;
import paredown.cli.show.Json;
import paredown.cli.show.ProductVersion;
import paredown.cli.show.Terminal;
import paredown.gate.TestProblem;
import paredown.journal.JournalProblem;
import paredown.project.ProjectUnreadable;
import paredown.refactor.Refused;
import paredown.session.GateStopped;
import picocli.CommandLine;
import picocli.CommandLine.IExecutionExceptionHandler;
import picocli.CommandLine.ParseResult;

/** Says what went wrong: one sentence, where, what to do, and the exit code that goes with it. */
final class Complaints implements IExecutionExceptionHandler {

  @Override
  public int handleExecutionException(Exception e, CommandLine line, ParseResult result) {
    if (is(OutOfMemoryError.class, e)) {
      throw new OutOfMemoryError();
    }
    boolean told = e instanceof ProjectUnreadable;
    return complain(!told && is(StackOverflowError.class, e) ? tooDeep(e) : e, line);
  }

  private static ProjectUnreadable tooDeep(Exception e) {
    return new ProjectUnreadable(
        "Some code of this project is nested so deeply that it cannot be looked through.",
        "Leave its file out with exclude: in pare.yaml.",
        e);
  }

  private static int complain(Exception e, CommandLine line) {
    PareCommand command = line.getCommand() instanceof PareCommand pare ? pare : null;
    boolean json = command != null && command.common().wantsJson();
    boolean trace = command != null && command.common().trace();
    Terminal terminal = Terminal.ofProcess();
    int code = code(e);
    String sentence = sentence(e, code, typed(line));
    String advice = e instanceof Problem problem ? problem.advice() : "";
    List<String> places = places(e);
    if (json) {
      ObjectNode answer = json(kind(e), sentence, advice);
      Json.texts(answer, "places", places);
      if (e instanceof Refused refused) {
        answer.put("mark", refused.kind().mark().name().toLowerCase().replace('_', '-'));
      }
      terminal.out().print(Json.text(answer));
    } else {
      terminal.err().println(code == Exit.REFUSED ? "Refused: " + sentence : sentence);
      places.forEach(place -> terminal.err().println("  " + place));
      if (!advice.isEmpty()) {
        terminal.err().println(advice);
      }
    }
    if (trace) {
      e.printStackTrace(terminal.err());
    }
    return code;
  }

  /** The command and its options, without what they were given: that may name the user's code. */
  private static String typed(CommandLine line) {
    ParseResult given = line.getParseResult();
    String options =
        given == null
            ? ""
            : given.matchedOptions().stream()
                .map(option -> " " + option.longestName())
                .distinct()
                .collect(Collectors.joining());
    return line.getCommandSpec().qualifiedName() + options;
  }

  /** Whether the machine did not let something be done, so that it is no fault of pare. */
  private static boolean isOfMachine(Throwable e) {
    return e instanceof MachineProblem || machine(e) != null;
  }

  private static FileSystemException machine(Throwable e) {
    if (e instanceof FileSystemException machine) {
      return machine;
    }
    return e.getCause() == null ? null : machine(e.getCause());
  }

  /** The compiler, and work in other threads, wrap what they stumble over. */
  private static boolean is(Class<? extends Error> kind, Throwable e) {
    return kind.isInstance(e) || e.getCause() != null && is(kind, e.getCause());
  }

  private static String sentence(Exception e, int code, String command) {
    return switch (code) {
      case Exit.OUR_FAULT -> ourFault(e, command);
      case Exit.INTERRUPTED -> "Interrupted.";
      default ->
          e instanceof Problem
              ? e.getMessage()
              : "The machine does not let pare go on: " + MachineProblem.reason(machine(e)) + ".";
    };
  }

  static ObjectNode json(String kind, String sentence, String advice) {
    return Json.answer("pare-refusal/1")
        .put("kind", kind)
        .put("sentence", sentence)
        .put("advice", advice);
  }

  private static int code(Exception e) {
    if (e instanceof UnusableRequest) {
      return Exit.UNUSABLE;
    }
    if (e instanceof Refused || e instanceof JournalProblem) {
      return Exit.REFUSED;
    }
    if (e instanceof GateStopped) {
      return Exit.PUT_BACK;
    }
    if (e instanceof ProjectUnreadable || e instanceof TestProblem || isOfMachine(e)) {
      return Exit.UNREADABLE;
    }
    return e instanceof InterruptedException ? Exit.INTERRUPTED : Exit.OUR_FAULT;
  }

  private static String kind(Exception e) {
    if (e instanceof Refused refused) {
      return refused.kind().id();
    }
    return switch (code(e)) {
      case Exit.UNUSABLE -> "unusable";
      case Exit.REFUSED -> "files";
      case Exit.PUT_BACK -> "gate";
      case Exit.UNREADABLE -> "project";
      case Exit.INTERRUPTED -> "interrupted";
      default -> "fault";
    };
  }

  private static List<String> places(Exception e) {
    if (e instanceof Refused refused) {
      return refused.places();
    }
    return e instanceof JournalProblem problem ? problem.places() : List.of();
  }

  /** A fault of ours: the trace goes into a file, never to the user. */
  private static String ourFault(Exception e, String command) {
    try {
      // Where the file system knows owners, a temporary file is its owner's alone.
      Path file = Files.createTempFile("pare-fault", ".txt");
      StringWriter trace = new StringWriter();
      trace.append("pare " + ProductVersion.text() + "\n");
      trace.append("JDK " + Runtime.version() + ", " + System.getProperty("os.name") + "\n");
      trace.append("command: " + command + "\n");
      e.printStackTrace(new PrintWriter(trace));
      Files.writeString(file, trace.toString());
      return "Sorry, this is a fault of pare itself. A step that was begun is put back, or pare undo puts it back.\nThe details are in "
          + file
          + "; please report them.";
    } catch (IOException unwritable) {
      return "Sorry, this is a fault of pare itself: " + e;
    }
  }
}
