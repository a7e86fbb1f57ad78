package paredown.refactor.plan;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Modifier;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.Returns;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * A fluent method gives its own object, and nothing else, so that calls can be chained. Where it
 * leaves, the delegate goes on doing that, and the method itself gives nothing.
 */
public final class Fluent {
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final List<ReturnTree> returns = new ArrayList<>();

  private Fluent(OwnerClass owner, OwnerClass.Method method) {
    this.owner = owner;
    this.method = method;
  }

  public static boolean is(OwnerClass owner, OwnerClass.Method method) {
    return new Fluent(owner, method).isFluent();
  }

  /** What the code of a fluent method says differently where it gives nothing. */
  public static List<Replacement> edits(OwnerClass owner, OwnerClass.Method method) {
    Fluent fluent = new Fluent(owner, method);
    return fluent.isFluent() ? fluent.edits() : List.of();
  }

  private boolean isFluent() {
    var types = owner.program().types();
    boolean givesOwner =
        !method.is(Modifier.PRIVATE)
            && method.tree().getBody() != null
            && types.isSameType(
                types.erasure(method.element().getReturnType()),
                types.erasure(owner.element().asType()));
    if (!givesOwner) {
      return false;
    }
    Returns.in(new TreePath(method.path(), method.tree().getBody()))
        .forEach(path -> returns.add((ReturnTree) path.getLeaf()));
    return last() instanceof ReturnTree && returns.stream().allMatch(Fluent::givesItself);
  }

  static boolean givesItself(ReturnTree tree) {
    return tree.getExpression() instanceof IdentifierTree name
        && name.getName().contentEquals("this");
  }

  private StatementTree last() {
    List<? extends StatementTree> statements = method.tree().getBody().getStatements();
    return statements.isEmpty() ? null : statements.get(statements.size() - 1);
  }

  private List<Replacement> edits() {
    UnitTrees trees = owner.trees();
    SourceText source = owner.source();
    List<Replacement> edits = new ArrayList<>();
    String reason = "the delegate gives the object";
    var type = method.tree().getReturnType();
    edits.add(
        Rewriting.of(trees, trees.start(type), trees.end(type), reason, Written.plain("void")));
    for (ReturnTree each : returns) {
      int start = trees.start(each);
      int end = trees.end(each);
      if (each == last()) {
        while (" \t".indexOf(source.text().charAt(end)) >= 0) {
          end++;
        }
        boolean line = source.startsLine(start) && source.endsLine(end);
        edits.add(
            Rewriting.of(
                trees,
                line ? source.lineStart(start) : start,
                line ? source.nextLine(end) : end,
                reason));
      } else {
        edits.add(Rewriting.of(trees, start, end, reason, Written.plain("return;")));
      }
    }
    return edits;
  }
}
