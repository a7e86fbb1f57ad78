package paredown.refactor;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.Set;
import javax.lang.model.element.Element;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.UseKind;

/**
 * How a method that leaves reaches its old object, which it receives as its first parameter.
 *
 * @param type the class that the method goes to
 * @param name of the parameter
 * @param receiving all methods that receive it, as far as is known
 */
record OwnerPassing(UnitTrees trees, NewClass type, String name, Set<Element> receiving) {
  private static final String REASON = "the old object is a parameter now";

  /** A member of the old object, where its name stood alone. */
  Replacement member(Tree tree, Element member) {
    int start = trees.start(tree);
    String word = member.getSimpleName().toString();
    return Rewriting.of(
        trees,
        start,
        start + word.length(),
        REASON,
        Written.text("")
            .local(name)
            .text(".")
            .name(word, trees.program().symbols().key(member), Rewriting.name(trees, start))
            .done());
  }

  /** The old object itself, where {@code this} stood. */
  Replacement self(Tree tree) {
    int start = trees.start(tree);
    return Rewriting.of(
        trees,
        start,
        trees.end(tree),
        REASON,
        Written.text("").local(name, Rewriting.name(trees, start)).done());
  }

  /** The name of another method that receives it, where that is called. */
  Replacement name(int offset, Element method) {
    String word = method.getSimpleName().toString();
    String key = type.methodKey(trees.program().symbols().key(method), true);
    Written.Text text = Written.text("");
    trees
        .program()
        .uses()
        .at(trees.path(), offset, UseKind.RECEIVER)
        .ifPresent(was -> text.here(UseKind.RECEIVER, type.key(), was.place()));
    text.name(word, key, Rewriting.name(trees, offset));
    return Replacement.of(offset, offset + word.length(), text.done());
  }

  /** The first argument of a call of another method that receives it. */
  Replacement argument(TreePath call) {
    MethodInvocationTree tree = (MethodInvocationTree) call.getLeaf();
    int bracket = trees.behindBracket(trees.end(tree.getMethodSelect()));
    return Replacement.of(
        bracket,
        bracket,
        Written.text("").local(name).text(tree.getArguments().isEmpty() ? "" : ", ").done());
  }
}
