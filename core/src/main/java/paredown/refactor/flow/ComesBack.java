package paredown.refactor.flow;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;

/**
 * Looks for calls that come back to a method while it still runs, as far as the sources that are
 * read say so; what they do not say is for an assumption.
 */
public final class ComesBack {
  private final Program program;
  private final ExecutableElement method;
  private final Set<Element> seen = new HashSet<>();

  public ComesBack(Program program, ExecutableElement method) {
    this.program = program;
    this.method = method;
  }

  /** The first call in code of the method from which it could be called again. */
  public Optional<TreePath> in(TreePath code) {
    TreePath[] found = {null};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        look(program.trees().getElement(getCurrentPath()));
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        look(program.trees().getElement(getCurrentPath()));
        return super.visitNewClass(tree, null);
      }

      private void look(Element called) {
        if (found[0] == null && called instanceof ExecutableElement other && leads(other)) {
          found[0] = getCurrentPath();
        }
      }
    }.scan(code, null);
    return Optional.ofNullable(found[0]);
  }

  private boolean leads(ExecutableElement called) {
    if (isOne(called)) {
      return true;
    }
    if (!seen.add(called) || program.isSkeleton(called)) {
      return false;
    }
    TreePath path = program.declaration(called);
    return path != null
        && path.getLeaf() instanceof MethodTree tree
        && tree.getBody() != null
        && in(new TreePath(path, tree.getBody())).isPresent();
  }

  /** Whether a call of a method could run this one. */
  private boolean isOne(ExecutableElement called) {
    return called.equals(method)
        || method.getEnclosingElement() instanceof TypeElement type
            && program.elements().overrides(method, called, type);
  }
}
