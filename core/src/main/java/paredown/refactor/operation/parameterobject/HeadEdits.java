package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.LocalUses;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;

/** The object in the head of a method and in its body, which asks it for the values. */
final class HeadEdits {
  private static final String WHY = "the object has it";

  private final Head head;
  private final UnitTrees trees;
  private final Program program;
  private final ObjectType type;
  private final TypeNames names;
  private final EditList edits;
  private final List<TypeMirror> arguments;

  /**
   * @param arguments the types that the object has for the type variables of its class
   */
  HeadEdits(
      Head head, ObjectType type, List<TypeMirror> arguments, FileNames names, EditList edits) {
    this.arguments = arguments;
    this.head = head;
    this.trees = head.trees();
    this.program = trees.program();
    this.type = type;
    this.names = names.of(trees).meaning(this::key);
    this.edits = edits;
  }

  /** The key of a symbol: the type variables of the head are those of the new one. */
  private String key(Element element) {
    return element.getKind() == ElementKind.TYPE_PARAMETER
            && head.element().equals(element.getEnclosingElement())
        ? Symbols.variableKey(element.getSimpleName().toString(), head.newKey(type.element()))
        : program.symbols().key(element);
  }

  void add() {
    edits.add(trees.path(), parameters());
    if (head.tree().getBody() != null) {
      body();
    }
  }

  private Replacement parameters() {
    int first = head.first();
    int last = head.last();
    boolean isFinal = head.parameterTree(first).getModifiers().getFlags().contains(Modifier.FINAL);
    Written.Text object = Written.text(isFinal ? "final " : "");
    TypeMirror made =
        program.types().getDeclaredType(type.element(), arguments.toArray(TypeMirror[]::new));
    names.write(object, made, head.owner());
    List<Piece> pieces = new ArrayList<>(List.of(object.text(" " + head.object()).done()));
    for (int i = first + 1; i <= last; i++) {
      if (!head.positions().contains(i)) {
        Tree other = head.parameterTree(i);
        pieces.add(Written.plain(", "));
        pieces.add(Carried.range(trees.path(), trees.start(other), trees.end(other)));
      }
    }
    return Rewriting.of(
            trees,
            trees.start(head.parameterTree(first)),
            trees.end(head.parameterTree(last)),
            WHY,
            pieces,
            List.of())
        .proving("the object holds the values of the parameters");
  }

  private void body() {
    Set<Element> written = Writes.in(trees, new TreePath(head.path(), head.tree().getBody()));
    List<Integer> variables = new ArrayList<>();
    for (int i = 0; i < head.positions().size(); i++) {
      int component = i;
      VariableElement parameter = head.parameter(i);
      List<TreePath> uses = LocalUses.of(trees, head.parameterPath(i));
      boolean variable =
          written.contains(parameter)
              || uses.stream().anyMatch(each -> each.getParentPath().getLeaf() instanceof TryTree);
      if (variable && !uses.isEmpty()) {
        requireBehindCall(uses);
        variables.add(i);
        uses.forEach(each -> edits.add(trees.path(), still(each, parameter)));
      } else {
        uses.forEach(each -> edits.add(trees.path(), asked(each, component)));
      }
    }
    if (!variables.isEmpty()) {
      declare(variables);
    }
  }

  private Written given(int component) {
    var accessor = type.accessors().get(component);
    return Written.text("")
        .local(head.object())
        .text(".")
        .name(accessor.getSimpleName().toString(), program.symbols().key(accessor))
        .text("()")
        .done();
  }

  private Replacement asked(TreePath use, int component) {
    return Rewriting.of(
            trees, trees.start(use.getLeaf()), trees.end(use.getLeaf()), WHY, given(component))
        .proving("the object gives the value of the parameter");
  }

  private Replacement still(TreePath use, VariableElement parameter) {
    return Rewriting.of(
            trees,
            trees.start(use.getLeaf()),
            trees.end(use.getLeaf()),
            WHY,
            Written.text("").local(parameter.getSimpleName().toString()).done())
        .proving("a variable has the value of the parameter");
  }

  private void requireBehindCall(List<TreePath> uses) {
    List<StatementTree> statements = statements();
    for (TreePath use : uses) {
      boolean inCall =
          isConstructorCall(statements.get(0))
              && trees.start(use.getLeaf()) < trees.end(statements.get(0));
      if (inCall) {
        throw Refused.advising(
            RefusalKind.CONSTRUCTOR_SHAPE,
            "A parameter that is set is given to another constructor, before a variable could be.",
            "Give what it becomes a variable of its own first.",
            trees.place(use.getLeaf()));
      }
    }
  }

  /** Parameters that are set become variables that begin with their values. */
  private void declare(List<Integer> components) {
    int at = beginning();
    boolean line = trees.source().startsLine(at);
    String behind = line ? ";" + trees.source().lineEnd() + trees.source().indentAt(at) : "; ";
    Written.Text text = Written.text("");
    for (int component : components) {
      VariableElement parameter = head.parameter(component);
      names.write(text, parameter.asType(), head.owner());
      text.text(" " + parameter.getSimpleName() + " = ").all(given(component)).text(behind);
    }
    edits.add(
        trees.path(),
        new Replacement(at, at, List.of(text.done()), List.of(), "they begin with the parameters"));
  }

  /** Where the first statement stands that may be another, with the comments above it. */
  private int beginning() {
    List<StatementTree> statements = statements();
    boolean calls = isConstructorCall(statements.get(0));
    int from = calls ? trees.end(statements.get(0)) : trees.start(head.tree().getBody()) + 1;
    int first = trees.start(statements.get(calls ? 1 : 0));
    for (int i = trees.source().tokenAt(from); ; i++) {
      int token = trees.source().tokens().get(i).start();
      boolean line = token >= from && trees.source().startsLine(token);
      if (line && token < first || token >= first) {
        return Math.min(token, first);
      }
    }
  }

  /** The statements that stand in the text; the compiler adds calls of constructors. */
  private List<StatementTree> statements() {
    List<StatementTree> statements = new ArrayList<>(head.tree().getBody().getStatements());
    statements.removeIf(each -> trees.end(each) < 0);
    return statements;
  }

  private boolean isConstructorCall(StatementTree statement) {
    return head.tree().getName().contentEquals("<init>")
        && statement instanceof ExpressionStatementTree expression
        && expression.getExpression() instanceof MethodInvocationTree call
        && call.getMethodSelect().toString().matches("(.*\\.)?(this|super)");
  }
}
