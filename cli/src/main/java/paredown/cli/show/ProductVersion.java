package paredown.cli.show;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** The version of the program, as the build has written it down. */
public final class ProductVersion {
  private ProductVersion() {}

  public static String text() {
    try (InputStream stream = ProductVersion.class.getResourceAsStream("version.txt")) {
      return new String(stream.readAllBytes(), StandardCharsets.UTF_8).strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
