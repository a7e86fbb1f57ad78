package paredown.refactor.carry;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.refactor.code.CaseLabel;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.SimpleNames;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;

/**
 * Code of a class in another one: static members stand behind their class, and types get the names
 * that they have there.
 */
public final class CodeElsewhere {
  private final UnitTrees trees;
  private final TypeNames names;
  private final TypeElement scope;
  private final boolean first;

  /**
   * Code for another place.
   *
   * @param trees of the file that the code is from
   * @param names writes types there
   * @param scope the class that it goes to; null for none
   * @param first whether it moves there; else it is repeated
   */
  public CodeElsewhere(UnitTrees trees, TypeNames names, TypeElement scope, boolean first) {
    this.trees = trees;
    this.names = names;
    this.scope = scope;
    this.first = first;
  }

  /** What the code says otherwise there. */
  public List<Replacement> edits(TreePath code) {
    List<Replacement> edits = new ArrayList<>();
    for (TreePath each : simpleNames(trees, code)) {
      Element element = trees.element(each);
      if (element instanceof TypeElement) {
        edits.add(type(each));
      } else if (isStatic(element) && !isLabel(element, each)) {
        edits.add(qualified(each));
      }
    }
    return edits;
  }

  /** A static member behind its class. */
  public Replacement qualified(TreePath name) {
    int start = trees.start(name.getLeaf());
    Written.Text text = Written.text("");
    names.write(text, (TypeElement) trees.element(name).getEnclosingElement(), scope);
    return Replacement.of(start, start, text.text(".").done());
  }

  /** A type by its name there. */
  public Replacement type(TreePath name) {
    int start = trees.start(name.getLeaf());
    Use.Place place = first ? Rewriting.name(trees, start) : null;
    Written.Text text = Written.text("");
    names.write(text, (TypeElement) trees.element(name), scope, place);
    return new Replacement(start, trees.end(name.getLeaf()), List.of(text.done()), List.of());
  }

  private static boolean isStatic(Element element) {
    return element != null
        && (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
        && element.getModifiers().contains(Modifier.STATIC);
  }

  /** Whether a name is a constant of an enum as the label of a case, which knows the enum. */
  public static boolean isLabel(Element element, TreePath name) {
    return element.getKind() == ElementKind.ENUM_CONSTANT && CaseLabel.is(name);
  }

  /** Whether an element is a class, or declared within it. */
  public static boolean isOf(Element element, TypeElement type) {
    for (Element at = element; at != null; at = at.getEnclosingElement()) {
      if (at.equals(type)) {
        return true;
      }
    }
    return false;
  }

  /** Whether a place is within a class. */
  public static boolean isWithin(UnitTrees trees, TreePath place, TypeElement type) {
    for (TreePath at = place; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree && type.equals(trees.element(at))) {
        return true;
      }
    }
    return false;
  }

  private static boolean isSelf(Element element) {
    String name = element.getSimpleName().toString();
    return name.equals("this") || name.equals("super");
  }

  /** Whether a type, or a member of one, belongs to a class that stands in code. */
  static boolean isOfCode(UnitTrees trees, Element element, TreePath code) {
    Element type = element instanceof TypeElement ? element : element.getEnclosingElement();
    if (!(type instanceof TypeElement declared)) {
      return false;
    }
    for (TreePath at = trees.program().declaration(declared); at != null; at = at.getParentPath()) {
      if (at.getLeaf() == code.getLeaf()) {
        return true;
      }
    }
    return false;
  }

  /** A name in code that asks its own object; empty where there is none. */
  public static Optional<TreePath> instance(UnitTrees trees, TreePath code) {
    return instance(trees, code, false);
  }

  /**
   * The same, where fields may be given.
   *
   * @param given whether the names of fields do not count
   */
  public static Optional<TreePath> instance(UnitTrees trees, TreePath code, boolean given) {
    return simpleNames(trees, code).stream()
        .filter(
            each -> {
              Element element = trees.element(each);
              String word = ((IdentifierTree) each.getLeaf()).getName().toString();
              boolean member =
                  element != null
                      && (element.getKind().isField() && !given
                          || element.getKind() == ElementKind.METHOD);
              boolean self = word.equals("this") && !(given && asksField(trees, each));
              return self || word.equals("super") || member && !isStatic(element);
            })
        .findFirst();
  }

  /** Whether a field of an object is asked by a name that stands in front of a dot. */
  private static boolean asksField(UnitTrees trees, TreePath self) {
    TreePath above = self.getParentPath();
    Element asked = above.getLeaf() instanceof MemberSelectTree ? trees.element(above) : null;
    return asked != null && asked.getKind().isField();
  }

  private static List<TreePath> simpleNames(UnitTrees trees, TreePath code) {
    List<TreePath> names = new ArrayList<>();
    new SimpleNames(trees) {
      @Override
      protected void name(IdentifierTree tree) {
        names.add(getCurrentPath());
      }
    }.scan(code, null);
    return names;
  }

  /** Everything that code names and that must be seen where it stands. */
  public static Set<Element> named(UnitTrees trees, TreePath code) {
    Set<Element> named = new LinkedHashSet<>();
    new SimpleNames(trees) {
      private void add() {
        Element element = trees.element(getCurrentPath());
        boolean member =
            element instanceof TypeElement
                || element != null
                    && element.getEnclosingElement() instanceof TypeElement
                    && !(element instanceof PackageElement);
        if (member && !isSelf(element) && !isOfCode(trees, element, code)) {
          named.add(element);
        }
      }

      @Override
      protected void name(IdentifierTree tree) {
        add();
      }

      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        add();
        return super.visitMemberSelect(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        add();
        return super.visitNewClass(tree, null);
      }
    }.scan(code, null);
    return named;
  }
}
