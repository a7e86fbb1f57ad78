package paredown.refactor.carry;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.CalledName;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;
import paredown.refactor.use.OwnerClass;
import paredown.text.Token;

/** A new field, and the constructors that take its value: first of all, or last. */
public final class KeptValue {
  private final String name;
  private final TypeMirror type;
  private final OwnerClass owner;
  private final UnitTrees trees;
  private final TypeNames names;
  private final EditList edits;
  private final Layout layout;
  private final boolean first;
  private final Map<String, String> became;
  private final List<List<Piece>> more = new ArrayList<>();

  /**
   * A field for a value.
   *
   * @param first whether the constructors take it in front of all else
   */
  public KeptValue(
      String name,
      TypeMirror type,
      OwnerClass owner,
      boolean first,
      FileNames names,
      EditList edits) {
    this.first = first;
    this.name = name;
    this.type = type;
    this.owner = owner;
    this.trees = owner.trees();
    this.names = names.of(trees);
    this.edits = edits;
    this.layout = Layout.of(owner);
    this.became = became(owner, type, first);
  }

  private static Map<String, String> became(OwnerClass owner, TypeMirror type, boolean first) {
    Map<String, String> became = new LinkedHashMap<>();
    String more = owner.program().types().erasure(type).toString();
    for (ExecutableElement each :
        ElementFilter.constructorsIn(owner.element().getEnclosedElements())) {
      List<String> types = new ArrayList<>();
      each.getParameters()
          .forEach(one -> types.add(owner.program().types().erasure(one.asType()).toString()));
      types.add(first ? 0 : types.size(), more);
      became.put(
          owner.program().symbols().key(each), Symbols.constructorKey(owner.binaryName(), types));
    }
    return became;
  }

  /** Adds a statement for the constructors that set the field, behind that. */
  public void andThen(List<Piece> statement) {
    more.add(List.copyOf(statement));
  }

  /** The keys of the constructors, and what they are then. */
  public Map<String, String> became() {
    return became;
  }

  /**
   * Adds them.
   *
   * @throws Refused where a constructor knows the name otherwise
   */
  public void add() {
    FieldPlace place = FieldPlace.ofInstance(owner);
    Written.Text text = Written.text(place.before() + "private final ");
    names.write(text, type, owner.element());
    text.text(" " + name + ";");
    List<Piece> pieces = new ArrayList<>();
    if (owner.constructors().isEmpty()) {
      constructor(text);
      pieces.add(text.done());
      pieces.addAll(behind());
      text = Written.text(layout.lineEnd() + layout.member() + "}");
    }
    pieces.add(text.text(place.behind()).done());
    edits.add(trees.path(), new Replacement(place.at(), place.at(), pieces, List.of()));
    owner.constructors().forEach(this::take);
  }

  /** The constructor of a class that had none: seen as far as the class is. */
  private void constructor(Written.Text text) {
    String end = layout.lineEnd();
    AccessLevel level = AccessLevel.of(owner.element());
    String seen = level == AccessLevel.PACKAGE ? "" : level.word() + " ";
    text.text(end + end + layout.member() + seen + owner.simpleName() + "(");
    names.write(text, type, owner.element());
    Use above = callOfConstructorAbove();
    text.text(" " + name + ") ").here(UseKind.IMPLICIT_SUPER, above.key(), above.place());
    text.text("{" + end + layout.body());
    text.all(set());
  }

  /** The other statements that stand behind the first. */
  private List<Piece> behind() {
    List<Piece> pieces = new ArrayList<>();
    for (List<Piece> each : more) {
      pieces.add(Written.plain(layout.lineEnd() + layout.body()));
      pieces.addAll(each);
    }
    return pieces;
  }

  /** What the compiler calls for a class that has no constructor. */
  private Use callOfConstructorAbove() {
    return owner
        .program()
        .uses()
        .within(trees.path(), trees.start(owner.tree()), owner.opening())
        .stream()
        .filter(use -> use.kind() == UseKind.IMPLICIT_SUPER)
        .findFirst()
        .orElseThrow();
  }

  private Written set() {
    return Written.text("")
        .name("this", "this of " + owner.binaryName())
        .text(".")
        .name(name, Symbols.fieldKey(owner.binaryName(), name))
        .text(" = ")
        .local(name)
        .text(";")
        .done();
  }

  private void take(OwnerClass.Method constructor) {
    requireFree(constructor);
    List<? extends Tree> parameters = constructor.tree().getParameters();
    boolean behind = !first && !parameters.isEmpty();
    Written.Text head = Written.text(behind ? ", " : "");
    names.write(head, type, owner.element());
    int at =
        behind
            ? trees.end(parameters.get(parameters.size() - 1))
            : trees.behindBracket(trees.names().of(constructor.tree()));
    head.text(" " + name).text(first && !parameters.isEmpty() ? ", " : "");
    edits.add(trees.path(), Replacement.of(at, at, head.done()));
    List<? extends StatementTree> statements = constructor.tree().getBody().getStatements();
    if (constructor.callsAnother()) {
      MethodInvocationTree call =
          (MethodInvocationTree) ((ExpressionStatementTree) statements.get(0)).getExpression();
      edits.add(trees.path(), CalledName.meaning(trees, call, became(call)));
      give(call);
      return;
    }
    first(constructor.tree().getBody(), statements);
  }

  /** A constructor that calls another one gives it on. */
  private void give(MethodInvocationTree call) {
    boolean more = !call.getArguments().isEmpty();
    int at = first ? trees.behindBracket(trees.end(call.getMethodSelect())) : trees.end(call) - 1;
    Written.Text given = Written.text(!first && more ? ", " : "").local(name);
    edits.add(trees.path(), Replacement.of(at, at, given.text(first && more ? ", " : "").done()));
  }

  private String became(MethodInvocationTree call) {
    Element called =
        trees.program().trees().getElement(TreePath.getPath(trees.unit().tree(), call));
    return became.get(trees.program().symbols().key(called));
  }

  /**
   * Sets the field before anything could ask for it: behind the call of a constructor above, and
   * statements that only set fields.
   */
  private void first(BlockTree body, List<? extends StatementTree> statements) {
    int at = trees.start(body) + 1;
    for (StatementTree each : statements) {
      boolean written = trees.end(each) >= 0;
      if (written && !isPlain(each)) {
        break;
      }
      at = written ? trees.end(each) : at;
    }
    String end = layout.lineEnd();
    Written.Text text = Written.text(end + layout.body()).all(set());
    boolean closes = trees.source().slice(at, trees.end(body) - 1).isBlank();
    boolean sameLine = closes && !trees.source().slice(at, trees.end(body)).contains("\n");
    List<Piece> pieces = new ArrayList<>(List.of(text.done()));
    pieces.addAll(behind());
    pieces.add(Written.plain(sameLine ? end + layout.member() : ""));
    edits.add(trees.path(), new Replacement(at, at, pieces, List.of()));
  }

  private static boolean isPlain(StatementTree statement) {
    if (!(statement instanceof ExpressionStatementTree plain)) {
      return false;
    }
    boolean above =
        plain.getExpression() instanceof MethodInvocationTree call
            && call.getMethodSelect().toString().matches("(.*\\.)?super");
    boolean sets =
        plain.getExpression() instanceof AssignmentTree assignment
            && assignment.getVariable() instanceof MemberSelectTree
            && (assignment.getExpression() instanceof IdentifierTree
                || assignment.getExpression() instanceof LiteralTree);
    return above || sets;
  }

  private void requireFree(OwnerClass.Method constructor) {
    Set<String> words = new TreeSet<>();
    for (Token token :
        trees.source().tokens(trees.start(constructor.tree()), trees.end(constructor.tree()))) {
      words.add(trees.source().slice(token.start(), token.end()));
    }
    if (words.contains(name)) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "A constructor of %s knows another %s.".formatted(owner.writtenName(), name),
          "Give the field another name: --name NAME.",
          trees.place(constructor.tree()));
    }
  }
}
