package paredown.bench.mutate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import paredown.Problem;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.project.Progress;
import paredown.refactor.Refactoring;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.session.Session;
import paredown.session.Survey;

/**
 * Surveys mutated sources and previews one operation on each: {@code Mutate NUMBER SEED
 * LIBRARY...}. Whatever a source looks like, there is an answer or a sentence, within twenty
 * seconds.
 */
public final class Mutate {
  private static final long SECONDS = 20;
  private static final int LONGEST = 60_000;

  private final List<Path> sources;
  private final Path work;
  private final Map<String, Integer> outcomes = new TreeMap<>();
  private int failures;

  private Mutate(List<Path> sources, Path work) {
    this.sources = sources;
    this.work = work;
  }

  public static void main(String[] arguments) throws IOException {
    int number = Integer.parseInt(arguments[0]);
    long seed = Long.parseLong(arguments[1]);
    List<Path> sources = new ArrayList<>();
    for (String library : List.of(arguments).subList(2, arguments.length)) {
      try (Stream<Path> files = Files.walk(Path.of(library))) {
        files
            .filter(file -> file.toString().endsWith(".java"))
            .filter(file -> file.toFile().length() < LONGEST)
            .sorted()
            .forEach(sources::add);
      }
    }
    Mutate mutate = new Mutate(sources, Files.createTempDirectory("pare-mutate"));
    for (int i = 0; i < number; i++) {
      mutate.attempt(seed + i);
    }
    System.out.println(mutate.outcomes);
    System.exit(mutate.failures > 0 ? 1 : 0);
  }

  private void attempt(long seed) throws IOException {
    Random random = new Random(seed * 31 + 7);
    Path original = sources.get(random.nextInt(sources.size()));
    String text = new Mutation(random).of(new String(Files.readAllBytes(original), "ISO-8859-1"));
    Path folder = Files.createDirectories(work.resolve("project"));
    Path file = folder.resolve("src").resolve(original.getFileName());
    Files.createDirectories(file.getParent());
    Files.writeString(file, text);
    String outcome = within(() -> answer(folder, random));
    outcomes.merge(outcome.replaceAll(":.*", ""), 1, Integer::sum);
    if (outcome.startsWith("FAULT") || outcome.startsWith("HANGS")) {
      failures++;
      Path kept = Files.createDirectories(Path.of("bench/target/mutate"));
      Files.writeString(kept.resolve(seed + "-" + original.getFileName()), text);
      System.out.println(seed + " " + original.getFileName() + " " + outcome);
    }
    Files.delete(file);
  }

  private static String within(java.util.concurrent.Callable<String> task) {
    ExecutorService thread =
        Executors.newSingleThreadExecutor(
            run -> {
              Thread made = new Thread(null, run, "mutate", 16 << 20);
              made.setDaemon(true);
              return made;
            });
    try {
      Future<String> answer = thread.submit(task);
      return answer.get(SECONDS, TimeUnit.SECONDS);
    } catch (TimeoutException e) {
      return "HANGS";
    } catch (ExecutionException | InterruptedException e) {
      return "FAULT: " + e.getCause() + " " + place(e.getCause());
    } finally {
      thread.shutdownNow();
    }
  }

  private static String place(Throwable fault) {
    return Stream.of(fault.getStackTrace())
        .filter(each -> each.getClassName().startsWith("paredown"))
        .limit(4)
        .toList()
        .toString();
  }

  private static String answer(Path folder, Random random) {
    Survey survey;
    try {
      survey = Session.open(folder, Progress.silent()).survey();
    } catch (Problem problem) {
      return "survey is told why not";
    }
    Refactoring refactoring = operation(survey, random);
    if (refactoring == null) {
      return "surveyed, nothing to preview";
    }
    try {
      boolean passed =
          Session.open(folder, Progress.silent()).preview(refactoring).verdict().passed();
      return passed ? "previewed" : "previewed, stopped by a gate";
    } catch (Problem problem) {
      return "preview is told why not";
    }
  }

  private static Refactoring operation(Survey survey, Random random) {
    List<TypeFact> types = survey.facts().types().stream().toList();
    if (types.isEmpty()) {
      return null;
    }
    TypeFact type = types.get(random.nextInt(types.size()));
    if (random.nextBoolean() && !type.fields().isEmpty()) {
      return new ExtractClass(
          type.name(), List.of(type.fields().get(0).name()), List.of(), "Extracted");
    }
    if (type.methods().isEmpty()) {
      return null;
    }
    MethodFact method = type.methods().get(random.nextInt(type.methods().size()));
    TypeFact target = types.get(random.nextInt(types.size()));
    return new MoveMethod(type.name(), method.name(), target.name(), MoveMethod.Wishes.NONE);
  }
}
