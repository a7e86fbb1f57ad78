package paredown.journal;

import java.io.IOException;
import java.nio.file.Path;

/** The disk is what a journal does to files; every call is one thing that a crash can cut off. */
interface Disk {
  /** Makes a folder whose parent is there; nothing where it is there already. */
  void makeFolder(Path folder) throws IOException;

  /** Makes a file anew; what was in its place goes before. */
  void write(Path file, byte[] content) throws IOException;

  /** Makes sure that a file or folder is really on the disk. */
  void sync(Path fileOrFolder) throws IOException;

  /** Gives a file the owner, group and permissions that another has; none where that is missing. */
  void like(Path file, Path next) throws IOException;

  /** Puts a file in the place of another, or a folder in a free place, in one instant. */
  void rename(Path from, Path to) throws IOException;

  void delete(Path file) throws IOException;
}
