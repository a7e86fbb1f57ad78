package paredown.project;

/**
 * Something that is done if the program is told to end before it is closed. Where the program is
 * ending already, closing changes nothing.
 */
public final class AtExit implements AutoCloseable {
  private final Thread hook;

  private AtExit(Thread hook) {
    this.hook = hook;
  }

  /** Does a thing at the end of the program, from now on until this is closed. */
  public static AtExit run(Runnable task) {
    AtExit atExit = new AtExit(new Thread(task, "at exit"));
    Runtime.getRuntime().addShutdownHook(atExit.hook);
    return atExit;
  }

  @Override
  public void close() {
    try {
      Runtime.getRuntime().removeShutdownHook(hook);
    } catch (IllegalStateException endingAlready) {
      // The task runs now, or has run.
    }
  }
}
