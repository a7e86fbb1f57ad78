package paredown.bench;

import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.gate.ProjectTests;
import paredown.gate.TestRun;
import paredown.gate.quick.QuickTests;
import paredown.gate.quick.ReachingTests;
import paredown.gate.reach.Reach;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.text.SourceText;

/**
 * Compares tests that reach a change, run without the build, with all tests as the build runs them:
 * {@code QuickRatio PROJECT [FILES [SEED]]}. The changes are files of the product that are compiled
 * anew, drawn by seed.
 */
public final class QuickRatio {
  private QuickRatio() {}

  public static void main(String[] arguments) throws InterruptedException {
    Project project = Project.at(Path.of(arguments[0]), Progress.silent());
    int count = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 5;
    long seed = arguments.length > 2 ? Long.parseLong(arguments[2]) : 1;
    Sources sources = new Sources(project);
    long begin = System.nanoTime();
    TestRun all = new ProjectTests(project, Progress.silent()).run();
    double build = seconds(begin);
    System.out.printf("build: %d tests, %.1f s%n", all.results().size(), build);
    List<String> files = new ArrayList<>(sources.paths(SourceFile.Kind.MAIN));
    Collections.shuffle(files, new Random(seed));
    List<Double> ratios = new ArrayList<>();
    boolean failed = false;
    for (String file : files.subList(0, Math.min(count, files.size()))) {
      Set<String> reaching =
          ReachingTests.of(touching(sources.text(file)), sources, Reach.read(project), all, false);
      begin = System.nanoTime();
      Optional<TestRun> run =
          QuickTests.of(project)
              .orElseThrow()
              .run(sources, Set.of(file), reaching, Duration.ofMinutes(5));
      double took = seconds(begin);
      ratios.add(took / build);
      long red = run.map(each -> (long) each.failures().size()).orElse(-1L);
      failed |= red != 0;
      System.out.printf(
          "%s: %d classes, %s tests, %s red, %.1f s, ratio %.2f%n",
          file,
          reaching.size(),
          run.map(each -> String.valueOf(each.results().size())).orElse("no"),
          red < 0 ? "none" : red,
          took,
          took / build);
    }
    Collections.sort(ratios);
    System.out.printf("median ratio %.2f%n", ratios.get(ratios.size() / 2));
    System.exit(failed ? 1 : 0);
  }

  private static double seconds(long since) {
    return (System.nanoTime() - since) / 1e9;
  }

  /** A change that leaves a file as it is. */
  private static Change touching(SourceText file) {
    return new Change(
        "",
        List.of(ChangedFile.judged(file.path(), Optional.of(file), file)),
        Map.of(),
        Map.of(),
        Set.of(file.path()),
        new Change.Report(List.of(), List.of(), List.of(), List.of()));
  }
}
