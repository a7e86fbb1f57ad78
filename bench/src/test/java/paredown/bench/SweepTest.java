package paredown.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SweepTest {
  @TempDir Path folder;

  private Path notes() {
    return folder.resolve("notes");
  }

  private List<String> outcomes() throws IOException {
    return Files.readAllLines(notes().resolve("results.tsv")).stream()
        .map(line -> line.split("\t")[2])
        .toList();
  }

  private void sweep(String operation, Object sites) throws Exception {
    Path library = folder.resolve("library");
    if (Files.notExists(library)) {
      FolderCopy.of(Path.of("../demo/src"), library.resolve("src"));
      Files.writeString(library.resolve("pare.yaml"), "sources: src/main/java\n");
    }
    assertTrue(Sweep.of(operation, library, notes(), 0).run(sites.toString()));
  }

  private void failsNowhere(String operation, int sites, int least) throws Exception {
    sweep(operation, sites);
    assertEquals(List.of(), outcomes().stream().filter(each -> each.startsWith("FAILED")).toList());
    long applied = outcomes().stream().filter("applied"::equals).count();
    assertTrue(applied >= least, applied + " applied");
  }

  @Test
  void movesMethodsOfAMadeUpLibraryWithoutAFailure() throws Exception {
    failsNowhere("move-method", 32, 8);
  }

  @Test
  void extractsClassesOfAMadeUpLibraryWithoutAFailure() throws Exception {
    failsNowhere("extract-class", 10, 5);
  }

  @Test
  void triesTheSitesOfAListAgain() throws Exception {
    sweep("extract-class", "3:static parts");
    List<String> lines = Files.readAllLines(notes().resolve("results.tsv"));
    List<String> ids = lines.stream().map(line -> line.split("\t")[0]).sorted().toList();
    assertTrue(lines.stream().allMatch(line -> line.split("\t")[1].equals("static parts")));
    Path list = Files.write(folder.resolve("list"), ids);
    Files.delete(notes().resolve("results.tsv"));
    sweep("extract-class", "@" + list);
    assertEquals(
        ids,
        Files.readAllLines(notes().resolve("results.tsv")).stream()
            .map(line -> line.split("\t")[0])
            .sorted()
            .toList());
  }

  @Test
  void goesOnWhereItStopped() throws Exception {
    sweep("move-method", 3);
    List<String> first = Files.readAllLines(notes().resolve("results.tsv"));
    sweep("move-method", 6);
    List<String> all = Files.readAllLines(notes().resolve("results.tsv"));
    assertEquals(first, all.subList(0, first.size()));
    assertTrue(all.size() > first.size());
  }
}
