package paredown.cli.show;

import java.io.FileDescriptor;
import picocli.CommandLine.Help.Ansi;

/**
 * The terminal is where output goes: how wide it is, and whether it takes colours. The launcher
 * says which of the streams are terminals; without it neither is.
 */
public final class Terminal {
  private static final int PIPE_WIDTH = 100;

  private final Shown out;
  private final Shown err;
  private final boolean inIsTerminal;
  private final boolean outIsTerminal;
  private final boolean errIsTerminal;
  private final int width;

  private Terminal(Shown out, Shown err, String streams, int width) {
    this.out = out;
    this.err = err;
    this.inIsTerminal = streams.contains("0");
    this.outIsTerminal = streams.contains("1");
    this.errIsTerminal = streams.contains("2");
    this.width = width;
  }

  public static Terminal ofProcess() {
    String streams = System.getProperty("pare.terminals", "");
    int columns = Integer.getInteger("pare.columns", 0);
    return new Terminal(
        Shown.on(FileDescriptor.out, streams.contains("1")),
        Shown.on(FileDescriptor.err, streams.contains("2")),
        streams,
        columns >= 40 ? columns : PIPE_WIDTH);
  }

  public Shown out() {
    return out;
  }

  public Shown err() {
    return err;
  }

  /** Whether somebody sits there who can be asked. */
  public boolean canAsk() {
    return inIsTerminal && errIsTerminal;
  }

  public boolean outIsTerminal() {
    return outIsTerminal;
  }

  public boolean errIsTerminal() {
    return errIsTerminal;
  }

  public int width() {
    return width;
  }

  private boolean colours() {
    String no = System.getenv("NO_COLOR");
    boolean dumb = "dumb".equals(System.getenv("TERM"));
    return outIsTerminal && (no == null || no.isEmpty()) && !dumb;
  }

  public String bold(String text) {
    return styled(text, Ansi.Style.bold);
  }

  public String faint(String text) {
    return styled(text, Ansi.Style.faint);
  }

  public String red(String text) {
    return styled(text, Ansi.Style.fg_red);
  }

  public String green(String text) {
    return styled(text, Ansi.Style.fg_green);
  }

  public String cyan(String text) {
    return styled(text, Ansi.Style.fg_cyan);
  }

  private String styled(String text, Ansi.Style style) {
    // Some terminals read the code that ends bold as the one that begins an underline.
    return colours() ? style.on() + text + Ansi.Style.reset.on() : text;
  }
}
