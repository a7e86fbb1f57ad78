package paredown.facts;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.program.CompileError;
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

  /**
   * What was read.
   *
   * @param errors of all files, in the order of their paths
   */
  public record Reading(Facts facts, List<CompileError> errors) {}

  /** The facts of some files of a project. */
  public static Reading read(Sources sources, List<String> files) {
    files.parallelStream().forEach(sources::text);
    return inParts(sources, parts(sources, files));
  }

  /**
   * The facts of a few files of a project.
   *
   * @param all the files whose types count as the project's own
   */
  public static Facts again(Sources sources, List<String> few, Set<String> all) {
    return read(sources, few, all).facts();
  }

  /** The facts of the files of several parts. */
  static Reading inParts(Sources sources, List<List<String>> parts) {
    Set<String> all = parts.stream().flatMap(List::stream).collect(Collectors.toSet());
    ExecutorService threads =
        Executors.newFixedThreadPool(
            isTight() ? 1 : parts.size(), work -> new Thread(null, work, "facts", STACK));
    try {
      List<CompletableFuture<Reading>> readings =
          parts.stream()
              .map(part -> CompletableFuture.supplyAsync(() -> read(sources, part, all), threads))
              .toList();
      return readings.stream()
          .map(CompletableFuture::join)
          .reduce(new Reading(Facts.NONE, List.of()), FactsReader::joined);
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

  private static Reading read(Sources sources, List<String> part, Set<String> all) {
    Program program = Program.withoutFlowAndDocs(sources, part);
    return new Reading(FactsDrawer.draw(program, all), program.errors());
  }

  private static Reading joined(Reading one, Reading other) {
    return new Reading(
        one.facts().and(other.facts()),
        Stream.concat(one.errors().stream(), other.errors().stream()).toList());
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
