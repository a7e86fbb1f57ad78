package paredown.refactor.code;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import paredown.edit.Carried;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.edit.WrittenUse;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.text.Token;

/** Replacements of code that account for every use within the range: those not written are gone. */
public final class Rewriting {
  private Rewriting() {}

  /**
   * Puts pieces in the place of a range.
   *
   * @throws Refused where a comment within the range would be lost
   */
  public static Replacement of(
      UnitTrees trees, int start, int end, String reason, Piece... pieces) {
    return of(trees, start, end, reason, List.of(pieces), List.of());
  }

  /**
   * The same where parts of the range are carried elsewhere.
   *
   * @param elsewhere the pieces that may carry them
   */
  public static Replacement of(
      UnitTrees trees,
      int start,
      int end,
      String reason,
      List<Piece> pieces,
      List<Piece> elsewhere) {
    List<Piece> all = Stream.of(pieces, elsewhere).flatMap(List::stream).toList();
    requireNoComment(trees, start, end, all);
    return said(trees, start, end, reason, pieces, all);
  }

  /** Puts pieces in the place of a range whose comments another place says as well. */
  public static Replacement ofSaidElsewhere(
      UnitTrees trees, int start, int end, String reason, List<Piece> pieces) {
    return said(trees, start, end, reason, pieces, pieces);
  }

  private static Replacement said(
      UnitTrees trees, int start, int end, String reason, List<Piece> pieces, List<Piece> all) {
    Set<Use.Place> stands = new HashSet<>();
    for (Piece piece : pieces) {
      if (piece instanceof Written written) {
        written.uses().stream()
            .map(WrittenUse::standsFor)
            .flatMap(Optional::stream)
            .forEach(stands::add);
      }
    }
    List<Replacement.Dropped> dropped =
        trees.program().uses().within(trees.path(), start, end).stream()
            .filter(use -> !stands.contains(use.place()) && !isCarried(use, all))
            .map(use -> new Replacement.Dropped(use.place(), reason))
            .toList();
    return new Replacement(start, end, pieces, dropped);
  }

  /**
   * Takes a declaration away with its comments.
   *
   * @param elsewhere the pieces that carry parts of it
   */
  public static Replacement removal(
      UnitTrees trees, int start, int end, String reason, List<Piece> elsewhere) {
    List<Replacement.Dropped> dropped =
        trees.program().uses().within(trees.path(), start, end).stream()
            .filter(use -> !isCarried(use, elsewhere))
            .map(use -> new Replacement.Dropped(use.place(), reason))
            .toList();
    return new Replacement(start, end, List.of(), dropped);
  }

  private static boolean isCarried(Use use, List<Piece> pieces) {
    return pieces.stream().anyMatch(piece -> carries(piece, use.file(), use.offset()));
  }

  private static boolean carries(Piece piece, String file, int offset) {
    return piece instanceof Carried range
        && range.file().equals(file)
        && range.start() <= offset
        && offset < range.end();
  }

  private static void requireNoComment(UnitTrees trees, int start, int end, List<Piece> pieces) {
    for (int i = trees.source().tokenAt(start); i < trees.source().tokens().size(); i++) {
      Token token = trees.source().tokens().get(i);
      if (token.start() >= end) {
        return;
      }
      boolean carried =
          pieces.stream().anyMatch(piece -> carries(piece, trees.path(), token.start()));
      if (token.kind().isComment() && !carried) {
        throw Refused.advising(
            RefusalKind.CALL_SHAPE,
            "A comment stands within what would be rewritten.",
            "Move it out of the expression first.",
            trees.source().place(token.start()));
      }
    }
  }

  /** The place of the name at an offset. */
  public static Use.Place name(UnitTrees trees, int offset) {
    return new Use.Place(trees.path(), offset, UseKind.NAME);
  }
}
