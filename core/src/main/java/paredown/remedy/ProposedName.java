package paredown.remedy;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.TypeFact;
import paredown.text.NameWords;

/** Proposes a name for a class from its members' own words. */
final class ProposedName {
  private ProposedName() {}

  /**
   * The name that everybody has for such a thing; else that of the members' group; else a word that
   * most of the fields share; else the first field's, behind the class's own name.
   */
  static String of(TypeFact type, List<String> fields, String group, Set<String> taken) {
    String word = NameWords.shared(fields).map(NameWords::capitalised).orElse(group);
    List<String> proposals = new ArrayList<>();
    KnownThing.of(fields)
        .ifPresent(thing -> proposals.addAll(List.of(thing, type.simpleName() + thing)));
    if (!word.isEmpty()) {
      proposals.addAll(List.of(word, type.simpleName() + word));
    }
    proposals.add(type.simpleName() + NameWords.withoutUnit(fields.get(0)));
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
}
