package paredown.program;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.SourcePositions;
import paredown.text.SourceText;

/** Finds where the name of a declaration stands, which the compiler's trees do not tell. */
public final class DeclaredNames {
  private final SourcePositions positions;
  private final CompilationUnitTree unit;
  private final SourceText source;

  public DeclaredNames(SourcePositions positions, Unit unit) {
    this.positions = positions;
    this.unit = unit.tree();
    this.source = unit.source();
  }

  /** The offset of a variable's name; its start where the name is nowhere to be seen. */
  public int of(VariableTree variable) {
    int start = start(variable);
    String name = variable.getName().toString();
    if (start < 0 || name.isEmpty()) {
      return start;
    }
    int end = end(variable) >= 0 ? end(variable) : source.length();
    int behindType =
        Math.max(behind(variable.getModifiers(), start), behind(variable.getType(), start));
    int found = source.findName(name, behindType, end);
    if (found < 0) {
      found = source.findName(name, start, end);
    }
    return found < 0 ? start : found;
  }

  /** Whether a variable's name really stands in the text, and was not made up by the compiler. */
  boolean spells(VariableTree variable) {
    return end(variable) >= 0
        && source.text().startsWith(variable.getName().toString(), of(variable));
  }

  /** The offset of a method's name, or of its class's name for a constructor. */
  public int of(MethodTree method) {
    int start = start(method);
    if (start < 0) {
      return start;
    }
    int from =
        Math.max(behind(method.getModifiers(), start), behind(method.getReturnType(), start));
    for (Tree parameter : method.getTypeParameters()) {
      from = Math.max(from, behind(parameter, start));
    }
    int found = source.codeTokenFrom(from) == null ? -1 : firstIdentifierBefore(from, '(');
    return found < 0 ? start : found;
  }

  /** The offset of a class's name; where its body opens for an anonymous class. */
  public int of(ClassTree type) {
    int start = start(type);
    String name = type.getSimpleName().toString();
    if (start < 0) {
      return start;
    }
    if (name.isEmpty()) {
      return opening(start);
    }
    int found = source.findName(name, behind(type.getModifiers(), start), source.length());
    return found < 0 ? start : found;
  }

  /** The first brace behind an offset that stands in no brackets; the offset where none does. */
  private int opening(int from) {
    int depth = 0;
    for (int i = source.tokenAt(from); i < source.tokens().size(); i++) {
      int start = source.tokens().get(i).start();
      char sign = source.text().charAt(start);
      depth += sign == '(' ? 1 : sign == ')' ? -1 : 0;
      if (sign == '{' && depth == 0) {
        return start;
      }
    }
    return from;
  }

  private int firstIdentifierBefore(int from, char sign) {
    int found = -1;
    for (int i = source.tokenAt(from); i < source.tokens().size(); i++) {
      var token = source.tokens().get(i);
      if (source.text().charAt(token.start()) == sign
          || source.text().charAt(token.start()) == '{') {
        break;
      }
      if (token.isIdentifier()) {
        found = token.start();
      }
    }
    return found;
  }

  private int behind(Tree tree, int otherwise) {
    if (tree == null || end(tree) < 0 || start(tree) < 0) {
      return otherwise;
    }
    return end(tree);
  }

  private int start(Tree tree) {
    return (int) positions.getStartPosition(unit, tree);
  }

  private int end(Tree tree) {
    return (int) positions.getEndPosition(unit, tree);
  }
}
