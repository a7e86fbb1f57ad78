package paredown.cli.show;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import org.eclipse.jgit.diff.DiffAlgorithm;
import org.eclipse.jgit.diff.DiffFormatter;
import org.eclipse.jgit.diff.Edit;
import org.eclipse.jgit.diff.EditList;
import org.eclipse.jgit.diff.RawText;
import org.eclipse.jgit.diff.RawTextComparator;
import paredown.edit.ChangedFile;

/** The difference that a change makes to one file, in git's format, byte for byte. */
public final class Diff {
  private final ChangedFile file;
  private final RawText before;
  private final RawText after;
  private final EditList edits;

  private Diff(ChangedFile file) {
    this.file = file;
    this.before = new RawText(bytes(file, true));
    this.after = new RawText(bytes(file, false));
    this.edits =
        DiffAlgorithm.getAlgorithm(DiffAlgorithm.SupportedAlgorithm.HISTOGRAM)
            .diff(RawTextComparator.DEFAULT, before, after);
  }

  public static Diff of(ChangedFile file) {
    return new Diff(file);
  }

  private static byte[] bytes(ChangedFile file, boolean old) {
    try {
      if (old) {
        return file.isNew()
            ? new byte[0]
            : file.before().orElseThrow().encode(file.before().orElseThrow().text());
      }
      return file.after().encode(file.after().text());
    } catch (CharacterCodingException e) {
      return file.after().text().getBytes(StandardCharsets.UTF_8);
    }
  }

  public int added() {
    return edits.stream().mapToInt(Edit::getLengthB).sum();
  }

  public int removed() {
    return edits.stream().mapToInt(Edit::getLengthA).sum();
  }

  /** The difference as {@code git apply} takes it, in the file's own encoding. */
  public byte[] bytes() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (DiffFormatter formatter = new DiffFormatter(out)) {
      out.write(header().getBytes(StandardCharsets.UTF_8));
      formatter.format(edits, before, after);
      formatter.flush();
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private String header() {
    String path = file.path();
    String old = file.movedFrom().orElse(path);
    String what =
        file.isNew()
            ? "new file mode 100644\n"
            : file.isDeleted()
                ? "deleted file mode 100644\n"
                : old.equals(path) ? "" : "rename from %s\nrename to %s\n".formatted(old, path);
    return "diff --git a/%s b/%s\n%s--- %s\n+++ %s\n"
        .formatted(
            old,
            path,
            what,
            file.isNew() ? "/dev/null" : "a/" + old,
            file.isDeleted() ? "/dev/null" : "b/" + path);
  }
}
