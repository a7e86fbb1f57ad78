package paredown.cli;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import paredown.UnusableRequest;
import paredown.project.Nearest;

/** The formats in which an answer can be given. */
enum Format {
  TEXT,
  JSON,
  SARIF,
  HTML,
  MARKDOWN;

  /** The format of that name. */
  static Format of(String name) {
    for (Format format : values()) {
      if (format.typed().equals(name)) {
        return format;
      }
    }
    List<String> names = Arrays.stream(values()).map(Format::typed).toList();
    throw new UnusableRequest(
        "There is no format " + name + ".",
        Nearest.advice(name, names, "Use --format text or --format json."));
  }

  String typed() {
    return name().toLowerCase(Locale.ROOT);
  }
}
