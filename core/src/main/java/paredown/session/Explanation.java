package paredown.session;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.program.Sources;
import paredown.remedy.Dropped;
import paredown.remedy.Remedies;
import paredown.smell.Evidence;
import paredown.smell.Finding;

/**
 * An explanation is one finding with its members in the source and its remedies.
 *
 * @param lines the text of the lines that the rows of the evidence name
 * @param methods the methods and constructors that rows of the evidence are about
 */
public record Explanation(
    Finding finding,
    Map<Evidence.Row, String> lines,
    Map<Evidence.Row, MethodFact> methods,
    Remedies remedies) {

  public Explanation {
    lines = Map.copyOf(lines);
    methods = Map.copyOf(methods);
  }

  static Explanation of(Finding finding, Facts facts, Sources sources, Remedies remedies) {
    Map<Evidence.Row, String> lines = new HashMap<>();
    Map<Evidence.Row, MethodFact> methods = new HashMap<>();
    for (Evidence.Row row : finding.evidence().rows()) {
      lines.put(row, sources.text(row.file()).lineText(row.line()).strip());
      facts.types().stream()
          .filter(type -> type.range().file().equals(row.file()))
          .flatMap(type -> type.method(row.member()).stream())
          .filter(method -> method.range().line() == row.line())
          .findFirst()
          .ifPresent(method -> methods.put(row, method));
    }
    return new Explanation(finding, lines, methods, remedies);
  }

  /** Why some of the remedies are not offered, a sentence for each reason. */
  public List<String> dropped() {
    return Dropped.sentences(remedies.dropped());
  }
}
