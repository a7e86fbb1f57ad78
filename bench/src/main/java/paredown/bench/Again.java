package paredown.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import paredown.facts.Drawn;
import paredown.facts.FactsReader;
import paredown.facts.kept.KeptFacts;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * Edits a library at random, a place at a time, and compares the facts that are read with those
 * that were kept to the facts that are read anew.
 */
public final class Again {
  private final Project project;
  private final Random random;
  private long again;
  private long anew;

  private Again(Path root, Random random) {
    this.project = Project.at(root, Progress.silent());
    this.random = random;
  }

  /** {@code Again PROJECT EDITS [SEED]}; the project is left as it was. */
  public static void main(String[] arguments) throws IOException {
    long seed = arguments.length > 2 ? Long.parseLong(arguments[2]) : 1;
    Again bench = new Again(Path.of(arguments[0]), new Random(seed));
    int edits = Integer.parseInt(arguments[1]);
    bench.isSame();
    bench.again = 0;
    bench.anew = 0;
    int different = 0;
    for (int i = 0; i < edits; i++) {
      different += bench.edit() ? 0 : 1;
    }
    System.out.printf(
        "%d edits, %d different; %.2f of the time%n",
        edits, different, bench.again / (double) Math.max(1, bench.anew));
    System.exit(different == 0 ? 0 : 1);
  }

  /** Makes an edit, and takes it back; whether both give the same facts. */
  private boolean edit() throws IOException {
    Sources sources = new Sources(project);
    List<String> files = sources.paths(SourceFile.Kind.MAIN);
    SourceText text = sources.text(files.get(random.nextInt(files.size())));
    Path file = project.root().resolve(text.path());
    byte[] before = Files.readAllBytes(file);
    String edited = edited(text);
    Files.write(file, text.encode(edited));
    try {
      boolean same = isSame();
      if (!same) {
        Path kept = Files.createTempFile("different", ".java");
        Files.write(kept, text.encode(edited));
        System.out.println(text.path() + ": " + kept);
      }
      return same;
    } finally {
      Files.write(file, before);
    }
  }

  /** A text with a name in the place of another, a line less, or a line twice. */
  private String edited(SourceText text) {
    List<Token> names = text.tokens().stream().filter(Token::isIdentifier).toList();
    if (names.isEmpty() || random.nextInt(3) == 0) {
      List<String> lines = new ArrayList<>(List.of(text.text().split("\n", -1)));
      int line = random.nextInt(lines.size());
      if (random.nextBoolean()) {
        lines.remove(line);
      } else {
        lines.add(line, lines.get(line));
      }
      return String.join("\n", lines);
    }
    Token gone = names.get(random.nextInt(names.size()));
    Token other = names.get(random.nextInt(names.size()));
    String name = text.slice(other.start(), other.end());
    return text.slice(0, gone.start()) + name + text.slice(gone.end(), text.length());
  }

  private boolean isSame() {
    long begin = System.nanoTime();
    Sources sources = new Sources(project);
    KeptFacts facts = KeptFacts.of(sources, sources.paths(SourceFile.Kind.MAIN));
    Drawn warm = facts.read();
    facts.keep();
    long middle = System.nanoTime();
    Sources fresh = new Sources(project);
    Drawn cold = FactsReader.read(fresh, fresh.paths(SourceFile.Kind.MAIN));
    again += middle - begin;
    anew += System.nanoTime() - middle;
    return warm.facts().types().equals(cold.facts().types())
        && warm.errors().equals(cold.errors())
        && warm.facts().unresolved() == cold.facts().unresolved();
  }
}
