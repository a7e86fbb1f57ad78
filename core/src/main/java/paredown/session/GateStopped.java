package paredown.session;

import paredown.Problem;

/** A gate stopped a change before anything was written, or it was not the change expected. */
public final class GateStopped extends Problem {
  private static final long serialVersionUID = 1L;

  public GateStopped(String sentence, String advice) {
    super(sentence, advice);
  }
}
