package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.LambdaBlock;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;

/** Works out where a new local variable is declared and named, or why it cannot be. */
final class VariablePlan {
  private final ExtractVariable arguments;
  private final Extracted extracted;
  private final UnitTrees trees;
  private final CalmCalls calm;
  private final Assumptions assumptions = new Assumptions();
  private final EditList edits = new EditList();
  private final Optional<LambdaBlock> lambda;
  private final TreePath statement;
  private final Holder holder;

  VariablePlan(ExtractVariable arguments, Extracted extracted) {
    this.arguments = arguments;
    this.extracted = extracted;
    this.trees = extracted.trees();
    this.calm = new CalmCalls(extracted.program());
    this.lambda = lambda();
    this.statement = lambda.map(LambdaBlock::body).orElseGet(this::statement);
    this.holder =
        arguments.kind() == ExtractVariable.Kind.FIELD
            ? new FieldHolder(trees, arguments.name(), statement, extracted.type(), false)
            : new LocalHolder(extracted, arguments.name());
  }

  /** The lambda around the expression that must get a block for the variable. */
  private Optional<LambdaBlock> lambda() {
    if (arguments.kind() == ExtractVariable.Kind.FIELD) {
      return Optional.empty();
    }
    return LambdaBlock.around(trees, extracted.path())
        .filter(
            block ->
                inBlock()
                    .filter(around -> declaredIn(around).isEmpty() && isSteady(around))
                    .isEmpty());
  }

  /** A variable that the expression names and code around it declares; empty where none is. */
  private Optional<Element> declaredIn(TreePath around) {
    return extracted.locals().stream()
        .filter(
            local -> {
              TreePath declared = extracted.program().trees().getPath(local);
              return declared != null
                  && isWithin(declared, around)
                  && !isWithin(declared, extracted.path());
            })
        .findFirst();
  }

  /** Whether the value can be worked out in front of a statement around it. */
  private boolean isSteady(TreePath around) {
    int start = trees.start(around.getLeaf());
    return Shift.earlier(extracted.program(), calm, extracted.path(), start, new Assumptions())
        .over(Between.of(trees, start, extracted.path()))
        .isEmpty();
  }

  /** The innermost statement of a block around the expression. */
  private TreePath statement() {
    return inBlock()
        .orElseThrow(
            () ->
                new UnusableRequest(
                    trees.place(extracted.tree()) + " is in no body of a method.",
                    "Give a place within one, or make a constant of it."));
  }

  private Optional<TreePath> inBlock() {
    for (TreePath at = extracted.path(); ; at = at.getParentPath()) {
      if (Blocks.holds(at)) {
        return Optional.of(at);
      }
      Tree around = at.getParentPath().getLeaf();
      if (around instanceof ClassTree || around instanceof MethodTree) {
        return Optional.empty();
      }
    }
  }

  private int start() {
    return trees.start(statement.getLeaf());
  }

  Change change() {
    requireKnown();
    requireBehindSuper();
    shift(assumptions)
        .over(between(extracted.path()))
        .ifPresent(
            met -> {
              throw refused(met);
            });
    List<TreePath> equal = arguments.onlyHere() ? List.of() : again();
    List<TreePath> named = new ArrayList<>(List.of(extracted.path()));
    equal.stream().filter(this::isSafe).forEach(named::add);

    TypeNames names = new TypeNames(trees, extracted.program().symbols()::key);
    String file = trees.path();
    List<Replacement> places =
        named.stream().map(each -> extracted.named(each, holder.named())).toList();
    if (lambda.isPresent()) {
      edits.add(file, block(lambda.get(), names, places));
    } else {
      edits.add(file, declaration(names));
      places.forEach(each -> edits.add(file, each));
    }
    holder.declared(names).forEach(each -> edits.add(file, each));
    holder.requireKept(statement, named, assumptions);
    names.imports().forEach(each -> edits.add(file, each));
    int others = equal.size() - named.size() + 1;
    return new Change(
        "%s holds %s%s."
            .formatted(
                arguments.name(),
                shown(),
                named.size() == 1 ? "" : ", and stands in %d places".formatted(named.size())),
        new EditedFiles(extracted.program()).of(edits),
        Map.of(),
        Map.of(),
        Set.of(file),
        new Change.Report(List.of(), List.of(), List.of(), notes(others))
            .assuming(assumptions.all()));
  }

  private String shown() {
    String text = extracted.text().replaceAll("\\s+", " ");
    return text.length() > 50 ? text.substring(0, 50) + "…" : text;
  }

  private static List<String> notes(int others) {
    return others > 0
        ? List.of(
            "The same stands %s, where its value could be another."
                .formatted(others == 1 ? "once more" : others + " times more"))
        : List.of();
  }

  private Shift shift(Assumptions taken) {
    return Shift.earlier(extracted.program(), calm, extracted.path(), start(), taken);
  }

  private Between between(TreePath place) {
    return Between.of(trees, start(), place);
  }

  private Refused refused(Shift.Obstacle met) {
    return Refused.advising(
        met.kind(),
        "It cannot be worked out in front of its statement: %s.".formatted(met.why()),
        "Take more of the statement, or less.",
        trees.place(met.at().getLeaf()));
  }

  /** What the expression names must be there in front of its statement. */
  private void requireKnown() {
    declaredIn(statement)
        .ifPresent(
            local -> {
              throw Refused.advising(
                  RefusalKind.NOT_ALONE,
                  "It names %s, which its own statement declares.".formatted(local.getSimpleName()),
                  "Take less, or make a block of the statement first.",
                  trees.place(extracted.tree()));
            });
  }

  private static boolean isWithin(TreePath inner, TreePath outer) {
    for (TreePath at = inner; at != null; at = at.getParentPath()) {
      if (at.getLeaf() == outer.getLeaf()) {
        return true;
      }
    }
    return false;
  }

  /** Nothing may stand in front of the call of another constructor. */
  private void requireBehindSuper() {
    boolean chain =
        statement.getLeaf() instanceof ExpressionStatementTree expression
            && expression.getExpression() instanceof MethodInvocationTree call
            && call.getMethodSelect().toString().matches("(.*\\.)?(this|super)");
    if (chain) {
      throw Refused.advising(
          RefusalKind.NOT_ALONE,
          "No statement may stand in front of the call of another constructor.",
          "Make a constant or a method of it.",
          trees.place(statement.getLeaf()));
    }
  }

  /** Where the same stands behind, as long as the block lasts. */
  private List<TreePath> again() {
    Equals equals = new Equals(trees, extracted.path());
    List<TreePath> found = new ArrayList<>();
    lambda.ifPresent(block -> found.addAll(equals.in(block.body())));
    List<? extends StatementTree> all = Blocks.statements(statement.getParentPath().getLeaf());
    int first = Math.max(0, all.indexOf(statement.getLeaf()));
    for (StatementTree each : all.subList(first, all.size())) {
      found.addAll(equals.in(new TreePath(statement.getParentPath(), each)));
    }
    found.removeIf(path -> path.getLeaf() == extracted.tree());
    return found;
  }

  /** Whether a place would find the value that it works out now. */
  private boolean isSafe(TreePath place) {
    Assumptions more = new Assumptions();
    Shift shift = shift(more);
    Optional<Shift.Obstacle> met =
        shift.repeated(List.of(place, extracted.path())).or(() -> shift.over(between(place)));
    if (met.isEmpty()) {
      assumptions.addAll(more.all());
    }
    return met.isEmpty();
  }

  /** The declaration in a block of the lambda, and behind it what the lambda said. */
  private Replacement block(LambdaBlock block, TypeNames names, List<Replacement> places) {
    if (block.isVoid()
        && places.stream()
            .anyMatch(each -> each.start() == block.start() && each.end() == block.end())) {
      throw Refused.advising(
          RefusalKind.NO_VALUE,
          "Nothing uses what the lambda gives.",
          "Choose an expression whose value is used.",
          trees.place(extracted.tree()));
    }
    List<Piece> pieces = new ArrayList<>();
    pieces.add(holder.beginning(names));
    pieces.add(extracted.carried());
    pieces.add(Written.plain(";" + trees.source().lineEnd() + block.indent()));
    pieces.addAll(block.said(places));
    return Rewriting.of(trees, block.start(), block.end(), "", block.around(pieces), List.of())
        .proving("it gives what the lambda gave");
  }

  private Replacement declaration(TypeNames names) {
    String indent = trees.source().indentAt(start());
    return Rewriting.of(
        trees,
        start(),
        start(),
        "",
        holder.beginning(names),
        extracted.carried(),
        Written.plain(";" + trees.source().lineEnd() + indent));
  }
}
