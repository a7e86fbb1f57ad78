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
 * @param members the members it is about, fields by name and methods by signature
 * @param range where the class is
 */
public record Finding(
    Smell smell, int weight, String type, List<String> members, Range range, Evidence evidence) {

  public Finding {
    members = List.copyOf(members);
  }

  /** The smell's short name and six hexadecimal digits of the names of the place. */
  public String id() {
    Fingerprint names = new Fingerprint().add(smell.id()).add(type);
    if (smell == Smell.DATA_CLUMP) {
      members.stream().sorted().forEach(names::add);
    }
    return smell.shortName() + "-" + names.hex(6);
  }

  public String simpleType() {
    return type.substring(type.lastIndexOf('.') + 1);
  }
}
