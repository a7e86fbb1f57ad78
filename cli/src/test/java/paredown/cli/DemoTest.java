package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The whole loop on the sample project, with Maven and its tests. */
class DemoTest {
  @TempDir Path folder;

  @Test
  void walksTheWholeLoop() {
    Ran demo = Ran.pare(folder, "demo", "ferry").exits(0);
    String out = demo.out();
    int survey = out.indexOf("$ pare survey --project ferry");
    int why = out.indexOf("$ pare why god-", survey);
    int apply = out.indexOf("--apply", why);
    int kept = out.indexOf("Step 1 kept", apply);
    int undo = out.indexOf("Step 1 taken back", kept);
    assertTrue(survey >= 0 && why > survey && apply > why && kept > apply && undo > kept, out);
    assertTrue(out.contains("Tests after   47 passed, 0 failed"), out);
    int carry = out.indexOf("$ pare carry ferry/cures.pare", undo);
    int commit = out.indexOf("Commit ", carry);
    int last = out.indexOf("$ pare survey", commit);
    assertTrue(carry > undo && commit > carry && last > commit, out);
    String left = out.substring(last, out.indexOf("\nNext: ", last));
    assertTrue(left.contains("1 commit") && !left.contains("god-"), left);
    Ran again = Ran.pare(folder, "demo", "ferry").exits(2);
    assertTrue(again.err().contains("is not empty"), again.err());
    Ran reach = Ran.pare(folder, "test", "--reach", "--project", "ferry").exits(0);
    assertTrue(reach.out().contains("47 passed, 0 failed"), reach.out());
    assertTrue(
        reach.out().contains("Ticket#fare(), TicketWindow#slip(Passenger, int)"), reach.out());
    assertTrue(told("TicketWindow#slip", "Passenger").contains("none reaches TicketWindow#slip("));
    String clerk = told("DeckPlan#deckFor", "Passenger");
    assertTrue(clerk.contains("\nTests:        DeckPlanTest reaches it\n"), clerk);
  }

  private String told(String method, String target) {
    return Ran.pare(folder, "move", "method", method, "--to", target, "--project", "ferry")
        .exits(0)
        .out();
  }

  @Test
  void laysNothingOutInThePlaceOfAFile() throws IOException {
    write("ferry", "mine");
    Ran ran = Ran.pare(folder, "demo", "ferry").exits(2);
    assertTrue(ran.err().contains("ferry is a file, and not a folder."), ran.err());
    assertEquals("mine", Files.readString(folder.resolve("ferry")));
  }

  @Test
  void saysWhatIsWrongWithABrokenBuild() throws IOException {
    write("pom.xml", "<project><modelVersion>4.0.0</modelVersion><oops>\n");
    write("src/main/java/A.java", "class A { }\n");
    Ran ran = Ran.pare(folder, "survey").exits(5);
    String[] lines = ran.err().split("\n");
    assertTrue(
        lines[0].startsWith("Asking the build of this project for its class path"), lines[0]);
    assertTrue(lines[0].contains("--without-build"), lines[0]);
    assertTrue(lines[1].startsWith("Maven cannot read this build: "), ran.err());
    assertEquals(3, lines.length, ran.err());
    Ran.pare(folder, "survey", "--without-build").exits(0);
  }

  private void write(String path, String text) throws IOException {
    Path file = folder.resolve(path);
    Files.createDirectories(file.getParent());
    Files.writeString(file, text);
  }
}
