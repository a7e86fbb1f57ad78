package paredown.bench.sites;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** The files of a library that are not Java and stand beside its sources, as plain text. */
public final class Resources {
  private final List<String> texts;

  public Resources(Path library) {
    Path sources = library.resolve("src");
    try (Stream<Path> files = Files.walk(sources)) {
      texts =
          files
              .filter(file -> file.toString().matches(".*\\.(?:xml|properties|json|ya?ml|dtd)"))
              .map(Resources::text)
              .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String text(Path file) {
    try {
      return new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Whether a text has a name within quotes. */
  public boolean quote(String name) {
    return texts.stream().anyMatch(text -> text.contains("\"" + name + "\""));
  }
}
