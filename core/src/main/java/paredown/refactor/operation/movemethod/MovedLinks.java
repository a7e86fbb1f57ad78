package paredown.refactor.operation.movemethod;

import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;

/** Lets Javadoc links to a moved method follow it. */
final class MovedLinks {
  private final Moving moving;
  private final TypeNames names;
  private final UnitTrees trees;

  MovedLinks(Moving moving, TypeNames names, UnitTrees trees) {
    this.moving = moving;
    this.names = names;
    this.trees = trees;
  }

  void collect(EditList edits) {
    moving
        .program()
        .uses()
        .in(trees.path())
        .filter(use -> use.isDoc() && use.key().equals(moving.method().key()))
        .filter(use -> !isCarried(use))
        .forEach(use -> edits.add(trees.path(), link(use)));
  }

  private boolean isCarried(Use use) {
    MemberRange range = moving.method().range();
    return trees.path().equals(moving.owner().trees().path())
        && range.start() <= use.offset()
        && use.offset() < range.end();
  }

  private Replacement link(Use use) {
    String text = trees.source().text();
    int sharp = text.indexOf('#', use.offset());
    int end = sharp + 1 + moving.method().name().length();
    boolean plain =
        sharp >= 0
            && !trees.source().slice(use.offset(), sharp).matches("(?s).*[\\s}].*")
            && text.startsWith(moving.method().name(), sharp + 1);
    if (!plain) {
      throw Refused.because(
          RefusalKind.STATIC_CONTEXT, "A Javadoc link", trees.source().place(use.offset()));
    }
    boolean parameters = text.charAt(end) == '(';
    if (parameters) {
      end = text.indexOf(')', end) + 1;
    }
    String type = names.knownOrFull(moving.target().element(), null);
    String key = moving.newKey();
    String written =
        type + "#" + moving.name() + (parameters ? key.substring(key.indexOf('(')) : "");
    return Replacement.of(
        use.offset(),
        end,
        Written.text("").here(UseKind.DOC, key, use.place()).text(written).done());
  }
}
