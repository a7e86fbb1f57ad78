package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;

/** The built program as it ran once: its exit code and what it printed. */
record Ran(int exit, String out, String err) {

  /** Runs pare in a folder. */
  static Ran pare(Path folder, String... arguments) {
    return pare(folder, Map.of(), arguments);
  }

  static Ran pare(Path folder, Map<String, String> environment, String... arguments) {
    try {
      Path out = Files.createTempFile("pare", ".out");
      Path err = Files.createTempFile("pare", ".err");
      ProcessBuilder builder = builder(folder, arguments);
      builder.environment().putAll(environment);
      builder.redirectOutput(out.toFile()).redirectError(err.toFile());
      int exit = builder.start().waitFor();
      Ran ran = new Ran(exit, Files.readString(out), Files.readString(err));
      Files.delete(out);
      Files.delete(err);
      assertFalse(ran.err().contains("\tat "), "a stack trace reached the user: " + ran.err());
      return ran;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Kills the program, and only then its tests, whose end it would notice. */
  static void kill(Process process) throws InterruptedException {
    List<ProcessHandle> tests = process.descendants().toList();
    process.destroyForcibly();
    tests.forEach(ProcessHandle::destroyForcibly);
    assertTrue(process.waitFor(60, TimeUnit.SECONDS));
  }

  static ProcessBuilder builder(Path folder, String... arguments) {
    List<String> words = new ArrayList<>(Built.START);
    words.addAll(List.of(arguments));
    ProcessBuilder builder = new ProcessBuilder(words).directory(folder.toFile());
    builder.environment().put("MAVEN_OPTS", "-XX:TieredStopAtLevel=1 -XX:+UseSerialGC");
    return builder;
  }

  Ran exits(int code) {
    assertEquals(code, exit, out + err);
    return this;
  }

  /** The answer as JSON, valid for the schema that it names. */
  JsonNode json() {
    try {
      JsonNode answer = new ObjectMapper().readTree(out);
      String name = answer.get("schema").asText().replace('/', '-');
      String schema =
          Files.readString(Path.of("../docs/schemas/" + name + ".json"), StandardCharsets.UTF_8);
      Set<ValidationMessage> wrong =
          JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
              .getSchema(schema)
              .validate(answer);
      assertEquals(Set.of(), wrong);
      return answer;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
