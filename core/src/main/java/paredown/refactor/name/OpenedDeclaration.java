package paredown.refactor.name;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.UnitTrees;

/** A declaration in the sources whose modifiers change so that more code sees it. */
final class OpenedDeclaration {
  private final Program program;
  private final Element element;
  private final TreePath path;

  OpenedDeclaration(Program program, Element element) {
    this.program = program;
    this.element = element;
    this.path = program.trees().getPath(element);
  }

  /** What it says of who sees it; empty where it says nothing. */
  Optional<String> word() {
    return element.getModifiers().stream()
        .map(Modifier::toString)
        .filter(Set.of("private", "protected", "public")::contains)
        .findFirst();
  }

  /** The file that declares it. */
  String file() {
    return program.unit(path).orElseThrow().path();
  }

  /** The edit that opens it: to all, or to its package. */
  Replacement edit(boolean toPublic) {
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    Tree tree = path.getLeaf();
    MemberRange range = MemberRange.of(trees.source(), trees.start(tree), trees.end(tree));
    Optional<String> present = word();
    if (present.isPresent() && isOfInterface()) {
      return Modifiers.replace(trees.source(), range, present.get(), "default").orElseThrow();
    }
    if (present.isPresent()) {
      return toPublic
          ? Modifiers.replace(trees.source(), range, present.get(), "public").orElseThrow()
          : Modifiers.remove(trees.source(), range, present.get()).orElseThrow();
    }
    int behind = Modifiers.behindAnnotations(trees, modifiers(tree), range.declaration());
    return Replacement.of(behind, behind, Written.plain("public "));
  }

  /** Whether it is a method of an interface, which has a body and belongs to an object. */
  private boolean isOfInterface() {
    return element.getKind() == ElementKind.METHOD
        && element.getEnclosingElement().getKind().isInterface()
        && !element.getModifiers().contains(Modifier.STATIC);
  }

  private static ModifiersTree modifiers(Tree tree) {
    if (tree instanceof MethodTree method) {
      return method.getModifiers();
    }
    return tree instanceof ClassTree type
        ? type.getModifiers()
        : ((VariableTree) tree).getModifiers();
  }
}
