package paredown.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** What a sweep has found so far, counted from its notes. */
final class SweepSummary {
  private final String library;
  private final int sites;
  private final List<String[]> lines;

  SweepSummary(String library, int sites, Path results) throws IOException {
    this.library = library;
    this.sites = sites;
    this.lines = Files.readAllLines(results).stream().map(line -> line.split("\t", -1)).toList();
  }

  /** Prints the counts; whether nothing failed. */
  boolean print() {
    List<String[]> applied = with("applied");
    List<String[]> asked = with("no programmer's");
    List<String[]> tried = lines.stream().filter(line -> !line[2].startsWith("no ")).toList();
    List<String[]> refused = with("refused");
    List<String[]> failed = with("FAILED");
    long notYet = with("refused not yet").size();
    System.out.printf(
        "%s: %d sites, %d that nobody would ask for; %d tried, %d applied, %d %% (%d on disk), %d refused (%d not yet), %d failed%n",
        library,
        sites,
        asked.size(),
        tried.size(),
        applied.size(),
        tried.isEmpty() ? 0 : applied.size() * 100 / tried.size(),
        with("applied on disk").size(),
        refused.size(),
        notYet,
        failed.size());
    System.out.printf(
        "  applied by kind %s, with callers in other files %d, in tests %d, median %d ms a site%n",
        Sweep.histogram(applied.stream().map(line -> line[1]).toList()),
        applied.stream().filter(line -> Integer.parseInt(line[5]) > 0).count(),
        applied.stream().filter(line -> line[6].equals("true")).count(),
        median());
    counted(refused);
    counted(failed);
    return failed.isEmpty();
  }

  private List<String[]> with(String outcome) {
    return lines.stream().filter(line -> line[2].startsWith(outcome)).toList();
  }

  private long median() {
    long[] times = lines.stream().mapToLong(line -> Long.parseLong(line[3])).sorted().toArray();
    return times.length == 0 ? 0 : times[times.length / 2];
  }

  private static void counted(List<String[]> lines) {
    Map<String, Integer> histogram = Sweep.histogram(lines.stream().map(line -> line[2]).toList());
    histogram.forEach((outcome, count) -> System.out.printf("  %4d %s%n", count, outcome));
  }
}
