package paredown.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ProjectTest {
  @TempDir Path folder;

  private Path with(String path, String text) throws IOException {
    Path file = folder.toRealPath().resolve(path);
    Files.createDirectories(file.getParent());
    return Files.writeString(file, text);
  }

  private Project project() {
    return Project.at(folder, Progress.silent());
  }

  private List<String> sources(SourceFile.Kind kind) {
    return SourceFiles.of(project()).files().stream()
        .filter(SourceFiles.are(kind))
        .map(SourceFile::path)
        .toList();
  }

  @Test
  void readsPlainFolders() throws IOException {
    with("src/ferry/Sailing.java", "");
    with("test/ferry/SailingTest.java", "");
    with("lib/tide.jar", "");
    assertEquals(List.of("src/ferry/Sailing.java"), sources(SourceFile.Kind.MAIN));
    assertEquals(List.of("test/ferry/SailingTest.java"), sources(SourceFile.Kind.TEST));
    assertEquals(1, project().modules().get(0).classPath().size());
  }

  @Test
  void readsStandardFoldersWithoutABuild() throws IOException {
    with("src/main/java/ferry/Sailing.java", "");
    with("src/test/java/ferry/SailingTest.java", "");
    assertEquals(List.of("src/main/java/ferry/Sailing.java"), sources(SourceFile.Kind.MAIN));
    assertEquals(List.of("src/test/java/ferry/SailingTest.java"), sources(SourceFile.Kind.TEST));
  }

  @Test
  void onlyReadsWhatTheSettingsExclude() throws IOException {
    with("src/ferry/Sailing.java", "");
    with("src/ferry/generated/Codes.java", "");
    with("pare.yaml", "exclude: ['**/generated/**']\n");
    assertEquals(List.of("src/ferry/Sailing.java"), sources(SourceFile.Kind.MAIN));
    assertEquals(List.of("src/ferry/generated/Codes.java"), sources(SourceFile.Kind.GENERATED));
  }

  @Test
  void findsTheRootFromAFolderWithin() throws IOException {
    Path file = with("src/ferry/Sailing.java", "");
    assertEquals(folder.toRealPath(), Project.at(file.getParent(), Progress.silent()).root());
  }

  @Test
  void findsTheOutermostBuildThatListsAModule() throws IOException {
    with("pom.xml", "<project><modules><module>desk</module></modules></project>");
    with("desk/pom.xml", "<project/>");
    with("other/pom.xml", "<project/>");
    Path root = folder.toRealPath();
    assertEquals(root, ProjectRoot.of(root.resolve("desk")));
    assertEquals(root.resolve("other"), ProjectRoot.of(root.resolve("other")));
  }

  @Test
  void saysWhichJdkWouldDoForAReleaseThatThisOneDoesNotKnow() throws IOException {
    with("src/A.java", "class A { }");
    with("pare.yaml", "release: 99\n");
    ProjectUnreadable e = assertThrows(ProjectUnreadable.class, this::project);
    assertTrue(e.getMessage().contains("written for Java 99"), e.getMessage());
    assertTrue(e.advice().startsWith("Run pare with JDK 99 or later"), e.advice());
    with("pare.yaml", "release: 5\n");
    assertTrue(assertThrows(ProjectUnreadable.class, this::project).advice().contains("JDK 17"));
  }

  @Test
  void readsWhatMavenAnswers() throws IOException {
    Path root = folder.toRealPath();
    Files.createDirectories(root.resolve("src/main/java"));
    Files.createDirectories(root.resolve("target/generated-sources/codes"));
    Path archive = with("tide.jar", "");
    String model =
        """
        <project>
          <artifactId>desk</artifactId>
          <properties><project.build.sourceEncoding>ISO-8859-1</project.build.sourceEncoding></properties>
          <build>
            <sourceDirectory>%1$s/src/main/java</sourceDirectory>
            <testSourceDirectory>%1$s/src/test/java</testSourceDirectory>
            <directory>%1$s/target</directory>
            <plugins><plugin>
              <artifactId>maven-compiler-plugin</artifactId>
              <configuration><source>1.8</source></configuration>
            </plugin></plugins>
          </build>
        </project>
        """
            .formatted(root);
    String output =
        """
        [INFO] --- maven-dependency-plugin:3.8.1:build-classpath (default-cli) @ desk ---
        [INFO] Dependencies classpath:
        %s
        """
            .formatted(archive);
    MavenAnswer answer = new MavenAnswer(model, output);
    Module module = answer.modules(root).get(0);
    assertEquals(List.of(archive), module.classPath());
    assertEquals(List.of(root.resolve("src/main/java")), module.mainRoots());
    assertEquals(List.of(), module.testRoots());
    assertEquals(List.of(root.resolve("target/generated-sources/codes")), module.generatedRoots());
    assertEquals(8, module.release());
    assertEquals(StandardCharsets.ISO_8859_1, module.encoding());
    assertTrue(answer.archivesExist());
    Files.delete(archive);
    assertTrue(!answer.archivesExist());
  }

  @Test
  void keepsABuildsAnswerUntilABuildFileChanges() throws IOException {
    with("pom.xml", "<project/>");
    with("desk/pom.xml", "<project/>");
    BuildCache.of(folder).write(new MavenAnswer("model", "output"));
    assertEquals("model", BuildCache.of(folder).read().orElseThrow().effectivePom());
    with("src/A.java", "class A { }");
    assertTrue(BuildCache.of(folder).read().isPresent());
    with("desk/pom.xml", "<project><!-- changed --></project>");
    assertTrue(BuildCache.of(folder).read().isEmpty());
  }
}
