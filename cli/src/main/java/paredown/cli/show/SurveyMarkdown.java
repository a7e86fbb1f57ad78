package paredown.cli.show;

import static java.util.stream.Collectors.joining;

import java.util.List;
import paredown.session.Survey;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.text.Counted;

/** A survey as Markdown, short enough for a comment on a pull request. */
public final class SurveyMarkdown {
  private static final int ROWS = 12;

  private SurveyMarkdown() {}

  public static String of(Survey survey, List<Finding> shown) {
    List<Finding> findings = survey.findings();
    StringBuilder text = new StringBuilder("### Pare Down: ");
    text.append(
        shown.isEmpty()
            ? "nothing stands out\n"
            : Counted.of(shown.size(), "finding", "findings") + " worth a look\n");
    text.append('\n').append(SurveyText.lookedAt(survey)).append("\n\n");
    if (!shown.isEmpty()) {
      text.append("| weight | finding | class | what |\n|---:|---|---|---|\n");
      shown.forEach(
          finding ->
              text.append(
                  "| %d | `%s` | %s | %s: %s |\n"
                      .formatted(
                          finding.weight(),
                          finding.id(),
                          code(finding.shortType()),
                          finding.smell().words(),
                          cell(finding.summary()))));
      text.append('\n');
    }
    shown.forEach(finding -> details(finding, text));
    int hidden = findings.size() - shown.size();
    if (hidden > 0) {
      text.append(Counted.of(hidden, "weaker finding is", "weaker findings are"))
          .append(" not shown.\n");
    }
    if (!survey.accepted().isEmpty()) {
      text.append(
              Counted.of(
                  survey.accepted().size(), "accepted finding stays", "accepted findings stay"))
          .append(" away.\n");
    }
    return text.toString();
  }

  private static void details(Finding finding, StringBuilder text) {
    text.append("<details><summary><b>%s</b></summary>\n\n".formatted(escaped(finding.claim())));
    text.append("%s\n\n".formatted(code(finding.range().file() + ":" + finding.range().line())));
    for (Evidence.Figure figure : finding.evidence().figures()) {
      text.append("- ").append(escaped(figure.words())).append('\n');
    }
    List<Evidence.Group> groups = finding.evidence().groups();
    for (Evidence.Group group : groups) {
      String name = group.name().isEmpty() ? "" : "**" + group.name() + "** ";
      text.append("- ").append(name);
      text.append(members(group).stream().map(SurveyMarkdown::code).collect(joining(", ")));
      text.append('\n');
    }
    if (groups.isEmpty()) {
      finding.evidence().rows().stream()
          .filter(row -> !row.member().isEmpty())
          .limit(ROWS)
          .forEach(
              row ->
                  text.append(
                      "- %s %s\n"
                          .formatted(code(row.file() + ":" + row.line()), code(row.member()))));
    }
    text.append("\n`pare why ").append(finding.id()).append("`\n\n</details>\n\n");
  }

  private static List<String> members(Evidence.Group group) {
    return group.fields().isEmpty() ? group.methods() : group.fields();
  }

  /** Code whose content no reader of Markdown takes for a tag, or for the end of the code. */
  private static String code(String content) {
    boolean plain = content.chars().noneMatch(sign -> "`<>&|".indexOf(sign) >= 0);
    return plain
        ? "`" + content + "`"
        : "<code>" + escaped(content).replace("|", "&#124;").replace("`", "&#96;") + "</code>";
  }

  private static String cell(String text) {
    return escaped(text).replace("|", "\\|");
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replaceAll("\\R", " ");
  }
}
