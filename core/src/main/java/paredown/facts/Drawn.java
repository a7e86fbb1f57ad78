package paredown.facts;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import paredown.program.CompileError;

/**
 * What was drawn of some files.
 *
 * @param elsewhere errors that stand in none of these files
 */
public record Drawn(List<FileFacts> files, List<CompileError> elsewhere) {

  /** Nothing at all. */
  static final Drawn NONE = new Drawn(List.of(), List.of());

  public Drawn {
    files = List.copyOf(files);
    elsewhere = List.copyOf(elsewhere);
  }

  Drawn and(Drawn other) {
    return new Drawn(
        Stream.concat(files.stream(), other.files.stream()).toList(),
        Stream.concat(elsewhere.stream(), other.elsewhere.stream()).toList());
  }

  /** The errors of all files, in the order of their paths and places. */
  public List<CompileError> errors() {
    return Stream.concat(elsewhere.stream(), files.stream().flatMap(file -> file.errors().stream()))
        .sorted(Comparator.comparing(CompileError::file).thenComparing(CompileError::offset))
        .toList();
  }

  /** The facts of all files together. */
  public Facts facts() {
    List<CompileError> errors = errors();
    return new Facts(
        files.stream()
            .sorted(Comparator.comparing(FileFacts::file))
            .flatMap(file -> file.types().stream())
            .toList(),
        files.size(),
        (int) errors.stream().filter(CompileError::isUnresolved).count(),
        errors.stream().filter(CompileError::isSyntax).toList(),
        word -> false);
  }
}
