package paredown.project;

/** What is told of a build while it is asked, which may take seconds. */
@FunctionalInterface
public interface BuildAdvice {
  /** Says what is being done, in a few words. */
  void doing(String what);

  /** Tells nobody anything. */
  static BuildAdvice silent() {
    return what -> {};
  }
}
