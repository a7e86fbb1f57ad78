package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** What breaks where a refusal that is marked unsafe were not heeded. */
class UnsafeTest {
  private static final Path CASES = Path.of("src/test/resources/unsafe");

  /** Nothing can be known or run there, so that nothing can be shown either. */
  private static final Set<RefusalKind> NOTHING_TO_SHOW =
      EnumSet.of(
          RefusalKind.DOES_NOT_PARSE,
          RefusalKind.UNRESOLVED,
          RefusalKind.GARBLED,
          RefusalKind.API_CHANGES,
          RefusalKind.ASSUMES,
          RefusalKind.NO_TEST_COMMAND);

  @TempDir Path folder;

  @TestFactory
  List<DynamicTest> isRefusedForWhatItWouldBreak() throws IOException {
    return RefactoringCase.all(CASES).stream()
        .map(each -> DynamicTest.dynamicTest(each.sentence(), () -> check(each)))
        .toList();
  }

  private void check(RefactoringCase unsafe) throws IOException {
    Path place = folder.resolve(unsafe.refused().replaceAll("\\W+", "-"));
    unsafe.check(place.resolve("refused"));
    Map<String, String> forced = new TreeMap<>(unsafe.before());
    forced.putAll(unsafe.after());
    String shown =
        said(unsafe.before(), place.resolve("before"))
            + " -> "
            + said(forced, place.resolve("forced"));
    assertEquals(unsafe.shows(), shown);
  }

  @Test
  void showsWhatBreaksForEveryKind() throws IOException {
    Set<String> shown = new TreeSet<>();
    RefactoringCase.all(CASES).forEach(each -> shown.add(each.refused().replaceAll(" .*", "")));
    Set<String> unsafe = new TreeSet<>();
    Arrays.stream(RefusalKind.values())
        .filter(kind -> kind.mark() == RefusalKind.Mark.UNSAFE && !NOTHING_TO_SHOW.contains(kind))
        .forEach(kind -> unsafe.add(kind.id()));
    assertEquals(unsafe, shown);
    RefactoringCase.all(CASES)
        .forEach(
            each -> {
              String[] sides = each.shows().split(" -> ");
              assertTrue(!sides[0].equals(sides[1]), each.sentence());
            });
  }

  /** What the probe gives, or throws, or why it does not compile. */
  private static String said(Map<String, String> files, Path place) throws IOException {
    List<Path> sources = new ArrayList<>();
    for (Map.Entry<String, String> file : files.entrySet()) {
      Path path = place.resolve(file.getKey());
      Files.createDirectories(path.getParent());
      Files.writeString(path, file.getValue());
      if (file.getKey().endsWith(".java")) {
        sources.add(path);
      }
    }
    Path classes = Files.createDirectories(place.resolve("classes"));
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    DiagnosticCollector<JavaFileObject> errors = new DiagnosticCollector<>();
    try (var manager = compiler.getStandardFileManager(errors, null, null)) {
      List<String> options = List.of("-d", classes.toString(), "-proc:none");
      var units = manager.getJavaFileObjectsFromPaths(sources);
      if (!compiler.getTask(null, manager, errors, options, null, units).call()) {
        String first = errors.getDiagnostics().get(0).getMessage(null);
        return "does not compile: " + first.lines().findFirst().orElse("");
      }
    }
    return run(classes, place.resolve("src"));
  }

  private static String run(Path classes, Path resources) throws IOException {
    URL[] path = {classes.toUri().toURL(), resources.toUri().toURL()};
    try (URLClassLoader loader = new URLClassLoader(path)) {
      return (String) loader.loadClass("ferry.Probe").getMethod("run").invoke(null);
    } catch (InvocationTargetException e) {
      Throwable thrown = e.getCause();
      return thrown instanceof NullPointerException
          ? thrown.getClass().getName()
          : thrown.toString();
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
