package paredown.gate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.edit.Change;
import paredown.program.CompileError;
import paredown.program.Program;

/** The gate <em>compiles</em>: no error that was not there before, by its code and its place. */
final class Compiles {
  private Compiles() {}

  static List<String> newErrors(Program before, Program after, Change change) {
    Provenance provenance = new Provenance(change);
    List<CompileError> known = new ArrayList<>(before.errors());
    List<String> errors = new ArrayList<>();
    for (CompileError error : after.errors()) {
      Optional<CompileError> same =
          known.stream().filter(old -> isSame(old, error, provenance)).findFirst();
      if (same.isPresent()) {
        known.remove(same.get());
      } else {
        errors.add(error.place() + " " + error.message().lines().findFirst().orElse(""));
      }
    }
    return errors;
  }

  private static boolean isSame(CompileError old, CompileError now, Provenance provenance) {
    if (!old.code().equals(now.code())) {
      return false;
    }
    if (now.file().isEmpty() || now.offset() < 0) {
      return old.file().equals(now.file());
    }
    return provenance
        .origin(now.file(), now.offset())
        .filter(origin -> origin.file().equals(old.file()) && origin.offset() == old.offset())
        .isPresent();
  }
}
