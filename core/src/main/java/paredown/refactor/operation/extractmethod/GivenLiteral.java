package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.CaseTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.text.Token;

/**
 * A literal that is another in a twin, so that the new method takes it as a parameter.
 *
 * @param start where it stands in the part
 * @param name of the parameter
 */
record GivenLiteral(int start, int end, TypeMirror type, String name) implements GivenValue {
  static final int MOST = 3;

  /**
   * The literals in which the twins of a part differ from it, in the order of the text.
   *
   * @param given the literals, counted from 0, that the method takes in any case
   * @param words the names that are taken; those of the parameters come to them
   */
  static List<GivenLiteral> of(
      UnitTrees trees, Part part, List<Twin> twins, Set<Integer> given, Set<String> words) {
    Map<Integer, TreePath> known = literals(trees, part);
    List<GivenLiteral> found = new ArrayList<>();
    List<Token> literals = DifferingLiterals.in(trees, part);
    for (Token token : literals) {
      if (given.contains(literals.indexOf(token))
          || twins.stream().anyMatch(each -> differs(trees, token, each))) {
        TypeMirror type = type(trees.program(), known.get(token.start()));
        TreePath literal = known.get(token.start());
        found.add(
            new GivenLiteral(token.start(), token.end(), type, name(trees, literal, type, words)));
      }
    }
    return found;
  }

  private static boolean differs(UnitTrees trees, Token token, Twin twin) {
    Token own = twin.literals().get(token.start());
    return own != null
        && token.isLiteral()
        && !twin.trees()
            .source()
            .slice(own.start(), own.end())
            .equals(trees.source().slice(token.start(), token.end()));
  }

  /** Whether a twin's literals can be given where the part has others. */
  static boolean fit(UnitTrees trees, Part part, Twin twin) {
    Map<Integer, TreePath> known = literals(trees, part);
    Map<Integer, TreePath> own = literals(twin.trees(), twin.part());
    int count = 0;
    for (Token token : trees.source().tokens(part.start(), part.end())) {
      if (!differs(trees, token, twin)) {
        continue;
      }
      count++;
      TreePath one = known.get(token.start());
      TreePath other = own.get(twin.literals().get(token.start()).start());
      boolean alike =
          one != null
              && other != null
              && one.getLeaf().getKind() == other.getLeaf().getKind()
              && !(one.getParentPath().getLeaf() instanceof CaseTree);
      if (!alike) {
        return false;
      }
    }
    return count <= MOST;
  }

  private static Map<Integer, TreePath> literals(UnitTrees trees, Part part) {
    Map<Integer, TreePath> found = new HashMap<>();
    var scanner =
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitLiteral(LiteralTree tree, Void unused) {
            found.put(trees.start(tree), getCurrentPath());
            return null;
          }
        };
    part.trees().forEach(each -> scanner.scan(each, null));
    return found;
  }

  private static TypeMirror type(Program program, TreePath literal) {
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
  public List<Replacement> taken(UnitTrees trees) {
    return List.of(
        Replacement.of(start, end, Written.text("").local(name).done())
            .proving("its callers give it"));
  }

  /** The literal that a call gives: this, or a twin's own. */
  @Override
  public Carried given(UnitTrees trees, Twin twin) {
    Token own = twin == null ? null : twin.literals().get(start);
    return own == null
        ? Carried.range(trees.path(), start, end)
        : Carried.range(twin.trees().path(), own.start(), own.end());
  }
}
