package paredown.cli;

import java.util.Optional;
import picocli.CommandLine.Option;

/** The option that says whether old places go on forwarding. */
final class Delegates {
  /** Whether an old place goes on forwarding. */
  enum Delegate {
    keep,
    none
  }

  @Option(
      names = "--delegate",
      paramLabel = "keep|none",
      description =
          "Whether a method stays that forwards, or every caller asks the "
              + "new place. By default only private methods leave none.")
  private Delegate delegate;

  /** Whether to keep them; empty where nothing was said. */
  Optional<Boolean> keep() {
    return Optional.ofNullable(delegate).map(Delegate.keep::equals);
  }
}
