package paredown.cli.show;

import com.contrastsecurity.sarif.ArtifactLocation;
import com.contrastsecurity.sarif.Location;
import com.contrastsecurity.sarif.LogicalLocation;
import com.contrastsecurity.sarif.Message;
import com.contrastsecurity.sarif.MultiformatMessageString;
import com.contrastsecurity.sarif.PartialFingerprints;
import com.contrastsecurity.sarif.PhysicalLocation;
import com.contrastsecurity.sarif.Region;
import com.contrastsecurity.sarif.ReportingDescriptor;
import com.contrastsecurity.sarif.Result;
import com.contrastsecurity.sarif.Run;
import com.contrastsecurity.sarif.SarifSchema210;
import com.contrastsecurity.sarif.Suppression;
import com.contrastsecurity.sarif.Tool;
import com.contrastsecurity.sarif.ToolComponent;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.Range;
import paredown.session.Accepted;
import paredown.session.Survey;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Smell;

/** A survey as a log in the Static Analysis Results Interchange Format, version 2.1.0. */
public final class SurveySarif {
  private static final int WARNING = 50;
  private static final String FINGERPRINT = "pareFinding/v1";

  private final Survey survey;
  private final List<Accepted> accepted;

  private SurveySarif(Survey survey, List<Accepted> accepted) {
    this.survey = survey;
    this.accepted = accepted;
  }

  public static String of(Survey survey, List<Accepted> accepted) {
    SarifSchema210 log =
        new SarifSchema210()
            .withVersion(SarifSchema210.Version._2_1_0)
            .withRuns(List.of(new SurveySarif(survey, accepted).run()));
    try {
      return new ObjectMapper()
              .setSerializationInclusion(JsonInclude.Include.NON_EMPTY)
              .enable(SerializationFeature.INDENT_OUTPUT)
              .writeValueAsString(log)
          + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a log of plain values can always be written", e);
    }
  }

  private Run run() {
    List<Result> results = new ArrayList<>();
    survey.findings().forEach(finding -> results.add(result(finding)));
    survey
        .accepted()
        .forEach(finding -> results.add(result(finding).withSuppressions(Set.of(lived(finding)))));
    return new Run()
        .withColumnKind(Run.ColumnKind.UTF_16_CODE_UNITS)
        .withTool(new Tool().withDriver(driver()))
        .withResults(results);
  }

  private static ToolComponent driver() {
    Set<ReportingDescriptor> rules = new LinkedHashSet<>();
    for (Smell smell : Smell.values()) {
      String help = smell.rule() + " Leave it alone where " + smell.leave() + ".";
      rules.add(
          new ReportingDescriptor()
              .withId(smell.id())
              .withShortDescription(text(smell.words()))
              .withFullDescription(text(smell.rule()))
              .withHelp(text(help)));
    }
    return new ToolComponent()
        .withName("Pare Down")
        .withVersion(ProductVersion.text())
        .withRules(rules);
  }

  private static MultiformatMessageString text(String text) {
    return new MultiformatMessageString().withText(text);
  }

  private Suppression lived(Finding finding) {
    String because =
        accepted.stream()
            .filter(each -> each.id().equals(finding.id()))
            .map(Accepted::because)
            .findFirst()
            .orElse("");
    Suppression suppression = new Suppression().withKind(Suppression.Kind.EXTERNAL);
    return because.isEmpty() ? suppression : suppression.withJustification(because);
  }

  private static Result result(Finding finding) {
    PartialFingerprints fingerprints = new PartialFingerprints();
    fingerprints.getAdditionalProperties().put(FINGERPRINT, finding.id());
    Set<Location> related = new LinkedHashSet<>();
    for (Evidence.Row row : finding.evidence().rows()) {
      String words =
          row.member() + (row.uses().isEmpty() ? "" : ": " + String.join(", ", row.uses()));
      related.add(
          new Location()
              .withId(related.size() + 1)
              .withMessage(new Message().withText(words.isBlank() ? "here" : words))
              .withPhysicalLocation(place(row.file(), new Region().withStartLine(row.line()))));
    }
    return new Result()
        .withRuleId(finding.smell().id())
        .withLevel(finding.weight() >= WARNING ? Result.Level.WARNING : Result.Level.NOTE)
        .withRank((double) finding.weight())
        .withMessage(new Message().withText(words(finding)))
        .withLocations(List.of(location(finding)))
        .withRelatedLocations(related)
        .withPartialFingerprints(fingerprints);
  }

  private static String words(Finding finding) {
    List<String> sentences =
        Stream.concat(
                Stream.of(finding.claim()),
                finding.evidence().figures().stream().map(figure -> figure.words() + "."))
            .toList();
    return String.join("\n", sentences);
  }

  private static Location location(Finding finding) {
    Range range = finding.range();
    return new Location()
        .withPhysicalLocation(
            place(
                range.file(),
                new Region()
                    .withStartLine(range.start().line())
                    .withStartColumn(range.start().column())
                    .withEndLine(range.end().line())
                    .withEndColumn(range.end().column())))
        .withLogicalLocations(
            Set.of(new LogicalLocation().withFullyQualifiedName(finding.type()).withKind("type")));
  }

  private static PhysicalLocation place(String file, Region region) {
    return new PhysicalLocation()
        .withArtifactLocation(
            new ArtifactLocation().withUri(escaped(file)).withUriBaseId("PROJECTROOT"))
        .withRegion(region);
  }

  private static String escaped(String path) {
    try {
      return new URI(null, null, path, null).getRawPath();
    } catch (URISyntaxException e) {
      return path;
    }
  }
}
