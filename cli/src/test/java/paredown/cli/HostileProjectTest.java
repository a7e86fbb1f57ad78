package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a project brings with it runs nothing, writes nothing elsewhere, and hides nothing. */
class HostileProjectTest {
  private static final String[] PREVIEW =
      "extract class Sailing --fields departs,arrives --methods crossing --name Passage".split(" ");
  private static final String[] SURVEY = {"survey"};
  private static final String[] APPLY =
      "extract class Sailing --fields departs,arrives --methods crossing --name Passage --apply"
          .split(" ");
  private static final String ESCAPE = "\u001b";

  @TempDir Path folder;
  @TempDir Path elsewhere;
  private Ferry ferry;
  private Map<String, String> before;

  @BeforeEach
  void layOut() throws IOException {
    ferry = Ferry.in(folder);
    before = ferry.sources();
  }

  private static void compile(Path folder, String options, Path... sources) throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      List<String> words = Stream.of(options.split(" ")).filter(each -> !each.isEmpty()).toList();
      assertTrue(
          compiler
              .getTask(
                  null,
                  files,
                  null,
                  Stream.concat(words.stream(), Stream.of("-d", folder.toString())).toList(),
                  null,
                  files.getJavaFileObjects(sources))
              .call());
    }
  }

  /** A compiler plug-in that starts by itself and leaves a file behind. */
  private Path plugIn() throws IOException {
    Path ran = elsewhere.resolve("ran");
    Path source = elsewhere.resolve("Intruder.java");
    Files.writeString(
        source,
        """
        public class Intruder implements com.sun.source.util.Plugin {
          public String getName() { return "intruder"; }
          public boolean autoStart() { return true; }
          public void init(com.sun.source.util.JavacTask task, String... arguments) {
            try { java.nio.file.Files.writeString(java.nio.file.Path.of("%s"), "ran"); }
            catch (java.io.IOException e) { throw new RuntimeException(e); }
          }
        }
        """
            .formatted(ran));
    Path classes = Files.createDirectories(elsewhere.resolve("classes"));
    compile(classes, "", source);
    Path services = Files.createDirectories(classes.resolve("META-INF/services"));
    Files.writeString(services.resolve("com.sun.source.util.Plugin"), "Intruder\n");
    Path lib = Files.createDirectories(folder.resolve("lib"));
    URI jar = URI.create("jar:" + lib.resolve("intruder.jar").toUri());
    try (FileSystem archive = FileSystems.newFileSystem(jar, Map.of("create", "true"));
        Stream<Path> files = Files.walk(classes)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path to = archive.getPath("/" + classes.relativize(file));
        Files.createDirectories(to.getParent());
        Files.copy(file, to);
      }
    }
    // The compiler alone starts it, from an archive and from a folder.
    compile(elsewhere, "-proc:none -cp " + classes, folder.resolve("src/ferry/Sailing.java"));
    assertTrue(Files.deleteIfExists(ran));
    return ran;
  }

  @Test
  void aPlugInOnTheClassPathIsNotStarted() throws IOException {
    Path ran = plugIn();
    Path classes = Files.createDirectories(folder.resolve("classes"));
    try (Stream<Path> files = Files.walk(elsewhere.resolve("classes"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path to = classes.resolve(elsewhere.resolve("classes").relativize(file).toString());
        Files.createDirectories(to.getParent());
        Files.copy(file, to);
      }
    }
    ferry.with("pare.yaml", "test-command: sh test.sh\nclass-path: [classes]\nhistory: 5\n");
    Ran.pare(folder, "survey", "--all").exits(0);
    Ran.pare(folder, PREVIEW).exits(0);
    Ran.pare(folder, APPLY).exits(0);
    assertFalse(Files.exists(ran), "the plug-in was started");
  }

  /** A journal as another installation, or somebody with bad intentions, would have written it. */
  private void forgedStep(String path, String state) throws IOException {
    Path step = Files.createDirectories(folder.resolve(".pare/steps/0001"));
    Files.createDirectories(step.resolve("before"));
    Files.writeString(step.resolve("before/0"), "planted");
    String hash = "e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855";
    Files.writeString(
        step.resolve("intent.properties"),
        "change=3f9a07\ncommand=pare\nsummary=A change.\nwhen=2026-01-01T00\\:00\\:00Z\nfiles=1\n"
            + "folders=0\nfile.0.path=%s\nfile.0.before=%s\nfile.0.after=%s\n"
                .formatted(path, "00", hash));
    Files.writeString(step.resolve("state"), state);
  }

  @Test
  void aJournalThatWasWrittenElsewhereIsToldAndNeverActedOn() throws IOException {
    Path victim = Files.writeString(elsewhere.resolve("victim"), "");
    for (String state : List.of("VERIFIED\n", "WRITTEN\n", "WRITTEN " + "0".repeat(64) + "\n")) {
      forgedStep(folder.relativize(victim).toString(), state);
      Ran undo = Ran.pare(folder, "undo").exits(2);
      assertTrue(undo.err().contains(".pare/steps/0001"), undo.err());
      Ran.pare(folder, APPLY).exits(0);
      Ran.pare(folder, "undo").exits(0);
      assertEquals("", Files.readString(victim));
      assertEquals(before, ferry.sources());
    }
  }

  @Test
  void nothingIsWrittenThroughALinkInThePlaceOfTheJournal() throws IOException {
    for (String link :
        List.of(".pare", ".pare/steps", ".pare/lock", ".pare/.gitignore", ".pare/cache")) {
      Path target = elsewhere.resolve("target");
      Path at = folder.resolve(link);
      Files.createDirectories(at.getParent());
      Files.createSymbolicLink(at, target);
      Ran.pare(folder, link.endsWith("cache") ? SURVEY : APPLY);
      assertFalse(Files.exists(target), link);
      if (!link.equals(".pare/lock") && !link.equals(".pare/.gitignore")) {
        Files.createDirectories(target);
        Ran.pare(folder, link.endsWith("cache") ? SURVEY : APPLY);
        try (Stream<Path> written = Files.list(target)) {
          assertEquals(List.of(), written.toList(), link);
        }
        Files.delete(target);
      }
      Files.delete(at);
      Ran.pare(folder, "undo");
      assertEquals(before, ferry.sources(), link);
      delete(folder.resolve(".pare"));
    }
  }

  /** A class of many things, so that something is found. */
  private static String bag() {
    StringBuilder bag = new StringBuilder("package ferry;\n\nclass Bag {\n");
    for (int i = 0; i < 40; i++) {
      bag.append(
          "  private int a%d;\n  int m%d(int x) { return x > a%d ? x : a%d++; }\n"
              .replace("%d", "" + i));
    }
    return bag + "}\n";
  }

  private static void delete(Path root) throws IOException {
    if (Files.exists(root)) {
      try (Stream<Path> entries = Files.walk(root)) {
        for (Path entry : entries.sorted(java.util.Comparator.reverseOrder()).toList()) {
          Files.delete(entry);
        }
      }
    }
  }

  @Test
  void nothingIsWrittenThroughALinkBesideTheAcceptedFindings() throws IOException {
    ferry.with("src/ferry/Bag.java", bag());
    Path victim = elsewhere.resolve("victim");
    Files.createSymbolicLink(folder.resolve("pare-accepted.yaml.part"), victim);
    String id =
        Ran.pare(folder, "survey", "--all", "--format", "json")
            .exits(0)
            .json()
            .get("findings")
            .get(0)
            .get("id")
            .asText();
    Ran.pare(folder, "accept", id).exits(0);
    assertFalse(Files.exists(victim));
    assertTrue(Files.readString(folder.resolve("pare-accepted.yaml")).contains(id));
  }

  @Test
  void whatATerminalWouldObeyIsShownAndNotPrinted() throws IOException {
    String hostile = ESCAPE + "]0;owned\u0007 \u202egnal\u202c";
    ferry.with(
        "src/ferry/Sailing.java",
        Ferry.SAILING
            .replace("/** One crossing. */", "// " + hostile)
            .replace("private int taken", "/* " + hostile + " */ private int taken"));
    for (String[] command :
        List.of(
            PREVIEW,
            new String[] {"survey", "--all", "--in", hostile},
            new String[] {"why", hostile},
            new String[] {"extract", "class", hostile, "--fields", hostile},
            new String[] {"steps"})) {
      Ran ran = Ran.pare(folder, command);
      String all = ran.out() + ran.err();
      assertFalse(all.contains(ESCAPE), all);
      assertFalse(all.contains("\u0007") || all.contains("\u202e"), all);
    }
    assertTrue(Ran.pare(folder, PREVIEW).exits(0).out().contains("\\u001b]0;owned\\u0007"));
  }

  @Test
  void aTestCommandThatNeverPassesIsNoTest() throws IOException {
    for (String command : List.of("no-such-program-here", "exit 3")) {
      ferry.with("pare.yaml", "test-command: " + command + "\n");
      Ran applied = Ran.pare(folder, APPLY).exits(4);
      assertTrue(applied.err().contains("fails before the change already"), applied.err());
      assertEquals(before, ferry.sources());
    }
    Ran.pare(
            folder, Stream.concat(Stream.of(APPLY), Stream.of("--untested")).toArray(String[]::new))
        .exits(0);
    ferry.with("pare.yaml", "test-command: ''\n");
    assertTrue(Ran.pare(folder, "survey").exits(5).err().contains("test-command"));
  }

  @Test
  void aDamagedOriginalIsNotGivenBackAndTheStepCanBeLetGo() throws IOException {
    Ran.pare(folder, APPLY).exits(0);
    Map<String, String> after = ferry.sources();
    Path original = originalOfSailing();
    String whole = Files.readString(original);
    for (boolean missing : new boolean[] {false, true}) {
      if (missing) {
        Files.delete(original);
      } else {
        Files.writeString(original, whole.substring(0, 40));
      }
      Ran undo = Ran.pare(folder, "undo").exits(3);
      assertTrue(undo.err().contains("damaged or missing"), undo.err());
      assertTrue(undo.err().contains("--forget"), undo.err());
      assertEquals(after, ferry.sources());
    }
    assertTrue(Ran.pare(folder, "undo", "--forget").exits(0).out().contains("Step 1 is let go of"));
    assertEquals(after, ferry.sources());
    assertTrue(Ran.pare(folder, "steps").exits(0).out().contains("let go"));
  }

  private Path originalOfSailing() throws IOException {
    try (Stream<Path> originals = Files.list(folder.resolve(".pare/steps/0001/before"))) {
      return originals.findFirst().orElseThrow();
    }
  }

  @Test
  void aScribbledJournalIsLeftAloneByEveryCommand() throws IOException {
    for (String file : List.of("state", "intent.properties")) {
      Ran.pare(folder, APPLY).exits(0);
      Path step = folder.resolve(".pare/steps/0001");
      Files.write(step.resolve(file), new byte[] {0, (byte) 0xff, 7});
      assertTrue(Ran.pare(folder, "survey").exits(0).err().contains("0001"), file);
      Ran.pare(folder, "steps").exits(0);
      Ran.pare(folder, "undo").exits(2);
      delete(folder.resolve(".pare"));
      Files.delete(folder.resolve("src/ferry/Passage.java"));
      ferry.with("src/ferry/Sailing.java", Ferry.SAILING);
    }
  }

  @Test
  void onlyFilesAreRead() throws IOException, InterruptedException {
    Path pipe = folder.resolve("src/ferry/Pipe.java");
    assertEquals(0, new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor());
    Files.createSymbolicLink(folder.resolve("src/ferry/Zero.java"), Path.of("/dev/zero"));
    Path outside = Files.writeString(elsewhere.resolve("Secret.java"), "class Secret {}");
    Files.createSymbolicLink(folder.resolve("src/ferry/Secret.java"), outside);
    String out = Ran.pare(folder, "survey").exits(0).out();
    assertTrue(out.contains("Pipe.java was passed over"), out);
    assertTrue(out.contains("Zero.java was passed over"), out);
    assertTrue(out.contains("Secret.java was passed over"), out);
  }

  @Test
  void codeThatIsNestedTooDeeplyIsToldInASentence() throws IOException {
    ferry.with(
        "src/ferry/Deep.java",
        "package ferry; class Deep { int v; int f() { return " + "- ".repeat(20_000) + "v; } }");
    Ran ran = Ran.pare(folder, "extract", "class", "Deep", "--fields", "v", "--name", "Value");
    assertTrue(ran.exits(5).err().contains("nested so deeply"), ran.err());
    assertTrue(ran.err().contains("exclude:"), ran.err());
  }

  @Test
  void testsThatLeaveSomethingRunningDoNotHoldTheStep() throws IOException {
    ferry.tests("sleep 30 &\nexit 0");
    long begin = System.nanoTime();
    Ran.pare(folder, APPLY).exits(0);
    assertTrue(System.nanoTime() - begin < 25_000_000_000L);
  }

  @Test
  void anAnswerThatCannotBeWrittenIsNoSuccess() throws IOException, InterruptedException {
    if (Files.exists(Path.of("/dev/full"))) {
      Path said = elsewhere.resolve("said");
      int exit =
          Ran.builder(folder, "survey")
              .redirectOutput(Path.of("/dev/full").toFile())
              .redirectError(said.toFile())
              .start()
              .waitFor();
      assertEquals(5, exit);
      assertTrue(
          Files.readString(said, StandardCharsets.UTF_8).contains("could not be written out"));
    }
  }

  @Test
  void markdownHoldsNoTagOfTheProject() throws IOException {
    ferry.with("src/ferry/<script>alert`1`/Bag.java", bag());
    String markdown = Ran.pare(folder, "survey", "--all", "--format", "markdown").exits(0).out();
    assertTrue(markdown.contains("&lt;script&gt;"), markdown);
    assertFalse(markdown.contains("<script>"), markdown);
  }

  @Test
  void aChangeSaysWhatItAssumesAndIsRefusedWhereThatIsNotWanted() throws IOException {
    ferry.with(
        "src/ferry/Desk.java",
        """
        package ferry;

        class Desk {
          private int fare = 4;

          void raise(int by) {
            fare += by;
          }

          String notice(Sailing sailing, Object cargo) {
            String text = sailing.crossing() + " with " + cargo;
            return text + fare;
          }
        }
        """);
    String[] move = {"move", "method", "Desk#notice", "--to", "Sailing"};
    String text = Ran.pare(folder, move).exits(0).out();
    assertTrue(
        text.contains("Assumes:      toString of other objects changes nothing of Desk"), text);
    assertEquals(
        "text",
        Ran.pare(folder, with(move, "--format", "json"))
            .exits(0)
            .json()
            .get("assumptions")
            .get(0)
            .get("kind")
            .asText());
    Ran strict = Ran.pare(folder, with(move, "--strict")).exits(3);
    assertTrue(strict.err().contains("It rests on what no proof can give"), strict.err());
    ferry.with("pare.yaml", "test-command: sh test.sh\nstrict: true\n");
    Ran.pare(folder, with(move, "--apply")).exits(3);
  }

  private static String[] with(String[] words, String... more) {
    return Stream.concat(Stream.of(words), Stream.of(more)).toArray(String[]::new);
  }

  @Test
  void aFolderInTheWayOfANewFileIsNoFaultOfPare() throws IOException {
    Files.createDirectories(folder.resolve("src/ferry/Passage.java"));
    Ran inTheWay = Ran.pare(folder, APPLY);
    assertTrue(inTheWay.exit() == 3 || inTheWay.exit() == 5, inTheWay.out() + inTheWay.err());
    assertFalse(inTheWay.err().contains("fault of pare"), inTheWay.err());
    assertEquals(before, ferry.sources());
  }
}
