package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.CatchTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnionTypeTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Aliases;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ImportOfGone;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;

/** A type that stands wherever another is named that goes. */
final class StandIn {
  private static final String GONE = "its class is gone";

  private final OwnerClass gone;
  private final TypeElement stays;
  private final Program program;
  private final Map<Element, ExecutableElement> constructors;
  private final EditList edits;
  private final Widening widening;
  private final Aliases gates;
  private final Map<String, TypeNames> names = new LinkedHashMap<>();

  /**
   * A type in the place of another.
   *
   * @param constructors of the type that goes, each with the one that is called in its place
   * @param edits what the edits are added to
   */
  StandIn(
      OwnerClass gone,
      TypeElement stays,
      Map<Element, ExecutableElement> constructors,
      EditList edits) {
    this.gone = gone;
    this.stays = stays;
    this.program = gone.program();
    this.constructors = constructors;
    this.edits = edits;
    this.widening = new Widening(program);
    this.gates = new Aliases(Map.of(gone.binaryName(), program.symbols().binary(stays)));
  }

  /** Whether a place is within the class that goes. */
  boolean isWithin(TreePath place) {
    for (TreePath at = place; at != null; at = at.getParentPath()) {
      if (at.getLeaf() == gone.tree()) {
        return true;
      }
    }
    return false;
  }

  /**
   * Collects the edits of every mention.
   *
   * @param keys of the members of the type that goes, each with the one that is asked instead
   * @param special whether something else is said in a place, which it says itself then
   */
  void collect(Map<String, String> keys, BiPredicate<UnitTrees, TreePath> special) {
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      for (TreePath each : Mentions.of(trees, gone)) {
        if (!special.test(trees, each)) {
          requireNotAsked(trees, each);
          edits.add(trees.path(), written(trees, each));
        }
      }
    }
    new DocStandIn(gone, stays, keys, gates::in, this::names).collect(edits);
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      ImportOfGone.edits(gone, trees, imports(trees))
          .forEach(each -> edits.add(trees.path(), each));
    }
  }

  private List<Replacement> imports(UnitTrees trees) {
    return names.containsKey(trees.path()) ? names.get(trees.path()).imports() : List.of();
  }

  /** Adds the edits of what must be more visible; the last that is done. */
  void widen() {
    widening.collect(null, edits::add);
  }

  /** What becomes more visible, for the report. */
  List<String> wider() {
    return widening.announced();
  }

  /** Objects of the other type would answer otherwise where code asks what an object is. */
  private void requireNotAsked(UnitTrees trees, TreePath mention) {
    Tree around = mention.getParentPath().getLeaf();
    Tree above = mention.getParentPath().getParentPath().getLeaf();
    boolean asked =
        around instanceof InstanceOfTree
            || around instanceof TypeCastTree
            || around instanceof UnionTypeTree
            || around instanceof VariableTree && above instanceof CatchTree
            || around instanceof VariableTree && above.getKind().name().contains("PATTERN")
            || around instanceof MemberSelectTree select
                && select.getIdentifier().contentEquals("class");
    if (asked) {
      throw Refused.advising(
          RefusalKind.TYPE_ASKED,
          "%s cannot be inlined: code asks there whether an object is one of it."
              .formatted(gone.writtenName()),
          "Ask for something else there first.",
          trees.place(mention.getLeaf()));
    }
  }

  TypeNames names(UnitTrees trees) {
    return names.computeIfAbsent(
        trees.path(), path -> new TypeNames(trees, program.symbols()::key));
  }

  private Replacement written(UnitTrees trees, TreePath mention) {
    Written.Text text = Written.text("");
    write(text, trees, mention);
    return Rewriting.of(
        trees, trees.start(mention.getLeaf()), trees.end(mention.getLeaf()), GONE, text.done());
  }

  /** Writes the type that stays in the place of a mention of the other. */
  void write(Written.Text text, UnitTrees trees, TreePath mention) {
    TypeElement scope = scope(trees, mention);
    if (scope != null) {
      seenFrom(scope, trees, mention);
    }
    int name = trees.end(mention.getLeaf()) - gone.element().getSimpleName().length();
    names(trees).write(text, stays, scope, Rewriting.name(trees, name));
  }

  /** Makes sure that a member of the type that stays can be asked for in a place. */
  void open(Element member, UnitTrees trees, TreePath place) {
    widening.open(
        member,
        new Sight(trees.classAround(place), program),
        gone.writtenName(),
        trees.place(place.getLeaf()));
  }

  private void seenFrom(TypeElement scope, UnitTrees trees, TreePath mention) {
    Sight sight = new Sight(scope, program);
    widening.open(stays, sight, gone.writtenName(), trees.place(mention.getLeaf()));
    Element around = trees.element(mention.getParentPath());
    ExecutableElement made = around == null ? null : constructors.get(around);
    if (made != null) {
      widening.open(made, sight, gone.writtenName(), trees.place(mention.getLeaf()));
    }
  }

  /** The innermost class around a mention; what a class extends is named outside it. */
  private static TypeElement scope(UnitTrees trees, TreePath mention) {
    TreePath part = mention;
    for (TreePath at = mention.getParentPath(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree around
          && around.getMembers().contains(part.getLeaf())
          && trees.element(at) instanceof TypeElement type) {
        return type;
      }
      part = at;
    }
    return null;
  }
}
