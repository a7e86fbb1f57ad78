package paredown.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import paredown.cli.show.Json;
import paredown.cli.show.SurveyJson;
import paredown.cli.show.WhyText;
import paredown.refactor.RefusalKind;
import paredown.remedy.Effect;
import paredown.remedy.Remedies.Patience;
import paredown.remedy.Remedy;
import paredown.session.Explanation;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Explains one finding: its evidence in the source, and what would cure it. */
@Command(
    name = "why",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Explains one finding: its evidence in the source, and what would cure it.",
    footer = {
      "",
      "Example:",
      "  pare why clump-5e09a1",
      "",
      "For a very large class it stops when it has found enough, or when that has taken long."
    })
final class WhyCommand extends PareCommand {
  @Parameters(paramLabel = "FINDING", description = "The id of a finding, or its beginning.")
  private String finding;

  @Option(names = "--all", description = "Try all remedies, however long it takes.")
  private boolean all;

  @Override
  int run() {
    boolean json = json();
    Explanation explanation = open().why(finding, all ? Patience.ENDLESS : Patience.SHORT);
    if (json) {
      print(json(explanation));
    } else {
      print(new WhyText(terminal(), here()).of(explanation));
    }
    return Exit.DONE;
  }

  private static ObjectNode json(Explanation explanation) {
    ObjectNode answer = Json.answer("pare-finding/1");
    SurveyJson.fill(answer, explanation.finding());
    ArrayNode remedies = answer.putArray("remedies");
    for (Remedy remedy : explanation.remedies().found()) {
      ObjectNode node =
          remedies
              .addObject()
              .put("id", remedy.id())
              .put("command", remedy.refactoring().command())
              .put("change", remedy.change().id());
      effect(node, remedy.effect());
      Json.texts(node, "conditions", remedy.conditions().stream().map(RefusalKind::id).toList());
    }
    Json.texts(answer, "dropped", explanation.dropped());
    Json.texts(
        answer,
        "untried",
        explanation.remedies().untried().stream().map(each -> each.cure().says()).toList());
    return answer;
  }

  private static void effect(ObjectNode node, Effect effect) {
    ArrayNode figures = node.putArray("effect");
    for (Effect.Figure figure : effect.figures()) {
      figures
          .addObject()
          .put("words", figure.words())
          .put("before", figure.before())
          .put("after", figure.after());
    }
    Json.texts(node, "price", effect.price());
  }
}
