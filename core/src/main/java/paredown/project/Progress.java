package paredown.project;

import java.util.function.Supplier;

/** Progress is told what is being done, for anything that may take seconds. */
public interface Progress {
  /** Says what is being done, in a few words. */
  void doing(String what);

  /**
   * Says how far that is, asked again and again until something else is being done.
   *
   * @param howFar so many of so many; empty text where that is not known
   */
  default void soFar(Supplier<String> howFar) {}

  /** Says something that stays to be read. */
  void said(String sentence);

  /** Tells nobody anything. */
  static Progress silent() {
    return new Progress() {
      @Override
      public void doing(String what) {}

      @Override
      public void said(String sentence) {}
    };
  }
}
