package paredown.refactor.alike;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/**
 * The twins of a part in its class or in files, in the order of the text; none overlaps another.
 */
public final class Twins extends TreePathScanner<Void, Void> {
  private final UnitTrees home;
  private final UnitTrees trees;
  private final Part part;
  private final ClassTree only;
  private final List<Twin> found = new ArrayList<>();
  private final List<Part> commented = new ArrayList<>();

  /**
   * A search of a file.
   *
   * @param home the file of the part
   * @param only the class that is looked at; null for all of the file
   */
  private Twins(UnitTrees home, Part part, UnitTrees trees, ClassTree only) {
    this.home = home;
    this.trees = trees;
    this.part = part;
    this.only = only;
  }

  /** The twins in a class. */
  public static Twins of(UnitTrees trees, OwnerClass owner, Part part) {
    Twins twins = new Twins(trees, part, trees, owner.tree());
    twins.scan(owner.path(), null);
    return twins;
  }

  public List<Twin> found() {
    return found;
  }

  /** The line of a place that would be a twin but for a comment of its own; empty without one. */
  public Optional<Integer> commented() {
    return commented.stream()
        .filter(each -> Twin.of(home, part, trees, each).isPresent())
        .map(each -> trees.source().line(each.start()))
        .findFirst();
  }

  /** All twins in a file, which may be another than the part's. */
  public static List<Twin> in(UnitTrees other, UnitTrees trees, Part part) {
    Twins twins = new Twins(trees, part, other, null);
    twins.scan(new TreePath(other.unit().tree()), null);
    return twins.found;
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    return only == null || tree == only ? super.visitClass(tree, null) : null;
  }

  @Override
  public Void scan(Tree tree, Void unused) {
    if (tree != null && trees.end(tree) >= 0) {
      TreePath path = new TreePath(getCurrentPath(), tree);
      if (part.isExpression()) {
        Tree wanted = part.first().getLeaf();
        boolean alike =
            tree instanceof ExpressionTree
                && (tree.getKind() == wanted.getKind() || Opposite.mayBe(wanted, tree));
        if (alike) {
          add(new Part(List.of(path), true, trees.start(tree), trees.end(tree)));
        }
      } else {
        runs(path, Blocks.statements(tree));
      }
    }
    return super.scan(tree, null);
  }

  private void runs(TreePath block, List<? extends StatementTree> statements) {
    int length = part.trees().size();
    for (int i = 0; i + length <= statements.size(); i++) {
      List<TreePath> run = new ArrayList<>();
      statements.subList(i, i + length).forEach(each -> run.add(new TreePath(block, each)));
      int start = trees.start(run.get(0).getLeaf());
      int end = trees.end(run.get(length - 1).getLeaf());
      if (start >= 0 && end >= 0) {
        add(new Part(run, false, start, end));
      }
    }
  }

  private void add(Part other) {
    boolean elsewhere = !trees.path().equals(home.path());
    boolean apart =
        (elsewhere || other.end() <= part.start() || part.end() <= other.start())
            && found.stream()
                .allMatch(
                    each ->
                        other.end() <= each.part().start() || each.part().end() <= other.start());
    if (apart && hasComment(other)) {
      commented.add(other);
    } else if (apart) {
      Twin.of(home, part, trees, other).ifPresent(found::add);
    }
  }

  /** What only a twin says in a comment would be lost. */
  private boolean hasComment(Part other) {
    return !comments(home, part).containsAll(comments(trees, other));
  }

  private static Set<String> comments(UnitTrees trees, Part part) {
    return trees.source().tokens(part.start(), part.end()).stream()
        .filter(token -> token.kind().isComment())
        .map(token -> trees.source().slice(token.start(), token.end()).strip())
        .collect(Collectors.toSet());
  }
}
