package paredown.session;

import java.util.List;
import java.util.Map;
import paredown.facts.MethodFact;
import paredown.remedy.Dropped;
import paredown.remedy.Remedies;
import paredown.smell.Finding;

/**
 * An explanation is one finding with its members in the source and its remedies.
 *
 * @param lines the text of the lines that the evidence names, by {@code path:line}
 * @param methods the methods and constructors that are declared on these lines, by the same
 */
public record Explanation(
    Finding finding,
    Map<String, String> lines,
    Map<String, MethodFact> methods,
    Remedies remedies) {

  public Explanation {
    lines = Map.copyOf(lines);
    methods = Map.copyOf(methods);
  }

  /** Why some of the remedies are not offered, a sentence for each reason. */
  public List<String> dropped() {
    return Dropped.sentences(remedies.dropped());
  }
}
