package paredown.smell;

import java.util.List;
import paredown.facts.Range;
import paredown.project.Fingerprint;

/**
 * A finding is one smell at one place, with its evidence and weight.
 *
 * @param weight from 0 to 100; it depends on the place alone, and more of the evil never weighs
 *     less
 * @param type canonical name of the class
 * @param identity the names that, with the class, tell it from other findings of the smell
 * @param members the members it is about, fields by name and methods by signature
 * @param range where it is
 * @param summary what it says in half a line
 * @param claim what it says in one sentence
 */
public record Finding(
    Smell smell,
    Form form,
    int weight,
    String type,
    List<String> identity,
    List<String> members,
    Range range,
    String summary,
    String claim,
    Evidence evidence) {

  public Finding {
    identity = List.copyOf(identity);
    members = List.copyOf(members);
  }

  /** The smell's short name and six hexadecimal digits of the names of the place. */
  public String id() {
    Fingerprint names = new Fingerprint().add(smell.id()).add(type);
    identity.stream().sorted().forEach(names::add);
    return smell.shortName() + "-" + names.hex(6);
  }

  /**
   * Whether it is what is left of another: of its class and smell, about half of the same names.
   */
  public boolean isLeftOf(Finding before) {
    if (smell != before.smell() || !type.equals(before.type())) {
      return false;
    }
    if (before.identity().isEmpty() || id().equals(before.id())) {
      return form == before.form();
    }
    long shared = identity.stream().distinct().filter(before.identity()::contains).count();
    return shared * 2 >= Math.min(before.identity().size(), identity.size());
  }

  /** The class's name without its package. */
  public String shortType() {
    return shortName(type);
  }

  /** A canonical name without its package: what begins with the first capital letter. */
  public static String shortName(String type) {
    String[] parts = type.split("\\.");
    int from = 0;
    while (from < parts.length - 1 && Character.isLowerCase(parts[from].charAt(0))) {
      from++;
    }
    return String.join(".", List.of(parts).subList(from, parts.length));
  }
}
