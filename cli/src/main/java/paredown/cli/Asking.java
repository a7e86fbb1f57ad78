package paredown.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.util.ArrayList;
import java.util.List;
import paredown.cli.show.Terminal;
import paredown.refactor.Refactoring;

/** The person at the terminal is asked what only a person can say, one question after the other. */
final class Asking {
  private final Terminal terminal;
  private final BufferedReader answers =
      new BufferedReader(new InputStreamReader(System.in, Charset.defaultCharset()));

  Asking(Terminal terminal) {
    this.terminal = terminal;
  }

  /** Those of the questions that are denied. */
  List<Refactoring.Question> denied(List<Refactoring.Question> questions) {
    List<Refactoring.Question> denied = new ArrayList<>();
    for (int i = 0; i < questions.size(); i++) {
      Refactoring.Question each = questions.get(i);
      terminal.err().println("");
      terminal.err().println(terminal.cyan(each.place()));
      each.code().forEach(line -> terminal.err().println("  " + line));
      if (!isYes("%s [y/n] (%d of %d) ".formatted(each.asks(), i + 1, questions.size()))) {
        denied.add(each);
      }
    }
    terminal.err().println("");
    return denied;
  }

  /** The end of the input is no. */
  private boolean isYes(String asks) {
    while (true) {
      terminal.err().print(asks);
      String answer = answer();
      if (answer == null || answer.matches("(?i)\\s*no?\\s*")) {
        return false;
      }
      if (answer.matches("(?i)\\s*y(es)?\\s*")) {
        return true;
      }
    }
  }

  private String answer() {
    try {
      return answers.readLine();
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
