package paredown.gate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** A folder that goes with all that is in it when it is closed. */
public record TemporaryFolder(Path path) implements AutoCloseable {

  /** A new one, whose name begins so. */
  public static TemporaryFolder named(String beginning) throws IOException {
    return new TemporaryFolder(Files.createTempDirectory(beginning));
  }

  @Override
  public void close() throws IOException {
    List<Path> inside;
    try (Stream<Path> all = Files.walk(path)) {
      inside = all.sorted(Comparator.reverseOrder()).toList();
    }
    for (Path each : inside) {
      Files.deleteIfExists(each);
    }
  }
}
