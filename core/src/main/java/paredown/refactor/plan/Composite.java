package paredown.refactor.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.refactor.Earlier;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;
import paredown.text.SourceText;

/**
 * A composite is several refactorings that make one change: each is planned on what the one before
 * it left, in memory, and judged by the first two gates by itself.
 */
final class Composite {
  private static final Pattern MOVED = Pattern.compile("(\\S+) is (\\S+) now");
  private static final Pattern OPENED = Pattern.compile("(.*): \\w+ -> (\\w+)");

  private final Refactoring whole;
  private final List<Judged> steps = new ArrayList<>();
  private final List<String> left = new ArrayList<>();
  private Refused refused;
  private Sources sources;

  private Composite(Refactoring whole, Sources sources) {
    this.whole = whole;
    this.sources = sources;
  }

  /**
   * Plans steps, one after the other.
   *
   * @param whole what they are together
   * @throws Refused where one cannot be done safely; its places are those of the sources as they
   *     are, not as the steps before it left them
   */
  static Judged of(Refactoring whole, Refactoring.Steps steps, Sources sources) {
    Composite composite = new Composite(whole, sources);
    for (Refactoring step : steps.all()) {
      if (steps.leaving()) {
        composite.planOrLeave(step);
      } else {
        composite.plan(step);
      }
    }
    if (composite.steps.isEmpty()) {
      throw composite.refused;
    }
    return composite.judged(steps.summary());
  }

  /** Plans a step, or notes why it is left out. */
  private void planOrLeave(Refactoring step) {
    int before = steps.size();
    Sources here = sources;
    try {
      plan(step);
      Judged judged = steps.get(before);
      if (!judged.verdict().passed()) {
        steps.remove(before);
        sources = here;
        left.add("Left out: %s.".formatted(step.says()));
      }
    } catch (Refused met) {
      refused = refused == null ? met : refused;
      String place = met.places().isEmpty() ? "" : " (" + met.places().get(0) + ")";
      left.add("Left out: %s. %s%s".formatted(step.says(), met.getMessage(), place));
    }
  }

  private void plan(Refactoring step) {
    try {
      Judged judged = Judged.alone(step, sources, sources.index());
      steps.add(judged);
      sources = judged.change().after(sources);
    } catch (Refused refused) {
      Earlier earlier = new Earlier(steps.stream().map(Judged::change).toList());
      throw refused.at(refused.places().stream().map(earlier::place).toList());
    }
  }

  private Judged judged(String summary) {
    Map<String, ChangedFile> files = new LinkedHashMap<>();
    Set<String> affected = new TreeSet<>();
    Program first = steps.get(0).program();
    for (Judged step : steps) {
      affected.addAll(step.change().affected());
      step.change().files().forEach(file -> join(files, file));
    }
    files.values().removeIf(Composite::isAsBefore);
    Change change =
        new Change(summary, List.copyOf(files.values()), Map.of(), Map.of(), affected, report());
    return new Judged(whole, change, verdict(affected.size()), first);
  }

  /** Takes a file to what the steps before have made of it. */
  private static void join(Map<String, ChangedFile> files, ChangedFile next) {
    ChangedFile one = next.isNew() ? null : files.remove(next.movedFrom().orElse(next.path()));
    if (one != null && next.isDeleted()) {
      gone(files, one);
      return;
    }
    ChangedFile joined =
        one == null ? next : ChangedFile.judged(next.path(), one.before(), next.after());
    files.put(next.path(), joined);
  }

  /** A file that goes in the end goes from where it was in the beginning. */
  private static void gone(Map<String, ChangedFile> files, ChangedFile one) {
    one.before()
        .ifPresent(
            before ->
                files.put(
                    before.path(),
                    ChangedFile.judged(
                        before.path(),
                        one.before(),
                        new SourceText(before.path(), "", before.charset()))));
  }

  private static boolean isAsBefore(ChangedFile file) {
    Optional<String> before = file.before().map(SourceText::text);
    return file.movedFrom().isEmpty() && before.equals(Optional.of(file.after().text()));
  }

  private Verdict verdict(int files) {
    List<String> errors = new ArrayList<>();
    List<String> breaks = new ArrayList<>();
    int names = 0;
    for (Judged step : steps) {
      errors.addAll(step.verdict().errors());
      breaks.addAll(step.verdict().breaks());
      names += step.verdict().names();
    }
    return new Verdict(files, errors, names, breaks, List.of(), List.of());
  }

  /** What a step opens further than one before it is said once, from first to last. */
  private static void widen(Set<String> wider, String said) {
    Matcher now = OPENED.matcher(said);
    Optional<String> before =
        now.matches()
            ? wider.stream().filter(each -> each.startsWith(now.group(1) + ": ")).findFirst()
            : Optional.empty();
    if (before.isEmpty()) {
      wider.add(said);
      return;
    }
    wider.remove(before.get());
    wider.add(before.get().replaceAll(" -> .*", " -> " + now.group(2)));
  }

  /** What has another name twice has its last one. */
  private static void move(Set<String> api, String said) {
    Matcher now = MOVED.matcher(said);
    Optional<String> before =
        now.matches()
            ? api.stream().filter(each -> each.endsWith(" is " + now.group(1) + " now")).findFirst()
            : Optional.empty();
    before.ifPresent(api::remove);
    api.add(
        before
            .map(each -> each.replaceAll(" is .* now$", " is " + now.group(2) + " now"))
            .orElse(said));
  }

  private Change.Report report() {
    Set<String> api = new LinkedHashSet<>();
    Set<String> wider = new LinkedHashSet<>();
    Set<String> delegates = new LinkedHashSet<>();
    Set<String> notes = new LinkedHashSet<>();
    Set<String> goneTests = new LinkedHashSet<>();
    Map<String, Assumption> assumptions = new LinkedHashMap<>();
    List<Change> changes = new ArrayList<>();
    for (Judged step : steps) {
      Change.Report report = step.change().report();
      report.api().forEach(each -> move(api, each));
      if (step.refactoring().narrows()) {
        report.wider().forEach(wider::remove);
      } else {
        report.wider().forEach(each -> widen(wider, each));
      }
      delegates.addAll(report.delegates());
      notes.addAll(report.notes());
      goneTests.addAll(report.goneTests());
      Earlier earlier = new Earlier(List.copyOf(changes));
      for (Assumption each : report.assumptions()) {
        assumptions.putIfAbsent(each.sentence(), each.at(earlier.place(each.place())));
      }
      changes.add(step.change());
    }
    notes.addAll(left);
    return new Change.Report(
            List.copyOf(api), List.copyOf(wider), List.copyOf(delegates), List.copyOf(notes))
        .assuming(List.copyOf(assumptions.values()))
        .withoutTests(List.copyOf(goneTests));
  }
}
