package paredown.bench.differential;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * The differential oracle: {@code Differential PROGRAMS [SEED [OPERATION]]}. It knows nothing of
 * the gates; what a program prints before and after is all that it believes.
 */
public final class Differential {
  private final Map<Trial.Outcome, Integer> outcomes = new EnumMap<>(Trial.Outcome.class);
  private final Map<String, Integer> refusals = new TreeMap<>();
  private int failures;

  private Differential() {}

  public static void main(String[] arguments) throws IOException {
    int programs = Integer.parseInt(arguments[0]);
    long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 1;
    List<String> operations =
        arguments.length > 2 ? List.of(arguments[2]) : List.copyOf(Draw.ALL.keySet());
    Path kept = Path.of("bench/target/differential");
    Differential differential = new Differential();
    for (int i = 0; i < programs; i++) {
      differential.attempt(program(operations.get(i % operations.size()), seed + i), kept);
    }
    System.out.println(differential.summary());
    System.exit(differential.failures > 0 ? 1 : 0);
  }

  /** The program of a seed, with an operation drawn for it. */
  public static SmallProgram program(String operation, long seed) {
    Random random = new Random(seed * 0x9E3779B97F4A7C15L + 11);
    var own = Draw.WITH_PROGRAMS.get(operation);
    if (own != null && (random.nextInt(8) > 0 || operation.startsWith("generic-"))) {
      Map<String, String> files = files(operation, random);
      String command = own.apply(files, random);
      return new SmallProgram(operation + "-" + seed, command, files);
    }
    RandomProgram program = new RandomProgram(random);
    Map<String, String> files = program.files();
    String command = Draw.ALL.get(operation).command(program, random);
    return new SmallProgram(operation + "-" + seed, command, files);
  }

  private static Map<String, String> files(String operation, Random random) {
    return switch (operation) {
      case "inline-class" -> RandomLazy.files(random);
      case "parameter-object", "remove-parameter" -> RandomClump.files(random);
      case "builder" -> RandomGrowing.files(random);
      case "superclass", "remove-member" -> RandomSiblings.files(random);
      case "generic-inline", "generic-up", "generic-object" -> RandomGeneric.files(random);
      case "move-class" -> RandomNested.files(random);
      case "move-down" -> RandomFamily.files(random);
      case "move-parameter" -> RandomHanded.files(random);
      default -> RandomBody.files(random);
    };
  }

  private void attempt(SmallProgram program, Path kept) throws IOException {
    Trial trial = Trial.of(program);
    outcomes.merge(trial.outcome(), 1, Integer::sum);
    if (trial.outcome() == Trial.Outcome.USELESS && System.getenv("SHOW_USELESS") != null) {
      System.out.println(program.text() + trial);
    }
    if (trial.outcome() == Trial.Outcome.SAID && System.getenv("SHOW_SAID") != null) {
      System.out.println(program.text() + trial);
    }
    if (trial.outcome() == Trial.Outcome.REFUSED) {
      if (System.getenv("SHOW_REFUSED") != null) {
        System.out.println(program.name() + " " + program.command() + " | " + trial.detail());
      }
      refusals.merge(trial.detail().replaceAll(":.*", ""), 1, Integer::sum);
    }
    if (trial.isFailure()) {
      failures++;
      SmallProgram small = Reduction.of(program, trial.outcome());
      Trial again = Trial.of(small);
      Files.createDirectories(kept);
      Files.writeString(kept.resolve(program.name() + ".txt"), small.text());
      System.out.printf(
          "%s %s%n%s%n%s -> %s%n%s%n%n",
          trial.outcome(),
          program.name(),
          small.text(),
          again.before(),
          again.after(),
          again.detail());
    }
  }

  private String summary() {
    return outcomes
        + "\nrefused: "
        + refusals.entrySet().stream()
            .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
            .map(entry -> entry.getKey() + " " + entry.getValue())
            .toList();
  }
}
