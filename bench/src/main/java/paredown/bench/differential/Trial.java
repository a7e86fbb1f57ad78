package paredown.bench.differential;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.refactor.Refused;
import paredown.refactor.operation.Operations;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Judged;

/**
 * A trial is one operation on one small program, and what the program said before and after.
 *
 * @param detail the refusal, the assumptions, or what the gate complains about
 */
public record Trial(Outcome outcome, String before, String after, String detail) {

  /** How a trial ends. */
  public enum Outcome {
    /** It was refused with a reason. */
    REFUSED,
    /** It was applied, and the program says the same. */
    SAME,
    /** It says something else, and the preview named an assumption. */
    SAID,
    /** It was stopped by a gate: a refusal is missing. */
    GATE,
    /** It says something else, or does not compile, and nothing was said. */
    SILENT,
    /** The program itself is of no use, or the operation names nothing. */
    USELESS,
    /** The planning broke down. */
    CRASH
  }

  /** Whether it must not happen. */
  public boolean isFailure() {
    return outcome == Outcome.GATE || outcome == Outcome.SILENT || outcome == Outcome.CRASH;
  }

  /** Tries a program's operation. */
  public static Trial of(SmallProgram program) {
    String before = ProgramRun.said(program.files());
    if (before.equals(ProgramRun.NOT_COMPILED) || before.equals(ProgramRun.NOT_ENDED)) {
      return new Trial(Outcome.USELESS, before, "", "");
    }
    Path folder = null;
    try {
      folder = Files.createTempDirectory("pare-trial");
      return of(program, before, folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      delete(folder);
    }
  }

  private static Trial of(SmallProgram program, String before, Path folder) throws IOException {
    Path source = Files.createDirectories(folder.resolve("src"));
    for (Map.Entry<String, String> file : program.files().entrySet()) {
      Path path = source.resolve(file.getKey());
      Files.createDirectories(path.getParent());
      Files.writeString(path, file.getValue());
    }
    Judged judged;
    try {
      Sources sources = new Sources(Project.at(folder, Progress.silent()));
      judged =
          Judged.of(Operations.read(Arguments.words(program.command())), sources, sources.index());
    } catch (Refused refused) {
      return new Trial(
          Outcome.REFUSED, before, "", refused.kind().id() + ": " + refused.getMessage());
    } catch (UnusableRequest unusable) {
      return new Trial(Outcome.USELESS, before, "", unusable.getMessage());
    } catch (RuntimeException | StackOverflowError broken) {
      return new Trial(
          Outcome.CRASH, before, "", broken + " " + List.of(broken.getStackTrace()).subList(0, 6));
    }
    if (!judged.verdict().passed()) {
      return new Trial(
          Outcome.GATE, before, "", judged.verdict().errors() + " " + judged.verdict().breaks());
    }
    Map<String, String> changed = new LinkedHashMap<>(program.files());
    judged.change().gone().forEach(path -> changed.remove(path.substring("src/".length())));
    judged.change().files().stream()
        .filter(file -> !file.isDeleted())
        .forEach(file -> changed.put(file.path().substring("src/".length()), file.after().text()));
    String after = ProgramRun.saidInTheEnd(changed);
    List<String> assumed =
        judged.change().report().assumptions().stream().map(Assumption::sentence).toList();
    Outcome outcome =
        after.equals(before)
            ? Outcome.SAME
            : assumed.isEmpty() || after.equals(ProgramRun.NOT_COMPILED)
                ? Outcome.SILENT
                : Outcome.SAID;
    return new Trial(outcome, before, after, String.join("; ", assumed));
  }

  private static void delete(Path folder) {
    if (folder == null) {
      return;
    }
    try (Stream<Path> entries = Files.walk(folder)) {
      for (Path entry : entries.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(entry);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
