package paredown.refactor.operation.movetype;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParameterizedTypeTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.SimpleNames;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;

/**
 * The code of a type that goes to another file, out of a type or into one: types have the names
 * that a new file knows, and static members of the type that was around it stand behind that.
 */
final class CodeAlone {
  private final OwnerClass nested;
  private final UnitTrees trees;
  private final Program program;
  private final CodeElsewhere elsewhere;

  CodeAlone(OwnerClass nested, TypeNames names) {
    this(nested, names, nested.element());
  }

  /** The code of a type in a scope that names are known in. */
  CodeAlone(OwnerClass nested, TypeNames names, TypeElement scope) {
    this.nested = nested;
    this.trees = nested.trees();
    this.program = nested.program();
    this.elsewhere = new CodeElsewhere(trees, names, scope, true);
  }

  List<Replacement> edits() {
    List<Replacement> edits = new ArrayList<>();
    new SimpleNames(trees) {
      @Override
      protected void name(IdentifierTree tree) {
        said(getCurrentPath(), edits);
      }
    }.scan(nested.path(), null);
    return edits;
  }

  private void said(TreePath path, List<Replacement> edits) {
    Element element = trees.element(path);
    if (element instanceof TypeElement type) {
      boolean own =
          CodeElsewhere.isOf(type, nested.element()) || type.getNestingKind() == NestingKind.LOCAL;
      if (!own && !isMadeFor(path)) {
        edits.add(elsewhere.type(path));
      }
      return;
    }
    boolean member =
        element != null
            && (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
            && element.getModifiers().contains(Modifier.STATIC)
            && element.getEnclosingElement() instanceof TypeElement;
    if (member && !isKnown(path, element) && !CodeElsewhere.isLabel(element, path)) {
      edits.add(elsewhere.qualified(path));
    }
  }

  /** Whether a name is behind {@code object.new}, where no other word may stand. */
  private static boolean isMadeFor(TreePath path) {
    TreePath at = path.getParentPath();
    Tree named = path.getLeaf();
    if (at.getLeaf() instanceof ParameterizedTypeTree generic && generic.getType() == named) {
      named = generic;
      at = at.getParentPath();
    }
    return at.getLeaf() instanceof NewClassTree made
        && made.getEnclosingExpression() != null
        && made.getIdentifier() == named;
  }

  /** Whether a class around a place, up to the type itself, has a static member or inherits it. */
  private boolean isKnown(TreePath path, Element member) {
    Element home = member.getEnclosingElement();
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      if (trees.element(at) instanceof TypeElement type
          && at.getLeaf() instanceof ClassTree
          && (type.equals(home) || program.supertypes(type).contains(home))) {
        return true;
      }
      if (at.getLeaf() == nested.tree()) {
        return false;
      }
    }
    return false;
  }
}
