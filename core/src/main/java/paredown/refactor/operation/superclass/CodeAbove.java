package paredown.refactor.operation.superclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.CodeInFamily;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.TypeNames;

/**
 * The code of a member in the class above: what its own class has stays out of reach there, but for
 * what goes up with it and what the class above asks its object for.
 */
final class CodeAbove extends CodeInFamily {
  private final CommonMembers common;
  private final Map<Element, String> asked = new LinkedHashMap<>();

  CodeAbove(CommonMembers common, TypeNames names) {
    super(common.first(), common.parent(), along(common), names, common.variables());
    this.common = common;
    common.slots().forEach((method, above) -> asked.put(method, program().symbols().key(above)));
    common
        .abstracted()
        .forEach(each -> asked.put(each.element(), MoveUp.above(common, each.key())));
  }

  private static Set<Element> along(CommonMembers common) {
    Set<Element> along = new HashSet<>();
    common.fields().forEach(each -> along.add(each.element()));
    common.methods().forEach(each -> along.add(each.element()));
    return along;
  }

  @Override
  protected String direction() {
    return "up";
  }

  @Override
  protected void names(Element element, Tree place) {
    // What is named there is seen, or the gates say where it is not.
  }

  @Override
  protected String key(Element element, Tree place) {
    if (asked.containsKey(element)) {
      return asked.get(element);
    }
    if (!isInherited(element)) {
      throw refused(
          RefusalKind.NEEDS_OWNER,
          "it needs " + element.getSimpleName() + ", which only its own class has",
          place);
    }
    return program().symbols().key(element);
  }

  /** What stands above the class above is the same for both. */
  @Override
  protected boolean isSameAbove(TreePath superclass) {
    Element asked = trees().element(superclass.getParentPath());
    boolean own = common.first().element().equals(trees().classAround(superclass));
    return own && isMember(asked) && !common.parent().element().equals(asked.getEnclosingElement());
  }

  @Override
  protected void selected(TreePath path, MemberSelectTree tree) {
    if (tree.getIdentifier().contentEquals("this") || tree.getIdentifier().contentEquals("super")) {
      Element self = trees().element(new TreePath(path, tree.getExpression()));
      if (common.first().element().equals(self) || tree.getIdentifier().contentEquals("super")) {
        throw refused(RefusalKind.NEEDS_OWNER, "it names its own object by its class", tree);
      }
      return;
    }
    Element element = trees().element(path);
    boolean ofThis =
        tree.getExpression() instanceof IdentifierTree name && name.getName().contentEquals("this");
    boolean own =
        ofThis
            && isMember(element)
            && common.first().element().equals(trees().classAround(path))
            && !element.getModifiers().contains(Modifier.STATIC);
    if (!own || goesAlong(element)) {
      return;
    }
    String key = key(element, tree);
    if (element instanceof ExecutableElement && asked.containsKey(element)) {
      int at = trees().nameOffset(tree);
      String word = element.getSimpleName().toString();
      Written named = Written.text("").name(word, key, Rewriting.name(trees(), at)).done();
      edit(Replacement.of(at, at + word.length(), named));
    }
  }
}
