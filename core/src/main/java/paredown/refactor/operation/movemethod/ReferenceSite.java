package paredown.refactor.operation.movemethod;

import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Assumption;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.MemberUses;

/** One reference to a method that moves, rewritten to name its new class. */
record ReferenceSite(Moving moving, TypeNames here, MemberUses.MemberUse use) {

  /**
   * The reference as it names a static method in its new class, or one that its first argument is
   * asked for there; others are refused.
   */
  Replacement rewritten() {
    boolean isStatic = moving.method().is(Modifier.STATIC);
    boolean owner = !isStatic && receivesFirst();
    if (!(isStatic && moving.route().becomesStatic()) && !owner && !asksFirst(isStatic)) {
      throw CallSites.refused(moving, use, "a method reference names it");
    }
    requireExact();
    if (owner && !moving.given().isOwnerAskedAtOnce()) {
      assumeThere();
    }
    MemberReferenceTree tree = (MemberReferenceTree) use.path().getLeaf();
    Written.Text text = Written.text("");
    here.write(text, moving.target().element(), use.trees().classAround(use.path()));
    text.text("::").name(moving.name(), moving.newKey(), Rewriting.name(use.trees(), use.offset()));
    return Rewriting.of(
        use.trees(),
        use.trees().start(tree),
        use.trees().end(tree),
        "the method is in another class now",
        text.done());
  }

  /** Whether the object that it is asked of at each call is what it receives first now. */
  private boolean receivesFirst() {
    MemberReferenceTree tree = (MemberReferenceTree) use.path().getLeaf();
    TreePath asked = new TreePath(use.path(), tree.getQualifierExpression());
    return moving.route().becomesStatic()
        && moving.given().isOwner()
        && !moving.isVarArgs()
        && use.trees().element(asked) instanceof TypeElement;
  }

  private void assumeThere() {
    moving
        .owner()
        .assumptions()
        .add(
            Assumption.Kind.NULL,
            "what %s is asked of is never null".formatted(use.path().getLeaf()),
            use.place());
  }

  /** Whether the first of what is given at each call is what the method is asked of now. */
  private boolean asksFirst(boolean isStatic) {
    boolean first =
        moving.through() instanceof Through.Parameter parameter
            && parameter.index() == 0
            && !moving.isVarArgs()
            && moving.given().values().isEmpty()
            && !moving.given().isOwner()
            && moving.targetThere().always();
    return first && (isStatic || isOwn());
  }

  /** Whether it is bound to the object that it stands in, which need not be looked at. */
  private boolean isOwn() {
    MemberReferenceTree tree = (MemberReferenceTree) use.path().getLeaf();
    TreePath bound = new TreePath(use.path(), tree.getQualifierExpression());
    return bound.getLeaf().toString().equals("this");
  }

  /**
   * A reference that could mean several methods, or is made of a raw type, is no exact one, and
   * tells the compiler less about the call that it stands in (JLS 15.13.1).
   */
  private void requireExact() {
    TypeElement target = moving.target().element();
    boolean several =
        moving.program().elements().getAllMembers(target).stream()
            .anyMatch(each -> each.getSimpleName().contentEquals(moving.name()));
    if (several || !target.getTypeParameters().isEmpty()) {
      throw CallSites.refused(moving, use, "a method reference would not be exact any more");
    }
  }
}
