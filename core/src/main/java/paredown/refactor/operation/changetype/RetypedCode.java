package paredown.refactor.operation.changetype;

import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.CountingSign;
import paredown.refactor.code.ReferencedTypes;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.WritableType;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;
import paredown.refactor.use.MemberUses;

/** Code as it is with another type: declarations, names, and what is made and turned back. */
final class RetypedCode {
  private final Program program;
  private final Holders holders;
  private final Exchange exchange;
  private final Map<String, String> became;
  private final EditList edits = new EditList();
  private final FileNames files;
  private final Set<Use.Place> named = new HashSet<>();

  /** Code with the keys that methods have then. */
  RetypedCode(Program program, Holders holders, Map<String, String> became) {
    this.program = program;
    this.holders = holders;
    this.exchange = holders.exchange();
    this.became = became;
    this.files = new FileNames(program, edits);
  }

  EditList edits() {
    return edits;
  }

  void addImports() {
    files.addImports();
  }

  /** A holder is declared with the new type. */
  void declare(Holders.Holder holder) {
    UnitTrees trees = holder.trees();
    if (holder.type() != null) {
      Written.Text text = Written.text("");
      files.of(trees).write(text, exchange.to(), trees.scope(holder.declaration()));
      replace(trees, holder.type(), List.of(text.done()));
    }
    if (holder.declaration().getLeaf() instanceof VariableTree variable) {
      KnownVariable known = new KnownVariable(program, exchange);
      known.edit(trees, variable).ifPresent(edit -> edits.add(trees.path(), edit));
    }
  }

  /** A field holds an object from the beginning. */
  void begin(Holders.Holder holder, String value) {
    UnitTrees trees = holder.trees();
    VariableTree field = (VariableTree) holder.declaration().getLeaf();
    int at = trees.names().of(field) + field.getName().length();
    Written.Text text = Written.text(" = ");
    making(text, trees, holder.declaration());
    replace(trees, at, at, List.of(text.text(value + ")").done()));
  }

  /** The name of a holder, which means what it meant. */
  void name(MemberUses.MemberUse use) {
    say(use.trees(), use.offset(), null);
  }

  /** The name of a method that is called with another value. */
  void call(UnitTrees trees, MethodInvocationTree call, ExecutableElement called) {
    say(trees, trees.nameOffset(call.getMethodSelect()), null);
  }

  /** A member is asked of the new type. */
  void ask(UnitTrees trees, ExpressionTree name, ExecutableElement member) {
    say(trees, trees.nameOffset(name), program.symbols().key(member));
  }

  private void say(UnitTrees trees, int offset, String key) {
    Written.Text text = Written.text("");
    Use name = null;
    for (Use use : program.uses().within(trees.path(), offset, offset + 1)) {
      if (use.isName()) {
        name = use;
      } else {
        text.hereStill(use.kind(), use.key(), use.place());
      }
    }
    if (name == null || !named.add(name.place())) {
      return;
    }
    int end = trees.source().codeTokenFrom(offset).end();
    String word = trees.source().slice(offset, end);
    if (name.key().startsWith("local ")) {
      text.local(word, name.place());
    } else {
      text.name(
          word, key == null ? became.getOrDefault(name.key(), name.key()) : key, name.place());
    }
    edits.add(trees.path(), Replacement.of(offset, end, text.done()));
  }

  /** An expression that has the new type, and holds the same value. */
  void retype(UnitTrees trees, TreePath path) {
    if (!(path.getLeaf() instanceof IdentifierTree)) {
      replace(trees, path.getLeaf(), List.of(edits.carried(trees, path.getLeaf())));
    }
  }

  /** An expression of the new type gives the old value. */
  void turnBack(UnitTrees trees, TreePath path) {
    ExpressionTree value = (ExpressionTree) path.getLeaf();
    exchange.giver().ifPresent(method -> give(trees, value, method));
    if (exchange.giver().isEmpty() || isNarrowed()) {
      cast(trees, path);
    }
  }

  private void give(UnitTrees trees, ExpressionTree value, ExecutableElement method) {
    boolean brackets = Brackets.areNeededBeforeDot(value);
    Written.Text behind = Written.text(brackets ? ")." : ".");
    behind.name(method.getSimpleName().toString(), program.symbols().key(method)).text("()");
    around(trees, value, Written.plain(brackets ? "(" : ""), behind.done());
  }

  private void cast(UnitTrees trees, TreePath path) {
    ExpressionTree value = (ExpressionTree) path.getLeaf();
    boolean around = Brackets.areNeededAroundCast(path);
    boolean brackets = exchange.giver().isEmpty() && Brackets.areNeededBehindCast(value);
    Written.Text before = Written.text(around ? "((" : "(");
    // Of a generic method's result, the type that it has here.
    TypeMirror here = program.trees().getTypeMirror(path);
    boolean generic = !WritableType.variables(exchange.from()).isEmpty() && here != null;
    files.of(trees).write(before, generic ? here : exchange.from(), trees.scope(path));
    before.text(brackets ? ") (" : ") ");
    around(trees, value, before.done(), Written.plain((brackets ? ")" : "") + (around ? ")" : "")));
  }

  private void around(UnitTrees trees, ExpressionTree value, Written before, Written behind) {
    replace(trees, value, List.of(before, edits.carried(trees, value), behind));
  }

  /** Whether what gives the value gives a wider number than that was. */
  private boolean isNarrowed() {
    return exchange
        .giver()
        .filter(each -> !program.types().isSameType(each.getReturnType(), exchange.from()))
        .isPresent();
  }

  /** An object of the new type is made of an expression. */
  void make(UnitTrees trees, TreePath path) {
    Written.Text before = Written.text("");
    making(before, trees, path);
    around(trees, (ExpressionTree) path.getLeaf(), before.done(), Written.plain(")"));
  }

  /** {@code count += 2} and {@code count++} become {@code count = new Count(count.value() + 2)}. */
  void count(MemberUses.MemberUse use, TreePath path) {
    UnitTrees trees = use.trees();
    Written.Text text = Written.text("");
    object(text, use, true);
    making(text.text(" = "), trees, path);
    if (isNarrowed()) {
      files.of(trees).write(text.text("("), exchange.from(), trees.scope(path));
      text.text(") ");
    }
    object(text, use, false);
    ExecutableElement giver = exchange.giver().orElseThrow();
    text.text(".").name(giver.getSimpleName().toString(), program.symbols().key(giver)).text("()");
    text.text(" " + CountingSign.of(trees, path.getLeaf()) + " ");
    if (path.getLeaf() instanceof CompoundAssignmentTree compound) {
      ExpressionTree by = compound.getExpression();
      boolean brackets = Brackets.areNeededBehindCast(by);
      text.text(brackets ? "(" : "");
      replace(
          trees,
          path.getLeaf(),
          List.of(text.done(), edits.carried(trees, by), Written.plain(brackets ? "))" : ")")));
    } else {
      replace(trees, path.getLeaf(), List.of(text.text("1)").done()));
    }
  }

  /** The object whose field it is, and the field; or the variable. */
  private void object(Written.Text text, MemberUses.MemberUse use, boolean first) {
    UnitTrees trees = use.trees();
    Tree tree = use.path().getLeaf();
    int start = trees.start(tree);
    int at = start;
    List<Use> here = new ArrayList<>(program.uses().within(trees.path(), start, trees.end(tree)));
    here.sort(Comparator.comparingInt(Use::offset).thenComparing(Use::isName));
    for (Use each : here) {
      Use.Place place = first ? each.place() : null;
      if (!each.isName()) {
        text.hereStill(each.kind(), each.key(), place);
        continue;
      }
      text.text(trees.source().slice(at, each.offset()));
      at = trees.source().codeTokenFrom(each.offset()).end();
      String word = trees.source().slice(each.offset(), at);
      if (each.key().startsWith("local ")) {
        text.local(word, place);
      } else {
        text.name(word, each.key(), place);
      }
    }
    text.text(trees.source().slice(at, trees.end(tree)));
  }

  private void making(Written.Text text, UnitTrees trees, TreePath path) {
    ExecutableElement maker = exchange.maker().orElseThrow();
    TypeElement scope = trees.scope(path);
    String key = program.symbols().key(maker);
    if (maker.getKind() == ElementKind.CONSTRUCTOR) {
      text.here(UseKind.CREATION, key).text("new ");
      files.of(trees).write(text, exchange.to(), scope);
    } else {
      files.of(trees).write(text, (TypeElement) maker.getEnclosingElement(), scope);
      text.text(".").name(maker.getSimpleName().toString(), key);
    }
    text.text("(");
  }

  private void replace(UnitTrees trees, Tree tree, List<Piece> pieces) {
    replace(trees, trees.start(tree), trees.end(tree), pieces);
  }

  private void replace(UnitTrees trees, int start, int end, List<Piece> pieces) {
    String proof = Replacement.OTHER_TYPE;
    edits.add(
        trees.path(), Rewriting.of(trees, start, end, proof, pieces, List.of()).proving(proof));
  }

  /** Links in comments name the new type of a parameter. */
  void references(Set<ExecutableElement> heads) {
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      for (Use use : program.uses().in(trees.path()).toList()) {
        if (use.isDoc()) {
          heads.stream()
              .filter(each -> program.symbols().key(each).equals(use.key()))
              .findFirst()
              .ifPresent(head -> reference(trees, use, head));
        }
      }
    }
  }

  private void reference(UnitTrees trees, Use use, ExecutableElement head) {
    ReferencedTypes.in(trees.source(), use, head.getParameters().size())
        .ifPresent(
            said -> {
              List<String> now = new ArrayList<>(said.types());
              for (int i = 0; i < now.size(); i++) {
                if (holders.has(head.getParameters().get(i))) {
                  now.set(i, text(trees));
                }
              }
              edits.add(trees.path(), said.saying(now));
            });
  }

  private String text(UnitTrees trees) {
    TypeMirror to = exchange.to();
    return to instanceof DeclaredType declared
        ? files.of(trees).knownOrFull((TypeElement) declared.asElement(), null)
        : to.toString();
  }
}
