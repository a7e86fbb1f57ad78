package paredown.program;

/** Thrown where the code of a file matters of which only the skeleton was read. */
public final class OnlySkeleton extends RuntimeException {
  private final String file;

  OnlySkeleton(String file) {
    super("Only the skeleton of " + file + " was read.");
    this.file = file;
  }

  /** The path of the file, which has to be among those of the program. */
  public String file() {
    return file;
  }
}
