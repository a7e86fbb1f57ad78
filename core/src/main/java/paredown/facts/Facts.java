package paredown.facts;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.program.CompileError;

/**
 * Facts are what a program declares and what its members use: light, and free of trees.
 *
 * @param types in the order of files and places
 * @param files how many files were read
 * @param unresolved how many names the compiler could not resolve
 * @param unparsed the errors of files that are no Java
 * @param testWords the identifiers of the test sources, where these were not read themselves
 */
public record Facts(
    List<TypeFact> types, int files, int unresolved, List<CompileError> unparsed, Words testWords) {

  public Facts {
    types = List.copyOf(types);
    unparsed = List.copyOf(unparsed);
  }

  /** The identifiers of some files; looked up only where somebody asks. */
  public interface Words {
    boolean hold(String word);
  }

  /** The same facts, beside tests that hold these identifiers. */
  public Facts beside(Words words) {
    return new Facts(types, files, unresolved, unparsed, words);
  }

  /** The same with other types. */
  public Facts with(List<TypeFact> others) {
    return new Facts(others, files, unresolved, unparsed, testWords);
  }

  public int methods() {
    return types.stream().mapToInt(type -> type.methods().size()).sum();
  }

  public Optional<TypeFact> type(String name) {
    return types.stream().filter(type -> type.name().equals(name)).findFirst();
  }

  /** The types by their canonical names. */
  public Map<String, TypeFact> byName() {
    Map<String, TypeFact> found = new HashMap<>();
    types.forEach(type -> found.put(type.name(), type));
    return found;
  }
}
