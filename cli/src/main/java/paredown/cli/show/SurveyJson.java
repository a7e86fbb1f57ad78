package paredown.cli.show;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import paredown.remedy.Candidate;
import paredown.session.Survey;
import paredown.smell.Evidence;
import paredown.smell.Finding;

/** A survey as JSON, schema {@code pare-findings/1}. */
public final class SurveyJson {
  private SurveyJson() {}

  public static ObjectNode of(Survey survey) {
    ObjectNode answer = Json.answer("pare-findings/1").put("project", survey.project());
    answer
        .putObject("counts")
        .put("files", survey.facts().files())
        .put("types", survey.facts().types().size())
        .put("methods", survey.facts().methods())
        .put("unresolvedNames", survey.facts().unresolved())
        .put("commits", survey.grounds().history().commits().size());
    ArrayNode array = answer.putArray("findings");
    for (Finding finding : survey.findings()) {
      ObjectNode node = array.addObject();
      fill(node, finding);
      ArrayNode candidates = node.putArray("candidates");
      for (Candidate candidate : survey.candidates(finding)) {
        candidates.addObject().put("id", candidate.id()).put("command", candidate.cure().command());
      }
    }
    Json.texts(answer, "accepted", survey.accepted().stream().map(Finding::id).toList());
    ArrayNode unparsed = answer.putArray("unparsed");
    survey
        .facts()
        .unparsed()
        .forEach(
            error ->
                unparsed
                    .addObject()
                    .put("file", error.file())
                    .put("line", error.line())
                    .put("message", error.message()));
    return answer;
  }

  public static void fill(ObjectNode node, Finding finding) {
    node.put("id", finding.id())
        .put("smell", finding.smell().id())
        .put("form", finding.form().id())
        .put("weight", finding.weight())
        .put("type", finding.type());
    Json.texts(node, "members", finding.members());
    Json.range(node.putArray("places").addObject(), finding.range());
    node.put("summary", finding.summary()).put("claim", finding.claim());
    ObjectNode evidence = node.putObject("evidence");
    ArrayNode figures = evidence.putArray("figures");
    for (Evidence.Figure figure : finding.evidence().figures()) {
      figures
          .addObject()
          .put("name", figure.name())
          .put("value", figure.value())
          .put("limit", figure.limit())
          .put("words", figure.words());
    }
    evidence.put("says", finding.evidence().says());
    ArrayNode groups = evidence.putArray("groups");
    for (Evidence.Group group : finding.evidence().groups()) {
      ObjectNode each = groups.addObject().put("name", group.name());
      Json.texts(each, "fields", group.fields());
      Json.texts(each, "methods", group.methods());
      Json.texts(each, "users", group.users());
    }
    ArrayNode rows = evidence.putArray("rows");
    for (Evidence.Row row : finding.evidence().rows()) {
      ObjectNode each =
          rows.addObject()
              .put("member", row.member())
              .put("file", row.file())
              .put("line", row.line());
      Json.texts(each, "uses", row.uses());
    }
    Json.texts(evidence, "foreign", finding.evidence().foreign());
  }
}
