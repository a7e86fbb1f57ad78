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
import paredown.refactor.Earlier;
import paredown.refactor.Refactoring;
import paredown.text.SourceText;

/** Changes that were planned one on what the other left, as the one change that they make. */
public record Joined(List<Part> parts) {
  private static final Pattern MOVED = Pattern.compile("(\\S+) is (\\S+) now");
  private static final Pattern OPENED = Pattern.compile("(.*): \\w+ -> (\\w+)");

  /** One of the changes, with what asked for it and what the gates say of it. */
  public record Part(Refactoring refactoring, Change change, Verdict verdict) {
    static Part of(Judged judged) {
      return new Part(judged.refactoring(), judged.change(), judged.verdict());
    }
  }

  /**
   * The change from the first state to the last.
   *
   * @param summary one sentence of what happens in all
   * @param left what was left out, a note each
   */
  public Change change(String summary, List<String> left) {
    Map<String, ChangedFile> files = new LinkedHashMap<>();
    for (Part part : parts) {
      part.change().files().forEach(file -> join(files, file));
    }
    files.values().removeIf(Joined::isAsBefore);
    return new Change(
        summary, List.copyOf(files.values()), Map.of(), Map.of(), affected(), report(left));
  }

  private Set<String> affected() {
    Set<String> affected = new TreeSet<>();
    parts.forEach(part -> affected.addAll(part.change().affected()));
    return affected;
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

  /** What the gates say of all. */
  public Verdict verdict() {
    List<String> errors = new ArrayList<>();
    List<String> breaks = new ArrayList<>();
    int names = 0;
    for (Part step : parts) {
      errors.addAll(step.verdict().errors());
      breaks.addAll(step.verdict().breaks());
      names += step.verdict().names();
    }
    return new Verdict(affected().size(), errors, names, breaks, List.of(), List.of());
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

  private Change.Report report(List<String> left) {
    Set<String> api = new LinkedHashSet<>();
    Set<String> wider = new LinkedHashSet<>();
    Set<String> delegates = new LinkedHashSet<>();
    Set<String> notes = new LinkedHashSet<>();
    Set<String> goneTests = new LinkedHashSet<>();
    Map<String, Assumption> assumptions = new LinkedHashMap<>();
    List<Change> changes = new ArrayList<>();
    for (Part step : parts) {
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
