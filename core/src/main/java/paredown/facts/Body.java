package paredown.facts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.facts.MethodFact.MemberUse;

/**
 * A body is what finding needs of the inside of a method or an initialiser.
 *
 * @param branches the decisions in it and one, McCabe's cyclomatic complexity; 0 without body
 * @param statements how many statements it has
 * @param accesses the uses of members of the project's types, in the order of the text
 * @param uses the same, each member once, in the order of its first use
 * @param locals the uses of its own variables, in the order of the text
 * @param spans its statements, in the order of the text
 * @param traits what of its shape smells are told by
 * @param shape a fingerprint of its tokens, comments and white space left out; 0 where it has
 *     hardly any
 */
public record Body(
    int branches,
    int statements,
    List<Access> accesses,
    Set<MemberUse> uses,
    List<LocalUse> locals,
    List<Span> spans,
    Traits traits,
    long shape) {

  public static final Body NONE =
      new Body(0, 0, List.of(), Set.of(), List.of(), List.of(), Traits.NONE, 0);

  public static Body of(
      int branches,
      int statements,
      List<Access> accesses,
      List<LocalUse> locals,
      List<Span> spans,
      Traits traits,
      long shape) {
    return new Body(
        branches,
        statements,
        List.copyOf(accesses),
        Ordered.copy(accesses.stream().map(Access::use).toList()),
        List.copyOf(locals),
        List.copyOf(spans),
        traits,
        shape);
  }

  /** Its outermost statements, parted where a blank line or a comment begins a paragraph. */
  public List<List<Span>> paragraphs() {
    List<List<Span>> paragraphs = new ArrayList<>();
    for (Span span : spans) {
      if (span.depth() == 0) {
        if (paragraphs.isEmpty() || span.paragraph()) {
          paragraphs.add(new ArrayList<>());
        }
        paragraphs.get(paragraphs.size() - 1).add(span);
      }
    }
    return paragraphs;
  }

  /** The names of the variables that a stretch sets and that what follows reads. */
  public Set<String> left(Span stretch) {
    Set<Integer> needed = new HashSet<>();
    for (LocalUse use : locals) {
      if (use.offset() >= stretch.end() && use.isRead()) {
        needed.add(use.variable());
      }
    }
    Set<String> left = new TreeSet<>();
    for (LocalUse use : locals) {
      if (stretch.holds(use.offset()) && !use.isRead() && needed.contains(use.variable())) {
        left.add(use.name());
      }
    }
    return left;
  }
}
