package paredown.refactor.operation.superclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
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
import paredown.refactor.name.TypeNames;

/**
 * The code of a member in the class above: what its own class has stays out of reach there, but for
 * what goes up with it and what the class above asks its object for.
 */
final class CodeAbove {
  private final CommonMembers common;
  private final Program program;
  private final UnitTrees trees;
  private final TypeNames names;
  private final CodeElsewhere elsewhere;
  private final Map<Element, String> asked = new LinkedHashMap<>();
  private final List<Element> along = new ArrayList<>();
  private List<Replacement> edits = new ArrayList<>();
  private String member = "";

  CodeAbove(CommonMembers common, TypeNames names) {
    this.common = common;
    this.program = common.first().program();
    this.trees = common.first().trees();
    this.names = names;
    this.elsewhere = new CodeElsewhere(trees, names, common.parent().element(), true);
    common.slots().forEach((method, above) -> asked.put(method, program.symbols().key(above)));
    common
        .abstracted()
        .forEach(each -> asked.put(each.element(), MoveUp.above(common, each.key())));
    common.fields().forEach(each -> along.add(each.element()));
    common.methods().forEach(each -> along.add(each.element()));
  }

  /**
   * What the code of a member says otherwise there.
   *
   * @throws Refused where it needs what is not there
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
      boolean plain = type.getNestingKind() != NestingKind.LOCAL && !within;
      if (plain) {
        edits.add(elsewhere.type(path));
      }
      return;
    }
    if (word.equals("this") || element == null || !isMember(element)) {
      return;
    }
    if (element.getModifiers().contains(Modifier.STATIC)) {
      boolean known = along.contains(element) || isInherited(element);
      if (!known && !CodeElsewhere.isLabel(element, path)) {
        edits.add(elsewhere.qualified(path));
      }
      return;
    }
    ofObject(path, element);
  }

  private static boolean isWithin(TreePath declared, TreePath code) {
    for (TreePath at = declared; at != null; at = at.getParentPath()) {
      if (at.getLeaf() == code.getLeaf()) {
        return true;
      }
    }
    return false;
  }

  private static boolean isMember(Element element) {
    return (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
        && element.getEnclosingElement() instanceof TypeElement;
  }

  /** Whether the class above has a member, or inherits it. */
  private boolean isInherited(Element member) {
    TypeElement parent = common.parent().element();
    Element home = member.getEnclosingElement();
    return home.equals(parent) || program.supertypes(parent).contains(home);
  }

  /** A member of the object, named alone. */
  private void ofObject(TreePath path, Element element) {
    int at = trees.start(path.getLeaf());
    Optional<Use> receiver = program.uses().at(trees.path(), at, UseKind.RECEIVER);
    boolean own =
        receiver
            .filter(use -> use.key().equals(Symbols.typeKey(common.first().binaryName())))
            .isPresent();
    if (!own || along.contains(element)) {
      return;
    }
    String key = key(element, path.getLeaf());
    Written.Text text = Written.text("");
    text.here(
        UseKind.RECEIVER, program.symbols().key(common.parent().element()), receiver.get().place());
    String word = element.getSimpleName().toString();
    text.name(word, key, Rewriting.name(trees, at));
    edits.add(Replacement.of(at, at + word.length(), text.done()));
  }

  /** What is asked for in the place of a member that stays. */
  private String key(Element element, Tree place) {
    if (asked.containsKey(element)) {
      return asked.get(element);
    }
    if (!isInherited(element)) {
      throw refused(
          RefusalKind.NEEDS_OWNER,
          "it needs " + element.getSimpleName() + ", which only its own class has",
          place);
    }
    return program.symbols().key(element);
  }

  /** A member that is asked of {@code this}, or of {@code super}. */
  private void selected(TreePath path, MemberSelectTree tree) {
    if (tree.getIdentifier().contentEquals("this") || tree.getIdentifier().contentEquals("super")) {
      boolean ofOwn =
          common.first().element().equals(trees.element(new TreePath(path, tree.getExpression())));
      if (ofOwn || tree.getIdentifier().contentEquals("super")) {
        throw refused(RefusalKind.NEEDS_OWNER, "it names its own object by its class", tree);
      }
      return;
    }
    Element element = trees.element(path);
    boolean ofThis =
        tree.getExpression() instanceof IdentifierTree name && name.getName().contentEquals("this");
    boolean own =
        ofThis
            && element != null
            && isMember(element)
            && common.first().element().equals(trees.classAround(path))
            && !element.getModifiers().contains(Modifier.STATIC);
    if (!own || along.contains(element)) {
      return;
    }
    String key = key(element, tree);
    if (element instanceof ExecutableElement && asked.containsKey(element)) {
      int at = trees.nameOffset(tree);
      String word = element.getSimpleName().toString();
      Written named = Written.text("").name(word, key, Rewriting.name(trees, at)).done();
      edits.add(Replacement.of(at, at + word.length(), named));
    }
  }

  private Refused refused(RefusalKind kind, String why, Tree place) {
    return Refused.advising(
        kind, "%s cannot go up: %s.".formatted(member, why), "", trees.place(place));
  }
}
