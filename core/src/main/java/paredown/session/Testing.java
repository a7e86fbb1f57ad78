package paredown.session;

/** Which tests a change is held against, and when. */
public enum Testing {
  /** All of them, through the build. */
  ALL,
  /** Those that reach the change first, without the build; then all. */
  QUICK_FIRST,
  /** Those that reach the change only; all are run by somebody else. */
  QUICK
}
