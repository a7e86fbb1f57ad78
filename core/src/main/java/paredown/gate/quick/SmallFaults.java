package paredown.gate.quick;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.history.ChangedLines;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.Sources;
import paredown.program.Unit;
import paredown.project.SourceFile;
import paredown.text.SourceText;

/**
 * The small faults that could be in the lines that a change touches: another comparison, another
 * sign, a number that is one more, a condition that is turned.
 *
 * <p>DeMillo, Lipton and Sayward, "Hints on test data selection", 1978.
 */
final class SmallFaults extends TreeScanner<Void, Void> {
  /** An operator as it is written, and the one that would stand there by a slip. */
  private record Slip(String word, String other) {}

  private static final Map<Tree.Kind, Slip> SLIPS =
      Map.ofEntries(
          Map.entry(Tree.Kind.LESS_THAN, new Slip("<", "<=")),
          Map.entry(Tree.Kind.LESS_THAN_EQUAL, new Slip("<=", "<")),
          Map.entry(Tree.Kind.GREATER_THAN, new Slip(">", ">=")),
          Map.entry(Tree.Kind.GREATER_THAN_EQUAL, new Slip(">=", ">")),
          Map.entry(Tree.Kind.EQUAL_TO, new Slip("==", "!=")),
          Map.entry(Tree.Kind.NOT_EQUAL_TO, new Slip("!=", "==")),
          Map.entry(Tree.Kind.CONDITIONAL_AND, new Slip("&&", "||")),
          Map.entry(Tree.Kind.CONDITIONAL_OR, new Slip("||", "&&")),
          Map.entry(Tree.Kind.MINUS, new Slip("-", "+")),
          Map.entry(Tree.Kind.MULTIPLY, new Slip("*", "/")),
          Map.entry(Tree.Kind.DIVIDE, new Slip("/", "*")),
          Map.entry(Tree.Kind.REMAINDER, new Slip("%", "*")));

  private final Unit unit;
  private final SourcePositions positions;
  private final List<ChangedLines> lines;
  private final List<SmallFault> found = new ArrayList<>();

  private SmallFaults(Program program, Unit unit, List<ChangedLines> lines) {
    this.unit = unit;
    this.positions = program.trees().getSourcePositions();
    this.lines = lines;
  }

  /** Those in the product's code as it is before a change, from all over it, at most so many. */
  static List<SmallFault> in(Change change, Sources sources, int most) {
    List<SmallFault> all = new ArrayList<>();
    for (ChangedFile file : change.files()) {
      boolean product =
          file.before().isPresent()
              && file.isCode()
              && sources
                  .file(file.before().get().path())
                  .filter(each -> each.kind() == SourceFile.Kind.MAIN)
                  .isPresent();
      if (product) {
        SourceText before = file.before().get();
        Program program = RecentPrograms.of(sources, Set.of(before.path()));
        SmallFaults search =
            new SmallFaults(
                program,
                program.unit(before.path()).orElseThrow(),
                ChangedLines.between(before.text(), file.after().text()));
        search.scan(search.unit.tree(), null);
        search.found.sort(Comparator.comparingInt(SmallFault::start));
        all.addAll(search.found);
      }
    }
    List<SmallFault> some = new ArrayList<>();
    for (int i = 0; i < Math.min(most, all.size()); i++) {
      some.add(all.get(i * all.size() / Math.min(most, all.size())));
    }
    return some;
  }

  private int start(Tree tree) {
    return (int) positions.getStartPosition(unit.tree(), tree);
  }

  private int end(Tree tree) {
    return (int) positions.getEndPosition(unit.tree(), tree);
  }

  private void add(int start, int end, String text, String says) {
    SourceText source = unit.source();
    int line = source.line(start);
    // Where lines only come in, those around them are touched.
    if (lines.stream()
        .anyMatch(
            each -> each.first() <= line && line <= Math.max(each.last(), each.first() + 1))) {
      found.add(new SmallFault(source.path(), start, end, text, source.place(start), says));
    }
  }

  @Override
  public Void visitBinary(BinaryTree tree, Void unused) {
    Slip slip = SLIPS.get(tree.getKind());
    int at = unit.source().codeTokenFrom(end(tree.getLeftOperand())).start();
    if (slip != null && unit.source().text().startsWith(slip.word(), at)) {
      add(at, at + slip.word().length(), slip.other(), slip.other() + " for " + slip.word());
    }
    return super.visitBinary(tree, null);
  }

  @Override
  public Void visitUnary(UnaryTree tree, Void unused) {
    if (tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      int at = start(tree);
      add(at, at + 1, "", "no !");
    }
    return super.visitUnary(tree, null);
  }

  @Override
  public Void visitLiteral(LiteralTree tree, Void unused) {
    Object value = tree.getValue();
    String word = unit.source().slice(start(tree), end(tree));
    if (value instanceof Boolean is) {
      add(start(tree), end(tree), String.valueOf(!is), !is + " for " + word);
    } else if (value instanceof Integer number && word.matches("\\d+")) {
      String more = String.valueOf(number + 1);
      add(start(tree), end(tree), more, more + " for " + word);
    }
    return super.visitLiteral(tree, null);
  }

  @Override
  public Void visitIf(IfTree tree, Void unused) {
    if (tree.getCondition() instanceof ParenthesizedTree brackets
        && !(brackets.getExpression() instanceof BinaryTree)
        && !(brackets.getExpression() instanceof UnaryTree)) {
      Tree condition = brackets.getExpression();
      String word = unit.source().slice(start(condition), end(condition));
      add(start(condition), end(condition), "!(" + word + ")", "the condition turned");
    }
    return super.visitIf(tree, null);
  }
}
