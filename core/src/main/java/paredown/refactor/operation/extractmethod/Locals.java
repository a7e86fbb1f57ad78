package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.VariableElement;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;

/** The local variables that a part takes in, and those that it leaves a value in. */
final class Locals {
  /**
   * A use of a local variable.
   *
   * @param offset where its name stands
   */
  record Named(VariableElement variable, int offset) {}

  private final UnitTrees trees;
  private final Part part;
  private final Map<Element, TreePath> declared = new HashMap<>();
  private final List<Named> uses = new ArrayList<>();
  private final Set<Element> written = new HashSet<>();

  Locals(UnitTrees trees, Part part, TreePath member) {
    this.trees = trees;
    this.part = part;
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        Element element = trees.element(getCurrentPath());
        if (element != null) {
          declared.put(element, getCurrentPath());
        }
        return super.visitVariable(tree, null);
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (trees.element(getCurrentPath()) instanceof VariableElement variable
            && Symbols.isLocal(variable)) {
          uses.add(new Named(variable, trees.start(tree)));
        }
        return super.visitIdentifier(tree, null);
      }
    }.scan(member, null);
    part.trees().forEach(tree -> written.addAll(Writes.in(trees, tree)));
  }

  /** The uses within the part of what is declared around it. */
  List<Named> taken() {
    return uses.stream().filter(use -> part.holds(use.offset()) && !isOwn(use.variable())).toList();
  }

  /** The variables that come from around the part, in the order in which it first names them. */
  List<VariableElement> inputs() {
    Set<VariableElement> inputs = new LinkedHashSet<>();
    taken().forEach(use -> inputs.add(use.variable()));
    return new ArrayList<>(inputs);
  }

  /** The variables whose value what follows needs, in the order in which they are declared. */
  List<VariableElement> results() {
    Set<VariableElement> results = new LinkedHashSet<>();
    for (Named use : uses) {
      VariableElement variable = use.variable();
      boolean left = isOwn(variable) || written.contains(variable);
      if (left && (use.offset() >= part.end() || isAgain(use))) {
        results.add(variable);
      }
    }
    return results.stream().sorted(Comparator.comparingInt(this::declaredAt)).toList();
  }

  private int declaredAt(VariableElement variable) {
    TreePath path = declared.get(variable);
    return path == null ? -1 : trees.start(path.getLeaf());
  }

  /** The uses behind the part of a variable that it declares. */
  List<Named> later(VariableElement variable) {
    return uses.stream()
        .filter(use -> use.variable().equals(variable) && !part.holds(use.offset()))
        .toList();
  }

  /** Whether a variable is declared within the part. */
  boolean isOwn(VariableElement variable) {
    TreePath path = declared.get(variable);
    return path != null && part.holds(trees.start(path.getLeaf()));
  }

  /** Whether a variable belongs to code around the class, whose methods all see it. */
  boolean isAroundClass(VariableElement variable) {
    return !declared.containsKey(variable);
  }

  boolean isWritten(VariableElement variable) {
    return written.contains(variable);
  }

  /** Whether a variable has no value yet where the part begins. */
  boolean isUnset(VariableElement variable) {
    TreePath path = declared.get(variable);
    boolean plain =
        variable.getKind() == ElementKind.LOCAL_VARIABLE
            && path != null
            && ((VariableTree) path.getLeaf()).getInitializer() == null
            && !(path.getParentPath().getLeaf() instanceof EnhancedForLoopTree);
    return plain
        && uses.stream()
            .filter(use -> use.variable().equals(variable))
            .noneMatch(use -> use.offset() < part.start());
  }

  /** Whether a use in front of the part, or in it, comes again behind it, in a loop around both. */
  private boolean isAgain(Named use) {
    TreePath declaration = declared.get(use.variable());
    for (TreePath at = part.first().getParentPath(); at != null; at = at.getParentPath()) {
      StatementTree body = body(at.getLeaf());
      boolean around =
          body != null
              && trees.start(at.getLeaf()) <= use.offset()
              && use.offset() < trees.end(at.getLeaf());
      boolean fresh =
          body != null
              && declaration != null
              && trees.start(body) <= trees.start(declaration.getLeaf())
              && trees.start(declaration.getLeaf()) < trees.end(body);
      if (around && !fresh) {
        return true;
      }
    }
    return false;
  }

  private static StatementTree body(Tree tree) {
    if (tree instanceof ForLoopTree loop) {
      return loop.getStatement();
    }
    if (tree instanceof EnhancedForLoopTree loop) {
      return loop.getStatement();
    }
    if (tree instanceof WhileLoopTree loop) {
      return loop.getStatement();
    }
    return tree instanceof DoWhileLoopTree loop ? loop.getStatement() : null;
  }

  /**
   * Requires that what a part sets is not looked at where the part fails: it would not be set then.
   *
   * @throws Refused where a try around it could look
   */
  void requireSetInTheEnd(VariableElement result) {
    if (isOwn(result)) {
      return;
    }
    TreePath declaration = declared.get(result);
    for (TreePath at = part.first(); at != null; at = at.getParentPath()) {
      boolean looked =
          at.getLeaf() instanceof TryTree tree
              && trees.start(tree.getBlock()) <= part.start()
              && part.end() <= trees.end(tree.getBlock())
              && (!tree.getCatches().isEmpty() || tree.getFinallyBlock() != null)
              && (declaration == null || trees.start(declaration.getLeaf()) < trees.start(tree));
      if (looked) {
        throw Refused.advising(
            RefusalKind.SEVERAL_RESULTS,
            "The part sets %s within a try, which could go on with it where the part fails."
                .formatted(result.getSimpleName()),
            "Take less, so that it is set outside of the part.",
            trees.source().place(part.start()));
      }
    }
  }
}
