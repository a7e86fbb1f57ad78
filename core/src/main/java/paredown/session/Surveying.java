package paredown.session;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import paredown.facts.Drawn;
import paredown.facts.Facts;
import paredown.facts.kept.KeptFacts;
import paredown.history.History;
import paredown.measure.Divisions;
import paredown.program.CompileError;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.ProjectUnreadable;
import paredown.project.Settings;
import paredown.project.SourceFile;
import paredown.project.Workspace;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.detector.Detectors;

/**
 * A look at a whole project.
 *
 * @param lived the findings that the project lives with
 * @param commits how many of its history are looked at
 */
record Surveying(
    Project project, Sources sources, List<Accepted> lived, int commits, Progress progress) {

  private static final String DIVISIONS = "divisions";

  /** Finds what is worth a look in the project's main sources. */
  Survey survey() {
    long begin = System.nanoTime();
    List<String> main = sources.paths(SourceFile.Kind.MAIN);
    if (main.isEmpty()) {
      main = sources.paths(SourceFile.Kind.TEST);
    }
    if (main.isEmpty()) {
      throw new ProjectUnreadable(
          "No Java source is left to look at.",
          "exclude: in " + Settings.FILE + " leaves all of them out, or the build generates them.");
    }
    progress.doing("reading " + main.size() + " files");
    DeepChains.requireNone(sources, main);
    Limits limits = Limits.of(project.settings());
    AtomicInteger read = new AtomicInteger();
    CompletableFuture<History> history =
        CompletableFuture.supplyAsync(() -> ProjectHistory.of(project, commits, read));
    KeptFacts kept = KeptFacts.of(sources, main);
    Drawn drawn = kept.read();
    CompletableFuture<Void> keeping = CompletableFuture.runAsync(kept::keep);
    Facts facts = drawn.facts().beside(this::isInTests);
    progress.doing("looking at the history");
    progress.soFar(() -> "%d of %d commits".formatted(read.get(), commits));
    Workspace workspace = new Workspace(project.root());
    Divisions divisions =
        workspace
            .cached(DIVISIONS)
            .map(bytes -> Divisions.parse(new String(bytes, StandardCharsets.UTF_8)))
            .orElseGet(Divisions::none);
    Grounds grounds = Grounds.of(facts, history.join(), limits, divisions);
    progress.doing("looking for smells");
    List<Finding> all = Detectors.find(grounds);
    if (divisions.isOther()) {
      workspace.cache(DIVISIONS, divisions.text().getBytes(StandardCharsets.UTF_8));
    }
    Map<Boolean, List<Finding>> found =
        all.stream()
            .collect(
                Collectors.partitioningBy(
                    finding -> lived.stream().anyMatch(each -> each.covers(finding))));
    Optional<CompileError> missing =
        drawn.errors().stream().filter(CompileError::isUnresolved).findFirst();
    keeping.join();
    return new Survey(
        project.root().getFileName().toString(),
        facts,
        found.get(false),
        found.get(true),
        grounds,
        missing,
        main.stream().filter(sources::isGarbled).toList(),
        sources.passedOver(),
        (System.nanoTime() - begin) / 1_000_000);
  }

  /** Whether the test sources, which a survey does not read otherwise, hold an identifier. */
  private boolean isInTests(String word) {
    return sources.paths(SourceFile.Kind.TEST).stream()
        .map(sources::text)
        .anyMatch(
            source ->
                source.text().contains(word)
                    && source.tokens().stream()
                        .anyMatch(token -> token.isIdentifier() && source.spells(token, word)));
  }
}
