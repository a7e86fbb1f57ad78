package paredown.project;

/** Progress is told what is being done, for anything that may take seconds. */
public interface Progress {
  /** Says what is being done, in a few words. */
  void doing(String what);

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
