package paredown.refactor.alike;

import com.sun.source.tree.CaseTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.code.Part;
import paredown.refactor.code.TokenMeaning;
import paredown.refactor.code.UnitTrees;
import paredown.text.Token;

/**
 * A literal that is another in a twin, or a constant there, so that the new method takes it as a
 * parameter; and the other way round.
 *
 * @param places where it stands in the part; several where each twin has one other in all of them
 * @param name of the parameter
 */
public record GivenLiteral(List<Token> places, TypeMirror type, String name) implements GivenValue {
  private static final int FEW = 3;

  /** Of longer code some more of the words may differ. */
  private static final int LONG = 60;

  private static final int WORDS_OF_EACH = 40;

  /** In how many literals a place may differ from a part that calls the same method. */
  static int most(UnitTrees trees, Part part) {
    int tokens = trees.source().tokens(part.start(), part.end()).size();
    return Math.max(tokens < LONG ? FEW : FEW + 1, tokens / WORDS_OF_EACH);
  }

  /**
   * The literals in which the twins of a part differ from it, in the order of the text.
   *
   * @param given the literals, counted from 0, that the method takes in any case
   * @param words the names that are taken; those of the parameters come to them
   */
  static List<GivenLiteral> of(
      UnitTrees trees, Part part, List<Twin> twins, Set<Integer> given, Set<String> words) {
    Map<Integer, TreePath> known = values(trees, part);
    List<Token> literals = DifferingLiterals.in(trees, part);
    Set<Integer> constants = constants(trees, part, twins);
    Map<List<String>, List<Token>> alike = new LinkedHashMap<>();
    for (Token token : trees.source().tokens(part.start(), part.end())) {
      boolean wanted = given.contains(literals.indexOf(token)) || constants.contains(token.start());
      if (wanted || twins.stream().anyMatch(each -> differs(trees, token, each))) {
        List<String> said = wanted ? List.of("" + token.start()) : said(trees, token, twins);
        alike.computeIfAbsent(said, each -> new ArrayList<>()).add(token);
      }
    }
    List<GivenLiteral> found = new ArrayList<>();
    for (List<Token> places : alike.values()) {
      TreePath literal = known.get(places.get(0).start());
      TypeMirror type = type(trees.program(), literal);
      found.add(new GivenLiteral(places, type, name(trees, literal, type, words)));
    }
    return found;
  }

  /** Where a part names the constants for which one of its twins has a literal somewhere. */
  static Set<Integer> constants(UnitTrees trees, Part part, List<Twin> twins) {
    List<Token> names =
        trees.source().tokens(part.start(), part.end()).stream()
            .filter(Token::isIdentifier)
            .toList();
    Set<String> mixed =
        names.stream()
            .filter(name -> twins.stream().anyMatch(twin -> isLiteral(twin, name)))
            .map(name -> TokenMeaning.of(trees, name))
            .collect(Collectors.toSet());
    return names.stream()
        .filter(name -> !mixed.isEmpty() && mixed.contains(TokenMeaning.of(trees, name)))
        .map(Token::start)
        .collect(Collectors.toSet());
  }

  private static boolean isLiteral(Twin twin, Token token) {
    Token own = twin.literals().get(token.start());
    return own != null && own.isLiteral();
  }

  /** What a literal says in the part, and in each of its twins. */
  private static List<String> said(UnitTrees trees, Token token, List<Twin> twins) {
    List<String> said = new ArrayList<>(List.of(text(trees, token)));
    twins.forEach(twin -> said.add(text(twin.trees(), twin.literals().get(token.start()))));
    return said;
  }

  private static String text(UnitTrees trees, Token token) {
    return trees.source().slice(token.start(), token.end());
  }

  private static boolean differs(UnitTrees trees, Token token, Twin twin) {
    Token own = twin.literals().get(token.start());
    return own != null
        && (token.isLiteral() || own.isLiteral())
        && !text(twin.trees(), own).equals(text(trees, token));
  }

  /** Whether a twin's literals can be given where the part has others. */
  public static boolean fit(UnitTrees trees, Part part, Twin twin) {
    Map<Integer, TreePath> known = values(trees, part);
    Map<Integer, TreePath> own = values(twin.trees(), twin.part());
    Set<List<String>> differing = new HashSet<>();
    for (Token token : trees.source().tokens(part.start(), part.end())) {
      if (!differs(trees, token, twin)) {
        continue;
      }
      differing.add(said(trees, token, List.of(twin)));
      TreePath one = known.get(token.start());
      TreePath other = own.get(twin.literals().get(token.start()).start());
      boolean alike =
          one != null
              && other != null
              && isOneKind(trees.program(), one, other)
              && !(one.getParentPath().getLeaf() instanceof CaseTree);
      if (!alike) {
        return false;
      }
    }
    return differing.size() <= most(trees, part);
  }

  private static boolean isOneKind(Program program, TreePath one, TreePath other) {
    return one.getLeaf() instanceof LiteralTree && other.getLeaf() instanceof LiteralTree
        ? one.getLeaf().getKind() == other.getLeaf().getKind()
        : program.types().isSameType(type(program, one), type(program, other));
  }

  /** The literals and the constants that a part names alone. */
  private static Map<Integer, TreePath> values(UnitTrees trees, Part part) {
    Map<Integer, TreePath> found = new HashMap<>();
    var scanner =
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitLiteral(LiteralTree tree, Void unused) {
            found.put(trees.start(tree), getCurrentPath());
            return null;
          }

          @Override
          public Void visitIdentifier(IdentifierTree tree, Void unused) {
            if (trees.element(getCurrentPath()) instanceof VariableElement constant
                && constant.getModifiers().contains(Modifier.STATIC)
                && constant.getConstantValue() != null) {
              found.put(trees.start(tree), getCurrentPath());
            }
            return null;
          }
        };
    part.trees().forEach(each -> scanner.scan(each, null));
    return found;
  }

  private static TypeMirror type(Program program, TreePath literal) {
    if (literal.getLeaf() instanceof IdentifierTree) {
      return program.trees().getElement(literal).asType();
    }
    Object value = ((LiteralTree) literal.getLeaf()).getValue();
    if (value instanceof String) {
      return program.elements().getTypeElement("java.lang.String").asType();
    }
    TypeKind kind =
        value instanceof Character
            ? TypeKind.CHAR
            : value instanceof Boolean
                ? TypeKind.BOOLEAN
                : value instanceof Long
                    ? TypeKind.LONG
                    : value instanceof Double
                        ? TypeKind.DOUBLE
                        : value instanceof Float ? TypeKind.FLOAT : TypeKind.INT;
    return program.types().getPrimitiveType(kind);
  }

  /** A name after what the literal is compared with, given to or set; else after its type. */
  private static String name(
      UnitTrees trees, TreePath literal, TypeMirror type, Set<String> words) {
    Optional<String> told = NearbyName.of(trees, literal).filter(each -> !words.contains(each));
    if (told.isPresent()) {
      words.add(told.get());
      return told.get();
    }
    String plain =
        switch (type.getKind()) {
          case DECLARED -> "text";
          case CHAR -> "sign";
          case BOOLEAN -> "flag";
          default -> "number";
        };
    String name = plain;
    if (plain.equals("text") && words.contains(plain)) {
      name = "label";
    }
    String first = name;
    for (int i = 2; !words.add(name); i++) {
      name = first + i;
    }
    return name;
  }

  @Override
  public Set<String> assumed() {
    return Set.of();
  }

  @Override
  public int start() {
    return places.get(0).start();
  }

  @Override
  public List<Replacement> taken(UnitTrees trees) {
    return places.stream()
        .map(
            each ->
                Replacement.of(each.start(), each.end(), Written.text("").local(name).done())
                    .proving("its callers give it"))
        .toList();
  }

  /** The literal that a call gives: this, or a twin's own. */
  @Override
  public Carried given(UnitTrees trees, Twin twin) {
    Token own = twin == null ? null : twin.literals().get(start());
    return own == null
        ? Carried.range(trees.path(), start(), places.get(0).end())
        : Carried.range(twin.trees().path(), own.start(), own.end());
  }
}
