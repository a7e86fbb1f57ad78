package paredown;

/** A problem is something that went wrong which the user can mend: one sentence and an advice. */
public abstract class Problem extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String advice;

  /**
   * @param sentence what happened and where
   * @param advice what to do about it; empty where nothing can be done
   */
  protected Problem(String sentence, String advice, Throwable cause) {
    super(sentence, cause);
    this.advice = advice;
  }

  protected Problem(String sentence, String advice) {
    this(sentence, advice, null);
  }

  /** What the user can do about it; empty where there is nothing to be done. */
  public String advice() {
    return advice;
  }
}
