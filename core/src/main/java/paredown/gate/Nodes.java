package paredown.gate;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.PackageTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.program.Program;
import paredown.program.Unit;

/** The nodes of a file are the statements and expressions of its code, by where they stand. */
final class Nodes {

  /** A statement or expression, each one itself only. */
  static final class Node {
    private final TreePath path;
    private final int start;
    private final int end;
    private final List<Node> parts = new ArrayList<>();
    private final Node around;
    private final int index;

    private Node(TreePath path, int start, int end, Node around) {
      this.path = path;
      this.start = start;
      this.end = end;
      this.around = around;
      this.index = around == null ? -1 : around.parts.size();
      if (around != null) {
        around.parts.add(this);
      }
    }

    TreePath path() {
      return path;
    }

    int start() {
      return start;
    }

    int end() {
      return end;
    }

    /** The statements and expressions that it consists of, in their order. */
    List<Node> parts() {
      return parts;
    }

    /** Which of the parts of another it is, from 0; -1 where it is none of them. */
    int indexIn(Node whole) {
      return around == whole ? index : -1;
    }

    Tree.Kind kind() {
      return path.getLeaf().getKind();
    }

    boolean isExpression() {
      return path.getLeaf() instanceof ExpressionTree;
    }
  }

  private static final Set<Tree.Kind> TYPES =
      Set.of(
          Tree.Kind.ARRAY_TYPE,
          Tree.Kind.PARAMETERIZED_TYPE,
          Tree.Kind.PRIMITIVE_TYPE,
          Tree.Kind.ANNOTATED_TYPE,
          Tree.Kind.UNION_TYPE,
          Tree.Kind.INTERSECTION_TYPE);

  private final List<Node> all = new ArrayList<>();
  private final Map<Long, List<Node>> byRange = new HashMap<>();
  private final Map<Integer, Node> cases = new HashMap<>();

  /** Where each body begins and ends, and its number. */
  private final List<int[]> bodies = new ArrayList<>();

  private Intervals<int[]> byPlace;

  private Nodes() {}

  static Nodes of(Program program, Unit unit) {
    Nodes nodes = new Nodes();
    nodes.new Scan(program.trees().getSourcePositions(), unit.tree()).scan(unit.tree(), null);
    return nodes;
  }

  List<Node> all() {
    return all;
  }

  List<Node> at(int start, int end) {
    return byRange.getOrDefault(range(start, end), List.of());
  }

  /** The node of a kind that takes up just a range; empty where none does. */
  Optional<Node> at(int start, int end, Tree.Kind kind) {
    return at(start, end).stream().filter(node -> node.kind() == kind).findFirst();
  }

  /** A case of a switch by where it begins: it has no sign that ends it. */
  Optional<Node> caseAt(int start) {
    return Optional.ofNullable(cases.get(start));
  }

  private static long range(int start, int end) {
    return (long) start << 32 | end;
  }

  /** Whether an offset is within code that runs: a body, or the value of a field. */
  boolean runsAt(int offset) {
    return bodyAt(offset) >= 0;
  }

  /** Which of the bodies an offset is in, the innermost; -1 where it is in none. */
  int bodyAt(int offset) {
    if (byPlace == null) {
      byPlace = new Intervals<>(bodies, body -> body[0], body -> body[1]);
    }
    int found = -1;
    for (int[] body : byPlace.at(offset)) {
      found = found < 0 || bodies.get(found)[0] <= body[0] ? body[2] : found;
    }
    return found;
  }

  private final class Scan extends TreePathScanner<Void, Void> {
    private final SourcePositions positions;
    private final CompilationUnitTree unit;
    private Node inside;

    Scan(SourcePositions positions, CompilationUnitTree unit) {
      this.positions = positions;
      this.unit = unit;
    }

    @Override
    public Void scan(Tree tree, Void unused) {
      if (tree == null || tree instanceof ImportTree || tree instanceof PackageTree) {
        return null;
      }
      if (tree instanceof ModifiersTree || tree instanceof AnnotationTree) {
        return null;
      }
      int start = (int) positions.getStartPosition(unit, tree);
      int end = (int) positions.getEndPosition(unit, tree);
      boolean code =
          (tree instanceof StatementTree || tree instanceof ExpressionTree)
              && !(tree instanceof ClassTree)
              && !TYPES.contains(tree.getKind());
      boolean field =
          tree instanceof VariableTree && getCurrentPath().getLeaf() instanceof ClassTree;
      boolean parameter =
          tree instanceof VariableTree && getCurrentPath().getLeaf() instanceof MethodTree;
      if (!code || start < 0 || end < 0 || field || parameter) {
        body(tree, field);
        Node outer = inside;
        inside = null;
        super.scan(tree, null);
        inside = outer;
        return null;
      }
      body(tree, false);
      Node outer = inside;
      Node node = new Node(new TreePath(getCurrentPath(), tree), start, end, outer);
      all.add(node);
      byRange.computeIfAbsent(range(start, end), key -> new ArrayList<>(1)).add(node);
      if (node.kind() == Tree.Kind.CASE) {
        cases.put(start, node);
      }
      inside = node;
      super.scan(tree, null);
      inside = outer;
      return null;
    }

    private void body(Tree tree, boolean field) {
      Tree code = field ? ((VariableTree) tree).getInitializer() : tree;
      boolean member =
          getCurrentPath() != null
              && (getCurrentPath().getLeaf() instanceof MethodTree
                  || getCurrentPath().getLeaf() instanceof ClassTree);
      if (code != null && member && (field || tree instanceof BlockTree)) {
        int start = (int) positions.getStartPosition(unit, code);
        int end = (int) positions.getEndPosition(unit, code);
        if (start >= 0 && end >= 0) {
          bodies.add(new int[] {start, end, bodies.size()});
        }
      }
    }
  }
}
