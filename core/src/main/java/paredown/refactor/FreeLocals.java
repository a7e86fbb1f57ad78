package paredown.refactor;

import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Set;

/** The names that a constructor's variables may have. */
final class FreeLocals {
  private final Set<String> taken = new HashSet<>();

  FreeLocals(OwnerClass.Method constructor) {
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        taken.add(tree.getName().toString());
        return super.visitVariable(tree, null);
      }
    }.scan(constructor.path(), null);
  }

  /** A free name for a variable with the value of a field. */
  String name(OwnerClass.Field field) {
    String name = field.name();
    while (!taken.add(name)) {
      name += "Value";
    }
    return name;
  }
}
