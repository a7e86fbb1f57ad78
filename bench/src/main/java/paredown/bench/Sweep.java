package paredown.bench;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import paredown.UnusableRequest;
import paredown.bench.sites.Site;
import paredown.bench.sites.SiteChoice;
import paredown.bench.sites.Sites;
import paredown.edit.ChangedFile;
import paredown.facts.Facts;
import paredown.facts.FactsReader;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.plan.Judged;

/**
 * Tries an operation at every site of a library where it could apply, in a seeded random order:
 * plans it, and where it is not refused lets the first two gates judge it in memory; every so many
 * applied changes one is done on disk as well, with the library's tests, and undone.
 *
 * <p>What became of each site is written down at once, so that a sweep goes on where it stopped.
 */
public final class Sweep {
  private static final long SEED = 20261123L;

  private final Sites sites;
  private final Path library;
  private final Path notes;
  private final int every;
  private final Sources sources;
  private final SourceIndex index;
  private final DiskTrial disk;
  private int applied;

  private Sweep(Sites sites, Path library, Path notes, int every) {
    this.sites = sites;
    this.library = library;
    this.notes = notes;
    this.every = every;
    this.sources = new Sources(Project.at(library, Progress.silent()));
    this.index = sources.index();
    this.disk = new DiskTrial(library, notes.resolve("disk"));
  }

  /**
   * A sweep of a library.
   *
   * @param operation {@code move-method} or another of those that are swept
   * @param notes a folder for what becomes of each site
   * @param every after how many applied changes one is done on disk; 0 for none
   */
  static Sweep of(String operation, Path library, Path notes, int every) {
    return new Sweep(SweptOperations.sites(operation), library, notes, every);
  }

  /** {@code Sweep OPERATION LIBRARY NOTES NUMBER[:KIND]|@LIST [EVERY [ID]]}. */
  public static void main(String[] arguments) throws Exception {
    Sweep sweep =
        of(
            arguments[0],
            Path.of(arguments[1]),
            Path.of(arguments[2]),
            arguments.length > 4 ? Integer.parseInt(arguments[4]) : 0);
    if (arguments.length > 5) {
      sweep.show(arguments[5]);
      return;
    }
    System.exit(sweep.run(arguments[3]) ? 0 : 1);
  }

  private List<Site> all() {
    Random random = new Random(SEED);
    List<String> files = new ArrayList<>(sources.paths(SourceFile.Kind.MAIN));
    files.addAll(sources.paths(SourceFile.Kind.TEST));
    Facts facts = FactsReader.read(sources, files).facts();
    List<Site> all = new ArrayList<>(sites.in(facts, sources, file -> !isTest(file), random));
    Collections.shuffle(all, random);
    return all;
  }

  private boolean isTest(String file) {
    return sources.file(file).map(SourceFile::kind).orElse(null) == SourceFile.Kind.TEST;
  }

  private Path results() {
    return notes.resolve("results.tsv");
  }

  /** Tries some sites, in turns of their kinds; whether nothing failed. */
  boolean run(String word) throws IOException, InterruptedException {
    Files.createDirectories(notes);
    Set<String> done = new HashSet<>();
    if (Files.exists(results())) {
      Files.readAllLines(results()).forEach(line -> done.add(line.split("\t")[0]));
    }
    List<Site> all = all();
    List<Site> chosen = SiteChoice.of(all, word);
    ExecutorService threads = Executors.newFixedThreadPool(2);
    for (Site site : chosen) {
      if (!done.contains(site.id())) {
        threads.submit(() -> attempt(site));
      }
    }
    threads.shutdown();
    threads.awaitTermination(7, TimeUnit.DAYS);
    return new SweepSummary(library.getFileName().toString(), all.size(), results()).print();
  }

  private void show(String id) {
    for (Site site : all()) {
      if (site.id().equals(id)) {
        System.out.println(site.operation().command());
        try {
          Judged plan = Judged.of(site.operation(), sources, index);
          for (ChangedFile file : plan.change().files()) {
            System.out.println("--- " + file.path());
            System.out.println(file.after().text());
          }
          System.out.println(plan.verdict());
        } catch (Refused refused) {
          System.out.println("Refused: " + refused.getMessage() + " " + refused.places());
        }
        return;
      }
    }
  }

  private void attempt(Site site) {
    long start = System.nanoTime();
    Map<String, String> note = new LinkedHashMap<>();
    note.put("command", site.operation().command());
    String outcome;
    try {
      outcome = attempt(site, site.operation(), note);
    } catch (Refused refused) {
      String mark = refused.kind().mark() == RefusalKind.Mark.UNSAFE ? "unsafe" : "not yet";
      outcome = "refused " + mark + " " + refused.kind().id();
      note.put("why", refused.getMessage() + " " + refused.places());
    } catch (UnusableRequest unusable) {
      outcome = "no site";
      note.put("why", unusable.getMessage());
    } catch (RuntimeException | Error e) {
      outcome = "FAILED crash";
      keep(site, trace(e));
    }
    long millis = (System.nanoTime() - start) / 1_000_000;
    boolean apart = !site.legal() && !outcome.startsWith("FAILED");
    write(site, (apart ? "no programmer's " : "") + outcome, millis, note);
  }

  private String attempt(Site site, Refactoring operation, Map<String, String> note) {
    try {
      Judged plan = Judged.of(operation, sources, index);
      note.put("files", String.valueOf(plan.change().files().size()));
      note.put("command", operation.command());
      return judged(site, operation, plan, plan.verdict());
    } catch (Refused refused) {
      Optional<Refactoring> instead = sites.instead(operation, refused);
      if (instead.isEmpty()) {
        throw refused;
      }
      return attempt(site, instead.get(), note);
    }
  }

  private String judged(Site site, Refactoring operation, Judged plan, Verdict verdict) {
    if (!verdict.passed()) {
      keep(site, String.join("\n", verdict.errors()) + "\n" + String.join("\n", verdict.breaks()));
      return verdict.errors().isEmpty() ? "FAILED binding" : "FAILED compile";
    }
    boolean onDisk;
    synchronized (this) {
      applied++;
      onDisk = every > 0 && applied % every == 0;
    }
    if (onDisk) {
      String said = disk.attempt(operation, plan.change());
      if (!said.isEmpty()) {
        keep(site, said);
        return "FAILED " + said.lines().findFirst().orElse("");
      }
      return "applied on disk";
    }
    return "applied";
  }

  private static String trace(Throwable e) {
    StringWriter text = new StringWriter();
    e.printStackTrace(new PrintWriter(text));
    return text.toString();
  }

  private synchronized void keep(Site site, String what) {
    try {
      Path folder = Files.createDirectories(notes.resolve("failures"));
      Files.writeString(
          folder.resolve(site.id() + ".txt"), site.operation().command() + "\n" + what + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private synchronized void write(
      Site site, String outcome, long millis, Map<String, String> note) {
    String line =
        String.join(
            "\t",
            site.id(),
            site.kind(),
            outcome,
            String.valueOf(millis),
            note.getOrDefault("files", "0"),
            String.valueOf(site.callers().size()),
            String.valueOf(site.callers().stream().anyMatch(this::isTest)),
            note.get("command"),
            note.getOrDefault("why", "").replace('\n', ' ').replace('\t', ' '));
    try {
      Files.writeString(
          results(), line + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (outcome.startsWith("FAILED")) {
      System.out.println(line);
    }
  }

  /** Results by outcome, in order. */
  static Map<String, Integer> histogram(List<String> outcomes) {
    Map<String, Integer> counted = new TreeMap<>();
    outcomes.forEach(each -> counted.merge(each, 1, Integer::sum));
    return counted;
  }
}
