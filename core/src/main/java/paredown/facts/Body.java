package paredown.facts;

import java.util.List;
import java.util.Set;
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

  static Body of(
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
}
