package paredown.refactor.operation.builder;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.EvaluationOrder;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;
import paredown.refactor.use.OwnerClass;

/** A call of a constructor, which asks the builder then. */
final class BuilderCall {
  private static final String WHY = "the builder gives it to the constructor";

  private final String name;
  private final Growing growing;
  private final OwnerClass owner;
  private final Program program;
  private final String binary;
  private final FileNames names;
  private final EditList edits;

  /**
   * @param name of the builder
   */
  BuilderCall(String name, Growing growing, OwnerClass owner, FileNames names, EditList edits) {
    this.name = name;
    this.growing = growing;
    this.owner = owner;
    this.program = owner.program();
    this.binary = owner.binaryName() + "$" + name;
    this.names = names;
    this.edits = edits;
  }

  /**
   * Asks the builder, where the order of the values stays.
   *
   * @return why the constructor is still called; empty where it is not
   */
  Optional<String> ask(Shorter meant, UnitTrees trees, TreePath path, NewClassTree tree) {
    List<Integer> required = new ArrayList<>();
    List<Integer> optional = new ArrayList<>();
    for (int i = 0; i < tree.getArguments().size(); i++) {
      (growing.isRequired(meant.target(i)) ? required : optional).add(i);
    }
    List<Integer> inOrder = new ArrayList<>(required);
    inOrder.sort(Comparator.comparingInt(meant::target));
    List<Integer> order = new ArrayList<>(inOrder);
    order.addAll(optional);
    boolean plain = growing.unusual(meant).stream().allMatch(growing::isLiteral);
    if (!plain || !isKept(trees, path, tree, order)) {
      return Optional.of(
          plain
              ? "its values would be worked out in another order"
              : "what that gives besides is not as usual");
    }
    List<Piece> pieces = new ArrayList<>();
    Written.Text text =
        Written.text("")
            .here(UseKind.CREATION, BuilderText.constructorKey(growing, binary, program))
            .text("new ");
    TypeElement scope = trees.classAround(path);
    boolean within = CodeElsewhere.isOf(scope, owner.element());
    if (!within) {
      names.of(trees).write(text, owner.element(), scope);
      text.text(".");
    }
    text.name(name, Symbols.typeKey(binary)).text("(");
    String separator = "";
    for (int each : inOrder) {
      pieces.add(text.text(separator).done());
      pieces.add(edits.carried(trees, tree.getArguments().get(each)));
      text = Written.text("");
      separator = ", ";
    }
    text.text(")");
    for (int each : optional) {
      var parameter = growing.parameters().get(meant.target(each));
      pieces.add(setter(text, parameter).done());
      pieces.add(edits.carried(trees, tree.getArguments().get(each)));
      text = Written.text(")");
    }
    for (TreePath each : growing.unusual(meant)) {
      var parameter = growing.parameters().get(meant.position(each));
      setter(text, parameter)
          .text(
              owner
                  .trees()
                  .source()
                  .slice(owner.trees().start(each.getLeaf()), owner.trees().end(each.getLeaf())))
          .text(")");
    }
    pieces.add(
        text.text(".")
            .name("build", Symbols.methodKey(binary, "build", List.of()))
            .text("()")
            .done());
    edits.add(
        trees.path(),
        Rewriting.of(trees, trees.start(tree), trees.end(tree), WHY, pieces, List.of())
            .proving(WHY));
    return Optional.empty();
  }

  private Written.Text setter(Written.Text text, VariableElement parameter) {
    String word = parameter.getSimpleName().toString();
    List<String> types = List.of(BuilderText.erased(program, parameter));
    return text.text(".").name(word, Symbols.methodKey(binary, word, types)).text("(");
  }

  /** Whether the values of a call are worked out in their order, or it does not matter. */
  private boolean isKept(UnitTrees trees, TreePath path, NewClassTree tree, List<Integer> order) {
    List<? extends ExpressionTree> all = tree.getArguments();
    EvaluationOrder evaluation = new EvaluationOrder(trees, new CalmCalls(program));
    for (int i = 0; i < order.size(); i++) {
      for (int j = i + 1; j < order.size(); j++) {
        boolean turned = order.get(i) > order.get(j);
        TreePath one = new TreePath(path, all.get(order.get(i)));
        TreePath other = new TreePath(path, all.get(order.get(j)));
        if (turned && !evaluation.commutes(one, List.of(other))) {
          return false;
        }
      }
    }
    return true;
  }
}
