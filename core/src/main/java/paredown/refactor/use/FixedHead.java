package paredown.refactor.use;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;

/** Why the head of a method cannot change: somebody outside the sources knows its parameters. */
public final class FixedHead {
  private final Program program;
  private final String place;
  private final StandIns standIns;

  /**
   * Checks of heads.
   *
   * @param place to be shown for what stands in no source
   */
  public FixedHead(Program program, String place) {
    this.program = program;
    this.place = place;
    this.standIns = new StandIns(program);
  }

  /**
   * What is in the way.
   *
   * @param why a clause
   */
  public record Obstacle(RefusalKind kind, String why, String place) {}

  /** Why parameters of a method cannot change; empty where they can. */
  public Optional<Obstacle> of(ExecutableElement method, List<Integer> positions) {
    TypeElement type = (TypeElement) method.getEnclosingElement();
    if (!program.declares(type)) {
      return met(
          RefusalKind.OVERRIDES, "it overrides a method of " + type.getQualifiedName(), place);
    }
    TreePath path = program.declaration(method);
    boolean canonical =
        type.getKind() == ElementKind.RECORD
            && method.getKind() == ElementKind.CONSTRUCTOR
            && (path == null || method.getParameters().size() == type.getRecordComponents().size());
    if (path == null || canonical) {
      return met(RefusalKind.FIXED_NAME, "its parameters are the components of a record", place);
    }
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    String here = trees.place(path.getLeaf());
    boolean generated =
        program.sources().file(trees.path()).filter(SourceIndex::isEditable).isEmpty();
    if (generated) {
      return met(RefusalKind.GENERATED, RefusalKind.GENERATED.why(), here);
    }
    if (method.getModifiers().contains(Modifier.NATIVE)
        || Ties.isCalledByName(method.getSimpleName().toString())) {
      return met(RefusalKind.FIXED_NAME, "somebody outside the sources calls it", here);
    }
    if (method.isVarArgs() && positions.contains(method.getParameters().size() - 1)) {
      return met(RefusalKind.NOT_ALONE, "callers give its last parameter in pieces", here);
    }
    Optional<String> standIn = standIns.place(method);
    if (standIn.isPresent()) {
      return met(
          RefusalKind.CALL_SHAPE,
          "a lambda or method reference stands for it, which names no values",
          standIn.get());
    }
    return annotated(path, trees, positions);
  }

  private static Optional<Obstacle> met(RefusalKind kind, String why, String place) {
    return Optional.of(new Obstacle(kind, why, place));
  }

  private Optional<Obstacle> annotated(TreePath path, UnitTrees trees, List<Integer> positions) {
    var tree = (com.sun.source.tree.MethodTree) path.getLeaf();
    OwnerClass owner = OwnerClass.of(program, trees.classAround(path));
    Optional<AnnotationTree> telling =
        Remarks.telling(owner, path, tree.getModifiers(), "java.lang.Override"::equals).findFirst();
    if (telling.isPresent()) {
      return met(
          RefusalKind.MAPPED_FIELD,
          "its annotation says that something outside the code calls it",
          trees.place(telling.get()));
    }
    for (int position : positions) {
      for (AnnotationTree each :
          tree.getParameters().get(position).getModifiers().getAnnotations()) {
        return met(
            RefusalKind.NOT_ALONE, "an annotation of a parameter would go", trees.place(each));
      }
    }
    return Optional.empty();
  }
}
