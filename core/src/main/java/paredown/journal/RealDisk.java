package paredown.journal;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.time.Instant;

/** The disk of the machine. No link is followed. */
class RealDisk implements Disk {

  @Override
  public void makeFolder(Path folder) throws IOException {
    if (!Files.isDirectory(folder, LinkOption.NOFOLLOW_LINKS)) {
      Files.createDirectory(folder);
    }
  }

  @Override
  public void write(Path file, byte[] content) throws IOException {
    Files.deleteIfExists(file);
    Files.write(file, content, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
  }

  @Override
  public void sync(Path fileOrFolder) throws IOException {
    boolean folder = Files.isDirectory(fileOrFolder);
    if (folder && System.getProperty("os.name").startsWith("Windows")) {
      return;
    }
    try (FileChannel channel =
        FileChannel.open(
            fileOrFolder, folder ? StandardOpenOption.READ : StandardOpenOption.WRITE)) {
      channel.force(true);
    }
  }

  @Override
  public void like(Path file, Path next) throws IOException {
    PosixFileAttributeView old = view(file);
    if (old == null || !Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
      return;
    }
    PosixFileAttributes wanted = old.readAttributes();
    PosixFileAttributeView view = view(next);
    PosixFileAttributes has = view.readAttributes();
    if (!has.group().equals(wanted.group())) {
      view.setGroup(wanted.group());
    }
    if (!has.owner().equals(wanted.owner())) {
      view.setOwner(wanted.owner());
    }
    view.setPermissions(wanted.permissions());
  }

  private static PosixFileAttributeView view(Path file) {
    return Files.getFileAttributeView(
        file, PosixFileAttributeView.class, LinkOption.NOFOLLOW_LINKS);
  }

  @Override
  public void rename(Path from, Path to) throws IOException {
    if (!Files.isDirectory(from, LinkOption.NOFOLLOW_LINKS)) {
      // A build goes by times: what comes back would be older than what was made of what it was.
      Files.setLastModifiedTime(from, FileTime.from(Instant.now()));
    }
    try {
      Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException onAnotherMount) {
      Path beside = to.resolveSibling("." + to.getFileName() + ".pare");
      write(beside, Files.readAllBytes(from));
      like(from, beside);
      sync(beside);
      Files.move(beside, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
      Files.delete(from);
    }
  }

  @Override
  public void delete(Path file) throws IOException {
    Files.deleteIfExists(file);
  }
}
