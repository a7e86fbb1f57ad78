package paredown.bench.planted;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Smell;

/**
 * Copies the code of methods into another class, under other names for all their variables, and
 * looks for the duplicates.
 */
public final class CopiedBlocks {
  private static final int STATEMENTS = 5;
  private static final int WORDS = 35;
  private static final int MOST = 12;

  private final Planting planting;
  private final Random random;

  public CopiedBlocks(Planting planting, Random random) {
    this.planting = planting;
    this.random = random;
  }

  private record Copy(TypeFact from, MethodFact method, TypeFact to) {
    String says() {
      return from.simpleName() + "#" + method.name() + " in " + to.simpleName();
    }
  }

  public Tally run() {
    List<Copy> copies = copies();
    copies.forEach(this::plant);
    Planting.Result result = planting.survey();
    int planted = 0;
    List<String> missed = new ArrayList<>();
    for (Copy copy : copies) {
      String from = copy.from().range().file();
      String to = copy.to().range().file();
      if (result.faulty().contains(from) || result.faulty().contains(to)) {
        continue;
      }
      planted++;
      boolean found =
          result.findings().stream()
              .filter(finding -> finding.smell() == Smell.DUPLICATE)
              .map(
                  finding ->
                      finding.evidence().rows().stream()
                          .map(Evidence.Row::file)
                          .collect(Collectors.toSet()))
              .anyMatch(files -> files.contains(from) && files.contains(to));
      if (!found) {
        missed.add(copy.says());
      }
    }
    return new Tally(planted, missed);
  }

  private List<Copy> copies() {
    List<TypeFact> types = planting.classes(random);
    Set<TypeFact> used = new HashSet<>();
    List<Copy> copies = new ArrayList<>();
    for (TypeFact from : types) {
      from.methods().stream()
          .filter(method -> isCopied(from, method))
          .findFirst()
          .flatMap(
              method ->
                  types.stream()
                      .filter(to -> to != from && !used.contains(to) && !used.contains(from))
                      .filter(to -> !to.isKinOf(from))
                      .filter(to -> Planting.packageOf(to).equals(Planting.packageOf(from)))
                      .findFirst()
                      .map(to -> new Copy(from, method, to)))
          .ifPresent(
              copy -> {
                used.add(copy.from());
                used.add(copy.to());
                copies.add(copy);
              });
    }
    return copies.subList(0, Math.min(MOST, copies.size()));
  }

  /** Whether the code of a method says enough, and means the same anywhere in its package. */
  private static boolean isCopied(TypeFact type, MethodFact method) {
    int words =
        method.body().spans().stream()
            .filter(span -> span.depth() == 0)
            .mapToInt(span -> span.wording().words())
            .sum();
    return !method.isConstructor()
        && !method.overrides()
        && method.head().annotations().isEmpty()
        && !method.head().is(Modifier.SYNCHRONIZED)
        && method.body().statements() >= STATEMENTS
        && words >= WORDS
        && Stream.concat(Stream.of(type.name()), type.supertypes().stream())
            .noneMatch(name -> method.uses().stream().anyMatch(use -> use.type().equals(name)));
  }

  private void plant(Copy copy) {
    String file = copy.from().range().file();
    int start = planting.start(copy.method().range());
    int end = planting.end(copy.method().range());
    String renamed =
        planting
            .text(file)
            .slice(start, end)
            .replaceFirst("\\b" + copy.method().name() + "\\(", "copiedFromThere(");
    Set<String> variables = new HashSet<>();
    copy.method().body().locals().stream().map(LocalUse::name).forEach(variables::add);
    copy.method().parameters().forEach(each -> variables.add(each.name()));
    for (String each : variables) {
      renamed = renamed.replaceAll("(?<![\\w.$])" + each + "(?![\\w$(])", each + "OfIt");
    }
    String to = copy.to().range().file();
    int at = planting.end(copy.to().range()) - 1;
    planting.replace(to, at, at, "\n  " + renamed + "\n");
    planting.takeImports(file, to);
  }
}
