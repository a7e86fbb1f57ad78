package paredown.refactor.code;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import java.util.Objects;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.program.DeclaredNames;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.text.SourceText;

/** The trees of one unit, with their positions and elements at hand. */
public final class UnitTrees {
  private final Program program;
  private final Unit unit;
  private final SourcePositions positions;
  private final DeclaredNames names;

  public UnitTrees(Program program, Unit unit) {
    this.program = program;
    this.unit = unit;
    this.positions = program.trees().getSourcePositions();
    this.names = new DeclaredNames(positions, unit);
  }

  public Program program() {
    return program;
  }

  public Unit unit() {
    return unit;
  }

  /** The package of its code; empty for the unnamed one. */
  public String packageName() {
    var name = unit.tree().getPackageName();
    return name == null ? "" : name.toString();
  }

  public SourceText source() {
    return unit.source();
  }

  public String path() {
    return unit.path();
  }

  public int start(Tree tree) {
    return (int) positions.getStartPosition(unit.tree(), tree);
  }

  public int end(Tree tree) {
    return (int) positions.getEndPosition(unit.tree(), tree);
  }

  /** Behind the first opening bracket at an offset or after it. */
  public int behindBracket(int offset) {
    int i = source().tokenAt(offset);
    while (source().text().charAt(source().tokens().get(i).start()) != '(') {
      i++;
    }
    return source().tokens().get(i).end();
  }

  /** The range of a statement, with its line where it has one for itself. */
  public int[] withLine(Tree statement) {
    int start = start(statement);
    int end = end(statement);
    boolean line =
        source().startsLine(start)
            && source().endsLine(end)
            && source().line(start) == source().line(end - 1);
    return line
        ? new int[] {source().lineStart(start), source().nextLine(end - 1)}
        : new int[] {start, end};
  }

  /**
   * The range of a statement that goes: its lines, where it has them for itself, or what is left of
   * a comment that stands behind it.
   */
  public int[] leaving(Tree statement) {
    int start = start(statement);
    int end = end(statement);
    if (!source().startsLine(start)) {
      return new int[] {start, end};
    }
    if (source().endsLine(end)) {
      return new int[] {source().lineStart(start), source().nextLine(end - 1)};
    }
    while (Character.isWhitespace(source().text().charAt(end))) {
      end++;
    }
    return new int[] {start, end};
  }

  /** Where the name of an identifier or member select stands. */
  public int nameOffset(Tree expression) {
    return expression instanceof MemberSelectTree select
        ? end(select) - select.getIdentifier().length()
        : start(expression);
  }

  /** The level of the language that its module has, 17 for example. */
  public int language() {
    return program.sources().file(path()).orElseThrow().module().language();
  }

  /** Whether a variable leaves its type to the compiler. */
  public boolean isVar(VariableTree variable) {
    return source().slice(start(variable), names.of(variable)).matches("(?s).*\\bvar\\s+");
  }

  public DeclaredNames names() {
    return names;
  }

  public Element element(TreePath path) {
    return program.trees().getElement(path);
  }

  public String place(Tree tree) {
    return source().place(Math.max(0, start(tree)));
  }

  /** Where the sources declare a type; empty for a type that stands in none of them. */
  public static Optional<String> place(Program program, TypeElement type) {
    return Optional.ofNullable(program.trees().getPath(type))
        .flatMap(
            path ->
                program.unit(path).map(unit -> new UnitTrees(program, unit).place(path.getLeaf())));
  }

  /** The innermost class around a place; null where it stands in front of one. */
  public TypeElement scope(TreePath path) {
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree && element(at) instanceof TypeElement type) {
        return type;
      }
    }
    return null;
  }

  /** The innermost class around a place that is a class or below it; null where none is. */
  public TypeElement classAround(TreePath path, TypeElement above) {
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && element(at) instanceof TypeElement type
          && program().isOrIsBelow(type, above)) {
        return type;
      }
    }
    return null;
  }

  /** The innermost class around a place within one. */
  public TypeElement classAround(TreePath path) {
    return Objects.requireNonNull(scope(path));
  }
}
