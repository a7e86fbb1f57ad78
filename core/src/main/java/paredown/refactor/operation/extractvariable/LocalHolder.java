package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.util.TreePath;
import java.util.List;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;

/** A new local variable, declared the way that its file does it. */
record LocalHolder(Extracted extracted, String name) implements Holder {
  @Override
  public Written beginning(TypeNames names) {
    Habits habits = Habits.of(extracted.trees());
    Written.Text text = Written.text(habits.isFinal() ? "final " : "");
    boolean poly =
        extracted.tree() instanceof LambdaExpressionTree
            || extracted.tree() instanceof MemberReferenceTree;
    boolean writable = WritableType.is(extracted.type());
    if (!writable && (poly || !habits.knowsVar())) {
      throw Refused.advising(
          RefusalKind.NO_VALUE,
          "Its type %s cannot be written down.".formatted(extracted.type()),
          "Take more, so that the value has a type with a name.",
          extracted.trees().place(extracted.tree()));
    }
    if (!writable || habits.isVar() && !poly) {
      text.text("var");
    } else {
      names.write(text, extracted.type(), extracted.trees().classAround(extracted.path()));
    }
    return text.text(" " + name + " = ").done();
  }

  @Override
  public Written named() {
    return Written.text("").local(name).done();
  }

  @Override
  public List<Replacement> declared(TypeNames names) {
    return List.of();
  }

  @Override
  public void requireKept(TreePath statement, List<TreePath> named, Assumptions assumptions) {
    // Nobody else can set it.
  }
}
