package paredown.refactor.operation.value;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out how a field is read and set that holds an object then. */
final class WrapFieldPlan {
  static final String PROOF = "the object holds the value";

  private final ExtractValue arguments;
  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final WrappedAccessors accessors;
  private final Program program;
  private final TypeElement type;
  private final Wanted wanted;
  private final EditList edits = new EditList();
  private final FileNames names;

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
    this.names = new FileNames(program, edits);
    String home = owner.packageName();
    this.type =
        program.elements().getTypeElement((home.isEmpty() ? "" : home + ".") + arguments.name());
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    FieldOnlookers.requireNone(owner, field, overruled, "a value of its own");
    OnlookersFromOutside.assume(owner, List.of(field.name()));
    new EarlyUses(Leaving.of(owner, List.of(field.name()), List.of()), null)
        .requireQuietSuperclass();
    SetAtOnce.requireUnasked(owner, field);
    declaration();
    InnerFirst inOrder = new InnerFirst();
    for (MemberUses.MemberUse use : MemberUses.of(program, Map.of(field.element(), field.key()))) {
      inOrder.add(use.trees(), around(use), () -> use(use));
    }
    WrappedCalls calls = new WrappedCalls(owner, accessors, wanted, type, names, edits);
    calls.add(inOrder);
    inOrder.run();
    names.addImports();
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
  private void declaration() {
    UnitTrees trees = owner.trees();
    Tree written = field.tree().getType();
    edits.add(trees.path(), typed(trees, written));
    ExpressionTree value = field.tree().getInitializer();
    if (value != null) {
      edits.add(trees.path(), made(trees, value, owner.element()));
    } else if (!field.is(Modifier.FINAL) && !SetAtOnce.is(owner, field)) {
      beginning(trees);
    }
  }

  private Replacement typed(UnitTrees trees, Tree written) {
    Written.Text text = Written.text("");
    names.of(trees).write(text, type, owner.element());
    return Rewriting.of(trees, trees.start(written), trees.end(written), PROOF, text.done())
        .proving(PROOF);
  }

  /** What it held until somebody set it. */
  private void beginning(UnitTrees trees) {
    if (arguments.check().isPresent()) {
      throw Refused.advising(
          RefusalKind.NO_VALUE,
          "%s has no value until somebody sets it, which may break the check."
              .formatted(field.name()),
          "Give it a value where it is declared first, or leave --check out.",
          trees.place(field.tree()));
    }
    TypeKind kind = field.element().asType().getKind();
    String none = kind == TypeKind.BOOLEAN ? "false" : kind.isPrimitive() ? "0" : "null";
    int at = field.declared() + field.name().length();
    Written.Text text = Written.text(" = ").here(UseKind.CREATION, key(constructor())).text("new ");
    text = text.all(Written.text("").done());
    names.of(trees).write(text, type, owner.element());
    edits.add(
        trees.path(), Replacement.of(at, at, text.text("(" + none + ")").done().proving(PROOF)));
  }

  private ExecutableElement constructor() {
    return ElementFilter.constructorsIn(type.getEnclosedElements()).get(0);
  }

  private String key(Element element) {
    return program.symbols().key(element);
  }

  /** An object of what an expression gives. */
  private Replacement made(UnitTrees trees, ExpressionTree value, TypeElement scope) {
    return WrappedCalls.made(trees, value, scope, type, names, edits).proving(PROOF);
  }

  private void use(MemberUses.MemberUse use) {
    UnitTrees trees = use.trees();
    TreePath parent = use.path().getParentPath();
    switch (use.access()) {
      case READ, CALL -> {
        edits.add(trees.path(), named(use, wanted.is(trees, use.path()) ? "" : ".value()"));
      }
      case WRITE -> {
        requireStatement(use);
        AssignmentTree set = (AssignmentTree) parent.getLeaf();
        edits.add(trees.path(), named(use, ""));
        if (isTaken(use, set)) {
          edits.add(trees.path(), still(trees, set.getExpression()));
        } else if (!wanted.isObject(trees, new TreePath(parent, set.getExpression()))) {
          edits.add(trees.path(), made(trees, set.getExpression(), use.scope()));
        }
      }
      case UPDATE -> update(use);
      default ->
          throw refused(RefusalKind.LOCKED, "it is locked, or closed as a resource", use.place());
    }
  }

  private boolean isTaken(MemberUses.MemberUse use, AssignmentTree set) {
    Element value =
        use.trees().element(new TreePath(use.path().getParentPath(), set.getExpression()));
    TreePath method = method(use.path());
    Element around = use.trees().element(method);
    return value != null
        && around instanceof ExecutableElement executable
        && executable.getParameters().indexOf(value) == accessors.taken(around)
        && value.getKind() == ElementKind.PARAMETER;
  }

  private static TreePath method(TreePath path) {
    TreePath at = path;
    while (at.getParentPath() != null
        && !(at.getLeaf() instanceof com.sun.source.tree.MethodTree)) {
      at = at.getParentPath();
    }
    return at;
  }

  private static Replacement still(UnitTrees trees, ExpressionTree name) {
    return Rewriting.of(
            trees,
            trees.start(name),
            trees.end(name),
            PROOF,
            Written.text("").local(name.toString()).done())
        .proving(PROOF);
  }

  private Refused refused(RefusalKind kind, String why, String place) {
    return Refused.advising(
        kind, "%s cannot be a value of its own: %s.".formatted(field.name(), why), "", place);
  }

  /** The field by its name, and what is asked of it. */
  private Replacement named(MemberUses.MemberUse use, String behind) {
    UnitTrees trees = use.trees();
    Tree tree = use.path().getLeaf();
    List<Piece> pieces = new ArrayList<>();
    Written.Text text = Written.text("");
    if (tree instanceof MemberSelectTree select) {
      Tree asked = select.getExpression();
      pieces.add(edits.carried(trees, asked));
      text.text(trees.source().slice(trees.end(asked), use.offset()));
    } else {
      program
          .uses()
          .at(use.file(), use.offset(), UseKind.RECEIVER)
          .ifPresent(each -> text.hereStill(UseKind.RECEIVER, each.key(), each.place()));
    }
    Use.Place place = Rewriting.name(trees, use.offset());
    text.name(field.name(), field.key(), place);
    if (!behind.isEmpty()) {
      text.text(".").name(ValueText.VALUE, key(accessor())).text("()");
    }
    pieces.add(text.done());
    return Rewriting.of(trees, trees.start(tree), trees.end(tree), PROOF, pieces, List.of())
        .proving(PROOF);
  }

  private ExecutableElement accessor() {
    return ElementFilter.methodsIn(type.getEnclosedElements()).stream()
        .filter(each -> each.getSimpleName().contentEquals(ValueText.VALUE))
        .findFirst()
        .orElseThrow();
  }

  private void requireStatement(MemberUses.MemberUse use) {
    TreePath set = use.path().getParentPath();
    if (!(set.getParentPath().getLeaf() instanceof ExpressionStatementTree)) {
      throw refused(RefusalKind.CALL_SHAPE, "it is set within an expression", use.place());
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
    String sign;
    List<Piece> pieces = new ArrayList<>();
    Written.Text text = Written.text("");
    if (tree instanceof CompoundAssignmentTree compound) {
      String all =
          trees
              .source()
              .slice(trees.end(compound.getVariable()), trees.start(compound.getExpression()));
      sign = all.strip().replace("=", "");
      plain &= !narrows(path, compound.getExpression());
    } else {
      sign = ((UnaryTree) tree).getKind().name().contains("INCREMENT") ? "+" : "-";
    }
    if (!plain || !sign.matches("[-+*/%&|^<>]+")) {
      throw refused(
          RefusalKind.CALL_SHAPE, "it is counted on in a way that narrows it", use.place());
    }
    String name =
        trees.source().slice(trees.start(use.path().getLeaf()), trees.end(use.path().getLeaf()));
    object(text, use, name, true);
    text.text(" = ").here(UseKind.CREATION, key(constructor())).text("new ");
    names.of(trees).write(text, type, use.scope());
    text.text("(");
    object(text, use, name, false);
    text.text(".").name(ValueText.VALUE, key(accessor())).text("() " + sign + " ");
    if (tree instanceof CompoundAssignmentTree compound) {
      ExpressionTree value = compound.getExpression();
      boolean brackets = paredown.refactor.code.Brackets.areNeededBehindCast(value);
      pieces.add(text.text(brackets ? "(" : "").done());
      pieces.add(edits.carried(trees, value));
      pieces.add(Written.plain(brackets ? "))" : ")"));
    } else {
      pieces.add(text.text("1)").done());
    }
    edits.add(
        trees.path(),
        Rewriting.of(trees, trees.start(tree), trees.end(tree), PROOF, pieces, List.of())
            .proving(PROOF));
  }

  /** The object whose field it is, and the field. */
  private void object(Written.Text text, MemberUses.MemberUse use, String name, boolean first) {
    UnitTrees trees = use.trees();
    if (use.path().getLeaf() instanceof MemberSelectTree select) {
      int at = trees.start(select.getExpression());
      for (Use each : program.uses().within(trees.path(), at, at + 1)) {
        if (each.kind() == UseKind.NAME) {
          String word = select.getExpression().toString();
          if (each.key().startsWith("local ")) {
            text.local(word, first ? each.place() : null);
          } else {
            text.name(word, each.key(), first ? each.place() : null);
          }
        } else {
          text.hereStill(each.kind(), each.key(), first ? each.place() : null);
        }
      }
      text.text(".");
    } else {
      program
          .uses()
          .at(use.file(), use.offset(), UseKind.RECEIVER)
          .ifPresent(
              each -> text.hereStill(UseKind.RECEIVER, each.key(), first ? each.place() : null));
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
