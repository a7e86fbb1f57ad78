package paredown.cli.page;

import java.util.ArrayList;
import java.util.List;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.remedy.Effect;
import paredown.remedy.Remedy;
import paredown.session.Explanation;

/**
 * A remedy as the page says it.
 *
 * @param conditions what a person must accept for it, a sentence each
 * @param command what to type
 */
public record RemedyText(
    String words, List<String> members, List<String> conditions, Effect effect, String command) {

  static List<RemedyText> of(Explanation explanation) {
    List<RemedyText> all = new ArrayList<>();
    for (Remedy remedy : explanation.remedies().found()) {
      List<String> members = new ArrayList<>();
      if (remedy.refactoring() instanceof ExtractClass extraction) {
        members.addAll(extraction.fields());
        members.addAll(extraction.methods());
      }
      all.add(
          new RemedyText(
              remedy.refactoring().says(),
              members,
              remedy.conditions().stream().map(kind -> kind.id() + ": " + kind.why()).toList(),
              remedy.effect(),
              "pare mend " + remedy.id() + remedy.accepting()));
    }
    return all;
  }
}
