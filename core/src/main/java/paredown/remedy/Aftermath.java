package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.facts.Facts;
import paredown.facts.FactsReader;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.detector.Detectors;
import paredown.text.SourceText;

/** What becomes of a finding where a change is done, by the facts as they are then. */
final class Aftermath {
  private final Grounds grounds;
  private final Sources sources;

  Aftermath(Grounds grounds, Sources sources) {
    this.grounds = grounds;
    this.sources = sources;
  }

  /** The same finding then; empty where it is gone. */
  Optional<Finding> of(Finding before, Change change) {
    return Detectors.find(grounds.on(facts(change))).stream()
        .filter(each -> each.isLeftOf(before))
        .max(Comparator.comparingInt(Finding::weight));
  }

  /** So many of a hundred ways must go from a class that is so large that it weighs the same. */
  private static final int NOTICED = 2;

  /**
   * Whether a finding is less than another, be it by one of the places that say the same, or by
   * some of what a very large class does.
   */
  static boolean isLighter(Finding after, Finding before) {
    if (after.weight() != before.weight()) {
      return after.weight() < before.weight();
    }
    return switch (before.smell()) {
      case DUPLICATE -> first(after) < first(before);
      case GOD_CLASS -> first(after) * 100 <= first(before) * (100 - NOTICED);
      default -> false;
    };
  }

  /** The first figure: words of duplicates, ways through a class. */
  private static int first(Finding finding) {
    return finding.evidence().figures().get(0).value();
  }

  /** The facts of the files that change are read again. */
  private Facts facts(Change change) {
    Sources after = change.after(sources);
    Set<String> main = new HashSet<>(after.paths(SourceFile.Kind.MAIN));
    Set<String> old = new HashSet<>(change.gone());
    List<String> changed = new ArrayList<>();
    for (ChangedFile file : change.files()) {
      file.before().map(SourceText::path).ifPresent(old::add);
      if (!file.isDeleted() && main.contains(file.path())) {
        changed.add(file.path());
      }
    }
    List<TypeFact> types = new ArrayList<>();
    for (TypeFact type : grounds.facts().types()) {
      if (!old.contains(type.range().file())) {
        types.add(type);
      }
    }
    if (!changed.isEmpty()) {
      types.addAll(FactsReader.again(after, changed, main).types());
    }
    return grounds.facts().with(types);
  }
}
