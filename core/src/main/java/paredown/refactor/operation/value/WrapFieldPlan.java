package paredown.refactor.operation.value;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.CountingSign;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.InnerFirst;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.startup.SetAtOnce;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out how a field is read and set that holds an object then. */
final class WrapFieldPlan {
  private final ExtractValue arguments;
  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final WrappedAccessors accessors;
  private final Program program;
  private final Wanted wanted;
  private final EditList edits = new EditList();
  private final ValueType type;

  private final FirstValue first;
  private final Cannot cannot;

  WrapFieldPlan(
      ExtractValue arguments,
      OwnerClass owner,
      OwnerClass.Field field,
      WrappedAccessors accessors) {
    this.arguments = arguments;
    this.owner = owner;
    this.field = field;
    this.accessors = accessors;
    this.wanted = new Wanted(field, accessors);
    this.program = owner.program();
    NewTypeName name = new NewTypeName(program, owner.packageName(), arguments.name());
    this.type =
        new ValueType(
            program,
            program.elements().getTypeElement(name.qualified()),
            new FileNames(program, edits),
            edits);
    this.first = new FirstValue(owner, field, arguments.check());
    this.cannot = new Cannot("%s cannot be a value of its own".formatted(field.name()));
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    FieldOnlookers.requireNone(owner, field, overruled, "a value of its own");
    OnlookersFromOutside.assume(owner, List.of(field.name()));
    new EarlyUses(Leaving.of(owner, List.of(field.name()), List.of()), null)
        .requireQuietSuperclass();
    SetAtOnce.requireUnasked(owner, field);
    assumePassing();
    declaration();
    InnerFirst inOrder = new InnerFirst();
    for (MemberUses.MemberUse use : MemberUses.of(program, Map.of(field.element(), field.key()))) {
      inOrder.add(use.trees(), around(use), () -> use(use));
    }
    WrappedCalls calls = new WrappedCalls(owner, accessors, wanted, type);
    calls.add(inOrder);
    inOrder.run();
    type.names().addImports();
    return new Change(
        "%s of %s is a %s.".formatted(field.name(), owner.writtenName(), arguments.name()),
        new EditedFiles(program).of(edits),
        calls.became(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), List.of(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all()));
  }

  private List<String> api() {
    List<String> api = new ArrayList<>();
    if (AccessLevel.isApi(field.element())) {
      api.add("%s.%s is a %s".formatted(owner.simpleName(), field.name(), arguments.name()));
    }
    accessors.givers().stream()
        .filter(each -> AccessLevel.isApi(each.element()))
        .forEach(
            each ->
                api.add(
                    "%s.%s gives a %s"
                        .formatted(owner.simpleName(), each.name(), arguments.name())));
    accessors.takers().keySet().stream()
        .filter(each -> AccessLevel.isApi(each.element()))
        .forEach(
            each ->
                api.add(
                    "%s takes a %s"
                        .formatted(
                            each.name().equals("<init>")
                                ? "a constructor of " + owner.simpleName()
                                : owner.simpleName() + "." + each.name(),
                            arguments.name())));
    return api.stream().distinct().toList();
  }

  /** What changes with a use: what sets it as a whole, or its name alone. */
  private static Tree around(MemberUses.MemberUse use) {
    boolean sets =
        use.access() == MemberUses.Access.WRITE || use.access() == MemberUses.Access.UPDATE;
    return (sets ? use.path().getParentPath() : use.path()).getLeaf();
  }

  /** The field has the new type, and an object from the beginning. */
  private void assumePassing() {
    if (arguments.check().isPresent()) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.BACK,
              "every value that %s is given passes the check".formatted(field.name()),
              owner.trees().place(field.tree()));
    }
  }

  private void declaration() {
    UnitTrees trees = owner.trees();
    type.name(trees, field.tree().getType(), owner.element());
    ExpressionTree value = field.tree().getInitializer();
    if (value != null) {
      first.require(value.toString(), false);
      type.make(trees, value, owner.element());
    } else if (!field.is(Modifier.FINAL) && !SetAtOnce.is(owner, field)) {
      beginning(trees);
    }
  }

  /** What it held until somebody set it. */
  private void beginning(UnitTrees trees) {
    TypeKind kind = field.element().asType().getKind();
    String none = kind == TypeKind.BOOLEAN ? "false" : kind.isPrimitive() ? "0" : "null";
    first.require(none, true);
    int at = field.declared() + field.name().length();
    Written.Text text = Written.text(" = ");
    type.begin(text, trees, owner.element());
    type.replace(trees, at, at, List.of(text.text(none + ")").done()));
  }

  private void use(MemberUses.MemberUse use) {
    UnitTrees trees = use.trees();
    TreePath parent = use.path().getParentPath();
    switch (use.access()) {
      case READ, CALL -> named(use, !wanted.is(trees, use.path()));
      case WRITE -> {
        requireStatement(use);
        ExpressionTree value = ((AssignmentTree) parent.getLeaf()).getExpression();
        named(use, false);
        if (accessors.keeps(trees.element(new TreePath(parent, value)))) {
          type.replace(trees, value, Written.text("").local(value.toString()).done());
        } else if (!wanted.isObject(trees, new TreePath(parent, value))) {
          type.make(trees, value, use.scope());
        }
      }
      case UPDATE -> update(use);
      default ->
          throw cannot.because(
              RefusalKind.LOCKED, "it is locked, or closed as a resource", use.place());
    }
  }

  /** The field by its name; it is asked for its value, or not. */
  private void named(MemberUses.MemberUse use, boolean asked) {
    UnitTrees trees = use.trees();
    Tree tree = use.path().getLeaf();
    List<Piece> pieces = new ArrayList<>();
    Written.Text text = Written.text("");
    if (tree instanceof MemberSelectTree select) {
      Tree object = select.getExpression();
      pieces.add(edits.carried(trees, object));
      text.text(trees.source().slice(trees.end(object), use.offset()));
    } else {
      receiver(text, use, true);
    }
    text.name(field.name(), field.key(), Rewriting.name(trees, use.offset()));
    if (asked) {
      type.ask(text);
    }
    pieces.add(text.done());
    type.replace(trees, trees.start(tree), trees.end(tree), pieces);
  }

  /** The object that a name alone is asked of. */
  private void receiver(Written.Text text, MemberUses.MemberUse use, boolean first) {
    program
        .uses()
        .at(use.file(), use.offset(), UseKind.RECEIVER)
        .ifPresent(
            each -> text.hereStill(UseKind.RECEIVER, each.key(), first ? each.place() : null));
  }

  private void requireStatement(MemberUses.MemberUse use) {
    TreePath set = use.path().getParentPath();
    if (!(set.getParentPath().getLeaf() instanceof ExpressionStatementTree)) {
      throw cannot.because(RefusalKind.CALL_SHAPE, "it is set within an expression", use.place());
    }
  }

  /** {@code count += 2} and {@code count++} become {@code count = new Count(count.value() + 2)}. */
  private void update(MemberUses.MemberUse use) {
    requireStatement(use);
    UnitTrees trees = use.trees();
    TreePath path = use.path().getParentPath();
    Tree tree = path.getLeaf();
    boolean plain =
        use.simple()
            || use.path().getLeaf() instanceof MemberSelectTree select
                && select.getExpression() instanceof IdentifierTree;
    if (tree instanceof CompoundAssignmentTree compound) {
      plain &= !narrows(path, compound.getExpression());
    }
    if (!plain) {
      throw cannot.because(
          RefusalKind.CALL_SHAPE, "it is counted on in a way that narrows it", use.place());
    }
    Written.Text text = Written.text("");
    object(text, use, true);
    text.text(" = ");
    type.begin(text, trees, use.scope());
    object(text, use, false);
    type.ask(text);
    text.text(" " + CountingSign.of(trees, tree) + " ");
    if (tree instanceof CompoundAssignmentTree compound) {
      ExpressionTree value = compound.getExpression();
      boolean brackets = Brackets.areNeededBehindCast(value);
      text.text(brackets ? "(" : "");
      Written behind = Written.plain(brackets ? "))" : ")");
      type.replace(trees, tree, text.done(), edits.carried(trees, value), behind);
    } else {
      type.replace(trees, tree, text.text("1)").done());
    }
  }

  /** The object whose field it is, and the field. */
  private void object(Written.Text text, MemberUses.MemberUse use, boolean first) {
    UnitTrees trees = use.trees();
    if (use.path().getLeaf() instanceof MemberSelectTree select) {
      int at = trees.start(select.getExpression());
      for (Use each : program.uses().within(trees.path(), at, at + 1)) {
        Use.Place place = first ? each.place() : null;
        if (!each.isName()) {
          text.hereStill(each.kind(), each.key(), place);
        } else if (each.key().startsWith("local ")) {
          text.local(select.getExpression().toString(), place);
        } else {
          text.name(select.getExpression().toString(), each.key(), place);
        }
      }
      text.text(".");
    } else {
      receiver(text, use, first);
    }
    text.name(field.name(), field.key(), first ? Rewriting.name(trees, use.offset()) : null);
  }

  /** Whether a compound assignment makes a value smaller without saying so. */
  private boolean narrows(TreePath path, ExpressionTree value) {
    TypeMirror given = program.trees().getTypeMirror(new TreePath(path, value));
    TypeMirror held = field.element().asType();
    return given == null
        || held.getKind().isPrimitive() && !program.types().isAssignable(given, held);
  }
}
