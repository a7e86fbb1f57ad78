package paredown.refactor;

import com.sun.source.tree.MemberReferenceTree;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;

/** One reference to a method that moves, rewritten to name its new class. */
record ReferenceSite(Moving moving, TypeNames here, MemberUses.MemberUse use) {

  /** The reference as it names a static method in its new class; others are refused. */
  Replacement rewritten() {
    MemberReferenceTree tree = (MemberReferenceTree) use.path().getLeaf();
    boolean plain = moving.method().is(Modifier.STATIC) && moving.route().becomesStatic();
    if (!plain) {
      throw CallSites.refused(moving, use, "a method reference names it");
    }
    requireExact();
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
