package paredown;

/** An unusable request names something that is not there, or asks for something that cannot be. */
public final class UnusableRequest extends Problem {
  private static final long serialVersionUID = 1L;

  public UnusableRequest(String sentence, String advice) {
    super(sentence, advice);
  }
}
