package paredown.refactor.alike;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.VariableElement;
import paredown.edit.Carried;
import paredown.program.Program;
import paredown.refactor.code.Part;
import paredown.refactor.code.TokenMeaning;
import paredown.refactor.code.UnitTrees;
import paredown.text.Token;

/**
 * A twin is a part that says the same as another, but for the names of its variables, for literals
 * and constants, and for the fields that it reads.
 *
 * @param trees of its file
 * @param part itself
 * @param variables the keys of the other's variables and fields, each with the key of its own; a
 *     field may stand for a variable
 * @param shared the keys of its own variables that stand for several of the other's
 * @param literals where the other has its literals and fields, and its own in their places
 * @param denied whether it says the opposite, {@code !=} where the other says {@code ==}
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
    Search straight = new Search(others, new Twin(trees, part, false));
    if (straight.areAlike(other.start(), other.end(), part.start(), part.end())) {
      return Optional.of(straight.twin);
    }
    boolean turned =
        part.isExpression()
            && other.isExpression()
            && Opposite.mayBe(other.first().getLeaf(), part.first().getLeaf());
    Search search = new Search(others, new Twin(trees, part, true));
    return turned && new Opposite(others, trees, search::areAlike).says(other.first(), part.first())
        ? Optional.of(search.twin)
        : Optional.empty();
  }

  private Twin(UnitTrees trees, Part part, boolean denied) {
    this(trees, part, new LinkedHashMap<>(), new HashSet<>(), new LinkedHashMap<>(), denied);
  }

  /** What is known so far of a twin of a part. */
  private static final class Search {
    private final UnitTrees others;
    private final Twin twin;

    /** The keys of the twin's variables, each with the key of the other's. */
    private final Map<String, String> back = new HashMap<>();

    Search(UnitTrees others, Twin twin) {
      this.others = others;
      this.twin = twin;
    }

    private boolean areAlike(Tree there, Tree here) {
      return areAlike(
          others.start(there), others.end(there), twin.trees.start(here), twin.trees.end(here));
    }

    private boolean areAlike(int start, int end, int ownStart, int ownEnd) {
      List<Token> first = tokens(others, start, end);
      List<Token> second = tokens(twin.trees, ownStart, ownEnd);
      boolean alike = first.size() == second.size();
      for (int i = 0; alike && i < first.size(); i++) {
        alike = twin.match(others, first.get(i), second.get(i), back);
      }
      return alike;
    }
  }

  private boolean match(UnitTrees others, Token one, Token own, Map<String, String> back) {
    String there = others.source().slice(one.start(), one.end());
    String here = trees.source().slice(own.start(), own.end());
    if (one.isLiteral() || own.isLiteral()) {
      literals.put(one.start(), own);
      return one.kind() == own.kind() || isField(others, one) || isField(trees, own);
    }
    if (one.kind() != own.kind()) {
      return false;
    }
    String key = TokenMeaning.of(others, one);
    String ownKey = TokenMeaning.of(trees, own);
    boolean local = ownKey.startsWith("local ") && key.equals(back.getOrDefault(ownKey, key));
    if (key.startsWith("field ") && (local || ownKey.startsWith("field "))) {
      // Whether the one can be given for the other is looked at later.
      literals.put(one.start(), own);
      boolean always = ownKey.equals(variables.getOrDefault(key, ownKey));
      variables.put(key, ownKey);
      return always;
    }
    boolean mayStand =
        ownKey.startsWith("local ")
            || ownKey.startsWith("field ") && !trees.source().isBehindDot(own.start());
    if (!key.startsWith("local ") || !mayStand) {
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

  /** Whether a name could stand for a literal. */
  private static boolean isField(UnitTrees trees, Token token) {
    return TokenMeaning.of(trees, token).startsWith("field ");
  }

  private static List<Token> tokens(UnitTrees trees, int start, int end) {
    return trees.source().tokens(start, end).stream()
        .filter(token -> !token.kind().isComment())
        .toList();
  }

  /**
   * The field that stands in it for one variable of the other part, and has one value all through;
   * empty where none does.
   */
  public Optional<VariableElement> field(VariableElement other, Program program) {
    FieldNames names = FieldNames.in(this);
    return names.all().keySet().stream()
        .filter(field -> standsSomehow(field, other, program))
        .filter(field -> !shared.contains(program.symbols().key(field)))
        .filter(field -> names.steadiness(field) != Steadiness.CHANGES)
        .findFirst();
  }

  /** The name of such a field where it is assumed to have one value; empty where that is known. */
  public Optional<String> assumed(VariableElement field) {
    return FieldNames.in(this).assumed(field);
  }

  /** What stands in it for a field that it reads. */
  public Carried said(VariableElement field) {
    TreePath path = FieldNames.in(this).all().get(field).get(0);
    return Carried.range(trees.path(), trees.start(path.getLeaf()), trees.end(path.getLeaf()));
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
