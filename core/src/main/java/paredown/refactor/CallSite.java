package paredown.refactor;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;

/** One call of a method that moves, rewritten to ask for it where it went. */
final class CallSite {
  private static final String REASON = "the call asks another object now";

  private final Moving moving;
  private final TypeNames names;
  private final MemberUses.MemberUse use;
  private final EditList edits;
  private final UnitTrees trees;
  private final TreePath callPath;
  private final MethodInvocationTree call;
  private final List<TreePath> arguments = new ArrayList<>();
  private final TypeElement around;
  private final EvaluationOrder order;
  private boolean objectPlaced;

  CallSite(Moving moving, TypeNames names, MemberUses.MemberUse use, EditList edits) {
    this.moving = moving;
    this.names = names;
    this.use = use;
    this.edits = edits;
    this.trees = use.trees();
    this.callPath = use.path().getParentPath();
    this.call = (MethodInvocationTree) callPath.getLeaf();
    call.getArguments().forEach(each -> arguments.add(new TreePath(callPath, each)));
    this.around = trees.classAround(use.path());
    this.order = new EvaluationOrder(trees, moving.calm());
  }

  private Refused refused(RefusalKind kind, String why) {
    return Refused.of(
        kind,
        OwnerClass.signature(moving.method()),
        why + "; --delegate keep leaves its callers as they are",
        use.place());
  }

  /** The expression that the method is asked of; empty where its name stands alone. */
  private Optional<TreePath> object() {
    return use.path().getLeaf() instanceof MemberSelectTree select
        ? Optional.of(new TreePath(use.path(), select.getExpression()))
        : Optional.empty();
  }

  private boolean isType(TreePath expression) {
    return trees.element(expression) instanceof TypeElement;
  }

  void rewrite() {
    if (!call.getTypeArguments().isEmpty()) {
      throw refused(RefusalKind.CALL_SHAPE, "a caller gives type arguments");
    }
    object().ifPresent(this::requireUsable);
    requireOrder();
    List<Piece> pieces = new ArrayList<>();
    int start = trees.start(use.path().getLeaf());
    int end = trees.end(use.path().getLeaf());
    receiver(pieces);
    pieces.add(
        Written.text("")
            .name(moving.name(), moving.newKey(), Rewriting.name(trees, use.offset()))
            .done());
    List<Replacement> own = arguments();
    List<Piece> elsewhere = own.stream().map(Replacement::pieces).flatMap(List::stream).toList();
    edits.add(use.file(), Rewriting.of(trees, start, end, REASON, pieces, elsewhere));
    own.forEach(edit -> edits.add(use.file(), edit));
  }

  private void requireUsable(TreePath object) {
    if (object.getLeaf() instanceof IdentifierTree name && name.getName().contentEquals("super")) {
      throw refused(RefusalKind.SUPER_CALL, "a subclass asks its superclass for it");
    }
    if (isType(object)) {
      return;
    }
    boolean keeps = moving.through() instanceof Through.Field;
    int times = moving.given().isOwner() ? 1 : moving.given().values().size();
    if (!keeps && times != 1 && !order.isQuiet(object)) {
      throw refused(
          RefusalKind.CALL_ORDER,
          times == 0 ? "a caller's expression would be lost" : "it would be evaluated twice");
    }
    if (keeps && times > 0 && !order.isQuiet(object)) {
      throw refused(RefusalKind.CALL_ORDER, "a caller's expression would be evaluated twice");
    }
    boolean asked =
        keeps || (moving.given().isOwner() ? moving.given().isOwnerAskedAtOnce() : times > 0);
    boolean isStatic = moving.method().is(Modifier.STATIC);
    if (!asked && !isStatic && !moving.acceptsNull() && !NonNull.is(trees, object)) {
      throw Refused.advising(
          RefusalKind.MAYBE_NULL,
          "%s could be asked of null here, which would no longer show."
              .formatted(OwnerClass.signature(moving.method())),
          "If that never happens, say --accept maybe-null; or keep its old place with --delegate keep.",
          use.place());
    }
  }

  private void requireOrder() {
    List<TreePath> before = new ArrayList<>();
    object().filter(each -> !isType(each)).ifPresent(before::add);
    boolean moved = true;
    if (moving.through() instanceof Through.Parameter parameter) {
      before.addAll(arguments.subList(0, parameter.index()));
      moved = order.commutes(arguments.get(parameter.index()), before);
      requireReceiver(arguments.get(parameter.index()));
    }
    if (moving.through() instanceof Through.Field) {
      moved = isSteady(moving.through().variable()) || arguments.stream().allMatch(order::isQuiet);
    }
    boolean values = !moving.given().values().isEmpty() && !moving.given().isOwner();
    if (values && object().isPresent() && !isType(object().get())) {
      moved &= order.commutes(object().get(), arguments);
    }
    if (!moved) {
      throw refused(
          RefusalKind.CALL_ORDER, "a caller's expressions would be evaluated in another order");
    }
  }

  private static boolean isSteady(VariableElement field) {
    return field.getModifiers().contains(Modifier.FINAL);
  }

  private void requireReceiver(TreePath argument) {
    Tree tree = argument.getLeaf();
    boolean usable =
        !(tree instanceof LiteralTree)
            && moving
                .program()
                .types()
                .isSubtype(
                    moving
                        .program()
                        .types()
                        .erasure(moving.program().trees().getTypeMirror(argument)),
                    moving.program().types().erasure(moving.target().element().asType()));
    if (!usable) {
      throw refused(RefusalKind.CALL_SHAPE, "a caller gives what cannot be asked");
    }
  }

  private void receiver(List<Piece> pieces) {
    Through through = moving.through();
    if (through instanceof Through.Parameter parameter) {
      TreePath argument = arguments.get(parameter.index());
      boolean brackets = !isPrimary(argument.getLeaf());
      pieces.add(Written.plain(brackets ? "(" : ""));
      pieces.add(carried(argument.getLeaf()));
      pieces.add(Written.plain(brackets ? ")." : "."));
    } else if (through instanceof Through.Field field) {
      member(field.variable(), pieces);
      pieces.add(Written.plain("."));
    } else {
      Written.Text text = Written.text("");
      if (through instanceof Through.Around) {
        requireOwnAround();
        names.write(text, moving.target().element(), around);
        text.text(".").name("this", "this of " + moving.target().binaryName()).text(".");
      } else if (through instanceof Through.Callers && !(caller() instanceof CallerObject.Made)) {
        caller(text);
      } else if (through instanceof Through.Fresh || through instanceof Through.Callers) {
        text.here(UseKind.CREATION, Symbols.constructorKey(moving.target().binaryName(), List.of()))
            .text("new ");
        names.write(text, moving.target().element(), around);
        text.text("().");
      } else if (!around.equals(moving.target().element())) {
        names.write(text, moving.target().element(), around);
        text.text(".");
      }
      pieces.add(text.done());
    }
  }

  private CallerObject caller() {
    return CallerObject.of(trees, use.path(), moving.target().element());
  }

  /** What the caller has, where it has one. */
  private void caller(Written.Text text) {
    if (caller() instanceof CallerObject.Held held) {
      String name = held.field().getSimpleName().toString();
      if (isLocal(name)) {
        text.name("this", "this of " + moving.program().symbols().binary(around)).text(".");
      } else {
        text.here(UseKind.RECEIVER, moving.program().symbols().key(around));
      }
      text.name(name, moving.program().symbols().key(held.field())).text(".");
    } else if (caller() instanceof CallerObject.Itself itself) {
      if (itself.type().equals(around)) {
        text.here(UseKind.RECEIVER, moving.program().symbols().key(around));
      } else {
        names.write(text, itself.type(), around);
        text.text(".")
            .name("this", "this of " + moving.program().symbols().binary(itself.type()))
            .text(".");
      }
    }
  }

  /** The object around another's is not to be had from outside. */
  private void requireOwnAround() {
    boolean own =
        object().map(each -> each.getLeaf().toString().equals("this")).orElse(true)
            && isAroundSeen();
    if (!own) {
      throw refused(RefusalKind.CALL_SHAPE, "the object around another one cannot be asked");
    }
  }

  private boolean isAroundSeen() {
    for (Element at = around; at != null; at = at.getEnclosingElement()) {
      if (at.equals(moving.owner().element())) {
        return true;
      }
    }
    return false;
  }

  private static boolean isPrimary(Tree tree) {
    return tree instanceof IdentifierTree
        || tree instanceof MemberSelectTree
        || tree instanceof MethodInvocationTree
        || tree instanceof NewClassTree
        || tree instanceof ParenthesizedTree
        || tree instanceof com.sun.source.tree.ArrayAccessTree;
  }

  private Carried carried(Tree tree) {
    int start = trees.start(tree);
    int end = trees.end(tree);
    return new Carried(
        use.file(), start, end, edits.take(use.file(), start, end), Indent.SAME, null);
  }

  /** The object itself, carried where it is written first and repeated behind. */
  private Piece object(TreePath expression) {
    if (!objectPlaced) {
      objectPlaced = true;
      return carried(expression.getLeaf());
    }
    return new Copied(
        use.file(), trees.start(expression.getLeaf()), trees.end(expression.getLeaf()), List.of());
  }

  /** Writes a member of the old object, as the caller sees it. */
  private void member(Element member, List<Piece> pieces) {
    Element visible = visible(member);
    String name = visible.getSimpleName().toString();
    String key = moving.program().symbols().key(visible);
    String behind = visible.getKind() == ElementKind.METHOD ? "()" : "";
    Written.Text text = Written.text("");
    if (object().isPresent()) {
      pieces.add(object(object().get()));
      text.text(".");
    } else {
      unqualified(text, name);
    }
    pieces.add(text.name(name, key).text(behind).done());
  }

  private void unqualified(Written.Text text, String name) {
    TypeElement asked = askedClass();
    boolean own = asked.equals(around);
    if (own && !isLocal(name)) {
      text.here(UseKind.RECEIVER, moving.program().symbols().key(asked));
    } else {
      if (!own) {
        names.write(text, asked, around);
        text.text(".");
      }
      text.name("this", "this of " + moving.program().symbols().binary(asked)).text(".");
    }
  }

  /** The class around the call whose object is asked without saying so. */
  private TypeElement askedClass() {
    var types = moving.program().types();
    for (TreePath at = use.path(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && trees.element(at) instanceof TypeElement type
          && types.isSubtype(
              types.erasure(type.asType()), types.erasure(moving.owner().element().asType()))) {
        return type;
      }
    }
    throw refused(RefusalKind.CALL_SHAPE, "a caller reaches it in a way not understood yet");
  }

  /** Whether a local variable around the call has a name. */
  private boolean isLocal(String name) {
    TreePath body = use.path();
    while (body != null
        && !(body.getLeaf() instanceof MethodTree)
        && !(body.getLeaf() instanceof ClassTree)
        && !(body.getLeaf() instanceof BlockTree
            && body.getParentPath().getLeaf() instanceof ClassTree)) {
      body = body.getParentPath();
    }
    if (body == null || body.getLeaf() instanceof ClassTree) {
      return false;
    }
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        found[0] |= tree.getName().contentEquals(name);
        return super.visitVariable(tree, null);
      }
    }.scan(body, null);
    return found[0];
  }

  /** A field, or the accessor that gives it where it cannot be seen. */
  private Element visible(Element member) {
    Sight sight = new Sight(around, moving.program().elements());
    if (!sight.hides(member)) {
      return member;
    }
    return moving.owner().methods().stream()
        .filter(each -> each != moving.method())
        .filter(each -> !each.is(Modifier.STATIC) && !sight.hides(each.element()))
        .filter(
            each ->
                moving
                    .calm()
                    .field((ExecutableElement) each.element())
                    .filter(member::equals)
                    .isPresent())
        .map(OwnerClass.Method::element)
        .findFirst()
        .orElseThrow(
            () ->
                refused(
                    member.equals(moving.through().variable())
                        ? RefusalKind.HIDDEN_FROM_OUTSIDE
                        : RefusalKind.VALUE_HIDDEN,
                    member.getSimpleName().toString()));
  }

  private List<Replacement> arguments() {
    List<Replacement> found = new ArrayList<>();
    int bracket = trees.source().codeTokenFrom(trees.end(use.path().getLeaf())).end();
    List<TreePath> kept = new ArrayList<>(arguments);
    if (moving.through() instanceof Through.Parameter parameter) {
      kept.remove(parameter.index());
      found.add(removal(parameter.index()));
    }
    if (moving.given().isOwner()) {
      List<Piece> pieces = new ArrayList<>();
      owner(pieces);
      pieces.add(Written.plain(kept.isEmpty() ? "" : ", "));
      found.add(new Replacement(bracket, bracket, pieces, List.of()));
    }
    if (!moving.given().values().isEmpty()) {
      found.add(values(kept, bracket));
    }
    return found;
  }

  private Replacement removal(int index) {
    ListItem item = ListItem.of(trees, call.getArguments(), index);
    requireBare(item.start(), trees.start(arguments.get(index).getLeaf()));
    requireBare(trees.end(arguments.get(index).getLeaf()), item.end());
    return Replacement.removal(item.start(), item.end());
  }

  private void requireBare(int start, int end) {
    if (!trees.source().slice(start, end).replace(",", "").isBlank()) {
      throw refused(RefusalKind.CALL_SHAPE, "a comment stands between a caller's arguments");
    }
  }

  private void owner(List<Piece> pieces) {
    if (object().isPresent()) {
      pieces.add(object(object().get()));
      return;
    }
    TypeElement asked = askedClass();
    Written.Text text = Written.text("");
    if (!asked.equals(around)) {
      names.write(text, asked, around);
      text.text(".");
    }
    pieces.add(text.name("this", "this of " + moving.program().symbols().binary(asked)).done());
  }

  private Replacement values(List<TreePath> kept, int bracket) {
    int fixed = moving.kept().size() - (moving.isVarArgs() ? 1 : 0);
    boolean before = moving.isVarArgs() && kept.size() > fixed;
    if (moving.isVarArgs()
        && !kept.subList(Math.min(fixed, kept.size()), kept.size()).stream()
            .allMatch(order::isQuiet)) {
      throw refused(
          RefusalKind.CALL_ORDER, "a caller's expressions would be evaluated in another order");
    }
    List<Piece> pieces = new ArrayList<>();
    boolean first = true;
    boolean behindOwn = !kept.isEmpty() && !before;
    for (Given.Value value : moving.given().values()) {
      pieces.add(Written.plain(first && !behindOwn ? "" : ", "));
      member(value.member(), pieces);
      first = false;
    }
    pieces.add(Written.plain(before ? ", " : ""));
    int at =
        before
            ? trees.start(kept.get(fixed).getLeaf())
            : kept.isEmpty() ? bracket : trees.end(kept.get(kept.size() - 1).getLeaf());
    return new Replacement(at, at, pieces, List.of());
  }
}
