package paredown.project;

import java.io.IOException;
import java.nio.file.Path;

/** A link stands where pare keeps something of its own, so that it would write somewhere else. */
public final class LinkInTheWay extends IOException {
  private static final long serialVersionUID = 1L;

  LinkInTheWay(Path link) {
    super(link + " is a link; pare writes nothing through it");
  }
}
