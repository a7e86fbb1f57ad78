package paredown.facts;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import paredown.program.Program;
import paredown.program.Sources;

/**
 * Reads the facts of many files in parts, one a processor, each of which sees of the others what
 * their declarations tell. The trees of a part are let go as soon as its facts are drawn.
 */
public final class FactsReader {
  /** So many characters are worth a compiler of their own; fewer only use more processor time. */
  private static final int WORTH = 2_500_000;

  /** So many characters are read at a time where memory is scarce. */
  private static final int LITTLE = 1_000_000;

  private static final int MOST = 4;
  private static final long TIGHT = 512L << 20;
  private static final long STACK = 16 << 20;

  private FactsReader() {}

  /** The facts of some files of a project. */
  public static Drawn read(Sources sources, List<String> files) {
    return read(sources, files, Set.copyOf(files));
  }

  /**
   * The same.
   *
   * @param all the files whose types count as the project's own
   */
  public static Drawn read(Sources sources, List<String> files, Set<String> all) {
    files.parallelStream().forEach(sources::text);
    return inParts(sources, parts(sources, files), all);
  }

  /**
   * The facts of a few files of a project.
   *
   * @param all the files whose types count as the project's own
   */
  public static Facts again(Sources sources, List<String> few, Set<String> all) {
    return part(sources, few, all).facts();
  }

  /** The facts of the files of several parts. */
  static Drawn inParts(Sources sources, List<List<String>> parts, Set<String> all) {
    ExecutorService threads =
        Executors.newFixedThreadPool(
            isTight() ? 1 : parts.size(), work -> new Thread(null, work, "facts", STACK));
    try {
      List<CompletableFuture<Drawn>> readings =
          parts.stream()
              .map(part -> CompletableFuture.supplyAsync(() -> part(sources, part, all), threads))
              .toList();
      return readings.stream().map(CompletableFuture::join).reduce(Drawn.NONE, Drawn::and);
    } catch (CompletionException e) {
      if (e.getCause() instanceof Error error) {
        throw error;
      }
      throw e.getCause() instanceof RuntimeException cause ? cause : e;
    } finally {
      threads.shutdownNow();
    }
  }

  /** Whether the trees of one part at a time are enough for the memory that there is. */
  private static boolean isTight() {
    return Runtime.getRuntime().maxMemory() < TIGHT;
  }

  private static Drawn part(Sources sources, List<String> part, Set<String> all) {
    return FactsDrawer.draw(Program.withoutFlowAndDocs(sources, part), all);
  }

  /** Neighbouring files in parts of about the same length. */
  static List<List<String>> parts(Sources sources, List<String> files) {
    long length = files.stream().mapToLong(file -> sources.text(file).length()).sum();
    int processors = Math.min(MOST, Runtime.getRuntime().availableProcessors());
    long wanted = isTight() ? length / LITTLE : Math.min(length / WORTH, processors);
    long number = Math.max(1, wanted);
    List<List<String>> parts = new ArrayList<>(List.of(new ArrayList<>()));
    long read = 0;
    for (String file : new TreeSet<>(files)) {
      if (read >= parts.size() * length / number) {
        parts.add(new ArrayList<>());
      }
      parts.get(parts.size() - 1).add(file);
      read += sources.text(file).length();
    }
    return parts;
  }
}
