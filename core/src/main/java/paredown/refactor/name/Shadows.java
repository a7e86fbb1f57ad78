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
   * this}, or the class whose {@code this} is meant, or that it belongs to; empty text where
   * nothing is in front.
   */
  public String qualifier() {
    return asked(false);
  }

  /**
   * How the member is asked for where a variable of its name stands in front of it that has another
   * name yet; empty text where that cannot be said.
   */
  public String behindVariable() {
    return asked(true);
  }

  private String asked(boolean always) {
    Element member = use.trees().element(use.path());
    if (member == null || !member.getKind().isField()) {
      return "";
    }
    boolean ofObject = !member.getModifiers().contains(Modifier.STATIC);
    String asked = ofObject ? receiver() : keyOf(member.getEnclosingElement());
    boolean shadowed = always;
    TreePath part = use.path();
    for (TreePath at = part.getParentPath(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && use.trees().element(at) instanceof TypeElement type) {
        shadowed |= !(part.getLeaf() instanceof ClassTree) && declaresVariable(part);
        if (keyOf(type).equals(asked)) {
          boolean inner = part != use.path() && isWithinAnother(part);
          String simple = type.getSimpleName().toString();
          boolean named = !ofObject || inner && !simple.isEmpty();
          return !shadowed ? "" : named ? simple : "this";
        }
      }
      if (at.getParentPath() != null && at.getParentPath().getLeaf() instanceof ClassTree) {
        part = at;
      }
    }
    return "";
  }

  /** The key of the type whose object is asked without a word; empty text where there is none. */
  private String receiver() {
    return use.trees()
        .program()
        .uses()
        .at(use.file(), use.offset(), UseKind.RECEIVER)
        .map(Use::key)
        .orElse("");
  }

  private String keyOf(Element type) {
    String key = use.trees().program().symbols().key(type);
    return key == null ? "" : key;
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
    for (TreePath at = use.path(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree) {
        return true;
      }
      if (at == member) {
        return false;
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
