package paredown.journal;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
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
      channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileLock lock = channel.tryLock();
      if (lock != null) {
        return new Lock(channel, lock);
      }
      channel.close();
    } catch (OverlappingFileLockException sameProcess) {
      closeQuietly(channel);
    } catch (IOException e) {
      throw new JournalProblem(
          "The project cannot be written to: " + e.getMessage() + ".",
          "Check the permissions of " + root + ".",
          List.of());
    }
    throw new JournalProblem(
        "Another pare is changing this project right now.",
        "Wait until it has ended, then try again.",
        List.of());
  }

  private static void closeQuietly(FileChannel channel) {
    try {
      channel.close();
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
