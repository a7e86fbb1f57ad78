package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/**
 * What the code of a method asks its own object for, as it asks where the method is called: the
 * object of the call, or the one around that has it as well.
 */
final class AskedThere {
  private static final String PROOF = "it is the object that the call asks";

  private final OwnerClass owner;
  private final Program program;
  private final UnitTrees trees;
  private final BodyNames names;
  private final Call call;
  private final Given values;
  private final SiteNames chosen;
  private final MovedUses uses;
  private final List<Replacement> edits = new ArrayList<>();

  AskedThere(
      OwnerClass owner,
      BodyNames names,
      Call call,
      Given values,
      SiteNames chosen,
      MovedUses uses) {
    this.owner = owner;
    this.program = owner.program();
    this.trees = owner.trees();
    this.names = names;
    this.call = call;
    this.values = values;
    this.chosen = chosen;
    this.uses = uses;
  }

  List<Replacement> edits() {
    if (values.object() != null) {
      ask(values.object());
    } else if (call.isWithin(owner.element())) {
      names.selves().forEach(this::askShadowed);
    } else {
      names.selves().forEach(this::askInherited);
    }
    return edits;
  }

  private void edit(int start, int end, List<Piece> pieces, Use.Place... gone) {
    edits.add(new Replacement(start, end, pieces, uses.dropped(gone), PROOF));
  }

  /** Puts the object, or the variable that holds it, in front of what the code asks itself. */
  private void ask(Value object) {
    boolean moves = true;
    Element type = program.types().asElement(object.type());
    for (BodyNames.Self self : names.selves()) {
      int start = trees.start(self.path().getLeaf());
      List<Piece> pieces = new ArrayList<>(object(object, moves));
      moves = false;
      if (self.member() == null) {
        int end = trees.end(self.path().getLeaf());
        Use.Place name = uses.at(trees.nameOffset(self.path().getLeaf()), UseKind.NAME);
        edit(start, end, pieces, name, uses.at(start, UseKind.NAME));
        if (type instanceof TypeElement asked) {
          selected(self.path(), asked);
        }
        continue;
      }
      pieces.add(Written.plain("."));
      Optional<ExecutableElement> accessor = Accessors.unwritten(program, self.member());
      if (accessor.isPresent()) {
        int end = start + self.member().getSimpleName().length();
        pieces.add(named(Written.text(""), accessor.get(), start));
        pieces.add(Written.plain("()"));
        edit(start, end, pieces, uses.at(start, UseKind.RECEIVER));
        continue;
      }
      Element meant = type instanceof TypeElement asked ? meant(self, asked) : self.member();
      int end = start;
      if (!meant.equals(self.member())) {
        pieces.add(named(Written.text(""), meant, start));
        end += meant.getSimpleName().length();
      }
      edit(start, end, pieces, uses.at(start, UseKind.RECEIVER));
    }
  }

  /** A method that is asked of {@code this} in so many words. */
  private void selected(TreePath object, TypeElement asked) {
    TreePath around = object.getParentPath();
    if (!(around.getLeaf() instanceof MemberSelectTree select)
        || select.getExpression() != object.getLeaf()) {
      return;
    }
    Element member = trees.element(around);
    Element meant = member == null ? null : meant(new BodyNames.Self(around, member), asked);
    if (meant != null && !meant.equals(member)) {
      int start = trees.nameOffset(select);
      int end = start + meant.getSimpleName().length();
      edits.add(
          new Replacement(start, end, List.of(named(Written.text(""), meant, start)), List.of()));
    }
  }

  private Written named(Written.Text text, Element meant, int start) {
    String word = meant.getSimpleName().toString();
    return text.name(word, program.symbols().key(meant), uses.standsFor(start)).done();
  }

  /**
   * What a class below has of its own in the place of a method: it is what runs for its objects
   * anyway.
   */
  private Element meant(BodyNames.Self self, TypeElement asked) {
    boolean dispatched =
        self.member() instanceof ExecutableElement
            && !self.member().getModifiers().contains(Modifier.STATIC)
            && !self.member().getModifiers().contains(Modifier.PRIVATE);
    Element at = dispatched ? asked : owner.element();
    while (at instanceof TypeElement type && !type.equals(owner.element())) {
      for (ExecutableElement each : ElementFilter.methodsIn(type.getEnclosedElements())) {
        if (each.getSimpleName().equals(self.member().getSimpleName())
            && program.elements().overrides(each, (ExecutableElement) self.member(), asked)) {
          return each;
        }
      }
      at = program.types().asElement(type.getSuperclass());
    }
    return self.member();
  }

  private List<Piece> object(Value object, boolean moves) {
    if (object.needsVariable()) {
      return List.of(Written.text("").local(chosen.of(object)).done());
    }
    ExpressionTree tree = (ExpressionTree) object.path().getLeaf();
    int start = call.trees().start(tree);
    int end = call.trees().end(tree);
    Piece piece =
        moves
            ? Carried.range(call.trees().path(), start, end)
            : new Copied(call.trees().path(), start, end, List.of());
    return Brackets.areNeededBeforeDot(tree)
        ? List.of(Written.plain("("), piece, Written.plain(")"))
        : List.of(piece);
  }

  /** A field whose name a variable of the caller has is asked of this. */
  private void askShadowed(BodyNames.Self self) {
    boolean own = self.member() != null && call.type().equals(owner.element());
    if (own && isShadowed(self.member())) {
      int start = trees.start(self.path().getLeaf());
      Written written =
          Written.text("").name("this", "this of " + owner.binaryName()).text(".").done();
      edits.add(
          new Replacement(
              start, start, List.of(written), uses.dropped(uses.at(start, UseKind.RECEIVER))));
    }
  }

  private boolean isShadowed(Element member) {
    return member.getKind().isField() && chosen.isOfCaller(member.getSimpleName().toString());
  }

  /** What a class below inherits it asks its own object for, which is the same one. */
  private void askInherited(BodyNames.Self self) {
    TypeElement around = around();
    if (self.member() == null) {
      selected(self.path(), around);
      return;
    }
    int start = trees.start(self.path().getLeaf());
    Element meant = meant(self, around);
    int end = start + meant.getSimpleName().length();
    Use.Place receiver = uses.at(start, UseKind.RECEIVER);
    Written.Text text = Written.text("");
    if (isShadowed(self.member())) {
      text.name("this", "this of " + program.symbols().binary(around)).text(".");
      edit(start, end, List.of(named(text, meant, start)), receiver);
    } else {
      String key = program.symbols().key(around);
      text.here(UseKind.RECEIVER, key, uses.first() && uses.isThere(receiver) ? receiver : null);
      edits.add(new Replacement(start, end, List.of(named(text, meant, start)), List.of()));
    }
  }

  /** The class around the call that is below the owner. */
  private TypeElement around() {
    TypeElement around = call.trees().classAround(call.path(), owner.element());
    return around == null ? call.type() : around;
  }
}
