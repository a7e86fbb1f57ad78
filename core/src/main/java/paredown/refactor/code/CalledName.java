package paredown.refactor.code;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;

/** The name in a call, which means a method with other parameters, asked of the same object. */
public final class CalledName {
  private CalledName() {}

  /** The edit; {@code key} is that of the method as it is then. */
  public static Replacement meaning(UnitTrees trees, MethodInvocationTree call, String key) {
    int offset = trees.nameOffset(call.getMethodSelect());
    String name =
        call.getMethodSelect() instanceof MemberSelectTree select
            ? select.getIdentifier().toString()
            : ((IdentifierTree) call.getMethodSelect()).getName().toString();
    Written.Text text = Written.text("");
    for (Use use : trees.program().uses().within(trees.path(), offset, offset + 1)) {
      if (!use.isName()) {
        text.hereStill(use.kind(), use.key(), use.place());
      }
    }
    text.name(name, key, Rewriting.name(trees, offset));
    return Replacement.of(offset, offset + name.length(), text.done());
  }
}
