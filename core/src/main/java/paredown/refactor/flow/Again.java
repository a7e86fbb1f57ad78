package paredown.refactor.flow;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.RefusalKind;
import paredown.refactor.flow.Shift.Obstacle;

/** Tells whether a value could be worked out again, or not at all, and nobody would notice. */
record Again(Working working) {

  /** Why it cannot run more than once, or less; empty where it can. */
  Optional<Obstacle> repeated() {
    if (!working.isQuiet()) {
      return Working.obstacle(
          RefusalKind.RUNS_OFTEN,
          "working its value out does something each time",
          working.actingPlace());
    }
    return working.looks().makes() || working.looks().couldMake() && !isValue()
        ? Working.obstacle(
            RefusalKind.RUNS_OFTEN,
            "its value could be another object each time",
            working.expression())
        : Optional.empty();
  }

  /**
   * Why it cannot run once for each of several places; empty where it can.
   *
   * @param places where its value stands then
   */
  Optional<Obstacle> repeated(List<TreePath> places) {
    boolean anew = working.looks().makes() || working.looks().couldMake() || boxes() || adds();
    return repeated()
        .or(
            () ->
                SameObject.mattersAt(
                        working.program(),
                        anew && !Working.isPrimitive(working.held()) ? places : List.of())
                    .flatMap(
                        place ->
                            Working.obstacle(
                                RefusalKind.RUNS_OFTEN,
                                "its value could be another object each time, and one is compared",
                                place)));
  }

  private boolean boxes() {
    return !Working.isPrimitive(working.held())
        && Working.isPrimitive(working.program().trees().getTypeMirror(working.expression()));
  }

  /** Whether it makes a text of others. */
  private boolean adds() {
    ExpressionTree bare = (ExpressionTree) working.expression().getLeaf();
    while (bare instanceof ParenthesizedTree inner) {
      bare = inner.getExpression();
    }
    return bare instanceof BinaryTree;
  }

  /** Whether equal values of its type cannot be told apart by those who mean well. */
  private boolean isValue() {
    TypeMirror type = working.program().trees().getTypeMirror(working.expression());
    if (type == null || type.getKind().isPrimitive()) {
      return type != null;
    }
    String name = type.toString();
    boolean boxed =
        working.program().types().asElement(type) instanceof TypeElement element
            && (element.getKind() == ElementKind.ENUM || isBox(element));
    return name.equals("java.lang.String") || boxed;
  }

  private static boolean isBox(TypeElement type) {
    return Set.of("Integer", "Long", "Short", "Byte", "Character", "Boolean", "Double", "Float")
            .contains(type.getSimpleName().toString())
        && type.getQualifiedName().toString().startsWith("java.lang.");
  }
}
