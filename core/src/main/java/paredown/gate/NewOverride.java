package paredown.gate;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import javax.lang.model.element.ExecutableElement;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.program.Program;

/**
 * A method that a change makes anew, in front of one that it overrides: nothing is lost where it
 * asks that one first of all, and what it does then is told for itself.
 */
record NewOverride(Program before, Program after, Change change) {

  /**
   * Whether a method is such a one.
   *
   * @param runs its key
   * @param expected the key of the method that ran before
   */
  boolean beginsWith(String runs, String expected) {
    for (ChangedFile file : change.files()) {
      TreePath method = declaration(after, file.path(), runs);
      if (method != null) {
        String old = file.movedFrom().orElse(file.path());
        return declaration(before, old, runs) == null && expected.equals(askedFirst(method));
      }
    }
    return false;
  }

  private static TreePath declaration(Program program, String path, String key) {
    TreePath[] found = {null};
    program
        .unit(path)
        .ifPresent(
            unit ->
                new TreePathScanner<Void, Void>() {
                  @Override
                  public Void visitMethod(MethodTree tree, Void unused) {
                    if (program.trees().getElement(getCurrentPath())
                            instanceof ExecutableElement method
                        && program.symbols().key(method).equals(key)) {
                      found[0] = getCurrentPath();
                    }
                    return null;
                  }
                }.scan(unit.tree(), null));
    return found[0];
  }

  /** The key of the method of {@code super} whose value a first statement keeps; else null. */
  private String askedFirst(TreePath declaration) {
    MethodTree method = (MethodTree) declaration.getLeaf();
    if (method.getBody() == null
        || method.getBody().getStatements().isEmpty()
        || !(method.getBody().getStatements().get(0) instanceof VariableTree variable)
        || variable.getInitializer() == null) {
      return null;
    }
    TreePath body = new TreePath(declaration, method.getBody());
    TreePath value = new TreePath(new TreePath(body, variable), variable.getInitializer());
    while (value.getLeaf() instanceof TypeCastTree cast) {
      value = new TreePath(value, cast.getExpression());
    }
    return value.getLeaf() instanceof MethodInvocationTree call
            && call.getMethodSelect() instanceof MemberSelectTree select
            && select.getExpression().toString().equals("super")
            && after.trees().getElement(new TreePath(value, select))
                instanceof ExecutableElement called
        ? after.symbols().key(called)
        : null;
  }
}
