package paredown.project;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** A fingerprint is a short text that stands for content: equal content, equal text (SHA-256). */
public final class Fingerprint {
  private final MessageDigest digest;

  public Fingerprint() {
    try {
      digest = MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  /** The fingerprint of one piece of content, in full. */
  public static String of(byte[] content) {
    Fingerprint fingerprint = new Fingerprint();
    fingerprint.add(content);
    return fingerprint.hex(64);
  }

  public Fingerprint add(byte[] content) {
    digest.update((content.length + ":").getBytes(StandardCharsets.UTF_8));
    digest.update(content);
    return this;
  }

  public Fingerprint add(String content) {
    return add(content.getBytes(StandardCharsets.UTF_8));
  }

  /** Adds a file's name and content. */
  public Fingerprint add(Path file) {
    add(file.toString());
    try {
      return add(Files.readAllBytes(file));
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The file " + file + " cannot be read.", "Check its permissions.", e);
    }
  }

  /** So many hexadecimal digits of all that was added; this may be asked once. */
  public String hex(int digits) {
    return HexFormat.of().formatHex(digest.digest()).substring(0, digits);
  }
}
