package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assertions.fail;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import paredown.Fixture;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.operation.Operations;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Judged;

/**
 * A case is a pair of sources before and after a refactoring, or the refusal that it meets.
 *
 * <p>Its file begins with {@code #} and a sentence, then the operation as it would be typed; then
 * files behind {@code --- before PATH} and {@code --- after PATH}, or {@code --- refused KIND
 * PLACE}. A case that is refused may go on with what would come of it, {@code --- assumes KIND
 * PLACE}: an assumption that the change rests on; and {@code --- shows BEFORE -> AFTER}: what
 * {@code ferry.Probe.run()} gives then. A line {@code lines end with CRLF} says that all of its
 * files do.
 */
record RefactoringCase(
    String sentence,
    List<String> operation,
    Map<String, String> before,
    Map<String, String> after,
    String refused,
    List<String> assumed,
    String shows) {

  static List<RefactoringCase> all(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      List<RefactoringCase> cases = new ArrayList<>();
      for (Path file : files.filter(f -> f.toString().endsWith(".case")).sorted().toList()) {
        cases.add(parse(Files.readString(file)));
      }
      return cases;
    }
  }

  private static RefactoringCase parse(String text) {
    List<String> lines = text.lines().toList();
    String sentence = lines.get(0).substring(2);
    List<String> operation = Arguments.words(lines.get(1));
    String end = lines.contains("lines end with CRLF") ? "\r\n" : "\n";
    Map<String, String> before = new TreeMap<>();
    Map<String, String> after = new TreeMap<>();
    String refused = "";
    List<String> assumed = new ArrayList<>();
    String shows = "";
    Map<String, String> into = null;
    String path = "";
    for (String line : lines.subList(2, lines.size())) {
      if (line.startsWith("--- before ") || line.startsWith("--- after ")) {
        into = line.startsWith("--- before ") ? before : after;
        path = line.substring(line.lastIndexOf(' ') + 1);
        into.put(path, "");
      } else if (line.startsWith("--- refused ")) {
        refused = line.substring("--- refused ".length());
        into = null;
      } else if (line.startsWith("--- assumes ")) {
        assumed.add(line.substring("--- assumes ".length()));
        into = null;
      } else if (line.startsWith("--- shows ")) {
        shows = line.substring("--- shows ".length());
        into = null;
      } else if (into != null) {
        into.merge(path, line + end, String::concat);
      }
    }
    return new RefactoringCase(sentence, operation, before, after, refused, assumed, shows);
  }

  /** The operation with its arguments. */
  Refactoring refactoring() {
    return Operations.read(operation);
  }

  /** Does the operation in a folder and compares what comes of it. */
  void check(Path root) throws IOException {
    Sources sources = new Fixture(root).withAll(before).sources();
    SourceIndex index = sources.index();
    if (!refused.isEmpty()) {
      Refused met =
          assertThrows(
              Refused.class,
              () -> {
                Judged judged = Judged.of(refactoring(), sources, index);
                fail("not refused: " + sentence + " " + judged.change().report().assumptions());
              });
      String place = met.places().isEmpty() ? "" : " " + met.places().get(0);
      assertEquals(refused, met.kind().id() + place, met.getMessage());
      return;
    }
    Judged planned = Judged.of(refactoring(), sources, index);
    assertTrue(planned.verdict().passed(), planned.verdict().toString());
    assertEquals(
        assumed,
        planned.change().report().assumptions().stream()
            .map(each -> (each.kind().id() + " " + each.place()).strip())
            .toList(),
        planned.change().report().assumptions().toString());
    Map<String, String> texts = new TreeMap<>();
    planned.change().files().forEach(file -> texts.put(file.path(), file.after().text()));
    assertEquals(after, texts);
  }
}
