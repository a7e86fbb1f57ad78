package paredown.refactor.use;

import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Set;

/** The names that a constructor's variables may have. */
public final class FreeLocals {
  private final Set<String> taken = new HashSet<>();

  public FreeLocals(OwnerClass.Method constructor) {
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        taken.add(tree.getName().toString());
        return super.visitVariable(tree, null);
      }
    }.scan(constructor.path(), null);
  }

  /** A free name for a variable with the value of a field. */
  public String name(OwnerClass.Field field) {
    String name = field.name();
    while (!taken.add(name)) {
      name += "Value";
    }
    return name;
  }
}
