package paredown.refactor.operation.movetype;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.refactor.Refused;
import paredown.refactor.carry.KeptValue;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;

/**
 * The fields whose first value needs the object around: the constructor gives it to them, since
 * what stands at a field is worked out before a constructor has set anything.
 */
record LateFields(OwnerClass nested, List<OwnerClass.Field> fields) {
  private static final String WHY = "the constructor works it out";

  /**
   * Those of a class.
   *
   * @param refusal makes a refusal of a clause and a place
   * @throws Refused where they could not be worked out later
   */
  static LateFields of(
      OwnerClass nested, List<Use> needs, BiFunction<String, String, Refused> refusal) {
    UnitTrees trees = nested.trees();
    for (OwnerClass.Initialiser each : nested.initialisers()) {
      for (Use use : needs) {
        if (trees.start(each.tree()) <= use.offset() && use.offset() < trees.end(each.tree())) {
          throw refusal.apply(
              "an initialiser runs before a constructor could set it",
              trees.source().place(use.offset()));
        }
      }
    }
    List<OwnerClass.Field> fields =
        nested.fields().stream()
            .filter(OwnerClass.Field::startsWithObject)
            .filter(each -> needs.stream().anyMatch(use -> holds(trees, each, use.offset())))
            .toList();
    LateFields late = new LateFields(nested, fields);
    if (!fields.isEmpty()) {
      late.requireLater(refusal);
    }
    return late;
  }

  private static boolean holds(UnitTrees trees, OwnerClass.Field field, int offset) {
    int start = trees.start(field.tree().getInitializer());
    return start <= offset && offset < trees.end(field.tree().getInitializer());
  }

  /** Whether a place stands within what the constructor works out then. */
  boolean holds(int offset) {
    return fields.stream().anyMatch(each -> holds(nested.trees(), each, offset));
  }

  /** What is worked out behind the first of them now must not notice that it is in front. */
  private void requireLater(BiFunction<String, String, Refused> refusal) {
    UnitTrees trees = nested.trees();
    String here = trees.place(fields.get(0).tree());
    long constructors = nested.constructors().stream().filter(each -> !each.callsAnother()).count();
    boolean arrays =
        fields.stream()
            .anyMatch(
                each ->
                    each.tree().getInitializer() instanceof NewArrayTree array
                        && array.getType() == null);
    if (constructors > 1 || arrays) {
      throw refusal.apply("a field is worked out with it before a constructor could set it", here);
    }
    int first = fields.get(0).declared();
    CalmCalls calm = new CalmCalls(nested.program());
    for (OwnerClass.Field each : nested.fields()) {
      boolean behind = each.startsWithObject() && !fields.contains(each) && each.declared() > first;
      if (behind && !isApart(new TreePath(each.path(), each.tree().getInitializer()), calm)) {
        throw refusal.apply(
            "%s would be worked out before %s".formatted(each.name(), fields.get(0).name()),
            trees.place(each.tree()));
      }
    }
    for (OwnerClass.Initialiser each : nested.initialisers()) {
      if (!each.tree().isStatic() && trees.start(each.tree()) > first) {
        throw refusal.apply(
            "an initialiser would run before %s is there".formatted(fields.get(0).name()),
            trees.place(each.tree()));
      }
    }
  }

  private boolean isApart(TreePath value, CalmCalls calm) {
    Set<Element> late = fields.stream().map(OwnerClass.Field::element).collect(Collectors.toSet());
    boolean[] named = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        named[0] |= late.contains(nested.trees().element(getCurrentPath()));
        return null;
      }
    }.scan(value, null);
    return !named[0] && Shift.isInert(nested.program(), calm, value);
  }

  /** Takes their values to the constructor, with the edits in them. */
  void collect(KeptValue kept, EditList edits) {
    UnitTrees trees = nested.trees();
    for (OwnerClass.Field each : fields) {
      int start = trees.start(each.tree().getInitializer());
      int end = trees.end(each.tree().getInitializer());
      List<Replacement> inside = new ArrayList<>(edits.take(trees.path(), start, end));
      Carried value = new Carried(trees.path(), start, end, inside, Indent.SAME, null);
      Written.Text target =
          Written.text("")
              .name("this", "this of " + nested.binaryName())
              .text(".")
              .name(each.name(), each.key())
              .text(" = ");
      kept.andThen(List.of(target.done(), value, Written.plain(";")));
      int name = each.declared() + each.name().length();
      edits.add(trees.path(), Rewriting.of(trees, name, end, WHY, List.of(), List.of(value)));
    }
  }
}
