package paredown.gate;

import paredown.Problem;

/** A test problem is why the tests could not be run to their end, or say nothing. */
public final class TestProblem extends Problem {
  private static final long serialVersionUID = 1L;

  public TestProblem(String sentence, String advice) {
    super(sentence, advice);
  }
}
