package paredown.journal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assumptions.assumeFalse;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.GroupPrincipal;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RealDiskTest {
  private static final Path MEMORY = Path.of("/dev/shm");

  @TempDir Path root;
  private Path mount;

  @BeforeEach
  void layOut() throws IOException {
    JournalTest.layOut(root);
  }

  @AfterEach
  void clear() throws IOException {
    if (mount != null) {
      Files.walkFileTree(mount, new Deletion());
    }
  }

  private static PosixFileAttributes attributes(Path file) throws IOException {
    return Files.readAttributes(file, PosixFileAttributes.class, LinkOption.NOFOLLOW_LINKS);
  }

  @Test
  void aFileIsRenamedToAnotherMountWithItsContentAndMode() throws IOException {
    assumeTrue(Files.isWritable(MEMORY), "no file system in memory");
    assumeFalse(Files.getFileStore(MEMORY).equals(Files.getFileStore(root)), "one file system");
    mount = Files.createTempDirectory(MEMORY, "mount");
    Path from = root.resolve("src/Sailing.java");
    Files.setPosixFilePermissions(from, PosixFilePermissions.fromString("rw-r-----"));
    Path to = Files.writeString(mount.resolve("Sailing.java"), "class Sailing { int old; }\n");

    new RealDisk().rename(from, to);

    assertEquals("class Sailing { }\n", Files.readString(to));
    assertEquals("rw-r-----", PosixFilePermissions.toString(attributes(to).permissions()));
    assertFalse(Files.exists(from));
    try (var left = Files.list(mount)) {
      assertEquals(1, left.count(), "a part was left beside the file");
    }
  }

  @Test
  void aReplacedFileKeepsItsOwnerItsGroupAndItsMode() throws IOException {
    Path file = root.resolve("src/Sailing.java");
    var people = file.getFileSystem().getUserPrincipalLookupService();
    var view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    try {
      GroupPrincipal group = people.lookupPrincipalByGroupName("1");
      view.setGroup(group);
      view.setOwner(people.lookupPrincipalByName("1"));
    } catch (IOException notAllowed) {
      assumeTrue(false, "only an administrator gives files away");
    }
    view.setPermissions(PosixFilePermissions.fromString("rw-rw-r--"));
    PosixFileAttributes before = attributes(file);
    Journal journal = new Journal(root, new RealDisk());

    Step step = journal.verify(journal.write(JournalTest.change(), "pare extract class"));
    assertEquals("class Sailing { int taken; }\n", Files.readString(file));
    assertSame(before, attributes(file));

    journal.undo(step);
    assertEquals("class Sailing { }\n", Files.readString(file));
    assertSame(before, attributes(file));
  }

  private static void assertSame(PosixFileAttributes before, PosixFileAttributes now) {
    assertEquals(before.owner(), now.owner());
    assertEquals(before.group(), now.group());
    assertEquals(before.permissions(), now.permissions());
  }

  private static class Deletion extends SimpleFileVisitor<Path> {
    @Override
    public FileVisitResult visitFile(Path file, BasicFileAttributes of) throws IOException {
      Files.delete(file);
      return FileVisitResult.CONTINUE;
    }

    @Override
    public FileVisitResult postVisitDirectory(Path folder, IOException e) throws IOException {
      Files.delete(folder);
      return FileVisitResult.CONTINUE;
    }
  }
}
