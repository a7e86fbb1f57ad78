package paredown.cli;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import paredown.cli.show.Terminal;
import paredown.cli.show.Visible;
import paredown.project.Progress;

/** One line on standard error that says what takes its time; on terminals only, after a moment. */
final class ProgressLine implements Progress, AutoCloseable {
  private static final long SILENT_MILLIS = 1500;

  private final Terminal terminal;
  private final long begin = System.nanoTime();
  private ScheduledExecutorService clock;
  private volatile String what = "";
  private volatile Supplier<String> howFar = () -> "";

  ProgressLine(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public synchronized void doing(String now) {
    what = now;
    howFar = () -> "";
    if (terminal.errIsTerminal() && clock == null) {
      clock =
          Executors.newSingleThreadScheduledExecutor(
              task -> {
                Thread thread = new Thread(task, "progress");
                thread.setDaemon(true);
                return thread;
              });
      clock.scheduleAtFixedRate(this::show, SILENT_MILLIS, 250, TimeUnit.MILLISECONDS);
    }
  }

  @Override
  public void soFar(Supplier<String> far) {
    howFar = far;
  }

  @Override
  public void said(String sentence) {
    close();
    terminal.err().println(sentence);
    terminal.err().flush();
  }

  private void show() {
    long seconds = (System.nanoTime() - begin) / 1_000_000_000;
    String far = howFar.get();
    String line = "%s%s … %d s".formatted(what, far.isEmpty() ? "" : ": " + far, seconds);
    int room = terminal.width() - 1;
    terminal
        .err()
        .printCodes(
            "\r\033[K"
                + Visible.text(line.length() > room ? line.substring(0, room) : line, false));
    terminal.err().flush();
  }

  @Override
  public synchronized void close() {
    if (clock != null) {
      clock.shutdownNow();
      clock = null;
      terminal.err().printCodes("\r\033[K");
      terminal.err().flush();
    }
  }
}
