package paredown.bench.planted;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Use;
import paredown.smell.Form;

/** Gives three private methods of a class three more parameters of the same names and types. */
public final class AddedParameters {
  private static final int METHODS = 3;
  private static final String PARAMETERS = "int quayRow, String quayName, long quayHour";
  private static final String ARGUMENTS = "0, \"\", 0L";

  private final Planting planting;
  private final Random random;

  public AddedParameters(Planting planting, Random random) {
    this.planting = planting;
    this.random = random;
  }

  /** What came of it. */
  public record Outcome(int planted, int found) {}

  public Outcome run() {
    List<TypeFact> types =
        planting.facts().types().stream()
            .filter(type -> !type.head().isDeprecated() && methods(type).size() >= METHODS)
            .toList();
    types.forEach(this::plant);
    Planting.Result result = planting.survey();
    int planted = 0;
    int found = 0;
    for (TypeFact type : types) {
      if (!result.faulty().contains(type.range().file())) {
        planted++;
        found +=
            result.findings().stream()
                .filter(finding -> finding.form() == Form.PARAMETERS)
                .filter(
                    finding ->
                        finding.evidence().rows().stream()
                            .anyMatch(row -> row.file().equals(type.range().file())))
                .filter(
                    finding ->
                        finding.members().containsAll(Set.of("quayRow", "quayName", "quayHour")))
                .limit(1)
                .count();
      }
    }
    return new Outcome(planted, found);
  }

  private static List<MethodFact> methods(TypeFact type) {
    return type.methods().stream()
        .filter(method -> method.isPrivate() && !method.isConstructor())
        .filter(
            method ->
                type.methods().stream().filter(m -> m.name().equals(method.name())).count() == 1)
        .toList();
  }

  private void plant(TypeFact type) {
    List<MethodFact> methods = new ArrayList<>(methods(type));
    Collections.shuffle(methods, random);
    String file = type.range().file();
    String text = planting.text(file).text();
    for (MethodFact method : methods.subList(0, METHODS)) {
      int start = planting.start(method.range());
      int open = text.indexOf('(', text.indexOf(" " + method.name() + "(", start)) + 1;
      String more = method.parameters().isEmpty() ? "" : ", ";
      planting.replace(file, open, open, PARAMETERS + more);
      for (Use use : planting.names(file, 0, text.length())) {
        if (use.key().startsWith("method " + type.name() + "#" + method.name() + "(")
            && text.startsWith(method.name() + "(", use.offset())) {
          int at = use.offset() + method.name().length() + 1;
          planting.replace(file, at, at, ARGUMENTS + more);
        }
      }
    }
  }
}
