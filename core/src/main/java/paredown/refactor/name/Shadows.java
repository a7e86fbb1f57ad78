package paredown.refactor.name;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.use.MemberUses;

/**
 * What could stand in front of a member that is named alone, if that were called otherwise.
 *
 * @param use where it is named
 * @param name what it would be called
 */
public record Shadows(MemberUses.MemberUse use, String name) {

  /**
   * How the member is asked for, so that a variable of the name does not stand for it: {@code
   * this}, or the class whose {@code this} is meant; empty text where nothing is in front.
   */
  public String qualifier() {
    Element member = use.trees().element(use.path());
    boolean ofObject = member != null && !member.getModifiers().contains(Modifier.STATIC);
    String asked =
        use.trees()
            .program()
            .uses()
            .at(use.file(), use.offset(), UseKind.RECEIVER)
            .map(Use::key)
            .orElse("");
    if (!ofObject || asked.isEmpty() || !member.getKind().isField()) {
      return "";
    }
    boolean shadowed = false;
    TreePath part = use.path();
    for (TreePath at = part.getParentPath(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && use.trees().element(at) instanceof TypeElement type) {
        shadowed |= declaresVariable(part);
        if (use.trees().program().symbols().key(type).equals(asked)) {
          boolean inner = part != use.path() && isWithinAnother(part);
          String simple = type.getSimpleName().toString();
          return !shadowed ? "" : inner && !simple.isEmpty() ? simple : "this";
        }
      }
      if (at.getParentPath() != null && at.getParentPath().getLeaf() instanceof ClassTree) {
        part = at;
      }
    }
    return "";
  }

  /**
   * Writes what a member is asked of, in front of its name.
   *
   * @param receiver the use that said so without a word
   */
  public static void write(Written.Text text, Use receiver, String qualifier) {
    String binary = receiver.key().substring("type ".length());
    if (!qualifier.equals("this")) {
      text.name(qualifier, receiver.key()).text(".");
    }
    text.name("this", "this of " + binary, receiver.place()).text(".");
  }

  /** Whether there is a class between the use and a member around it. */
  private boolean isWithinAnother(TreePath member) {
    for (TreePath at = use.path(); at != null && at != member; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree) {
        return true;
      }
    }
    return false;
  }

  private boolean declaresVariable(TreePath member) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        found[0] |=
            tree.getName().contentEquals(name)
                && Symbols.isLocal(use.trees().element(getCurrentPath()));
        return super.visitVariable(tree, null);
      }
    }.scan(member, null);
    return found[0];
  }
}
