package paredown.bench.differential;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Tries kept programs: {@code Programs FILE [NAME]}; ends with 1 where one fails. */
public final class Programs {
  private Programs() {}

  public static void main(String[] arguments) throws IOException {
    Map<Trial.Outcome, Integer> counts = new EnumMap<>(Trial.Outcome.class);
    boolean failed = false;
    List<String> lines = Files.readAllLines(Path.of(arguments[0]));
    for (SmallProgram program : SmallProgram.read(lines)) {
      if (arguments.length > 1 && !program.name().startsWith(arguments[1])) {
        continue;
      }
      Trial trial = Trial.of(program);
      counts.merge(trial.outcome(), 1, Integer::sum);
      failed |= trial.isFailure();
      System.out.printf(
          "%s: %s   %s -> %s   %s%n",
          program.name(), trial.outcome(), trial.before(), trial.after(), trial.detail());
    }
    System.out.println(counts);
    System.exit(failed ? 1 : 0);
  }
}
