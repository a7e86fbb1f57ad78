package paredown.gate.quick;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.gate.TestRun;
import paredown.gate.reach.Reach;
import paredown.gate.reach.ReachOfChange;
import paredown.program.Sources;
import paredown.project.SourceFile;

/** The classes of tests that reach a change: as they were recorded, or by what they name. */
public final class ReachingTests {
  private ReachingTests() {}

  /**
   * Their files, as they are named after the change.
   *
   * @param after the sources then
   * @param reach what the tests reached when they were last recorded; empty where nobody did
   * @param run what the build runs; it may leave out classes that take long
   * @param far whether tests count, too, that could reach it only through other classes, where
   *     nobody recorded it
   */
  public static Set<String> of(
      Change change, Sources after, Optional<Reach> reach, TestRun run, boolean far) {
    Set<String> found = new TreeSet<>();
    Set<String> tests = new TreeSet<>(after.paths(SourceFile.Kind.TEST));
    change.files().stream().map(ChangedFile::path).filter(tests::contains).forEach(found::add);
    Optional<ReachOfChange> told = reach.flatMap(each -> ReachOfChange.of(each, change));
    Set<String> names = new TreeSet<>();
    told.ifPresent(each -> names.addAll(each.tests()));
    boolean whole = told.isPresent() && told.get().since().isEmpty();
    if (!whole) {
      found.addAll(naming(change, after, far));
    }
    for (String test : tests) {
      if (names.contains(simple(test))) {
        found.add(test);
      }
    }
    Set<String> known = new TreeSet<>();
    run.results().forEach(each -> known.add(each.name().replaceAll("[#$].*", "")));
    found.removeIf(each -> !known.contains(name(after, each)));
    return found;
  }

  /** The name of the class that a file is named after. */
  static String name(Sources sources, String path) {
    String home = sources.index().packageOf(path);
    return home.isEmpty() ? simple(path) : home + "." + simple(path);
  }

  /** Tests that name a class of a file that changes, or one that does so itself. */
  private static Set<String> naming(Change change, Sources after, boolean far) {
    Set<String> words = new TreeSet<>();
    change.files().forEach(file -> words.add(simple(file.path())));
    Set<String> main = new TreeSet<>(after.paths(SourceFile.Kind.MAIN));
    int size = 0;
    while (far && size < words.size()) {
      size = words.size();
      after.index().filesWith(words).stream()
          .filter(main::contains)
          .forEach(file -> words.add(simple(file)));
    }
    Set<String> found = new TreeSet<>(after.index().filesWith(words));
    found.retainAll(after.paths(SourceFile.Kind.TEST));
    return found;
  }

  static String simple(String path) {
    return path.substring(path.lastIndexOf('/') + 1).replace(".java", "");
  }
}
