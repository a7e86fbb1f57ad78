package paredown.refactor.operation.movedown;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.CodeInFamily;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.name.Widening;

/**
 * The code of a member in the class below, which has what its old class has, but for the private.
 */
final class CodeBelow extends CodeInFamily {
  private final Going going;
  private final Widening widening;
  private final Sight sight;

  CodeBelow(Going going, TypeNames names, Widening widening) {
    super(
        going.parent(),
        going.child(),
        going.keys().keySet(),
        names,
        VariablesElsewhere.below(going.child().program().types(), going.child().element()));
    this.going = going;
    this.widening = widening;
    this.sight = new Sight(going.child().element(), program());
  }

  @Override
  protected String direction() {
    return "down";
  }

  /** What only the class above sees is opened. */
  @Override
  protected void names(Element element, Tree place) {
    if (sight.hides(element)) {
      widening.open(element, sight, member(), trees().place(place));
    }
  }

  @Override
  protected String key(Element element, Tree place) {
    return program().symbols().key(element);
  }

  @Override
  protected void selected(TreePath path, MemberSelectTree tree) {
    boolean self =
        tree.getIdentifier().contentEquals("this") || tree.getIdentifier().contentEquals("super");
    Element asked = trees().element(new TreePath(path, tree.getExpression()));
    if (self && going.parent().element().equals(asked)) {
      throw refused(RefusalKind.NEEDS_OWNER, "it names its own object by its class", tree);
    }
    Element element = trees().element(path);
    boolean seen = element != null && element.getEnclosingElement() instanceof TypeElement;
    if (seen && !self && !goesAlong(element)) {
      names(element, tree);
    }
  }
}
