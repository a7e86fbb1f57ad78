package paredown.gate.quick;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.edit.Change;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.program.Sources;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.plan.Judged;
import paredown.text.SourceText;

class QuickTestsTest {
  private static final Duration LIMIT = Duration.ofSeconds(60);
  private static final String TEST = "tests/ferry/BerthTest.java";

  @TempDir Path folder;
  private Sources sources;

  @BeforeEach
  void layOutAndBuild() throws IOException {
    String junit =
        Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
            .filter(
                each ->
                    each.matches(
                        ".*/(junit-jupiter|junit-platform|opentest4j|apiguardian)[^/]*\\.jar"))
            .collect(Collectors.joining(", "));
    Fixture fixture =
        new Fixture(folder)
            .with(
                "pare.yaml", "sources: [src]\ntests: [tests]\nclass-path: [%s]\n".formatted(junit))
            .with(
                "src/ferry/Berth.java",
                """
                package ferry;

                public class Berth {
                  public boolean takes(int draught) {
                    return draught < 4 && draught > 0;
                  }
                }
                """)
            .with(
                TEST,
                """
                package ferry;

                import static org.junit.jupiter.api.Assertions.*;
                import org.junit.jupiter.api.*;

                class BerthTest {
                  @Test void takesTheShallow() {
                    assertTrue(new Berth().takes(1));
                    assertFalse(new Berth().takes(4));
                  }

                  @Test @Disabled void waits() {}
                }
                """)
            .with("tests/ferry/Ropes.java", "package ferry;\nclass Ropes { Berth berth; }\n");
    sources = fixture.sources();
    compile("src/ferry/Berth.java", "target/classes", junit);
    compile(TEST, "target/test-classes", junit);
  }

  private void compile(String file, String into, String junit) throws IOException {
    Path out = Files.createDirectories(folder.resolve(into));
    String path =
        folder.resolve("target/classes")
            + File.pathSeparator
            + junit.replace(", ", File.pathSeparator);
    int exit =
        ToolProvider.getSystemJavaCompiler()
            .run(
                null,
                null,
                null,
                "-cp",
                path,
                "-d",
                out.toString(),
                folder.resolve(file).toString());
    assertEquals(0, exit);
  }

  private Sources faulty() {
    SourceText berth = sources.text("src/ferry/Berth.java");
    String text = berth.text().replace("< 4", "<= 4");
    return sources.after(
        List.of(new SourceText(berth.path(), text, berth.charset())), List.of(), Set.of());
  }

  private Optional<TestRun> run(Sources then) throws InterruptedException {
    return QuickTests.of(sources.project())
        .orElseThrow()
        .run(then, Set.of("src/ferry/Berth.java"), Set.of(TEST), LIMIT);
  }

  @Test
  void runsTestsOnWhatIsCompiledAnew() throws InterruptedException {
    TestRun green = run(sources).orElseThrow();
    assertEquals(1, green.count(TestResult.Status.PASSED));
    assertEquals(1, green.count(TestResult.Status.SKIPPED));
    TestRun red = run(faulty()).orElseThrow();
    assertEquals(
        List.of("ferry.BerthTest#takesTheShallow"),
        red.failures().stream().map(TestResult::name).toList());
    assertTrue(red.failures().get(0).message().startsWith("expected: <false>"));
  }

  @Test
  void compilesWhatHasChangedSinceTheBuild() throws IOException, InterruptedException {
    Path berth = folder.resolve("src/ferry/Berth.java");
    Files.writeString(berth, Files.readString(berth).replace("< 4", "<= 4"));
    Files.setLastModifiedTime(berth, FileTime.from(Instant.now().plusSeconds(9)));
    Sources now = new Sources(sources.project());
    Optional<TestRun> run =
        QuickTests.of(now.project()).orElseThrow().run(now, Set.of(), Set.of(TEST), LIMIT);
    assertEquals(1, run.orElseThrow().failures().size());
  }

  @Test
  void leavesToTheBuildWhatDoesNotCompileWithoutIt() throws InterruptedException {
    SourceText berth = sources.text("src/ferry/Berth.java");
    SourceText wrong = new SourceText(berth.path(), "class Berth extends Made {}", berth.charset());
    Sources then = sources.after(List.of(wrong), List.of(), Set.of());
    assertTrue(run(then).isEmpty());
  }

  private Change change() {
    ExtractMethod extract = new ExtractMethod("src/ferry/Berth.java:5:12-5:37", "fits");
    return Judged.of(extract, sources, sources.index()).change();
  }

  @Test
  void knowsTheTestsThatNameAClassAndThatTheBuildRuns() {
    TestRun run =
        new TestRun(
            List.of(
                new TestResult(
                    "ferry.BerthTest#takesTheShallow", TestResult.Status.PASSED, "", "")));
    assertEquals(Set.of(TEST), ReachingTests.of(change(), sources, Optional.empty(), run, false));
  }

  @Test
  void tellsWhichSmallFaultsNoTestWouldNotice() throws InterruptedException {
    WouldNotice notice = WouldNotice.of(change(), sources, Set.of(TEST), LIMIT).orElseThrow();
    assertEquals(5, notice.tried());
    assertEquals(List.of(">= for >"), notice.missed().stream().map(SmallFault::says).toList());
    assertEquals("src/ferry/Berth.java:5", notice.missed().get(0).place());
  }
}
