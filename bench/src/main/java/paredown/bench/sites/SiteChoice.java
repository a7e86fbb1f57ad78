package paredown.bench.sites;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;

/** Which of all sites a sweep tries. */
public final class SiteChoice {
  private SiteChoice() {}

  /** The sites that a word selects: so many, so many of a kind, or those in a list of ids. */
  public static List<Site> of(List<Site> all, String word) throws IOException {
    if (word.startsWith("@")) {
      Set<String> listed = Set.copyOf(Files.readAllLines(Path.of(word.substring(1))));
      return all.stream().filter(site -> listed.contains(site.id())).toList();
    }
    String[] parts = word.split(":");
    List<Site> some =
        all.stream().filter(site -> parts.length == 1 || site.kind().equals(parts[1])).toList();
    return inTurns(some, Integer.parseInt(parts[0]));
  }

  private record Turn(String kind, boolean called) {}

  /**
   * The kinds of sites in turns, so that rare ones are tried as often as common ones, and of each
   * two that other files use for one that none does.
   */
  private static List<Site> inTurns(List<Site> all, int number) {
    Map<Turn, Queue<Site>> turns = new LinkedHashMap<>();
    for (Site site : all) {
      Turn turn = new Turn(site.kind(), !site.callers().isEmpty());
      turns.computeIfAbsent(turn, each -> new ArrayDeque<>()).add(site);
    }
    List<Site> chosen = new ArrayList<>();
    while (chosen.size() < number && turns.values().stream().anyMatch(each -> !each.isEmpty())) {
      turns.forEach(
          (turn, sites) -> {
            for (int i = 0; i < (turn.called() ? 2 : 1) && !sites.isEmpty(); i++) {
              chosen.add(sites.remove());
            }
          });
    }
    return chosen.subList(0, Math.min(number, chosen.size()));
  }
}
