package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import paredown.refactor.carry.Layout;
import paredown.text.SourceText;

/**
 * A line that a new object would make too long is broken before the object.
 *
 * @param start where what is replaced begins: with the white space before it where that is broken
 * @param before what stands in front of the object then
 */
record LongLine(int start, String before) {
  /** What the creation of an object has beside its name and its values. */
  private static final int WORDS = "new ()".length();

  static LongLine of(Call call, int start, int end, int name) {
    SourceText source = call.trees().source();
    int line = source.line(start);
    int now = source.lineText(line).length();
    boolean fits = now + name + WORDS <= Math.max(Layout.WIDTH, now - 1);
    boolean one = source.line(end - 1) == line;
    int from = start;
    while (source.text().charAt(from - 1) == ' ') {
      from--;
    }
    if (fits || !one || source.startsLine(start)) {
      return new LongLine(start, "");
    }
    TreePath statement = call.path();
    while (statement != null && !(statement.getLeaf() instanceof StatementTree)) {
      statement = statement.getParentPath();
    }
    String indent = source.indentAt(start);
    boolean first =
        statement == null || source.line(call.trees().start(statement.getLeaf())) == line;
    String deeper = indent.startsWith("\t") ? "\t\t" : "    ";
    return new LongLine(from, source.lineEnd() + indent + (first ? deeper : ""));
  }
}
