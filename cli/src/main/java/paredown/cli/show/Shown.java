package paredown.cli.show;

import java.io.BufferedOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import paredown.MachineProblem;

/** A stream of the process on which nothing is printed that a terminal would obey. */
public final class Shown extends PrintStream {
  private final Raw raw;
  private final boolean styles;

  private Shown(Raw raw, boolean styles) {
    super(raw, true, StandardCharsets.UTF_8);
    this.raw = raw;
    this.styles = styles;
  }

  public static Shown on(FileDescriptor descriptor, boolean isTerminal) {
    return new Shown(new Raw(descriptor), isTerminal);
  }

  @Override
  public void print(String text) {
    super.print(Visible.text(String.valueOf(text), styles));
  }

  /** Prints text in any encoding that extends ASCII. */
  public void printBytes(byte[] text) {
    super.writeBytes(Visible.bytes(text, styles));
  }

  /** Prints codes of our own, for the line that shows progress. */
  public void printCodes(String text) {
    super.print(text);
  }

  /**
   * Makes sure that all is out.
   *
   * @throws MachineProblem where it could not be written; not where its reader has gone
   */
  public void requireOut() {
    flush();
    IOException problem = raw.problem;
    boolean readerLeft =
        problem != null && String.valueOf(problem.getMessage()).contains("Broken pipe");
    if (problem != null && !readerLeft) {
      raw.problem = null;
      throw new MachineProblem(
          "The answer could not be written out: " + MachineProblem.reason(problem) + ".",
          "Make room where it goes, then try again.",
          problem);
    }
  }

  /** Keeps what went wrong, which a print stream does not tell. */
  private static final class Raw extends OutputStream {
    private final OutputStream out;
    private IOException problem;

    Raw(FileDescriptor descriptor) {
      this.out = new BufferedOutputStream(new FileOutputStream(descriptor));
    }

    @Override
    public void write(int b) throws IOException {
      write(new byte[] {(byte) b}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
      try {
        out.write(bytes, from, length);
      } catch (IOException e) {
        problem = e;
        throw e;
      }
    }

    @Override
    public void flush() throws IOException {
      try {
        out.flush();
      } catch (IOException e) {
        problem = e;
        throw e;
      }
    }
  }
}
