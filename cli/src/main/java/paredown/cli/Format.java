package paredown.cli;

import paredown.UnusableRequest;

/** The formats in which an answer can be given. */
enum Format {
  TEXT,
  JSON;

  /** The format of that name. */
  static Format of(String name) {
    return switch (name) {
      case "text" -> TEXT;
      case "json" -> JSON;
      case "sarif", "html", "markdown" ->
          throw new UnusableRequest(
              "The format " + name + " is not there yet.", "Use --format text or --format json.");
      default ->
          throw new UnusableRequest(
              "There is no format " + name + ".", "Use --format text or --format json.");
    };
  }
}
