package paredown.bench;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.gate.Gates;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.refactor.ExtractClass;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;

/**
 * Tries <em>extract class</em> on seeded sets of fields of a project's real classes, in memory:
 * plans it, and where it is not refused lets the first two gates judge it.
 */
public final class ExtractClassSweep {
  private static final long SEED = 20261123L;

  private final Sources sources;
  private final SourceIndex index;
  private final Map<String, Integer> refused = new TreeMap<>();
  private int planned;
  private int failed;

  private ExtractClassSweep(Path directory) {
    this.sources = new Sources(Project.at(directory, Progress.silent()));
    this.index = new SourceIndex(sources);
  }

  /** {@code ExtractClassSweep DIRECTORY [SETS [only SET]]}. */
  public static void main(String[] arguments) {
    ExtractClassSweep sweep = new ExtractClassSweep(Path.of(arguments[0]));
    int sets = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 50;
    int only = arguments.length > 2 ? Integer.parseInt(arguments[2]) : -1;
    System.exit(sweep.run(sets, only) ? 0 : 1);
  }

  /** A class that has fields to choose from, and the methods that could go with them. */
  private record Site(String type, List<String> fields, List<String> methods) {}

  private boolean run(int sets, int only) {
    List<Site> sites = sites();
    Random random = new Random(SEED);
    for (int i = 0; i < sets; i++) {
      Site site = sites.get(random.nextInt(sites.size()));
      int size = 1 + random.nextInt(Math.min(3, site.fields().size() - 1));
      List<String> fields = new ArrayList<>(site.fields());
      Collections.shuffle(fields, random);
      ExtractClass operation =
          new ExtractClass(
              site.type(), List.copyOf(fields.subList(0, size)), List.of(), "ExtractedPart");
      if (only < 0 || only == i) {
        attempt(i, operation, only >= 0);
      }
    }
    System.out.printf(
        "%s: %d sets of fields of %d classes: planned %d, failed %d, refused %d%n",
        sources.project().root().getFileName(),
        sets,
        sites.size(),
        planned,
        failed,
        refused.values().stream().mapToInt(Integer::intValue).sum());
    refused.forEach((kind, count) -> System.out.printf("  refused %3d  %s%n", count, kind));
    return failed == 0;
  }

  private void attempt(int number, ExtractClass operation, boolean show) {
    long start = System.nanoTime();
    try (Refactoring.Planned plan = operation.plan(sources, index)) {
      Verdict verdict = Gates.check(plan.program(), plan.change());
      long millis = (System.nanoTime() - start) / 1_000_000;
      planned++;
      if (verdict.passed()) {
        System.out.printf(
            "%3d planned  %s (%d files, %d names, %d ms)%n",
            number, operation.command(), verdict.files(), verdict.names(), millis);
      } else {
        failed++;
        System.out.printf("%3d FAILED   %s%n", number, operation.command());
        verdict.errors().stream().limit(5).forEach(each -> System.out.println("      " + each));
        verdict.breaks().stream().limit(5).forEach(each -> System.out.println("      " + each));
      }
      if (show) {
        plan.change().files().forEach(file -> System.out.println(file.after().text()));
      }
    } catch (Refused e) {
      refused.merge(e.kind().id(), 1, Integer::sum);
      System.out.printf(
          "%3d refused  %s%n      %s %s%n",
          number, operation.command(), e.getMessage(), e.places());
    } catch (RuntimeException e) {
      planned++;
      failed++;
      System.out.printf("%3d FAILED   %s%n", number, operation.command());
      e.printStackTrace(System.out);
    }
  }

  private List<Site> sites() {
    List<Site> sites = new ArrayList<>();
    List<String> main = sources.paths(SourceFile.Kind.MAIN);
    try (Program program = Program.of(sources, main)) {
      for (DeclaredType header : index.types()) {
        TypeElement type = program.elements().getTypeElement(header.name());
        if (!header.keyword().equals("class") || !main.contains(header.file()) || type == null) {
          continue;
        }
        List<String> fields =
            ElementFilter.fieldsIn(type.getEnclosedElements()).stream()
                .filter(field -> field.getKind() == ElementKind.FIELD)
                .filter(field -> !field.getModifiers().contains(Modifier.STATIC))
                .map(VariableElement::getSimpleName)
                .map(Object::toString)
                .toList();
        List<String> methods =
            ElementFilter.methodsIn(type.getEnclosedElements()).stream()
                .map(ExecutableElement::getSimpleName)
                .map(Object::toString)
                .distinct()
                .toList();
        if (fields.size() >= 2) {
          sites.add(new Site(header.name(), fields, methods));
        }
      }
    }
    return sites;
  }
}
