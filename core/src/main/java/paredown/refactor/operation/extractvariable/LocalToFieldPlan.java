package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.LocalUses;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;

/** Works out how a local variable becomes a field, or why it cannot. */
final class LocalToFieldPlan {
  private final ExtractVariable arguments;
  private final UnitTrees trees;
  private final TreePath path;
  private final VariableTree tree;
  private final VariableElement variable;
  private final EditList edits = new EditList();
  private final Assumptions assumptions = new Assumptions();

  LocalToFieldPlan(ExtractVariable arguments, UnitTrees trees, TreePath path) {
    this.arguments = arguments;
    this.trees = trees;
    this.path = path;
    this.tree = (VariableTree) path.getLeaf();
    this.variable = (VariableElement) trees.element(path);
  }

  Change change() {
    requireAlone();
    boolean again = Writes.in(trees, path.getParentPath()).contains(variable);
    FieldHolder holder =
        new FieldHolder(
            trees,
            arguments.name(),
            path,
            variable.asType(),
            again || tree.getInitializer() == null);
    List<TreePath> uses = LocalUses.of(trees, path);
    holder.requireKept(path, uses, assumptions);
    TypeNames names = new TypeNames(trees, trees.program().symbols()::key);
    String file = trees.path();
    edits.add(file, tree.getInitializer() == null ? removal() : assignment(holder, names));
    for (TreePath use : uses) {
      edits.add(
          file,
          Rewriting.of(
                  trees,
                  trees.start(use.getLeaf()),
                  trees.end(use.getLeaf()),
                  "the field stands there",
                  holder.named())
              .proving("the field holds what the variable held"));
    }
    holder.declared(names).forEach(each -> edits.add(file, each));
    names.imports().forEach(each -> edits.add(file, each));
    return new Change(
        "The variable %s is the field %s of %s."
            .formatted(tree.getName(), arguments.name(), holder.owner().writtenName()),
        new EditedFiles(trees.program()).of(edits),
        Map.of(),
        Map.of(),
        Set.of(file),
        new Change.Report(List.of(), List.of(), List.of(), List.of()).assuming(assumptions.all()));
  }

  private void requireAlone() {
    if (variable.getConstantValue() != null) {
      throw new UnusableRequest(
          tree.getName() + " has a value that the compiler knows.",
          "Make a constant of it: pare extract constant with the place of its value.");
    }
    Blocks.requireDeclaredAlone(trees, path);
    if (!tree.getModifiers().getAnnotations().isEmpty()) {
      throw Refused.advising(
          RefusalKind.NOT_ALONE,
          tree.getName() + " cannot be a field: its annotation is for a variable.",
          "Take the annotation away first, or leave the variable.",
          trees.place(tree));
    }
  }

  /** Without a value, nothing is left of the declaration. */
  private Replacement removal() {
    int[] range = MemberRange.withGap(trees.source(), trees.leaving(tree));
    return Rewriting.of(trees, range[0], range[1], "the field is declared in the class");
  }

  /** The value stays where it is worked out. */
  private Replacement assignment(FieldHolder holder, TypeNames names) {
    ExpressionTree value = tree.getInitializer();
    Written.Text text = Written.text("").all(holder.beginning(names));
    if (value instanceof NewArrayTree array && array.getType() == null) {
      TypeMirror type = variable.asType();
      names.write(text.text("new "), type, holder.owner().element());
      text.text(" ");
    }
    Carried carried = Carried.range(trees.path(), trees.start(value), trees.end(value));
    return Rewriting.of(
            trees,
            trees.start(tree),
            trees.end(tree),
            "the field is declared in the class",
            text.done(),
            carried,
            Written.plain(";"))
        .proving("the field gets the value of the variable");
  }
}
