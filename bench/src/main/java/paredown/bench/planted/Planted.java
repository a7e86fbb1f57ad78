package paredown.bench.planted;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;

/**
 * Puts smells into real projects, in memory, and counts how many of them are found: merged classes,
 * methods in the wrong class, clumps of parameters, copied blocks, switches away from their codes,
 * and halves of classes in others.
 */
public final class Planted {
  private static final long SEED = 20261123L;

  private Planted() {}

  /** {@code Planted DIRECTORY...}. */
  public static void main(String[] arguments) {
    int merged = 0;
    List<String> missedMerges = new ArrayList<>();
    List<Double> agreement = new ArrayList<>();
    int moved = 0;
    int found = 0;
    int top = 0;
    int among = 0;
    int clumps = 0;
    int clumpsFound = 0;
    Map<String, List<Tally>> more = new LinkedHashMap<>();
    for (String directory : arguments) {
      Sources sources = new Sources(Project.at(Path.of(directory), Progress.silent()));
      System.out.println(Path.of(directory).getFileName());
      for (int round = 0; round < 3; round++) {
        Random random = new Random(SEED + round);
        MergedClasses.Outcome merge = new MergedClasses(new Planting(sources), random).run();
        merged += merge.planted();
        missedMerges.addAll(merge.missed());
        agreement.addAll(merge.agreement());
        System.out.printf("  merged %d, missed %s%n", merge.planted(), merge.missed());
        MisplacedMethods.Outcome move = new MisplacedMethods(new Planting(sources), random).run(40);
        moved += move.planted();
        found += move.found();
        top += move.top();
        among += move.among();
        AddedParameters.Outcome added = new AddedParameters(new Planting(sources), random).run();
        clumps += added.planted();
        clumpsFound += added.found();
        System.out.printf("  clumps %d, found %d%n", added.planted(), added.found());
        Map<String, Tally> tallies = new LinkedHashMap<>();
        tallies.put("copied blocks", new CopiedBlocks(new Planting(sources), random).run());
        tallies.put("moved switches", new MovedSwitches(new Planting(sources), random).run());
        tallies.put("halves moved in", new HalvesMovedIn(new Planting(sources), random).run());
        tallies.forEach(
            (name, tally) -> {
              more.computeIfAbsent(name, n -> new ArrayList<>()).add(tally);
              System.out.printf("  %s %d, missed %s%n", name, tally.planted(), tally.missed());
            });
        System.out.printf(
            "  moved %d, found %d, missed %s%n  of the %d weightiest %d are planted; others %s%n",
            move.planted(), move.found(), move.missed(), move.top(), move.among(), move.others());
      }
    }
    Collections.sort(agreement);
    double median = agreement.isEmpty() ? 0 : agreement.get(agreement.size() / 2);
    System.out.printf(
        Locale.ROOT,
        "merged classes found %d of %d; adjusted Rand index, median %.2f%n",
        merged - missedMerges.size(),
        merged,
        median);
    System.out.printf(
        "misplaced methods found %d of %d; planted among the weightiest %d of %d%n",
        found, moved, among, top);
    System.out.printf("clumps of parameters found %d of %d%n", clumpsFound, clumps);
    more.forEach(
        (name, tallies) ->
            System.out.printf(
                "%s found %d of %d%n",
                name,
                tallies.stream().mapToInt(Tally::found).sum(),
                tallies.stream().mapToInt(Tally::planted).sum()));
  }
}
