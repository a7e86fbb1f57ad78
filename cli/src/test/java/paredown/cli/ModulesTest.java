package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A Maven build of two modules, the second of which uses the first, with tests in both. */
class ModulesTest {
  private static final String CALLER =
      """
      package ferry.desk;

      import ferry.fleet.Crew;
      import ferry.fleet.Vessel;

      public class Desk {
        public int due(Vessel vessel, Crew crew) {
          return vessel.due(crew);
        }
      }
      """;
  @TempDir Path folder;

  @BeforeEach
  void layOut() throws IOException {
    write(
        "pom.xml",
        """
        <project xmlns="http://maven.apache.org/POM/4.0.0">
          <modelVersion>4.0.0</modelVersion>
          <groupId>ferry</groupId>
          <artifactId>line</artifactId>
          <version>1</version>
          <packaging>pom</packaging>
          <modules><module>fleet</module><module>desk</module></modules>
          %s
        </project>
        """
            .formatted(shared()));
    write("fleet/pom.xml", pom("fleet", ""));
    write(
        "desk/pom.xml",
        pom(
            "desk",
            "<dependency><groupId>ferry</groupId><artifactId>fleet</artifactId>"
                + "<version>1</version></dependency>"));
    write("fleet/src/main/java/module-info.java", "module ferry.fleet { exports ferry.fleet; }\n");
    write(
        "fleet/src/main/java/ferry/fleet/Vessel.java",
        """
        package ferry.fleet;

        public class Vessel {
          private int deck;
          private int hold;

          public int room() {
            return deck + hold;
          }

          public int due(Crew crew) {
            return crew.wages() * 2;
          }
        }
        """);
    write(
        "fleet/src/main/java/ferry/fleet/Crew.java",
        """
        package ferry.fleet;

        public class Crew {
          public int wages() {
            return 40;
          }
        }
        """);
    write("desk/src/main/java/ferry/desk/Desk.java", CALLER);
    write(
        "fleet/src/test/java/ferry/fleet/VesselTest.java", test("fleet", "new Vessel().room()", 0));
    write(
        "desk/src/test/java/ferry/desk/DeskTest.java",
        test("desk", "new Desk().due(new ferry.fleet.Vessel(), new ferry.fleet.Crew())", 80));
  }

  /** The demo's own plugins and its one dependency, which are there without a network. */
  private static String shared() throws IOException {
    String demo = Files.readString(Path.of("../demo/pom.xml"));
    return demo.substring(demo.indexOf("<properties>"), demo.indexOf("</project>"));
  }

  private static String pom(String name, String dependency) {
    return """
        <project xmlns="http://maven.apache.org/POM/4.0.0">
          <modelVersion>4.0.0</modelVersion>
          <parent><groupId>ferry</groupId><artifactId>line</artifactId><version>1</version></parent>
          <artifactId>%s</artifactId>
          <dependencies>%s</dependencies>
        </project>
        """
        .formatted(name, dependency);
  }

  private static String test(String part, String expression, int value) {
    return """
        package ferry.%s;

        class %sTest {
          @org.junit.jupiter.api.Test
          void answers() {
            org.junit.jupiter.api.Assertions.assertEquals(%d, %s);
          }
        }
        """
        .formatted(part, part.equals("desk") ? "Desk" : "Vessel", value, expression);
  }

  private void write(String path, String text) throws IOException {
    Path file = folder.resolve(path);
    Files.createDirectories(file.getParent());
    Files.writeString(file, text);
  }

  private String read(String path) throws IOException {
    return Files.readString(folder.resolve(path));
  }

  @Test
  void changesCallersInAnotherModuleAndRunsTheTestsOfAll() throws IOException {
    String survey = Ran.pare(folder.resolve("desk/src"), "survey").exits(0).out();
    assertTrue(survey.contains("3 types, 4 methods in 3 files"), survey);
    String[] move =
        "move method Vessel#due --to Crew --delegate none --accept maybe-null --apply".split(" ");
    String out = Ran.pare(folder, move).exits(0).out();
    assertTrue(out.contains("Tests before  2 passed, 0 failed"), out);
    assertTrue(out.contains("Tests after   2 passed, 0 failed"), out);
    String desk = "desk/src/main/java/ferry/desk/Desk.java";
    assertTrue(read(desk).contains("return crew.due();"), read(desk));
    Ran.pare(folder, "undo").exits(0);
    assertEquals(CALLER, read(desk));
  }

  @Test
  void refusesToMoveFromOneModuleToAnother() {
    Ran refused =
        Ran.pare(folder, "move method Vessel#room --to Desk --through static".split(" ")).exits(3);
    assertTrue(refused.err().contains("different modules of the build"), refused.err());
    assertTrue(refused.err().contains("fleet and desk"), refused.err());
  }
}
