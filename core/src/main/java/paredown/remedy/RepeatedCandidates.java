package paredown.remedy;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.SourceVersion;
import paredown.facts.TypeFact;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractmethod.ExtractPieces;
import paredown.refactor.operation.extractmethod.NewForm;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.text.NameWords;

/**
 * The candidates that make one method of code that stands in several places.
 *
 * @param type the class of the finding
 * @param grounds what is known of the project
 * @param taken simple names of types
 */
record RepeatedCandidates(Finding finding, TypeFact type, Grounds grounds, Set<String> taken) {
  /** How many of the places that repeat others are tried. */
  private static final int TRIED = 4;

  private static final int TOGETHER = 8;

  /** One of the places as a method, which the others call. */
  List<Candidate> oneForAll() {
    Duplicates which = classes().equals(Set.of(type.name())) ? Duplicates.ALL : Duplicates.PROJECT;
    Map<Integer, Evidence.Row> rows = new LinkedHashMap<>();
    finding.evidence().rows().stream()
        .filter(each -> each.file().equals(finding.range().file()))
        .forEach(each -> rows.putIfAbsent(each.line(), each));
    List<Candidate> found = new ArrayList<>(SharedAbove.of(finding, grounds.types(), taken));
    List<List<RepeatedRun>> runs = oneOfEach(rows.values());
    if (runs.size() > 1) {
      found.add(pieces(runs.stream().limit(TOGETHER).toList(), which));
    }
    runs.stream().limit(TRIED).forEach(each -> found.addAll(ofOne(each, which)));
    return found;
  }

  /** The ways to make a method of what stands in one place. */
  private List<Candidate> ofOne(List<RepeatedRun> ways, Duplicates which) {
    List<Candidate> found = new ArrayList<>();
    List<RepeatedRun> values =
        RepeatedRun.of(type, rowOf(ways.get(0)))
            .filter(RepeatedRun::givesSeveral)
            .map(RepeatedRun::values)
            .orElse(List.of());
    if (values.size() > 1) {
      found.add(pieces(values.stream().map(List::of).toList(), which));
    }
    ways.forEach(run -> found.add(oneForAll(run, which)));
    return found;
  }

  /** What stands in each place, once for all places that say the same. */
  private List<List<RepeatedRun>> oneOfEach(Collection<Evidence.Row> rows) {
    Map<List<Long>, List<RepeatedRun>> runs = new LinkedHashMap<>();
    for (Evidence.Row row : rows) {
      List<RepeatedRun> there = runs(row);
      if (!there.isEmpty()) {
        runs.putIfAbsent(there.get(0).wording(), there);
      }
    }
    return List.copyOf(runs.values());
  }

  /**
   * All pieces in one change: of each what stands there, or the part of it that can be a method.
   */
  private Candidate pieces(List<List<RepeatedRun>> runs, Duplicates which) {
    List<ExtractMethod> all = new ArrayList<>();
    Set<String> names = new HashSet<>();
    for (List<RepeatedRun> each : runs) {
      RepeatedRun run = each.stream().filter(RepeatedRun::isPlain).findFirst().orElse(each.get(0));
      String plain = sharedName(run);
      String name = names.contains(plain) ? run.name(type) : plain;
      String free = name;
      for (int i = 2; !names.add(name); i++) {
        name = free + i;
      }
      all.add(extracted(run, name, which));
    }
    return new Candidate(finding.id(), new Cure.Pieces(new ExtractPieces(all)));
  }

  /** What stands in a place, and where that can be no method, the part of it that can. */
  private List<RepeatedRun> runs(Evidence.Row row) {
    List<RepeatedRun> runs = new ArrayList<>();
    RepeatedRun.of(type, row)
        .ifPresent(
            run -> {
              int places =
                  finding.evidence().figure("places").map(Evidence.Figure::value).orElse(2);
              if (!run.givesSeveral() || run.pays(places)) {
                runs.add(run);
              }
              if (!run.isPlain()) {
                run.plainPart().ifPresent(runs::add);
              }
              run.withoutSettingFields(type).ifPresent(runs::add);
            });
    return runs;
  }

  private Candidate oneForAll(RepeatedRun run, Duplicates which) {
    ExtractMethod extract = extracted(run, sharedName(run), which);
    Effect effect =
        new Effect(
            List.of(new Effect.Figure("lines of it in each place", run.lines(), 1)),
            extract.result().isEmpty()
                ? List.of("1 method more")
                : List.of("1 method more", "1 record of what it gives"));
    return new Candidate(finding.id(), new Cure.Part(extract, effect));
  }

  private Set<String> classes() {
    return finding.identity().stream()
        .map(each -> each.replaceAll("#.*", ""))
        .collect(Collectors.toSet());
  }

  /**
   * Whether classes of other packages have it, too, which see the class and may come to use its
   * package.
   */
  private boolean isForAll() {
    Set<String> others = classes();
    others.remove(type.name());
    return type.isPublic()
        && type.outer().isEmpty()
        && !grounds.packages().areTogether(type.name(), others)
        && others.stream()
            .noneMatch(each -> grounds.packages().wouldCircle(each, Set.of(type.name())));
  }

  /** A run as a method, with a class for what it gives where that is more than one value. */
  private ExtractMethod extracted(RepeatedRun run, String name, Duplicates which) {
    ExtractMethod plain = new ExtractMethod(run.place(), name).with(which);
    ExtractMethod extract = isForAll() ? plain.as(NewForm.OPEN) : plain;
    String all = NameWords.capitalised(name);
    return run.givesSeveral()
        ? extract.giving(taken.contains(all) ? all + "Values" : all)
        : extract;
  }

  /** What the names of the methods share which say the same, or a name after one of them. */
  private String sharedName(RepeatedRun run) {
    List<String> methods =
        finding.evidence().rows().stream()
            .filter(row -> lines(row).equals(lines(rowOf(run))))
            .map(Evidence.Row::member)
            .distinct()
            .toList();
    return NameWords.shared(methods)
        .or(() -> NameWords.leading(methods))
        .map(word -> run.onlyChecks() ? "check" + NameWords.capitalised(word) : word)
        .filter(word -> methods.size() > 1 && SourceVersion.isName(word))
        .filter(word -> type.methods().stream().noneMatch(each -> each.name().equals(word)))
        .orElseGet(() -> run.name(type));
  }

  /** The row of evidence that shows a run, or more around it. */
  private Evidence.Row rowOf(RepeatedRun run) {
    return finding.evidence().rows().stream()
        .filter(row -> row.member().equals(run.method().signature()))
        .filter(row -> row.line() <= run.spans().get(0).firstLine())
        .reduce((first, second) -> second.line() >= first.line() ? second : first)
        .orElse(finding.evidence().rows().get(0));
  }

  /** How many lines it shows, in words; the same code has as many in all its places. */
  private static String lines(Evidence.Row row) {
    return row.uses().get(0).replaceAll(".*, ", "");
  }
}
