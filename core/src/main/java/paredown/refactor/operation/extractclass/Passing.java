package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.UseKind;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** How a method that leaves reaches what stays in its old object. */
abstract class Passing {
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Receiving receiving;

  Passing(OwnerClass owner, OwnerClass.Method method, Receiving receiving) {
    this.owner = owner;
    this.method = method;
    this.receiving = receiving;
  }

  OwnerClass owner() {
    return owner;
  }

  OwnerClass.Method method() {
    return method;
  }

  UnitTrees trees() {
    return owner.trees();
  }

  /** Notes that the method receives something; the name that it has there. */
  String note(Received received) {
    return receiving.note(method.element(), received);
  }

  /** Whether a field leaves the old object too. */
  boolean leaves(Element field) {
    return receiving.leaves(field);
  }

  /** Whether it goes on asking the old object, so that it must see what it asks for. */
  abstract boolean asks();

  /**
   * A member of the old object.
   *
   * @param named where its name stands alone, or behind {@code this}
   */
  abstract Replacement member(TreePath named, Element member);

  /** The old object itself, where {@code this} stood. */
  abstract Replacement self(IdentifierTree tree);

  /** What another method receives is there to be given in a call of it; its name. */
  abstract String given(Received other, TreePath call);

  /** Whether another method receives something, so that calls of it change. */
  boolean receives(Element other) {
    return !receiving.isNothing(other);
  }

  /** The name of another method that receives something, where that is called. */
  Replacement name(int offset, Element other, String newType) {
    String word = other.getSimpleName().toString();
    Written.Text text = Written.text("");
    trees()
        .program()
        .uses()
        .at(trees().path(), offset, UseKind.RECEIVER)
        .ifPresent(was -> text.here(UseKind.RECEIVER, newType, was.place()));
    text.name(word, receiving.newKey(other), Rewriting.name(trees(), offset));
    return Replacement.of(offset, offset + word.length(), text.done());
  }

  /** The first arguments of a call of another method that receives something. */
  Replacement arguments(TreePath call, Element other) {
    MethodInvocationTree tree = (MethodInvocationTree) call.getLeaf();
    int bracket = trees().behindBracket(trees().end(tree.getMethodSelect()));
    Written.Text text = Written.text("");
    String separator = "";
    for (Received each : receiving.of(other)) {
      text.text(separator).local(given(each, call));
      separator = ", ";
    }
    text.text(tree.getArguments().isEmpty() ? "" : ", ");
    return Replacement.of(bracket, bracket, text.done());
  }
}
