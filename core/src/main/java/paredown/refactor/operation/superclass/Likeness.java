package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.refactor.code.TokenMeaning;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;
import paredown.text.Token;

/**
 * Tells whether two classes say the same, but for the names of variables and of fields of their
 * own: a field of one that stands where the other has one is its twin everywhere. Type variables
 * are twins that are said to be.
 */
final class Likeness {
  /** Signs of a declaration's head in which the two may differ. */
  private static final Set<String> ACCESS = Set.of("public", "protected", "private");

  private final OwnerClass one;
  private final OwnerClass other;
  private final Map<String, String> twins;
  private final Map<String, String> back;

  Likeness(OwnerClass one, OwnerClass other) {
    this(one, other, new LinkedHashMap<>(), new HashMap<>());
  }

  private Likeness(
      OwnerClass one, OwnerClass other, Map<String, String> twins, Map<String, String> back) {
    this.one = one;
    this.other = other;
    this.twins = twins;
    this.back = back;
  }

  /** The same as it is now, to be tried out. */
  Likeness copy() {
    return new Likeness(one, other, new LinkedHashMap<>(twins), new HashMap<>(back));
  }

  OwnerClass other() {
    return other;
  }

  /** The key of the field of the other class that is the twin of one; null where none is yet. */
  String twin(String field) {
    return twins.get(field);
  }

  /** Where two ranges differ first: in one class, and in the other. */
  record Difference(String here, String there) {}

  /**
   * Compares declarations; empty where they are alike.
   *
   * @param from where the first begins and ends
   * @param to where the second begins and ends
   */
  Optional<Difference> compare(int[] from, int[] to) {
    List<Token> first = tokens(one.trees(), from);
    List<Token> second = tokens(other.trees(), to);
    for (int i = 0; i < Math.max(first.size(), second.size()); i++) {
      boolean alike = i < first.size() && i < second.size() && isAlike(first.get(i), second.get(i));
      if (!alike) {
        return Optional.of(new Difference(place(one, first, i, from), place(other, second, i, to)));
      }
    }
    return Optional.empty();
  }

  private static String place(OwnerClass owner, List<Token> tokens, int at, int[] range) {
    return owner.source().place(at < tokens.size() ? tokens.get(at).start() : range[1] - 1);
  }

  /**
   * The signs of a declaration without its comments, who sees it, and {@code @Override}; what is
   * asked of {@code this} is told apart by what its name means.
   */
  private static List<Token> tokens(UnitTrees trees, int[] range) {
    List<Token> all =
        trees.source().tokens(range[0], range[1]).stream()
            .filter(token -> !token.kind().isComment())
            .toList();
    List<Token> kept = new ArrayList<>();
    boolean head = true;
    for (int i = 0; i < all.size(); i++) {
      String word = word(trees, all.get(i));
      boolean overriding =
          head
              && word.equals("@")
              && i + 1 < all.size()
              && word(trees, all.get(i + 1)).equals("Override");
      head &= !Set.of("{", "=", ";").contains(word);
      boolean self =
          word.equals("this") && i + 1 < all.size() && word(trees, all.get(i + 1)).equals(".");
      if (overriding || self) {
        i++;
      } else if (!head || !ACCESS.contains(word)) {
        kept.add(all.get(i));
      }
    }
    return kept;
  }

  private static String word(UnitTrees trees, Token token) {
    return trees.source().slice(token.start(), token.end());
  }

  private boolean isAlike(Token here, Token there) {
    String word = word(one.trees(), here);
    String otherWord = word(other.trees(), there);
    if (here.kind() != there.kind()) {
      return false;
    }
    String key = TokenMeaning.of(one.trees(), here);
    String otherKey = TokenMeaning.of(other.trees(), there);
    boolean locals = key.startsWith("local ") && otherKey.startsWith("local ");
    boolean fields = isOwnField(one, key) && isOwnField(other, otherKey);
    if (locals || fields) {
      return pair(key, otherKey);
    }
    if (twins.containsKey(key)) {
      return otherKey.equals(twins.get(key));
    }
    return word.equals(otherWord) && key.equals(otherKey.replace(of(other), of(one)));
  }

  private static String of(OwnerClass owner) {
    return " " + owner.binaryName() + "#";
  }

  private static boolean isOwnField(OwnerClass owner, String key) {
    return key.startsWith("field" + of(owner));
  }

  /** Takes two for twins; false where one of them is another's already. */
  boolean pair(String here, String there) {
    boolean known =
        there.equals(twins.getOrDefault(here, there))
            && here.equals(back.getOrDefault(there, here));
    twins.put(here, there);
    back.put(there, here);
    return known;
  }
}
