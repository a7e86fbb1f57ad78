package paredown.journal;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** The disk of the machine. */
class RealDisk implements Disk {

  @Override
  public void makeFolder(Path folder) throws IOException {
    Files.createDirectories(folder);
  }

  @Override
  public void write(Path file, byte[] content) throws IOException {
    Files.write(file, content);
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
  public void rename(Path from, Path to) throws IOException {
    Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
  }

  @Override
  public void delete(Path file) throws IOException {
    Files.deleteIfExists(file);
  }
}
