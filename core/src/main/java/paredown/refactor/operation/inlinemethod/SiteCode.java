package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.Layout;
import paredown.refactor.carry.ValueInPlace;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.flow.Jumps;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** The code of a method as pieces for the place of one call: moved there, or repeated. */
final class SiteCode {
  private static final String PROOF = "it is the code that the call ran";

  private final Body body;
  private final Call call;
  private final Given values;
  private final Site site;
  private final TypeNames types;
  private final boolean first;
  private final List<Piece> carried = new ArrayList<>();
  private final Set<String> labels = new HashSet<>();

  /**
   * The code for a call.
   *
   * @param first whether the code moves there; else it is repeated
   */
  SiteCode(Body body, Call call, Given values, Site site, TypeNames types, boolean first) {
    this.body = body;
    this.call = call;
    this.values = values;
    this.site = site;
    this.types = types;
    this.first = first;
  }

  Body body() {
    return body;
  }

  Call call() {
    return call;
  }

  Given values() {
    return values;
  }

  /** What one level of indentation adds around the call. */
  String unit() {
    return Layout.of(OwnerClass.of(call.trees().program(), call.type())).unit();
  }

  /** Whether the method's code moves to the call; else it is repeated. */
  boolean moves() {
    return first;
  }

  SourceText source() {
    return call.trees().source();
  }

  /** The pieces that carry the method's code away. */
  List<Piece> carried() {
    return carried;
  }

  /**
   * What takes the place of a range around the call.
   *
   * @param within the pieces that the code carries within its own edits
   */
  Replacement replacement(int start, int end, List<Piece> pieces, Piece... within) {
    List<Piece> elsewhere = new ArrayList<>(site.carriedValues());
    elsewhere.addAll(List.of(within));
    String reason = "its code stands there";
    return Rewriting.of(call.trees(), start, end, reason, pieces, elsewhere).proving(PROOF);
  }

  /** What stands in front of a statement. */
  Replacement insertion(int start, List<Piece> pieces) {
    return Rewriting.of(call.trees(), start, start, "", pieces, List.of()).proving(PROOF);
  }

  /** An expression of the method as it stands at the call. */
  Piece expression(Tree tree) {
    UnitTrees trees = body.trees();
    return range(trees.start(tree), trees.end(tree), Indent.SAME);
  }

  /** What the method gives, as an expression in the place of the call. */
  List<Piece> result(TreePath value) {
    return result(value, source().indentAt(call.start()));
  }

  /**
   * The same as it is indented elsewhere.
   *
   * @param indent of the line that it begins in
   */
  List<Piece> result(TreePath value, String indent) {
    UnitTrees trees = body.trees();
    TypeMirror type = trees.program().trees().getTypeMirror(call.path());
    ValueInPlace place = new ValueInPlace(trees, value, type, types).saying(values.said(value));
    int start = trees.start(value.getLeaf());
    int end = trees.end(value.getLeaf());
    if (first) {
      carried.add(Carried.range(trees.path(), start, end));
    }
    return place.at(call.trees(), call.path(), first, site.within(start, end), indent).stream()
        .map(this::withSelf)
        .toList();
  }

  /** What the method gives as the value of a variable of a type. */
  List<Piece> value(TreePath value, TypeMirror type, String indent) {
    UnitTrees trees = body.trees();
    TypeMirror given = trees.program().trees().getTypeMirror(call.path());
    if (!trees.program().types().isSameType(type, given)) {
      return result(value, indent);
    }
    String own = trees.source().indentAt(trees.start(value.getParentPath().getLeaf()));
    Tree tree = value.getLeaf();
    return List.of(range(trees.start(tree), trees.end(tree), new Indent(own, indent)));
  }

  /** The statements of the method up to an offset. */
  Piece statements(String indent, int end) {
    int start = body.start();
    return range(start, end, new Indent(body.trees().source().indentAt(start), indent));
  }

  /** Code of the method with what it says otherwise at the call. */
  Piece range(int start, int end, Indent indent) {
    return range(start, end, indent, List.of());
  }

  /**
   * The same where more is said otherwise.
   *
   * @param more edits within the code that hold what the call says otherwise in their ranges
   */
  Piece range(int start, int end, Indent indent, List<Replacement> more) {
    String path = body.trees().path();
    List<Replacement> inside =
        Stream.concat(
                site.within(start, end).stream().filter(each -> isApart(each, more)), more.stream())
            .sorted(Comparator.comparingInt(Replacement::start))
            .toList();
    if (first) {
      carried.add(Carried.range(path, start, end));
      return withSelf(new Carried(path, start, end, inside, indent, null));
    }
    return withSelf(new Copied(path, start, end, inside, indent, null));
  }

  private static boolean isApart(Replacement one, List<Replacement> others) {
    return others.stream()
        .noneMatch(other -> other.start() <= one.start() && one.end() <= other.end());
  }

  /** The object that code belongs to is another where a class below calls it. */
  private Piece withSelf(Piece piece) {
    return site.self() == null ? piece : piece.as(site.self());
  }

  /** The variables that hold what the call gives. */
  List<Piece> held(String indent) {
    List<Piece> pieces = new ArrayList<>();
    String end = source().lineEnd();
    for (Value each : values.all()) {
      if (!each.needsVariable()) {
        continue;
      }
      if (!pieces.isEmpty()) {
        pieces.add(Written.plain(end + indent));
      }
      pieces.add(type(each.type()).text(" " + site.nameOf(each) + " = ").done());
      pieces.add(each.inPlace().carried());
      pieces.add(Written.plain(";"));
    }
    return pieces;
  }

  /**
   * The type of a variable.
   *
   * @throws Refused where it has no name
   */
  Written.Text type(TypeMirror type) {
    if (!WritableType.is(type)) {
      throw Refused.advising(
          RefusalKind.NO_VALUE,
          "A variable would have to hold a value of the type %s, which cannot be written down."
              .formatted(type),
          "Give it to a variable first.",
          call.place());
    }
    Written.Text text = Written.text("");
    types.write(text, type, call.type());
    return text;
  }

  /** A name for a variable that nothing around the call knows. */
  String freeName(String wanted) {
    return site.names().fresh(wanted);
  }

  /** A label that nothing around the call, and nothing in the method, has. */
  String freeLabel(String wanted) {
    Set<String> known = new HashSet<>(Jumps.labels(call.member().getLeaf()));
    known.addAll(Jumps.labels(body.path().getLeaf()));
    known.addAll(labels);
    String label = wanted;
    for (int i = 2; known.contains(label); i++) {
      label = wanted + i;
    }
    labels.add(label);
    return label;
  }

  /** That what the method gives would be lost. */
  Refused unused() {
    return Refused.advising(
        RefusalKind.RUNS_OFTEN,
        "Nothing uses what the method gives, but working it out could show.",
        "Use it there, or leave the method.",
        call.place());
  }

  /** A line end and an indent behind pieces, where there are any. */
  void newLine(List<Piece> pieces, String indent) {
    if (!pieces.isEmpty()) {
      pieces.add(Written.plain(source().lineEnd() + indent));
    }
  }
}
