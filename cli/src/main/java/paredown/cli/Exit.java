package paredown.cli;

/** The exit codes that every command keeps to. */
final class Exit {
  static final int DONE = 0;
  static final int FINDINGS = 1;
  static final int UNUSABLE = 2;
  static final int REFUSED = 3;
  static final int PUT_BACK = 4;
  static final int UNREADABLE = 5;
  static final int OUR_FAULT = 70;
  static final int INTERRUPTED = 130;

  private Exit() {}
}
