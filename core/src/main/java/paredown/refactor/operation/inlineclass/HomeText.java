package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.carry.Landing;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Puts the members of a held object's class into the class that holds it. */
final class HomeText {
  private static final String WHY = "what the object held is held here";

  private final OwnerClass gone;
  private final OwnerClass home;
  private final OwnerClass.Field held;
  private final HomeNames names;
  private final HeldUses uses;
  private final HomeCode code;
  private final EditList edits;
  private final UnitTrees trees;
  private final UsedMethods used;
  private final List<Piece> carried = new ArrayList<>();
  private final List<Piece> given = new ArrayList<>();
  private final Set<Tree> taken = new HashSet<>();

  HomeText(OwnerClass.Field held, HomeNames names, HeldUses uses, HomeCode code, EditList edits) {
    this.gone = names.gone();
    this.home = names.home();
    this.held = held;
    this.names = names;
    this.uses = uses;
    this.code = code;
    this.edits = edits;
    this.trees = gone.trees();
    this.used = new UsedMethods(gone);
  }

  /**
   * Adds the edits of the home's file.
   *
   * @param made what the fields are given where the object is made, by its field or the statement
   * @return the pieces that carry parts of the class
   */
  List<Piece> collect(Map<TreePath, MadeHere> made) {
    FieldDeclaration.requireAlone(home, held, "inlined");
    made.forEach(
        (place, each) -> {
          if (place.getLeaf() != held.tree()) {
            set(place, each);
          }
        });
    MadeHere declared =
        made.entrySet().stream()
            .filter(each -> each.getKey().getLeaf() == held.tree())
            .map(Map.Entry::getValue)
            .findFirst()
            .orElse(null);
    fields(declared);
    gone.methods()
        .forEach(each -> names.passer(each.element()).ifPresent(passed -> body(each, passed)));
    land(used.all().stream().filter(each -> names.passer(each.element()).isEmpty()).toList());
    return carried;
  }

  /** The methods that nobody calls. */
  List<String> unused() {
    return used.others();
  }

  private Carried carry(int start, int end, List<TreePath> paths, List<Replacement> more) {
    Carried piece = code.carried(start, end, paths, more);
    carried.add(piece);
    return piece;
  }

  /** The fields stand where the object was declared, and constants with those of the home. */
  private void fields(MadeHere declared) {
    List<Carried> own = fields(false, declared);
    List<Carried> fixed = fields(true, declared);
    SourceText source = home.source();
    MemberRange range = held.range();
    if (own.isEmpty()) {
      int[] gap = MemberRange.withGap(source, new int[] {range.start(), range.end()});
      replace(gap[0], gap[1], List.of());
    } else {
      // A comment on the object stays where no comment of its first field takes its place.
      boolean told = !gone.source().text().startsWith("/", own.get(0).start());
      int start = told ? range.declaration() : firstSign(source, range.start());
      replace(start, range.declarationEnd(), onLines(own));
    }
    if (!fixed.isEmpty()) {
      FieldPlace place = FieldPlace.ofStatic(home);
      List<Piece> pieces = new ArrayList<>(onLines(fixed));
      pieces.add(0, Written.plain(place.before()));
      pieces.add(Written.plain(place.behind()));
      edits.add(home.trees().path(), new Replacement(place.at(), place.at(), pieces, List.of()));
    }
  }

  private void replace(int start, int end, List<Piece> pieces) {
    Replacement removal = Rewriting.removal(home.trees(), start, end, WHY, given);
    edits.add(home.trees().path(), new Replacement(start, end, pieces, removal.dropped(), WHY));
  }

  private List<Piece> onLines(List<Carried> fields) {
    Layout layout = Layout.of(home, Layout.of(gone).unit());
    List<Piece> pieces = new ArrayList<>();
    for (Carried each : fields) {
      if (!pieces.isEmpty()) {
        pieces.add(Written.plain(layout.lineEnd() + layout.member()));
      }
      pieces.add(each);
    }
    return pieces;
  }

  /** The declarations of fields of the class, or of those of its object. */
  private List<Carried> fields(boolean fixed, MadeHere declared) {
    List<Carried> fields = new ArrayList<>();
    Set<Integer> done = new HashSet<>();
    for (OwnerClass.Field field : gone.fields()) {
      if (field.is(Modifier.STATIC) == fixed && done.add(field.range().declaration())) {
        fields.add(field(field, declared));
      }
    }
    return fields;
  }

  private static int firstSign(SourceText source, int from) {
    int start = from;
    while (Character.isWhitespace(source.text().charAt(start))) {
      start++;
    }
    return start;
  }

  /** A field, or several that are declared together. */
  private Carried field(OwnerClass.Field first, MadeHere declared) {
    SourceText source = gone.source();
    MemberRange range = first.range();
    int start = firstSign(source, range.start());
    int end = range.end();
    while (Character.isWhitespace(source.text().charAt(end - 1))) {
      end--;
    }
    List<Replacement> more = new ArrayList<>();
    List<TreePath> paths = new ArrayList<>();
    AccessLevel level = AccessLevel.PRIVATE;
    for (OwnerClass.Field field : gone.fields()) {
      if (field.range().declaration() == range.declaration()) {
        paths.add(field.path());
        level =
            level.compareTo(uses.level(field.element())) > 0 ? level : uses.level(field.element());
        declaredName(field.element(), field.declared(), more);
        TreePath value = declared == null ? null : declared.values().get(field.element());
        if (value != null) {
          int behind = field.declared() + field.name().length();
          more.add(
              Replacement.of(behind, behind, Written.plain(" = "), value(declared, value))
                  .proving(WHY));
        }
      }
    }
    Modifiers.access(trees, first.tree().getModifiers(), range, word(level)).ifPresent(more::add);
    return carry(start, end, paths, more);
  }

  private static String word(AccessLevel level) {
    return level == AccessLevel.PRIVATE ? "private " : "";
  }

  private void declaredName(Element element, int at, List<Replacement> more) {
    if (!names.isRenamed(element)) {
      return;
    }
    Written.Text text = Written.text("");
    for (Use use : gone.program().uses().within(trees.path(), at, at + 1)) {
      text.hereStill(use.kind(), use.key(), use.place());
    }
    more.add(
        Replacement.of(
            at, at + element.getSimpleName().length(), text.text(names.of(element)).done()));
  }

  /** What a field is given: an argument, or what the constructor works out. */
  private Piece value(MadeHere made, TreePath value) {
    if (made.isGiven(value)) {
      Carried piece = edits.carried(home.trees(), value.getLeaf());
      given.add(piece);
      return piece;
    }
    int start = trees.start(value.getLeaf());
    int end = trees.end(value.getLeaf());
    if (taken.add(value.getLeaf())) {
      return carry(start, end, List.of(value), List.of());
    }
    Carried again = code.carried(start, end, List.of(value), List.of());
    if (!again.inside().isEmpty()) {
      throw Refused.advising(
          RefusalKind.CONSTRUCTOR_SHAPE,
          "%s cannot be inlined into %s: several constructors would have to work that out."
              .formatted(gone.writtenName(), home.writtenName()),
          "Make the object in one constructor only.",
          trees.place(value.getLeaf()));
    }
    return new Copied(trees.path(), start, end, List.of(), again.self());
  }

  /** A constructor sets the fields where it made the object. */
  private void set(TreePath statement, MadeHere made) {
    SourceText source = home.source();
    int start = home.trees().start(statement.getLeaf());
    int end = home.trees().end(statement.getLeaf());
    List<Piece> pieces = new ArrayList<>();
    List<Piece> arguments = new ArrayList<>();
    made.values()
        .forEach(
            (field, value) -> {
              String before = pieces.isEmpty() ? "" : source.lineEnd() + source.indentAt(start);
              pieces.add(
                  Written.text(before)
                      .name("this", "this of " + home.binaryName())
                      .text(".")
                      .name(names.of(field), names.key(field))
                      .text(" = ")
                      .done());
              Piece piece = value(made, value);
              arguments.add(piece);
              pieces.add(piece);
              pieces.add(Written.plain(";"));
            });
    int[] whole =
        pieces.isEmpty() ? home.trees().leaving(statement.getLeaf()) : new int[] {start, end};
    edits.add(
        home.trees().path(),
        Rewriting.of(home.trees(), whole[0], whole[1], WHY, pieces, arguments).proving(WHY));
  }

  /** A method that only passed on does it itself. */
  private void body(OwnerClass.Method method, PassedOn passed) {
    OwnerClass.Method by = passed.method();
    UnitTrees there = home.trees();
    int from = there.behindBracket(there.names().of(by.tree())) - 1;
    int to = there.end(by.tree());
    int start = trees.behindBracket(trees.names().of(method.tree())) - 1;
    Carried piece = carry(start, trees.end(method.tree()), List.of(method.path()), List.of());
    edits.add(
        there.path(),
        Rewriting.of(there, from, to, "it does itself what it passed on", piece).proving(WHY));
  }

  /** The other methods stand behind its own. */
  private void land(List<OwnerClass.Method> methods) {
    if (methods.isEmpty()) {
      return;
    }
    Landing landing = new Landing(home);
    Layout layout = Layout.of(home, Layout.of(gone).unit());
    SourceText source = gone.source();
    List<Piece> pieces = new ArrayList<>();
    for (OwnerClass.Method method : methods) {
      int start = method.range().start();
      int stop = method.range().end();
      boolean ownLine = start == source.lineStart(start);
      boolean ownEnd = "\r\n".indexOf(source.text().charAt(stop - 1)) >= 0;
      List<Replacement> more = new ArrayList<>();
      Modifiers.access(
              trees,
              method.tree().getModifiers(),
              method.range(),
              word(uses.level(method.element())))
          .ifPresent(more::add);
      declaredName(method.element(), trees.names().of(method.tree()), more);
      pieces.add(
          Written.plain(
              (pieces.isEmpty() ? landing.before() : layout.lineEnd())
                  + (ownLine ? "" : layout.member())));
      pieces.add(carry(start, stop, List.of(method.path()), more));
      pieces.add(Written.plain(ownEnd ? "" : layout.lineEnd()));
    }
    pieces.add(Written.plain(landing.behind()));
    edits.add(
        home.trees().path(), new Replacement(landing.start(), landing.end(), pieces, List.of()));
  }
}
