package paredown.project;

import paredown.Problem;

/** A project is unreadable where its build, its folders or its files cannot be understood. */
public final class ProjectUnreadable extends Problem {
  private static final long serialVersionUID = 1L;

  public ProjectUnreadable(String sentence, String advice) {
    super(sentence, advice);
  }

  public ProjectUnreadable(String sentence, String advice, Throwable cause) {
    super(sentence, advice, cause);
  }
}
