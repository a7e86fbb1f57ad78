package paredown.cli.page;

import freemarker.template.Configuration;
import freemarker.template.TemplateException;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import paredown.remedy.Remedies;
import paredown.session.Explanation;
import paredown.session.Session;
import paredown.session.Survey;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Smell;

/** A survey as one self-contained page: an overview of the project, and a section per finding. */
public final class SurveyPage {
  private static final int EXCERPT = 60;

  private final Session session;
  private final Survey survey;

  /**
   * @param session plans the remedies that are shown
   */
  public SurveyPage(Session session, Survey survey) {
    this.session = session;
    this.survey = survey;
  }

  /**
   * The page.
   *
   * @param lookedAt the line that says what was looked at
   * @param shown the findings that get a section, worst first
   */
  public String html(String lookedAt, List<Finding> shown) {
    List<Section> sections = new ArrayList<>();
    shown.forEach(finding -> sections.add(section(finding)));
    Map<String, Object> model =
        Map.of(
            "project", survey.project(),
            "lookedAt", lookedAt,
            "overview", Overview.of(survey, shown),
            "sections", sections,
            "hidden", survey.findings().size() - shown.size(),
            "accepted", survey.accepted().size(),
            "smells", List.of(Smell.values()));
    Configuration configuration = new Configuration(Configuration.VERSION_2_3_33);
    configuration.setClassForTemplateLoading(SurveyPage.class, "");
    configuration.setDefaultEncoding(StandardCharsets.UTF_8.name());
    configuration.setLogTemplateExceptions(false);
    configuration.setLocale(Locale.ROOT);
    configuration.setNumberFormat("computer");
    configuration.setTagSyntax(Configuration.SQUARE_BRACKET_TAG_SYNTAX);
    configuration.setInterpolationSyntax(Configuration.SQUARE_BRACKET_INTERPOLATION_SYNTAX);
    try {
      StringWriter page = new StringWriter();
      configuration.getTemplate("survey.ftlh").process(model, page);
      return page.toString();
    } catch (IOException | TemplateException e) {
      throw new IllegalStateException("the page's template is part of the program", e);
    }
  }

  /**
   * A section is what the page shows of one finding.
   *
   * @param graph members and what ties them; without nodes where there is nothing to draw
   * @param matrices who touches what
   * @param lines of the source
   */
  public record Section(
      Finding finding,
      MemberGraph graph,
      List<Matrix> matrices,
      List<Line> lines,
      List<RemedyText> remedies,
      List<String> dropped) {}

  /**
   * A line of source.
   *
   * @param file shown where it is another than the line's before; else empty
   * @param isMarked whether the finding is about it
   * @param uses what of interest is used in it
   */
  public record Line(String file, int number, String text, boolean isMarked, String uses) {}

  private Section section(Finding finding) {
    Explanation explanation = session.explain(survey, finding, Remedies.Patience.SHORT);
    boolean drawn = finding.form() == Form.WHOLE || finding.form() == Form.FIELDS;
    return new Section(
        finding,
        drawn ? MemberGraph.of(finding, survey.grounds()) : MemberGraph.NONE,
        finding.form() == Form.WHOLE ? Matrix.of(finding, survey.grounds()) : List.of(),
        lines(explanation),
        RemedyText.of(explanation),
        explanation.dropped());
  }

  private List<Line> lines(Explanation explanation) {
    Finding finding = explanation.finding();
    boolean whole =
        finding.form() == Form.METHOD
            || finding.form() == Form.PART
            || finding.form() == Form.CONSTRUCTOR;
    return whole ? excerpt(finding) : rows(explanation);
  }

  private List<Line> excerpt(Finding finding) {
    int first = finding.range().start().line();
    int last = Math.min(finding.range().end().line(), first + EXCERPT);
    if (finding.form() == Form.PART) {
      last--;
    }
    List<String> texts = session.lines(finding.range().file(), first, last);
    return IntStream.range(0, texts.size())
        .mapToObj(
            i -> {
              String uses = uses(finding, first + i);
              return new Line("", first + i, texts.get(i), !uses.isEmpty(), uses);
            })
        .toList();
  }

  private static String uses(Finding finding, int line) {
    return finding.evidence().rows().stream()
        .filter(row -> row.line() == line)
        .map(row -> String.join(", ", row.uses()))
        .findFirst()
        .orElse("");
  }

  private static List<Line> rows(Explanation explanation) {
    List<Line> lines = new ArrayList<>();
    String file = "";
    for (Evidence.Row row : explanation.finding().evidence().rows()) {
      String text = explanation.lines().get(row);
      lines.add(
          new Line(
              row.file().equals(file) ? "" : row.file(),
              row.line(),
              text,
              false,
              String.join(", ", row.uses())));
      file = row.file();
    }
    return lines;
  }
}
