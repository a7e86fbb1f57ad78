package paredown.refactor.operation.movetype;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParameterizedTypeTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.carry.KeptValue;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.nulls.NonNull;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.startup.EarlyRun;
import paredown.refactor.use.Creation;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.OwnerClass;

/** Works out how the objects of an inner class take the object around them, or why they cannot. */
final class DetachPlan {
  private static final String WHY = "its objects have that one as a field now";

  private final OwnerClass nested;
  private final List<Use> needs;
  private final TypeElement outer;
  private final Program program;
  private final UnitTrees trees;
  private final EditList edits = new EditList();
  private final String name;
  private final Cannot cannot;

  DetachPlan(OwnerClass nested, ObjectAround around) {
    this.nested = nested;
    this.needs = around.uses();
    this.outer = (TypeElement) nested.element().getEnclosingElement();
    this.program = nested.program();
    this.trees = nested.trees();
    this.name = freeName();
    this.cannot = new Cannot("%s cannot stand alone".formatted(nested.writtenName()));
  }

  /** A name for the field that no word of the class is. */
  private String freeName() {
    String plain = Words.variable(outer.getSimpleName().toString());
    String free = isKnown(plain) ? "outer" : plain;
    for (int i = 2; isKnown(free); i++) {
      free = "outer" + i;
    }
    return free;
  }

  private boolean isKnown(String word) {
    int end = trees.end(nested.tree());
    return trees.source().findName(word, trees.start(nested.tree()), end) >= 0;
  }

  Change change() {
    requireOneOuter();
    requireConstructed();
    needs.forEach(this::requireThis);
    LateFields late = LateFields.of(nested, needs, this::inner);
    FileNames names = new FileNames(program, edits);
    KeptValue kept = new KeptValue(name, outer.asType(), nested, true, names, edits);
    List<Creation> creations = new ArrayList<>(Creation.of(nested));
    // One that is asked for the object of another is given away with what that gives.
    Collections.reverse(creations);
    needs.forEach(use -> named(use, late));
    creations.forEach(each -> give(each, names));
    late.collect(kept, edits);
    kept.add();
    beStatic();
    names.addImports();
    return new Change(
        "%s takes its %s.".formatted(nested.writtenName(), outer.getSimpleName()),
        new EditedFiles(program).of(edits),
        kept.became(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(List.of(), List.of(), List.of(), List.of())
            .assuming(nested.assumptions().all()));
  }

  private void requireOneOuter() {
    boolean generic = !outer.getTypeParameters().isEmpty();
    boolean above =
        program.types().asElement(nested.element().getSuperclass()) instanceof TypeElement type
            && type.getNestingKind().isNested()
            && !type.getModifiers().contains(Modifier.STATIC)
            && type.getKind() == ElementKind.CLASS;
    if (generic || above) {
      throw inner(
          generic
              ? "it knows the type variables of %s".formatted(outer.getSimpleName())
              : "its superclass has an object around it, too",
          trees.place(nested.tree()));
    }
    if (nested.isA("java.io.Serializable")) {
      throw inner("its objects are made without a constructor, too", trees.place(nested.tree()));
    }
  }

  /** Its constructors must be able to take more, and run before anything asks for the field. */
  private void requireConstructed() {
    FixedHead heads = new FixedHead(program, trees.place(nested.tree()));
    for (OwnerClass.Method each : nested.constructors()) {
      heads
          .of(each.element(), List.of())
          .ifPresent(
              met -> {
                throw inner("of its constructor, " + met.why(), met.place());
              });
    }
    if (!EarlyRun.isQuietAbove(nested)) {
      throw inner(
          "what the constructor above calls could ask for it before it is there",
          trees.place(nested.tree()));
    }
  }

  /** It may need the one object around it, and none farther out. */
  private void requireThis(Use use) {
    if (!use.key().endsWith(program.symbols().binary(outer))) {
      throw inner("it needs one farther out as well", trees.source().place(use.offset()));
    }
  }

  private Refused inner(String why, String place) {
    return cannot.because(
        RefusalKind.INNER_OBJECT,
        "each of its objects belongs to a %s, and %s".formatted(outer.getSimpleName(), why),
        "Let it take what it needs of that in its constructor, and make it static first.",
        place);
  }

  /** The object around, as code within the class names it then. */
  private Written.Text around(int offset, boolean late) {
    boolean constructing =
        late
            || nested.constructors().stream()
                .anyMatch(
                    each -> trees.start(each.tree()) <= offset && offset < trees.end(each.tree()));
    return constructing
        ? Written.text("").local(name)
        : Written.text("")
            .here(UseKind.RECEIVER, program.symbols().key(nested.element()))
            .name(name, Symbols.fieldKey(nested.binaryName(), name));
  }

  private void named(Use use, LateFields late) {
    boolean moves = late.holds(use.offset());
    if (use.isReceiver()) {
      Use member = program.uses().at(use.file(), use.offset(), UseKind.NAME).orElseThrow();
      int end = trees.source().codeTokenFrom(use.offset()).end();
      String word = trees.source().slice(use.offset(), end);
      Written text =
          around(use.offset(), moves).text(".").name(word, member.key(), member.place()).done();
      edits.add(trees.path(), Rewriting.of(trees, use.offset(), end, WHY, text).proving(WHY));
      return;
    }
    if (use.kind() == UseKind.ENCLOSING) {
      maker(use, moves);
      return;
    }
    int start = selfAt(use.offset());
    int end = use.offset() + "this".length();
    edits.add(
        trees.path(),
        Rewriting.of(trees, start, end, WHY, around(start, moves).done()).proving(WHY));
  }

  /** An object of another inner class is made for the same object. */
  private void maker(Use use, boolean moves) {
    int end = use.offset() + "new".length();
    if (!trees.source().slice(use.offset(), end).equals("new")) {
      throw inner("a method reference makes one", trees.source().place(use.offset()));
    }
    Written.Text text = around(use.offset(), moves);
    made(trees, use.offset(), text);
    edits.add(
        trees.path(),
        Rewriting.of(trees, use.offset(), end, WHY, text.text(".new").done()).proving(WHY));
  }

  /** Notes what is made at a place, and was made there before. */
  private void made(UnitTrees there, int at, Written.Text text) {
    program
        .uses()
        .at(there.path(), at, UseKind.CREATION)
        .ifPresent(made -> text.hereStill(made.kind(), made.key(), made.place()));
  }

  /** Where {@code Outer.this} begins. */
  private int selfAt(int offset) {
    int[] start = {offset};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        if (tree.getIdentifier().contentEquals("this") && trees.nameOffset(tree) == offset) {
          start[0] = trees.start(tree);
        }
        return super.visitMemberSelect(tree, null);
      }
    }.scan(nested.path(), null);
    return start[0];
  }

  /** Who makes an object gives it the one that it belongs to. */
  private void give(Creation creation, FileNames names) {
    UnitTrees there = creation.trees();
    NewClassTree tree = creation.tree();
    ExpressionTree named = tree.getEnclosingExpression();
    int start = there.start(tree);
    int at = named == null ? start : there.end(named);
    int end = there.source().text().indexOf("new", at) + "new".length();
    Written.Text made = Written.text("");
    made(there, at, made);
    List<Piece> given = named == null ? List.of(givenAround(creation)) : carried(creation, named);
    edits.add(
        there.path(),
        Rewriting.of(there, start, end, WHY, List.of(made.text("new").done()), given).proving(WHY));
    if (named != null) {
      // Behind an object and its dot the name was that of a member; it is a type's like any other.
      TreePath type = new TreePath(creation.path(), tree.getIdentifier());
      if (type.getLeaf() instanceof ParameterizedTypeTree generic) {
        type = new TreePath(type, generic.getType());
      }
      CodeElsewhere code = new CodeElsewhere(there, names.of(there), creation.around(), true);
      edits.add(there.path(), code.type(type));
    }
    int behind = there.behindBracket(there.end(tree.getIdentifier()));
    String separator = tree.getArguments().isEmpty() ? "" : ", ";
    edits.add(
        there.path(),
        new Replacement(behind, behind, List.of(given.get(0), Written.plain(separator)), List.of())
            .proving(WHY));
  }

  private List<Piece> carried(Creation creation, ExpressionTree named) {
    UnitTrees there = creation.trees();
    TreePath path = new TreePath(creation.path(), named);
    if (!NonNull.is(program, path)) {
      nested
          .assumptions()
          .add(Assumption.Kind.NULL, "%s is never null here".formatted(named), there.place(named));
    }
    int start = there.start(named);
    int end = there.end(named);
    List<Replacement> inside = new ArrayList<>(edits.take(there.path(), start, end));
    return List.of(new Carried(there.path(), start, end, inside, Indent.SAME, null));
  }

  /** The object in which code makes one that belongs to it. */
  private Written givenAround(Creation creation) {
    TypeMirror wanted = program.types().erasure(outer.asType());
    TypeElement nearest = null;
    for (TreePath at = creation.path(); at != null; at = at.getParentPath()) {
      if (!(at.getLeaf() instanceof ClassTree)
          || !(creation.trees().element(at) instanceof TypeElement type)) {
        continue;
      }
      if (type.equals(nested.element())) {
        return around(creation.trees().start(creation.tree()), false).done();
      }
      nearest = nearest == null ? type : nearest;
      if (program.types().isSubtype(program.types().erasure(type.asType()), wanted)) {
        return self(type, nearest, creation);
      }
    }
    throw inner("nobody knows which where one is made", creation.place());
  }

  private Written self(TypeElement type, TypeElement nearest, Creation creation) {
    String key = "this of " + program.symbols().binary(type);
    if (type.equals(nearest)) {
      return Written.text("").name("this", key).done();
    }
    if (type.getSimpleName().length() == 0) {
      throw inner("a class without a name makes one", creation.place());
    }
    return Written.text("")
        .name(type.getSimpleName().toString(), program.symbols().key(type))
        .text(".")
        .name("this", key)
        .done();
  }

  private void beStatic() {
    int start = trees.start(nested.tree());
    MemberRange range = MemberRange.of(trees.source(), start, trees.end(nested.tree()));
    edits.add(trees.path(), Modifiers.beStatic(trees, nested.tree().getModifiers(), range));
  }
}
