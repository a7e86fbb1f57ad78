package paredown.project;

/** Progress is told what is being done, for anything that may take seconds. */
@FunctionalInterface
public interface Progress {
  /** Says what is being done, in a few words. */
  void doing(String what);

  /** Tells nobody anything. */
  static Progress silent() {
    return what -> {};
  }
}
