package paredown.refactor.use;

import com.sun.source.tree.ArrayTypeTree;
import com.sun.source.tree.Tree;
import java.util.List;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.refactor.code.UnitTrees;

/** The type of a field as it can be written before another name. */
public final class FieldType {
  private FieldType() {}

  /**
   * The type, its array signs at its end even where they stand behind the field's name.
   *
   * @param self what the instance that it is written for has become; null where it stays
   */
  public static List<Piece> pieces(OwnerClass owner, OwnerClass.Field field, Self self) {
    UnitTrees trees = owner.trees();
    Tree type = field.tree().getType();
    int behind = 0;
    while (trees.end(type) > field.declared() && type instanceof ArrayTypeTree array) {
      type = array.getType();
      behind++;
    }
    Piece plain = new Copied(trees.path(), trees.start(type), trees.end(type), List.of(), self);
    return behind == 0 ? List.of(plain) : List.of(plain, Written.plain("[]".repeat(behind)));
  }
}
