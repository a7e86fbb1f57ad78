package paredown.refactor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import paredown.edit.ChangedFile;
import paredown.edit.Rendering;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.UnusedImports;
import paredown.text.SourceText;

/** The files of a program with the edits of a change, and without the imports that those free. */
public final class EditedFiles {
  private final Program program;

  public EditedFiles(Program program) {
    this.program = program;
  }

  /**
   * The files that change.
   *
   * @throws Refused where one may not be edited, or lacks signs that it would need
   */
  public List<ChangedFile> of(EditList edits) {
    List<ChangedFile> files = new ArrayList<>();
    for (Map.Entry<String, List<Replacement>> entry : edits.byFile().entrySet()) {
      if (!entry.getValue().isEmpty()) {
        requireEditable(entry.getKey());
        files.add(file(entry.getKey(), entry.getValue()));
      }
    }
    return files;
  }

  private ChangedFile file(String path, List<Replacement> edits) {
    SourceText before = source(path);
    ChangedFile draft = Rendering.edited(before, edits, this::source);
    requireEncodable(draft);
    if (draft.isDeleted()) {
      return draft;
    }
    List<Replacement> all = new ArrayList<>(edits);
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    for (Replacement removal : UnusedImports.removals(trees, draft.after())) {
      boolean gone =
          edits.stream()
              .anyMatch(edit -> edit.start() < removal.end() && removal.start() < edit.end());
      if (!gone) {
        all.add(removal);
      }
    }
    return Rendering.edited(before, all, this::source);
  }

  /** The text of a file before. */
  public SourceText source(String path) {
    return program.unit(path).orElseThrow().source();
  }

  private static void requireEncodable(ChangedFile file) {
    if (!file.after().charset().newEncoder().canEncode(file.after().text())) {
      throw Refused.of(
          RefusalKind.GARBLED,
          "It",
          file.path()
              + " is written in "
              + file.after().charset()
              + ", which lacks some of its signs",
          file.path());
    }
  }

  private void requireEditable(String path) {
    boolean generated = program.sources().file(path).filter(SourceIndex::isEditable).isEmpty();
    if (generated) {
      throw Refused.because(RefusalKind.GENERATED, path, path);
    }
  }
}
