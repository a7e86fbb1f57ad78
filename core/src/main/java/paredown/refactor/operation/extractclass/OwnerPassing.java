package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.element.Element;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.Rewriting;
import paredown.refactor.use.OwnerClass;

/** A method that leaves receives its whole old object, and asks that for what stays. */
final class OwnerPassing extends Passing {
  private static final String REASON = "the old object is a parameter now";

  OwnerPassing(OwnerClass owner, OwnerClass.Method method, Receiving receiving) {
    super(owner, method, receiving);
  }

  @Override
  boolean asks() {
    return true;
  }

  private String object() {
    return note(new Received(owner().freeName(method()), Optional.empty()));
  }

  @Override
  Replacement member(TreePath named, Element member) {
    Tree tree = named.getLeaf();
    if (tree instanceof MemberSelectTree select) {
      return self((IdentifierTree) select.getExpression());
    }
    int start = trees().start(tree);
    String word = member.getSimpleName().toString();
    return Rewriting.of(
        trees(),
        start,
        start + word.length(),
        REASON,
        Written.text("")
            .local(object())
            .text(".")
            .name(word, trees().program().symbols().key(member), Rewriting.name(trees(), start))
            .done());
  }

  @Override
  Replacement self(IdentifierTree tree) {
    int start = trees().start(tree);
    return Rewriting.of(
        trees(),
        start,
        trees().end(tree),
        REASON,
        Written.text("").local(object(), Rewriting.name(trees(), start)).done());
  }

  @Override
  String given(Received other, TreePath call) {
    return object();
  }
}
