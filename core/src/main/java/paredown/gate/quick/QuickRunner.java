package paredown.gate.quick;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.discovery.ClassSelector;
import org.junit.platform.engine.discovery.DiscoverySelectors;
import org.junit.platform.engine.support.descriptor.ClassSource;
import org.junit.platform.engine.support.descriptor.MethodSource;
import org.junit.platform.launcher.TestExecutionListener;
import org.junit.platform.launcher.TestIdentifier;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;

/**
 * The program that runs classes of tests in a process of its own, on the class path that it is
 * given: a file for what came of each test, a line a test, and the names of the classes.
 */
public final class QuickRunner implements TestExecutionListener {
  private final List<String> lines = new ArrayList<>();

  /** Runs them; the first argument is the file. */
  public static void main(String[] arguments) throws IOException {
    List<ClassSelector> classes =
        Arrays.stream(arguments).skip(1).map(DiscoverySelectors::selectClass).toList();
    QuickRunner runner = new QuickRunner();
    LauncherFactory.create()
        .execute(LauncherDiscoveryRequestBuilder.request().selectors(classes).build(), runner);
    Files.write(Path.of(arguments[0]), runner.lines, StandardCharsets.UTF_8);
    // What tests leave running is none of ours.
    Runtime.getRuntime().halt(0);
  }

  @Override
  public void executionFinished(TestIdentifier test, TestExecutionResult result) {
    boolean failed = result.getStatus() != TestExecutionResult.Status.SUCCESSFUL;
    if (test.isTest() || failed) {
      String message =
          result.getThrowable().map(QuickRunner::said).orElse("").lines().findFirst().orElse("");
      lines.add(
          String.join("\t", name(test), failed ? "FAILED" : "PASSED", message.replace('\t', ' ')));
    }
  }

  @Override
  public void executionSkipped(TestIdentifier test, String reason) {
    lines.add(String.join("\t", name(test), "SKIPPED", ""));
  }

  private static String said(Throwable problem) {
    return Optional.ofNullable(problem.getMessage()).orElse(problem.getClass().getName()).strip();
  }

  private static String name(TestIdentifier test) {
    Object source = test.getSource().orElse(null);
    if (source instanceof MethodSource method) {
      return method.getClassName() + "#" + method.getMethodName();
    }
    return source instanceof ClassSource type
        ? type.getClassName() + "#"
        : "#" + test.getDisplayName();
  }
}
