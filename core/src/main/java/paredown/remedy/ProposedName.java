package paredown.remedy;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.TypeFact;

/** Proposes a name for a class from its members' own words. */
final class ProposedName {
  private static final Set<String> EMPTY_WORDS =
      Set.of("is", "has", "get", "set", "the", "of", "to", "by", "for", "and", "in", "on", "with");

  private ProposedName() {}

  /** A word that most of the fields share; else the first field's, behind the class's own name. */
  static String of(TypeFact type, List<String> fields, Set<String> taken) {
    String word = shared(fields).map(ProposedName::capitalised).orElse("");
    List<String> proposals =
        word.isEmpty()
            ? List.of(type.simpleName() + capitalised(fields.get(0)))
            : List.of(word, type.simpleName() + word);
    return proposals.stream()
        .filter(name -> !taken.contains(name))
        .findFirst()
        .orElseGet(() -> numbered(proposals.get(0), taken));
  }

  private static String numbered(String name, Set<String> taken) {
    return Stream.iterate(2, number -> number + 1)
        .map(number -> name + number)
        .filter(each -> !taken.contains(each))
        .findFirst()
        .orElseThrow();
  }

  private static Optional<String> shared(List<String> names) {
    Map<String, Long> counts = new LinkedHashMap<>();
    for (String name : names) {
      words(name).distinct().forEach(word -> counts.merge(word, 1L, Long::sum));
    }
    return counts.entrySet().stream()
        .filter(entry -> entry.getValue() >= 2 && entry.getValue() * 2 >= names.size())
        .filter(entry -> entry.getKey().length() > 2 && !EMPTY_WORDS.contains(entry.getKey()))
        .max(Comparator.comparingLong(Map.Entry::getValue))
        .map(Map.Entry::getKey);
  }

  private static Stream<String> words(String name) {
    return Arrays.stream(name.split("(?<=[\\p{Ll}\\d])(?=\\p{Lu})|_"))
        .map(String::toLowerCase)
        .filter(word -> !word.isEmpty());
  }

  private static String capitalised(String word) {
    return Character.toUpperCase(word.charAt(0)) + word.substring(1);
  }
}
