package paredown;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;

/** A machine problem is something that the machine does not let us do: no room, no rights. */
public final class MachineProblem extends Problem {
  private static final long serialVersionUID = 1L;

  public MachineProblem(String sentence, String advice, Throwable cause) {
    super(sentence, advice, cause);
  }

  /** What an error of the machine says, as a clause: {@code "no space left on device"}. */
  public static String reason(IOException e) {
    if (!(e instanceof FileSystemException of) || of.getFile() == null) {
      return e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
    }
    String file = of.getFile();
    if (e instanceof AccessDeniedException) {
      return "no permission for " + file;
    }
    if (e instanceof NoSuchFileException) {
      return file + " is not there";
    }
    if (e instanceof FileAlreadyExistsException) {
      return file + " is in the way";
    }
    if (e instanceof NotDirectoryException) {
      return file + " is not a folder";
    }
    return of.getReason() == null ? file : of.getReason() + " (" + file + ")";
  }
}
