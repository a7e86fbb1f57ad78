package paredown.refactor.operation.movedown;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;

/**
 * The code of a member in the class below, which has what its old class has, but for the private.
 */
final class CodeBelow {
  private final Going going;
  private final Program program;
  private final UnitTrees trees;
  private final Widening widening;
  private final CodeElsewhere elsewhere;
  private final Sight sight;
  private List<Replacement> edits = new ArrayList<>();
  private String member = "";

  CodeBelow(Going going, TypeNames names, Widening widening) {
    this.going = going;
    this.program = going.parent().program();
    this.trees = going.parent().trees();
    this.widening = widening;
    this.elsewhere = new CodeElsewhere(trees, names, going.child().element(), true);
    this.sight = new Sight(going.child().element(), program.elements());
  }

  /**
   * What the code of a member says otherwise there.
   *
   * @throws Refused where it means its old class in a way that cannot be said there
   */
  List<Replacement> edits(TreePath code, String name) {
    edits = new ArrayList<>();
    member = name;
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (trees.end(tree) >= 0) {
          name(getCurrentPath(), code);
        }
        return null;
      }

      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        selected(getCurrentPath(), tree);
        return super.visitMemberSelect(tree, null);
      }
    }.scan(code, null);
    return edits;
  }

  private void name(TreePath path, TreePath code) {
    Element element = trees.element(path);
    String word = ((IdentifierTree) path.getLeaf()).getName().toString();
    if (word.equals("super")) {
      throw refused(RefusalKind.SUPER_CALL, "it asks its superclass", path.getLeaf());
    }
    if (element instanceof TypeParameterElement variable
        && variable.getGenericElement() instanceof TypeElement) {
      throw refused(
          RefusalKind.OWNER_TYPE_VARIABLE,
          "it depends on a type variable of its class",
          path.getLeaf());
    }
    if (element instanceof TypeElement type) {
      boolean within =
          program.declaration(type) != null && isWithin(program.declaration(type), code);
      if (type.getNestingKind() != NestingKind.LOCAL && !within) {
        open(type, path.getLeaf());
        edits.add(elsewhere.type(path));
      }
      return;
    }
    boolean ofOwner =
        element != null
            && !word.equals("this")
            && (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
            && element.getEnclosingElement() instanceof TypeElement;
    if (!ofOwner || going.keys().containsKey(element)) {
      return;
    }
    open(element, path.getLeaf());
    if (element.getModifiers().contains(Modifier.STATIC)) {
      boolean inherited =
          element.getEnclosingElement().equals(going.parent().element())
              || program
                  .supertypes(going.parent().element())
                  .contains(element.getEnclosingElement());
      if (!inherited && !CodeElsewhere.isLabel(element, path)) {
        edits.add(elsewhere.qualified(path));
      }
      return;
    }
    ofObject(path, element);
  }

  private void open(Element element, Tree place) {
    if (sight.hides(element)) {
      widening.open(element, sight, member, trees.place(place));
    }
  }

  private static boolean isWithin(TreePath declared, TreePath code) {
    for (TreePath at = declared; at != null; at = at.getParentPath()) {
      if (at.getLeaf() == code.getLeaf()) {
        return true;
      }
    }
    return false;
  }

  /** A member that the object has from above, named alone. */
  private void ofObject(TreePath path, Element element) {
    int at = trees.start(path.getLeaf());
    Optional<Use> receiver = program.uses().at(trees.path(), at, UseKind.RECEIVER);
    boolean own =
        receiver
            .filter(use -> use.key().equals(Symbols.typeKey(going.parent().binaryName())))
            .isPresent();
    if (!own) {
      return;
    }
    String word = element.getSimpleName().toString();
    Written.Text text = Written.text("");
    text.here(
        UseKind.RECEIVER, program.symbols().key(going.child().element()), receiver.get().place());
    text.name(word, program.symbols().key(element), Rewriting.name(trees, at));
    edits.add(Replacement.of(at, at + word.length(), text.done()));
  }

  /** A member that is asked of {@code this}, or of another object. */
  private void selected(TreePath path, MemberSelectTree tree) {
    boolean self =
        tree.getIdentifier().contentEquals("this") || tree.getIdentifier().contentEquals("super");
    if (self
        && going
            .parent()
            .element()
            .equals(trees.element(new TreePath(path, tree.getExpression())))) {
      throw refused(RefusalKind.NEEDS_OWNER, "it names its own object by its class", tree);
    }
    Element element = trees.element(path);
    boolean member =
        element != null
            && element.getEnclosingElement() instanceof TypeElement
            && !going.keys().containsKey(element);
    if (member && !self) {
      open(element, tree);
    }
  }

  private Refused refused(RefusalKind kind, String why, Tree place) {
    return Refused.advising(
        kind, "%s cannot go down: %s.".formatted(member, why), "", trees.place(place));
  }
}
