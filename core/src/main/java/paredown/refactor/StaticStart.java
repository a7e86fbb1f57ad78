package paredown.refactor;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;

/**
 * What a class does when it is first used: the initialisers of its static fields and its static
 * blocks. It is quiet where these know of no other class of the project, so that nobody can tell
 * when they run.
 *
 * <p>The Java Language Specification, section 12.4.
 */
final class StaticStart {
  private final Program program;

  StaticStart(Program program) {
    this.program = program;
  }

  /** Where the start of a class, or of one above it, looks at others; empty where it is quiet. */
  Optional<String> loud(TypeElement type) {
    for (Element at = type; at instanceof TypeElement each; at = superclass(each)) {
      TreePath path = program.declaration(each);
      if (path == null) {
        break;
      }
      for (Tree member : ((ClassTree) path.getLeaf()).getMembers()) {
        TreePath inside = new TreePath(path, member);
        if (isStatic(inside) && looksAtOthers(inside, type)) {
          return Optional.of(each.getSimpleName().toString());
        }
      }
    }
    return Optional.empty();
  }

  private Element superclass(TypeElement type) {
    return program.types().asElement(type.getSuperclass());
  }

  private boolean isStatic(TreePath member) {
    if (member.getLeaf() instanceof BlockTree block) {
      return block.isStatic();
    }
    return member.getLeaf() instanceof VariableTree
        && program.trees().getElement(member) instanceof VariableElement field
        && field.getModifiers().contains(Modifier.STATIC)
        && field.getConstantValue() == null;
  }

  private boolean looksAtOthers(TreePath member, TypeElement type) {
    TreePath code =
        member.getLeaf() instanceof VariableTree field && field.getInitializer() != null
            ? new TreePath(member, field.getInitializer())
            : member;
    if (code == member && member.getLeaf() instanceof VariableTree) {
      return false;
    }
    boolean[] others = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = program.trees().getElement(getCurrentPath());
        Element owner = element;
        while (owner != null && !(owner instanceof TypeElement)) {
          owner = owner.getEnclosingElement();
        }
        boolean other =
            owner instanceof TypeElement named && !isWithin(named, type) && program.declares(named);
        others[0] |= other;
        return super.visitIdentifier(tree, null);
      }
    }.scan(code, null);
    return others[0];
  }

  private static boolean isWithin(Element named, TypeElement type) {
    for (Element at = named; at != null; at = at.getEnclosingElement()) {
      if (at.equals(type)) {
        return true;
      }
    }
    return false;
  }
}
