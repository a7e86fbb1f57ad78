package paredown.cli.show;

import java.util.List;
import java.util.stream.Collectors;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.gate.TestsPass;
import paredown.session.Applied;
import paredown.text.Counted;

/** What became of a change, as text: the red tests first. */
public final class AppliedText {
  private static final int SHOWN = 5;

  private final Terminal terminal;
  private final String here;

  public AppliedText(Terminal terminal, String here) {
    this.terminal = terminal;
    this.here = here;
  }

  public String of(Applied applied) {
    StringBuilder text = new StringBuilder();
    if (!applied.kept()) {
      failures(applied.tests().orElseThrow(), text);
      putBack(applied, text);
      return text.toString();
    }
    applied.tests().ifPresent(tests -> tests(tests, text));
    if (applied.tests().isEmpty()) {
      text.append("No tests were run: this project has none.\n");
    }
    int files = applied.step().files().size();
    text.append(
        "%s %s, %d s.%n"
            .formatted(
                terminal.bold("Step " + applied.step().number() + " kept:"),
                Counted.of(files, "file", "files"),
                applied.took().toSeconds()));
    text.append("Next: pare survey%s      Take back: pare undo%s%n".formatted(here, here));
    return text.toString();
  }

  /** What all tests said behind several steps. */
  public String checked(TestsPass.Outcome tests) {
    StringBuilder text = new StringBuilder();
    failures(tests, text);
    if (tests.passed()) {
      tests(tests, text);
    }
    return text.toString();
  }

  private void tests(TestsPass.Outcome tests, StringBuilder text) {
    if (tests.quick()) {
      text.append(
          tests.after().isEmpty()
              ? "No test reaches it.\n"
              : "Tests that reach it: %s%n".formatted(counts(tests.after())));
      tests.flaky().stream()
          .sorted()
          .forEach(
              name ->
                  text.append("Needs the build: ")
                      .append(name)
                      .append(" failed, and passed there.\n"));
      return;
    }
    text.append("Tests before  ").append(counts(tests.before())).append('\n');
    text.append("Tests after   ").append(counts(tests.after())).append('\n');
    List<TestResult> known = tests.comparison().known();
    if (!known.isEmpty()) {
      text.append("Red before as well: ").append(names(known)).append('\n');
    }
    for (String flaky : tests.flaky().stream().sorted().toList()) {
      text.append("Flaky, not counted: ").append(flaky).append(" failed, and passed alone.\n");
    }
  }

  private static String counts(TestRun run) {
    long skipped = run.count(TestResult.Status.SKIPPED);
    return "%,d passed, %,d failed%s"
        .formatted(
            run.count(TestResult.Status.PASSED),
            run.count(TestResult.Status.FAILED),
            skipped == 0 ? "" : ", " + skipped + " skipped");
  }

  private static String names(List<TestResult> results) {
    return results.stream().map(AppliedText::shortName).collect(Collectors.joining(", "));
  }

  private static String shortName(TestResult result) {
    String name = result.name();
    int sharp = name.indexOf('#');
    return name.substring(name.lastIndexOf('.', sharp) + 1).replace('#', '.');
  }

  private void failures(TestsPass.Outcome tests, StringBuilder text) {
    List<TestResult> broken = tests.comparison().broken();
    for (TestResult result : broken.stream().limit(SHOWN).toList()) {
      text.append(terminal.red("FAILED")).append(' ').append(shortName(result)).append(": ");
      text.append(result.message().lines().findFirst().orElse("")).append('\n');
      if (!result.place().isEmpty()) {
        text.append("  ").append(result.place()).append('\n');
      }
    }
    if (broken.size() > SHOWN) {
      text.append("and %d more tests failed%n".formatted(broken.size() - SHOWN));
    }
    for (String name : tests.comparison().vanished().stream().limit(SHOWN).toList()) {
      text.append(terminal.red("VANISHED")).append(' ').append(name).append('\n');
    }
    int more = tests.comparison().vanished().size() - SHOWN;
    if (more > 0) {
      text.append("and %d more tests vanished%n".formatted(more));
    }
  }

  private static void putBack(Applied applied, StringBuilder text) {
    if (applied.notPutBack().isEmpty()) {
      text.append("Everything was put back.\n");
    } else {
      text.append("All was put back but what was edited meanwhile:\n");
      applied.notPutBack().forEach(file -> text.append("  ").append(file).append('\n'));
    }
  }
}
