package paredown.project;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * A seal marks what this installation of pare wrote for one project on this machine, so that it
 * does not believe what came with a project from somewhere else.
 *
 * <p>A mark is an HMAC-SHA-256 with a key that is kept outside the project, in the user's own state
 * folder: {@code $XDG_STATE_HOME/pare}, or {@code ~/.local/state/pare}.
 */
public final class Seal {
  private static final int LENGTH = 32;

  private final Path root;

  private Seal(Path root) {
    this.root = root;
  }

  /** The seal of a project, by its root free of links. */
  public static Seal of(Path root) {
    return new Seal(root);
  }

  /** The folder of the key. */
  public static Path folder() {
    String state = System.getenv("XDG_STATE_HOME");
    boolean set = state != null && Path.of(state).isAbsolute();
    Path base = set ? Path.of(state) : Path.of(System.getProperty("user.home"), ".local", "state");
    return base.resolve("pare");
  }

  /**
   * The mark of some content under a name, 64 hexadecimal digits; empty where no key can be kept.
   */
  public Optional<String> mark(String name, byte[] content) {
    return key(true).map(key -> mark(key, name, content));
  }

  /** Whether a mark is the one of this content under this name. */
  public boolean holds(String mark, String name, byte[] content) {
    return key(false)
        .map(key -> mark(key, name, content).getBytes(StandardCharsets.UTF_8))
        .filter(
            right -> MessageDigest.isEqual(right, mark.strip().getBytes(StandardCharsets.UTF_8)))
        .isPresent();
  }

  private String mark(byte[] key, String name, byte[] content) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(key, "HmacSHA256"));
      mac.update((root.toRealPath() + "\0" + name + "\0").getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(mac.doFinal(content));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every Java platform has HmacSHA256", e);
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The folder " + root + " cannot be read.", "Check its permissions.", e);
    }
  }

  /** The key; empty where there is none, or none can be made. */
  private static Optional<byte[]> key(boolean make) {
    Path file = folder().resolve("key");
    try {
      if (make && !Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
        create(file);
      }
      byte[] key = Files.readAllBytes(file);
      return key.length == LENGTH ? Optional.of(key) : Optional.empty();
    } catch (IOException | UnsupportedOperationException none) {
      return Optional.empty();
    }
  }

  private static void create(Path file) throws IOException {
    Files.createDirectories(file.getParent());
    byte[] key = new byte[LENGTH];
    new SecureRandom().nextBytes(key);
    Path part = Files.createTempFile(file.getParent(), "key", ".part", ownerOnly(file));
    try {
      Files.write(part, key, StandardOpenOption.WRITE);
      // A link is made or not, in one instant, so that two programs agree on one key.
      Files.createLink(file, part);
    } catch (FileAlreadyExistsException madeMeanwhile) {
      // The other program's key is the one.
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static FileAttribute<?>[] ownerOnly(Path file) throws IOException {
    boolean posix = Files.getFileStore(file.getParent()).supportsFileAttributeView("posix");
    return posix
        ? new FileAttribute<?>[] {
          PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------"))
        }
        : new FileAttribute<?>[0];
  }
}
