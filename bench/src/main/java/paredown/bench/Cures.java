package paredown.bench;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import paredown.facts.Facts;
import paredown.facts.FactsReader;
import paredown.history.History;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.remedy.Candidates;
import paredown.remedy.Remedies;
import paredown.remedy.Remedy;
import paredown.smell.Finding;
import paredown.smell.FirstScreen;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.detector.Detectors;

/**
 * Does each remedy that is offered for the findings of a first screen, in memory, and surveys what
 * comes of it: whether the finding is gone, what it weighs if it is not, and what findings the
 * remedy itself has made: who follows one answer must not be told the opposite next.
 */
public final class Cures {
  /** A finding that has lost so much of its weight is much lighter: a third. */
  private static final double MUCH = 2.0 / 3;

  private final Map<String, Integer> counts = new TreeMap<>();

  /** What a survey of some sources finds. */
  private record Look(Grounds grounds, List<Finding> findings) {
    static Look at(Sources sources) {
      List<String> main = sources.paths(SourceFile.Kind.MAIN);
      Facts facts = FactsReader.read(sources, main).facts();
      Grounds grounds = Grounds.of(facts, History.NONE, Limits.defaults());
      return new Look(grounds, Detectors.find(grounds));
    }
  }

  /** {@code Cures DIRECTORY...}; ends with 1 where a remedy makes a finding heavier. */
  public static void main(String[] arguments) {
    Cures cures = new Cures();
    for (String directory : arguments) {
      Sources sources = new Sources(Project.at(Path.of(directory), Progress.silent()));
      System.out.println(Path.of(directory).getFileName());
      cures.project(sources);
    }
    System.out.println(cures.counts);
    System.exit(cures.counts.containsKey("remedies that make it heavier") ? 1 : 0);
  }

  private void project(Sources sources) {
    Look look = Look.at(sources);
    List<Finding> first = FirstScreen.of(look.findings());
    for (Finding finding : first) {
      count("findings");
      Remedies remedies =
          Remedies.plan(
              finding,
              Candidates.of(finding, look.grounds()),
              look.grounds(),
              sources,
              sources.index(),
              Remedies.Patience.SHORT);
      int best = finding.weight();
      StringBuilder told = new StringBuilder();
      for (Remedy remedy : remedies.found()) {
        List<Finding> then = Look.at(remedy.change().after(sources)).findings();
        int weight = weight(finding, then);
        told.append("  %s %d".formatted(remedy.shortId(), weight));
        List<Finding> made = made(look.findings(), remedy, then);
        made.forEach(
            each ->
                told.append(" (+%s %d: %s)".formatted(each.id(), each.weight(), each.summary())));
        if (!made.isEmpty()) {
          count("remedies that make a finding");
        }
        best = Math.min(best, weight);
        count("remedies");
        if (weight > finding.weight()) {
          count("remedies that make it heavier");
        }
      }
      if (!remedies.found().isEmpty()) {
        count("findings with a remedy");
      }
      if (best <= finding.weight() * MUCH) {
        count("findings gone or a third lighter");
      }
      System.out.printf(
          "  %s %-28s %d:%s%n", finding.id(), finding.shortType(), finding.weight(), told);
    }
  }

  /** The findings about files that a remedy changes that nobody had before, smaller ones apart. */
  private static List<Finding> made(List<Finding> before, Remedy remedy, List<Finding> then) {
    return then.stream()
        .filter(each -> !each.smell().isSmaller())
        .filter(each -> remedy.change().file(each.range().file()).isPresent())
        .filter(
            each ->
                before.stream().noneMatch(old -> old.id().equals(each.id()) || each.isLeftOf(old)))
        .toList();
  }

  private void count(String what) {
    counts.merge(what, 1, Integer::sum);
  }

  /** What the same finding weighs then; 0 where it is gone. */
  private static int weight(Finding before, List<Finding> findings) {
    return findings.stream()
        .filter(each -> each.isLeftOf(before))
        .mapToInt(Finding::weight)
        .max()
        .orElse(0);
  }
}
