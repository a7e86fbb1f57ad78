package paredown.journal;

import java.io.IOException;
import java.nio.file.Path;

/** The disk is what a journal does to files; every call is one thing that a crash can cut off. */
interface Disk {
  void makeFolder(Path folder) throws IOException;

  void write(Path file, byte[] content) throws IOException;

  /** Makes sure that a file or folder is really on the disk. */
  void sync(Path fileOrFolder) throws IOException;

  /** Puts a file in the place of another, or a folder in a free place, in one instant. */
  void rename(Path from, Path to) throws IOException;

  void delete(Path file) throws IOException;
}
