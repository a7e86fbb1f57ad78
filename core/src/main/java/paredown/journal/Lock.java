package paredown.journal;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import paredown.MachineProblem;
import paredown.project.Workspace;

/** The lock lets one writer at a time into a project; the system frees it when its holder dies. */
public final class Lock implements AutoCloseable {
  private final FileChannel channel;
  private final FileLock lock;

  private Lock(FileChannel channel, FileLock lock) {
    this.channel = channel;
    this.lock = lock;
  }

  /**
   * Takes the lock.
   *
   * @throws JournalProblem where another writer has it, or the project cannot be written to
   */
  public static Lock take(Path root) {
    FileChannel channel = null;
    try {
      Path file = new Workspace(root).create().resolve("lock");
      channel =
          FileChannel.open(
              file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
      FileLock lock = channel.tryLock();
      if (lock != null) {
        return new Lock(channel, lock);
      }
      channel.close();
    } catch (OverlappingFileLockException sameProcess) {
      closeQuietly(channel);
    } catch (IOException e) {
      closeQuietly(channel);
      throw new MachineProblem(
          "The project cannot be written to: " + MachineProblem.reason(e) + ".",
          "Check the permissions of " + root + ", and that .pare is a folder in it.",
          e);
    }
    throw new JournalProblem(
        "Another pare is changing this project right now.",
        "Wait until it has ended, then try again.",
        List.of());
  }

  /** Whether another program has the lock just now. */
  public static boolean isHeld(Path root) {
    Path folder = new Workspace(root).folder();
    Path file = folder.resolve("lock");
    if (!Workspace.isFolder(folder) || !Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ);
        FileLock shared = channel.tryLock(0, Long.MAX_VALUE, true)) {
      return shared == null;
    } catch (OverlappingFileLockException ours) {
      return false;
    } catch (IOException unknown) {
      return false;
    }
  }

  private static void closeQuietly(FileChannel channel) {
    try {
      if (channel != null) {
        channel.close();
      }
    } catch (IOException e) {
      // Nothing was written through it.
    }
  }

  @Override
  public void close() {
    try {
      lock.release();
      channel.close();
    } catch (IOException e) {
      // The system frees it at the end of the process.
    }
  }
}
