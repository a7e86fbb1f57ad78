package paredown.bench;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import paredown.facts.Facts;
import paredown.facts.FactsDrawer;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.gate.Gates;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.refactor.ExtractClass;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;
import paredown.remedy.MovableMethods;

/**
 * Tries <em>extract class</em> on seeded sets of fields of a project's real classes, in memory:
 * plans it, and where it is not refused lets the first two gates judge it. Each set is tried alone,
 * and once more with the methods that use nothing else, where there are any.
 */
public final class ExtractClassSweep {
  private static final long SEED = 20261123L;
  private static final String NAME = "ExtractedPart";

  private final Sources sources;
  private final SourceIndex index;

  private ExtractClassSweep(Path directory) {
    this.sources = new Sources(Project.at(directory, Progress.silent()));
    this.index = new SourceIndex(sources);
  }

  /** {@code ExtractClassSweep DIRECTORY [SETS [ONLY]]}. */
  public static void main(String[] arguments) {
    ExtractClassSweep sweep = new ExtractClassSweep(Path.of(arguments[0]));
    int sets = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 50;
    int only = arguments.length > 2 ? Integer.parseInt(arguments[2]) : -1;
    System.exit(sweep.run(sets, only) ? 0 : 1);
  }

  /** What became of the attempts of one kind. */
  private static final class Tally {
    private final Map<String, Integer> refused = new TreeMap<>();
    private int planned;
    private int failed;

    void print(String what) {
      int refusals = refused.values().stream().mapToInt(Integer::intValue).sum();
      System.out.printf(
          "%s: %d tried, %d planned, %d failed, %d refused %s%n",
          what, planned + refusals, planned, failed, refusals, refused);
    }
  }

  private boolean run(int sets, int only) {
    List<TypeFact> types = types();
    Random random = new Random(SEED);
    Tally alone = new Tally();
    Tally together = new Tally();
    for (int i = 0; i < sets; i++) {
      TypeFact type = types.get(random.nextInt(types.size()));
      List<String> fields =
          new ArrayList<>(type.instanceFields().stream().map(FieldFact::name).toList());
      int size = 1 + random.nextInt(Math.min(3, fields.size() - 1));
      Collections.shuffle(fields, random);
      List<String> chosen = List.copyOf(fields.subList(0, size));
      List<String> methods =
          MovableMethods.of(type, new HashSet<>(chosen)).stream()
              .map(MethodFact::signature)
              .toList();
      if (only < 0 || only == i) {
        attempt(i, new ExtractClass(type.name(), chosen, List.of(), NAME), alone, only >= 0);
        if (!methods.isEmpty()) {
          attempt(i, new ExtractClass(type.name(), chosen, methods, NAME), together, only >= 0);
        }
      }
    }
    System.out.printf(
        "%s: %d sets of fields of %d classes%n",
        sources.project().root().getFileName(), sets, types.size());
    alone.print("  fields alone");
    together.print("  with methods");
    return alone.failed + together.failed == 0;
  }

  private void attempt(int number, ExtractClass operation, Tally tally, boolean show) {
    long start = System.nanoTime();
    try (Refactoring.Planned plan = operation.plan(sources, index)) {
      Verdict verdict = Gates.check(plan.program(), plan.change());
      long millis = (System.nanoTime() - start) / 1_000_000;
      tally.planned++;
      if (verdict.passed()) {
        System.out.printf(
            "%3d planned  %s (%d files, %d names, %d ms)%n",
            number, operation.command(), verdict.files(), verdict.names(), millis);
      } else {
        tally.failed++;
        System.out.printf("%3d FAILED   %s%n", number, operation.command());
        verdict.errors().stream().limit(5).forEach(each -> System.out.println("      " + each));
        verdict.breaks().stream().limit(5).forEach(each -> System.out.println("      " + each));
      }
      if (show) {
        plan.change().files().forEach(file -> System.out.println(file.after().text()));
      }
    } catch (Refused e) {
      List<String> others =
          operation.methods().stream()
              .filter(method -> !method.replace(" ", "").equals(e.subject().replace(" ", "")))
              .toList();
      if (!others.isEmpty() && others.size() < operation.methods().size()) {
        attempt(
            number,
            new ExtractClass(operation.type(), operation.fields(), others, NAME),
            tally,
            show);
        return;
      }
      tally.refused.merge(e.kind().id(), 1, Integer::sum);
      System.out.printf(
          "%3d refused  %s%n      %s %s%n",
          number, operation.command(), e.getMessage(), e.places());
    } catch (RuntimeException e) {
      tally.planned++;
      tally.failed++;
      System.out.printf("%3d FAILED   %s%n", number, operation.command());
      e.printStackTrace(System.out);
    }
  }

  /** The classes that have two fields of their own at least. */
  private List<TypeFact> types() {
    try (Program program = Program.of(sources, sources.paths(SourceFile.Kind.MAIN))) {
      Facts facts = FactsDrawer.draw(program);
      return facts.types().stream()
          .filter(type -> type.kind() == TypeFact.Kind.CLASS)
          .filter(type -> type.instanceFields().size() >= 2)
          .toList();
    }
  }
}
