package paredown.refactor.operation.superclass;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ExecutableElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Overriders;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;

/** Says of methods that they override one that is above now. */
final class OverridesAbove {
  private final CommonMembers common;
  private final Program program;
  private final EditList edits;

  OverridesAbove(CommonMembers common, EditList edits) {
    this.common = common;
    this.program = common.parent().program();
    this.edits = edits;
  }

  /** Says so of a method of a class beside. */
  void say(FreeAbove.Beside beside) {
    say(beside.owner(), beside.method(), beside.up());
  }

  /**
   * Says so of a method, with the annotation for it, and of all that override it.
   *
   * @param above the method as it was below
   */
  void say(OwnerClass owner, OwnerClass.Method method, OwnerClass.Method above) {
    UnitTrees trees = owner.trees();
    int start = method.range().declaration();
    String head = trees.source().slice(start, trees.names().of(method.tree()));
    if (!head.contains("@Override")) {
      Written written =
          Written.text("@")
              .name("Override", "type java.lang.Override")
              .text(Layout.of(owner).lineEnd() + owner.source().indentAt(start))
              .done();
      edits.add(trees.path(), Replacement.of(start, start, written));
    }
    note(trees, method.tree(), above);
    for (ExecutableElement below : new Overriders(program).of(method.element())) {
      TreePath path = program.declaration(below);
      note(
          new UnitTrees(program, program.unit(path).orElseThrow()),
          (MethodTree) path.getLeaf(),
          above);
    }
  }

  /** Notes that a method overrides one more. */
  private void note(UnitTrees trees, MethodTree own, OwnerClass.Method above) {
    int name = trees.names().of(own);
    TreeSet<String> keys = new TreeSet<>(Set.of(MoveUp.above(common, above.key())));
    Optional<Use> old = program.uses().at(trees.path(), name, UseKind.OVERRIDES);
    old.ifPresent(use -> keys.addAll(List.of(use.key().split(" & "))));
    Written written =
        Written.text("")
            .here(UseKind.OVERRIDES, String.join(" & ", keys), old.map(Use::place).orElse(null))
            .text(own.getName().toString())
            .done();
    Replacement edit = Replacement.of(name, name + own.getName().length(), written);
    if (!edits.of(trees.path()).contains(edit)) {
      edits.add(trees.path(), edit);
    }
  }
}
