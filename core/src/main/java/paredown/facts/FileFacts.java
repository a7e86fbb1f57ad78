package paredown.facts;

import java.util.List;
import paredown.program.CompileError;

/**
 * File facts are what one file declares and what its members use.
 *
 * @param types in the order of their places
 * @param errors what the compiler says of it, in the order of the places
 * @param declared what other files see of it
 */
public record FileFacts(
    String file, List<TypeFact> types, List<CompileError> errors, Declared declared) {

  public FileFacts {
    types = List.copyOf(types);
    errors = List.copyOf(errors);
  }
}
