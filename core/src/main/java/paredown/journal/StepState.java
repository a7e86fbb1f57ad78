package paredown.journal;

/** How far a step has come. */
public enum StepState {
  /** The originals and the intent are safe; files may or may not be written. */
  INTENDED,
  /** All files are written; the tests have not said that they may stay. */
  WRITTEN,
  /** Kept. */
  VERIFIED,
  /** It is being taken back. */
  RETURNING,
  /** Taken back: every file is as it was before. */
  UNDONE,
  /** Neither kept nor taken back: its files stay as they are. */
  FORGOTTEN;

  /** Whether the step was cut off, so that its files have to be put back. */
  public boolean isOpen() {
    return this == INTENDED || this == WRITTEN || this == RETURNING;
  }
}
