package paredown.refactor.name;

import java.util.List;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Takes a type away, with its file where that holds no other. */
public final class TypeRemoval {
  private TypeRemoval() {}

  /** Whether a type is all that its file holds. */
  public static boolean isWholeFile(OwnerClass gone) {
    return gone.trees().unit().tree().getTypeDecls().equals(List.of(gone.tree()));
  }

  /** The range that goes. */
  public static int[] range(OwnerClass gone) {
    SourceText source = gone.source();
    if (isWholeFile(gone)) {
      return new int[] {0, source.length()};
    }
    int start = gone.trees().start(gone.tree());
    MemberRange range = MemberRange.of(source, start, gone.trees().end(gone.tree()));
    return MemberRange.withGap(source, new int[] {range.start(), range.end()});
  }

  /**
   * The edit.
   *
   * @param why it may go
   * @param elsewhere the pieces that carry parts of it
   */
  public static Replacement of(OwnerClass gone, String why, List<Piece> elsewhere) {
    int[] range = range(gone);
    return Rewriting.removal(gone.trees(), range[0], range[1], why, elsewhere).proving(why);
  }

  /** What the public API loses. */
  public static List<String> api(OwnerClass gone) {
    return AccessLevel.isApi(gone.element()) ? List.of(gone.writtenName() + " is gone") : List.of();
  }
}
