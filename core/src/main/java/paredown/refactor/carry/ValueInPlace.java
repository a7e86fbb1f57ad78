package paredown.refactor.carry;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;

/**
 * A value that is put where a variable stood which had it: in brackets where it needs some, and
 * with a cast where the variable had made another value of it.
 */
public final class ValueInPlace {
  private final UnitTrees trees;
  private final TreePath value;
  private final TypeMirror declared;
  private final TypeNames names;
  private final Program program;
  private final ExpressionTree said;

  /**
   * A value for some places.
   *
   * @param trees of the file that the value stands in
   * @param declared the type of the variable
   * @param names writes types where the value goes
   */
  public ValueInPlace(UnitTrees trees, TreePath value, TypeMirror declared, TypeNames names) {
    this(trees, value, declared, names, (ExpressionTree) value.getLeaf());
  }

  private ValueInPlace(
      UnitTrees trees, TreePath value, TypeMirror declared, TypeNames names, ExpressionTree said) {
    this.said = said;
    this.trees = trees;
    this.value = value;
    this.declared = declared;
    this.names = names;
    this.program = trees.program();
  }

  /** The same value where edits within it say another expression instead of all of it. */
  public ValueInPlace saying(ExpressionTree other) {
    return new ValueInPlace(trees, value, declared, names, other);
  }

  private ExpressionTree tree() {
    return (ExpressionTree) value.getLeaf();
  }

  /** The value as it stands, moved to another place. */
  public Carried carried() {
    return Carried.range(trees.path(), trees.start(tree()), trees.end(tree()));
  }

  /** Whether its variable is asked for members that its own type may have otherwise. */
  private boolean isAskedAsAnother(TreePath use) {
    TypeMirror given = program.trees().getTypeMirror(value);
    return use.getParentPath().getLeaf() instanceof MemberSelectTree
        && (given == null || !program.types().isSameType(declared, given));
  }

  /**
   * The pieces that take the place of a variable.
   *
   * @param there of the file that the variable is used in
   * @param use where it is used
   * @param first whether the value moves there; else it is repeated
   */
  public List<Piece> at(UnitTrees there, TreePath use, boolean first) {
    return at(there, use, first, List.of());
  }

  /**
   * The same with edits within the value.
   *
   * @param inside what the value says otherwise there
   */
  public List<Piece> at(UnitTrees there, TreePath use, boolean first, List<Replacement> inside) {
    String indent = there.source().indentAt(there.start(use.getLeaf()));
    return at(there, use, first, inside, indent);
  }

  /**
   * The same as it is indented elsewhere.
   *
   * @param to the indent of the line that it begins in
   */
  public List<Piece> at(
      UnitTrees there, TreePath use, boolean first, List<Replacement> inside, String to) {
    List<Piece> pieces = new ArrayList<>();
    boolean bare = tree() instanceof NewArrayTree array && array.getType() == null;
    boolean cast = !bare && (isConverted(there, use) || isObject() && isAskedAsAnother(use));
    boolean around = cast ? Brackets.areNeededAroundCast(use) : Brackets.areNeeded(said, use);
    boolean within = cast && Brackets.areNeededBehindCast(said);
    if (around) {
      pieces.add(Written.plain("("));
    }
    if (cast || bare) {
      Written.Text text = Written.text(bare ? "new " : "(");
      names.write(text, declared, there.classAround(use));
      pieces.add(text.text(bare ? " " : ") ").done());
    }
    if (within) {
      pieces.add(Written.plain("("));
    }
    Indent indent = new Indent(ownIndent(), to);
    int start = trees.start(tree());
    int end = trees.end(tree());
    pieces.add(
        first
            ? new Carried(trees.path(), start, end, inside, indent, null)
            : new Copied(trees.path(), start, end, inside, indent, null));
    String closing = (within ? ")" : "") + (around ? ")" : "");
    if (!closing.isEmpty()) {
      pieces.add(Written.plain(closing));
    }
    return pieces;
  }

  private String ownIndent() {
    TreePath statement = value;
    while (statement.getLeaf() instanceof ExpressionTree) {
      statement = statement.getParentPath();
    }
    return trees.source().indentAt(trees.start(statement.getLeaf()));
  }

  private boolean isObject() {
    return declared.getKind() == TypeKind.DECLARED && WritableType.is(declared);
  }

  /** Whether the variable made its value another one, which its place does not do by itself. */
  private boolean isConverted(UnitTrees there, TreePath use) {
    TypeMirror given = program.trees().getTypeMirror(value);
    boolean converted =
        given != null
            && declared.getKind() != TypeKind.VOID
            && (declared.getKind().isPrimitive() || given.getKind().isPrimitive());
    if (!converted || program.types().isSameType(declared, given)) {
      return false;
    }
    TypeMirror asked = asked(there, use);
    return asked == null || !program.types().isSameType(asked, declared);
  }

  /** The type of what is set to the value as it is; null where none is. */
  private TypeMirror asked(UnitTrees there, TreePath use) {
    TreePath around = use.getParentPath();
    Tree tree = around.getLeaf();
    if (tree instanceof VariableTree set) {
      return there.isVar(set) ? null : program.trees().getTypeMirror(around);
    }
    if (tree instanceof AssignmentTree set) {
      return program.trees().getTypeMirror(new TreePath(around, set.getVariable()));
    }
    return null;
  }
}
