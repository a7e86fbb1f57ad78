package paredown.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MavenAnswerTest {
  @TempDir Path root;

  private static MavenAnswer answer(String declaration, String name) {
    String model =
        "<project><artifactId>%s</artifactId><build><sourceDirectory>src</sourceDirectory>"
            + "<testSourceDirectory>test</testSourceDirectory><directory>target</directory>"
            + "</build></project>";
    return new MavenAnswer(declaration + model.formatted(name), "");
  }

  @Test
  void aModelWithoutEntitiesIsRead() {
    assertEquals("ferry", answer("", "ferry").modules(root).get(0).name());
  }

  @Test
  void aModelThatNamesAFileOutsideIsNotRead() throws IOException {
    Path secret = Files.writeString(root.resolve("secret"), "tides");
    String entity = "<!DOCTYPE p [<!ENTITY e SYSTEM \"" + secret.toUri() + "\">]>";
    ProjectUnreadable refused =
        assertThrows(ProjectUnreadable.class, () -> answer(entity, "&e;").modules(root));
    assertTrue(refused.getMessage().contains("effective model cannot be read"));
    assertFalse(refused.getMessage().contains("tides"));
  }

  @Test
  void aModelThatGrowsByItsEntitiesIsNotRead() {
    String entities = "<!DOCTYPE p [<!ENTITY a \"12345\"><!ENTITY b \"&a;&a;&a;\">]>";
    assertThrows(ProjectUnreadable.class, () -> answer(entities, "&b;").modules(root));
  }
}
