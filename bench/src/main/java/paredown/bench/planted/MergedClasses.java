package paredown.bench.planted;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.measure.Size;
import paredown.program.Use;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Smell;
import paredown.text.SourceText;

/** Merges pairs of unrelated cohesive classes into one, and looks for them. */
public final class MergedClasses {
  private static final int SMALLEST = 8;
  private static final int VERY_COMPLEX = 47;

  private static final Pattern FINAL =
      Pattern.compile("(?m)^(\\s+(?:(?:private|protected|public)\\s+)?)final (?=[^=;(]+;)");

  private final Planting planting;
  private final Random random;

  public MergedClasses(Planting planting, Random random) {
    this.planting = planting;
    this.random = random;
  }

  private record Pair(TypeFact kept, TypeFact taken) {
    String name() {
      return kept.name();
    }
  }

  /**
   * What came of it.
   *
   * @param missed the pairs that were not found
   * @param agreement of the proposed groups with the split before, for each pair found
   */
  public record Outcome(int planted, List<String> missed, List<Double> agreement) {}

  public Outcome run() {
    List<Pair> pairs = pairs();
    pairs.forEach(this::plant);
    Planting.Result result = planting.survey();
    List<String> missed = new ArrayList<>();
    List<Double> agreement = new ArrayList<>();
    int planted = 0;
    for (Pair pair : pairs) {
      if (result.faulty().contains(pair.kept().range().file())) {
        continue;
      }
      planted++;
      List<Finding> found =
          result.findings().stream()
              .filter(finding -> finding.type().equals(pair.name()))
              .filter(
                  finding ->
                      finding.smell() == Smell.GOD_CLASS
                          || finding.smell() == Smell.DIVERGENT_CHANGE)
              .toList();
      if (found.isEmpty()) {
        missed.add(pair.kept().simpleName() + " + " + pair.taken().simpleName());
      } else {
        double best = agreement(pair, found.get(0));
        agreement.add(best);
        if (best < 0.8) {
          System.out.printf(
              Locale.ROOT,
              "  split differs %.2f: %s + %s: %s%n",
              best,
              pair.kept().simpleName(),
              pair.taken().simpleName(),
              found.get(0).evidence().groups().stream()
                  .map(group -> group.fields() + "/" + group.methods().size())
                  .toList());
        }
      }
    }
    return new Outcome(planted, missed, agreement);
  }

  private static double agreement(Pair pair, Finding finding) {
    Set<String> taken = members(pair.taken()).collect(Collectors.toSet());
    List<String> truth = new ArrayList<>();
    List<String> proposed = new ArrayList<>();
    Stream.concat(members(pair.kept()), members(pair.taken()))
        .forEach(
            member -> {
              truth.add(taken.contains(member) ? "taken" : "kept");
              proposed.add(group(finding, member));
            });
    return RandIndex.of(truth, proposed);
  }

  /** The fields and methods that tie; constructors and statics belong nowhere. */
  private static Stream<String> members(TypeFact type) {
    return Stream.concat(
        type.instanceFields().stream().map(FieldFact::name),
        type.methods().stream().filter(MemberGroups::ties).map(MethodFact::signature));
  }

  private static String group(Finding finding, String member) {
    List<Evidence.Group> groups = finding.evidence().groups();
    for (int i = 0; i < groups.size(); i++) {
      if (groups.get(i).fields().contains(member) || groups.get(i).methods().contains(member)) {
        return "group " + i;
      }
    }
    return "none";
  }

  private List<Pair> pairs() {
    List<TypeFact> cohesive =
        new ArrayList<>(
            planting.facts().types().stream().filter(MergedClasses::isCohesive).toList());
    Collections.shuffle(cohesive, random);
    List<Pair> pairs = new ArrayList<>();
    Set<TypeFact> used = new HashSet<>();
    for (TypeFact kept : cohesive) {
      for (TypeFact taken : cohesive) {
        if (!used.contains(kept) && !used.contains(taken) && fit(kept, taken)) {
          used.add(kept);
          used.add(taken);
          pairs.add(new Pair(kept, taken));
        }
      }
    }
    return pairs;
  }

  private static boolean isCohesive(TypeFact type) {
    List<MemberGroups.Group> groups = MemberGroups.of(type);
    long members = members(type).count();
    return type.kind() == TypeFact.Kind.CLASS
        && type.outer().isEmpty()
        && !type.isException()
        && !type.head().isDeprecated()
        && !type.isAbstract()
        && !type.instanceFields().isEmpty()
        && Size.weightedMethods(type) >= SMALLEST
        && !groups.isEmpty()
        && groups.get(0).methods().size() >= 3
        && groups.get(0).size() * 5 >= members * 4;
  }

  private static boolean fit(TypeFact kept, TypeFact taken) {
    Set<String> names = new HashSet<>();
    Set<String> both = new HashSet<>();
    Stream.of(kept, taken)
        .forEach(
            type -> {
              type.fields().stream()
                  .map(FieldFact::name)
                  .filter(n -> !names.add(n))
                  .forEach(both::add);
              type.methods().stream()
                  .map(
                      method ->
                          method.isConstructor()
                              ? "new" + method.signature().replaceAll("^\\w+", "")
                              : method.signature())
                  .filter(n -> !names.add(n))
                  .forEach(both::add);
            });
    boolean plain = taken.superclass().isEmpty();
    boolean related =
        kept.mentions().contains(taken.name())
            || taken.mentions().contains(kept.name())
            || kept.isKinOf(taken);
    int branches = Size.weightedMethods(kept) + Size.weightedMethods(taken);
    return kept != taken && both.isEmpty() && plain && !related && branches >= VERY_COMPLEX;
  }

  /** Two classes in one have fields that not every constructor sets. */
  private void loosen(TypeFact type) {
    String file = type.range().file();
    int start = planting.start(type.range());
    Matcher fixed = FINAL.matcher(planting.text(file).slice(start, planting.end(type.range())));
    while (fixed.find()) {
      planting.replace(file, start + fixed.end(1), start + fixed.end(), "");
    }
  }

  /** Puts the members of one class into the other, and lets all who use it use the other. */
  private void plant(Pair pair) {
    String from = pair.taken().range().file();
    String to = pair.kept().range().file();
    int start = planting.start(pair.taken().range());
    int end = planting.end(pair.taken().range());
    SourceText text = planting.text(from);
    int open = start + text.slice(start, end).indexOf('{');
    String taken = pair.taken().simpleName();
    String kept = pair.kept().simpleName();
    String body = text.slice(open + 1, end - 1).replaceAll("\\b" + taken + "\\b", kept);
    body = FINAL.matcher(body.replace("@Override", "")).replaceAll("$1");
    loosen(pair.kept());
    int close = planting.end(pair.kept().range()) - 1;
    planting.replace(to, close, close, "\n" + body + "\n");
    planting.delete(from);
    String imports =
        text.text()
            .lines()
            .filter(line -> line.startsWith("import "))
            .collect(Collectors.joining(" "));
    String own = " import " + Planting.packageOf(pair.taken()) + ".*;";
    planting.replace(to, planting.importsOf(to), planting.importsOf(to), " " + imports + own);
    for (Use use : planting.of("type " + pair.taken().name())) {
      if (!use.file().equals(from)) {
        String before = planting.text(use.file()).slice(0, use.offset());
        String qualifier = Planting.packageOf(pair.taken()) + ".";
        int begin = use.offset() - (before.endsWith(qualifier) ? qualifier.length() : 0);
        planting.replace(use.file(), begin, use.offset() + taken.length(), pair.name());
      }
    }
  }
}
