package paredown.cli.show;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import paredown.facts.Facts;
import paredown.facts.TypeFact;
import paredown.history.History;
import paredown.program.CompileError;
import paredown.session.Survey;
import paredown.smell.Finding;
import paredown.smell.FirstScreen;
import paredown.smell.Smell;
import paredown.smell.detector.Reading;
import paredown.text.Counted;
import paredown.text.Wrapped;

/** A survey as text: at most one screen, worst first. */
public final class SurveyText {
  private static final int BAR = 10;

  /** The longest name of a smell that has a limit. */
  private static final int WORDS = 12;

  private static final String PARTS = " ▏▎▍▌▋▊▉█";

  private final Terminal terminal;
  private final String here;

  public SurveyText(Terminal terminal, String here) {
    this.terminal = terminal;
    this.here = here;
  }

  /**
   * The findings as lines.
   *
   * @param smaller how many findings of smaller smells were left out
   * @param asked the classes that were asked about, if no more than a few
   */
  public String of(Survey survey, List<Finding> shown, long smaller, List<TypeFact> asked) {
    List<Finding> findings = survey.findings();
    StringBuilder text = new StringBuilder(lookedAt(survey)).append('\n');
    warnings(survey, text);
    if (shown.isEmpty()) {
      text.append("\nNothing stands out.");
      text.append(asked.isEmpty() ? " Its classes look like they know what they are for.\n" : "\n");
    } else {
      text.append('\n');
      table(shown, findings, text);
    }
    int hidden = findings.size() - shown.size();
    text.append(shown.size() < findings.size() ? more(shown, findings) : "");
    text.append(hidden(hidden, smaller)).append(accepted(survey.accepted().size()));
    asked.forEach(type -> text.append(readings(type, survey)));
    text.append("\nNext: ").append(next(shown, hidden + smaller, asked.isEmpty()));
    return text.append('\n').toString();
  }

  /** How near a class comes to each limit. */
  private String readings(TypeFact type, Survey survey) {
    StringBuilder text = new StringBuilder();
    text.append("\nHow near %s comes to the limits:\n".formatted(Finding.shortName(type.name())));
    text.append("  value  limit\n");
    for (Reading reading : Reading.of(type, survey.grounds())) {
      String line =
          "  %5d  %5d  %s  %s"
              .formatted(
                  reading.value(),
                  reading.limit(),
                  Columns.pad(reading.smell().words(), WORDS),
                  reading.what());
      text.append(line).append('\n');
    }
    return text.toString();
  }

  private String next(List<Finding> shown, long hidden, boolean all) {
    if (!shown.isEmpty()) {
      return "pare why " + shown.get(0).id() + here;
    }
    return hidden > 0 ? "pare survey --all" + here : all ? "pare --help" : "pare survey" + here;
  }

  /** How many strong findings of each smell there are beside those that are shown. */
  private static String more(List<Finding> shown, List<Finding> findings) {
    Map<Smell, Long> left =
        FirstScreen.strong(findings).stream()
            .filter(finding -> !shown.contains(finding))
            .collect(
                Collectors.groupingBy(
                    Finding::smell, () -> new EnumMap<>(Smell.class), Collectors.counting()));
    return left.isEmpty() || shown.isEmpty()
        ? ""
        : "\nAs strong as these: %s.\n"
            .formatted(
                left.entrySet().stream()
                    .map(
                        each ->
                            Counted.of(
                                each.getValue(),
                                "more " + each.getKey().words(),
                                "more " + each.getKey().several()))
                    .collect(Collectors.joining(", ")));
  }

  private static String hidden(int hidden, long smaller) {
    if (hidden + smaller == 0) {
      return "";
    }
    String more =
        hidden == 0
            ? Counted.of(smaller, "finding", "findings") + " of smaller smells"
            : Counted.of(hidden, "more finding", "more findings")
                + (smaller > 0 ? " and %d of smaller smells".formatted(smaller) : "");
    boolean one = hidden + smaller == 1;
    return "\n%s %s not shown; --all shows %s.\n"
        .formatted(more, one ? "is" : "are", one ? "it" : "them");
  }

  private static String accepted(int accepted) {
    return accepted == 0
        ? ""
        : "\n%s away; pare accept lists %s.\n"
            .formatted(
                Counted.of(accepted, "accepted finding stays", "accepted findings stay"),
                accepted == 1 ? "it" : "them");
  }

  private void table(List<Finding> shown, List<Finding> all, StringBuilder text) {
    int id = shown.stream().mapToInt(f -> f.id().length()).max().orElse(0);
    int type = Math.min(34, shown.stream().mapToInt(f -> f.shortType().length()).max().orElse(0));
    int room = Math.max(20, terminal.width() - (4 + BAR + 2 + id + 2 + type + 2));
    boolean complete = shown.size() >= all.size();
    Map<String, Long> strong =
        all.stream()
            .filter(each -> each.weight() >= FirstScreen.STRONG)
            .collect(Collectors.groupingBy(FirstScreen::kind, Collectors.counting()));
    for (Finding finding : shown) {
      long alike = complete ? 0 : strong.getOrDefault(FirstScreen.kind(finding), 0L) - 1;
      String more = alike > 0 ? " (and %d more)".formatted(alike) : "";
      more += finding.weight() < FirstScreen.STRONG ? " (slight)" : "";
      text.append("%3d ".formatted(finding.weight()));
      text.append(terminal.cyan(bar(finding.weight()))).append("  ");
      text.append(Columns.pad(finding.id(), id)).append("  ");
      text.append(terminal.bold(Columns.pad(Columns.cut(finding.shortType(), type), type)))
          .append("  ");
      String indent = " ".repeat(terminal.width() - room);
      // Who looks for a line in a pipe finds it whole.
      int end = terminal.outIsTerminal() ? room - more.length() : Integer.MAX_VALUE;
      text.append(String.join("\n" + indent, Wrapped.lines(finding.summary(), end)))
          .append(terminal.faint(more))
          .append('\n');
    }
  }

  /** One line that says what was looked at. */
  public static String lookedAt(Survey survey) {
    Facts facts = survey.facts();
    return "%s: %s, %s in %s%s, read in %s s."
        .formatted(
            survey.project(),
            Counted.of(facts.types().size(), "type", "types"),
            Counted.of(facts.methods(), "method", "methods"),
            Counted.of(facts.files(), "file", "files"),
            history(survey.grounds().history()),
            String.format(Locale.ROOT, "%.1f", survey.millis() / 1000.0));
  }

  private static String history(History history) {
    int commits = history.commits().size();
    String cut = history.isCut() ? " (the clone is shallow, older ones are cut off)" : "";
    return commits == 0 && !history.isCut()
        ? ""
        : ", " + Counted.of(commits, "commit", "commits") + cut;
  }

  private static void warnings(Survey survey, StringBuilder text) {
    int unresolved = survey.facts().unresolved();
    if (unresolved > 0) {
      CompileError first = survey.missing().orElseThrow();
      text.append(
          "%s cannot be resolved, the first at %s; what rests on them is left out.%n"
              .formatted(Counted.of(unresolved, "name", "names"), first.place()));
      text.append(
          "Either classes are missing on the class path (class-path: in pare.yaml adds them), or an"
              + " annotation processor writes them.\n");
    }
    for (CompileError error : survey.facts().unparsed().stream().limit(3).toList()) {
      text.append(error.place() + " does not parse: " + first(error.message()) + "\n");
    }
    for (String file : survey.garbled().stream().limit(3).toList()) {
      text.append(file + " is no text in the project's encoding.\n");
    }
    for (String file : survey.passedOver().stream().limit(3).toList()) {
      text.append(
          file
              + " was passed over: it is a pipe, a device, or a link that leads out of the"
              + " project.\n");
    }
  }

  private static String first(String message) {
    return message.lines().findFirst().orElse("");
  }

  static String bar(int weight) {
    int eighths = Math.max(1, weight * BAR * 8 / 100);
    String whole = "█".repeat(eighths / 8);
    String part = eighths % 8 == 0 ? "" : String.valueOf(PARTS.charAt(eighths % 8));
    return Columns.pad(whole + part, BAR);
  }
}
