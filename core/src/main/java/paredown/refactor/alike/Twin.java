package paredown.refactor.alike;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.refactor.code.Part;
import paredown.refactor.code.TokenMeaning;
import paredown.refactor.code.UnitTrees;
import paredown.text.Token;

/**
 * A twin is a part that says the same as another, but for the names of its variables, for literals
 * and for the fields that it reads.
 *
 * @param trees of its file
 * @param part itself
 * @param variables the keys of the other's variables and fields, each with the key of its own
 * @param shared the keys of its own variables that stand for several of the other's
 * @param literals where the other has its literals and fields, and its own in their places
 * @param denied whether it says the opposite: {@code !=} where the other says {@code ==}, or the
 *     other way round
 */
public record Twin(
    UnitTrees trees,
    Part part,
    Map<String, String> variables,
    Set<String> shared,
    Map<Integer, Token> literals,
    boolean denied) {

  /**
   * A part as the twin of another, whose file may be another; empty where it says another thing.
   */
  static Optional<Twin> of(UnitTrees others, Part other, UnitTrees trees, Part part) {
    List<Token> first = tokens(others, other);
    List<Token> second = tokens(trees, part);
    int sign = Opposite.sign(others, other, trees, part);
    Twin twin =
        new Twin(
            trees, part, new LinkedHashMap<>(), new HashSet<>(), new LinkedHashMap<>(), sign >= 0);
    Map<String, String> back = new HashMap<>();
    boolean alike = first.size() == second.size();
    for (int i = 0; alike && i < first.size(); i++) {
      alike = first.get(i).start() == sign || twin.match(others, first.get(i), second.get(i), back);
    }
    return alike ? Optional.of(twin) : Optional.empty();
  }

  private boolean match(UnitTrees others, Token one, Token own, Map<String, String> back) {
    String there = others.source().slice(one.start(), one.end());
    String here = trees.source().slice(own.start(), own.end());
    if (one.kind() != own.kind()) {
      return false;
    }
    if (one.isLiteral()) {
      literals.put(one.start(), own);
      return true;
    }
    String key = TokenMeaning.of(others, one);
    String ownKey = TokenMeaning.of(trees, own);
    if (key.startsWith("field ") && ownKey.startsWith("field ")) {
      // Whether the one can be given for the other is looked at later.
      literals.put(one.start(), own);
      boolean always = ownKey.equals(variables.getOrDefault(key, ownKey));
      variables.put(key, ownKey);
      return always;
    }
    if (!key.startsWith("local ") || !ownKey.startsWith("local ")) {
      return key.equals(ownKey) && there.equals(here);
    }
    boolean known = ownKey.equals(variables.getOrDefault(key, ownKey));
    if (!key.equals(back.getOrDefault(ownKey, key))) {
      shared.add(ownKey);
    }
    variables.put(key, ownKey);
    back.put(ownKey, key);
    return known;
  }

  private static List<Token> tokens(UnitTrees trees, Part part) {
    return trees.source().tokens(part.start(), part.end()).stream()
        .filter(token -> !token.kind().isComment())
        .toList();
  }

  /** Whether a variable of its own stands for one of the other part, and has its type. */
  public boolean stands(VariableElement own, VariableElement other, Program program) {
    return standsSomehow(own, other, program)
        && program.types().isSameType(own.asType(), other.asType());
  }

  /** The same, be it of another type. */
  public boolean standsSomehow(VariableElement own, VariableElement other, Program program) {
    return program.symbols().key(own).equals(variables.get(program.symbols().key(other)));
  }
}
