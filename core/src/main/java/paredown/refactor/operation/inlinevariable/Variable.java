package paredown.refactor.operation.inlinevariable;

import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import paredown.UnusableRequest;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.LocalUses;
import paredown.refactor.code.Place;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OwnerClass;

/**
 * A local variable whose value could stand where it is used.
 *
 * @param path of its declaration
 */
record Variable(UnitTrees trees, TreePath path) {

  /** The variable of a method. */
  static Variable of(Program program, DeclaredType type, String method, String name) {
    OwnerClass owner = OwnerClass.of(program, type);
    TreePath path = NamedVariable.of(owner, NamedVariable.method(owner, method), name);
    return new Variable(owner.trees(), path);
  }

  /** The one that is declared in a place. */
  static Variable at(UnitTrees trees, Place place) {
    List<TreePath> found = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        int name = trees.names().of(tree);
        if (place.holds(trees.source(), name) && isLocal(getCurrentPath())) {
          found.add(getCurrentPath());
        }
        return super.visitVariable(tree, null);
      }

      private boolean isLocal(TreePath path) {
        Element element = trees.element(path);
        return element != null && Symbols.isLocal(element);
      }
    }.scan(trees.unit().tree(), null);
    if (found.size() != 1) {
      throw new UnusableRequest(
          "%s declares %s."
              .formatted(
                  place, found.isEmpty() ? "no local variable" : found.size() + " variables"),
          "Give the line where one is declared, or its name: TYPE#METHOD#VARIABLE.");
    }
    return new Variable(trees, found.get(0));
  }

  VariableTree tree() {
    return (VariableTree) path.getLeaf();
  }

  Element element() {
    return trees.element(path);
  }

  String name() {
    return tree().getName().toString();
  }

  /** What it is given where it is declared. */
  TreePath value() {
    return new TreePath(path, tree().getInitializer());
  }

  /** Where its name stands, other than in its declaration. */
  List<TreePath> uses() {
    return LocalUses.of(trees, path);
  }

  /**
   * Requires that it is declared in a statement of its own, with the one value that it ever has.
   *
   * @throws Refused where it is not
   */
  void require() {
    if (element().getKind() == ElementKind.PARAMETER) {
      throw new UnusableRequest(
          name() + " is a parameter; what it is given stands with those who call.",
          "Inline the method, or name a variable that is declared with a value.");
    }
    Tree around = path.getParentPath().getLeaf();
    if (!Blocks.holds(path)) {
      throw noValue("it is declared in the head of a statement");
    }
    if (tree().getInitializer() == null) {
      throw noValue("it is given its value in another statement");
    }
    if (Writes.in(trees, path.getParentPath()).contains(element())) {
      throw Refused.advising(
          RefusalKind.VALUE_CHANGES,
          name() + " is set again, so that its value is not one.",
          "Inline what has one value, or part the variable in two first.",
          trees.place(tree()));
    }
    Blocks.requireDeclaredAlone(trees, path);
  }

  private Refused noValue(String why) {
    return Refused.advising(
        RefusalKind.NO_VALUE,
        "%s cannot be inlined: %s.".formatted(name(), why),
        "Name a variable that is declared with its value.",
        trees.place(tree()));
  }
}
