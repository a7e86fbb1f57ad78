package paredown.cli;

import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import paredown.UnusableRequest;
import paredown.refactor.plan.Arguments;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.ParseResult;

/**
 * A file of steps: a command a line. Lines that stand together, with no empty one between them, are
 * a group; what stands behind {@code #} above a group says what it does.
 */
record CarriedFile(List<Group> groups) {

  /** Steps that belong together. */
  record Group(String title, List<Line> lines) {}

  /**
   * One step.
   *
   * @param line counted from 1
   * @param number counted from 1 through the whole file
   */
  record Line(int line, int number, String typed) {

    /** Plans the step. */
    Preview preview(Session session) {
      return command().wished(session);
    }

    /** The command that is meant, with its arguments. */
    ChangeCommand command() {
      List<String> words = new ArrayList<>(Arguments.words(typed));
      if (words.get(0).equals("pare")) {
        words.remove(0);
      }
      String[] all = words.toArray(String[]::new);
      CommandLine line = new CommandLine(new Pare());
      Commands.addTo(line, all);
      try {
        ParseResult result = line.parseArgs(all);
        while (result.hasSubcommand()) {
          result = result.subcommand();
        }
        if (result.commandSpec().userObject() instanceof ChangeCommand change) {
          return change;
        }
      } catch (ParameterException misuse) {
        throw new UnusableRequest(misuse.getMessage(), "Mend the line.");
      }
      throw new UnusableRequest(
          "This is no command that changes code: " + typed, "Take the line out.");
    }
  }

  static CarriedFile read(Path file) {
    try {
      return of(Files.readAllLines(file, StandardCharsets.UTF_8));
    } catch (MalformedInputException strange) {
      throw new UnusableRequest(file + " is no text in UTF-8.", "pare steps --as-file writes one.");
    } catch (IOException unreadable) {
      throw new UnusableRequest(
          "The file " + file + " cannot be read.", "pare steps --as-file > FILE writes one.");
    }
  }

  private static CarriedFile of(List<String> all) {
    List<Group> groups = new ArrayList<>();
    List<Line> lines = new ArrayList<>();
    StringBuilder title = new StringBuilder();
    int number = 0;
    for (int i = 0; i < all.size(); i++) {
      String text = all.get(i).strip();
      if (text.startsWith("#") && lines.isEmpty()) {
        title.append(title.isEmpty() ? "" : "\n").append(text.substring(1).strip());
      } else if (text.isEmpty()) {
        add(groups, title, lines);
      } else if (!text.startsWith("#")) {
        lines.add(new Line(i + 1, ++number, text));
      }
    }
    add(groups, title, lines);
    return new CarriedFile(groups);
  }

  private static void add(List<Group> groups, StringBuilder title, List<Line> lines) {
    if (!lines.isEmpty()) {
      groups.add(new Group(title.toString(), List.copyOf(lines)));
    }
    title.setLength(0);
    lines.clear();
  }

  /** The steps from one to another, both included; groups without any are gone. */
  CarriedFile between(int first, int last) {
    return new CarriedFile(
        groups.stream()
            .map(
                group ->
                    new Group(
                        group.title(),
                        group.lines().stream()
                            .filter(line -> first <= line.number() && line.number() <= last)
                            .toList()))
            .filter(group -> !group.lines().isEmpty())
            .toList());
  }

  List<Line> lines() {
    return groups.stream().flatMap(group -> group.lines().stream()).toList();
  }
}
