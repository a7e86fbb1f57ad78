package paredown.refactor.use;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.edit.Replacement;
import paredown.program.UseKind;
import paredown.refactor.code.Rewriting;
import paredown.refactor.effect.Overriding;

/** What ties a method to its place, so that a delegate must stay there when it moves. */
public final class Ties {
  private static final Set<String> CALLED_BY_NAME =
      Set.of(
          "main",
          "readObject",
          "writeObject",
          "readResolve",
          "writeReplace",
          "readObjectNoData",
          "finalize");

  private Ties() {}

  /** Whether an annotation goes where the method goes; others stay with the delegate. */
  public static boolean isCopied(OwnerClass owner, TreePath annotation) {
    return Remarks.isRemark(owner, annotation);
  }

  private static boolean isCopied(
      OwnerClass owner, OwnerClass.Method method, AnnotationTree annotation) {
    TreePath modifiers = new TreePath(method.path(), method.tree().getModifiers());
    return isCopied(owner, new TreePath(modifiers, annotation));
  }

  /** Takes the annotations away that stay with a delegate. */
  public static List<Replacement> left(OwnerClass owner, OwnerClass.Method method) {
    List<Replacement> left = new ArrayList<>();
    for (AnnotationTree annotation : method.tree().getModifiers().getAnnotations()) {
      if (!isCopied(owner, method, annotation)) {
        int end = owner.trees().end(annotation);
        while (Character.isWhitespace(owner.source().text().charAt(end))) {
          end++;
        }
        left.add(
            Rewriting.of(
                owner.trees(), owner.trees().start(annotation), end, "it stays with the delegate"));
      }
    }
    return left;
  }

  /** Whether the platform looks for methods of a name. */
  public static boolean isCalledByName(String name) {
    return CALLED_BY_NAME.contains(name);
  }

  /** Why the old place of a method must stay; empty where it need not. */
  public static Optional<String> of(OwnerClass owner, OwnerClass.Method method) {
    if (overrides(owner, method)) {
      return Optional.of("it overrides or implements an inherited method");
    }
    if (isOverridden(owner, method)) {
      return Optional.of("it is overridden in a subclass");
    }
    if (method.is(Modifier.SYNCHRONIZED)) {
      return Optional.of("it locks its old object");
    }
    for (AnnotationTree annotation : method.tree().getModifiers().getAnnotations()) {
      if (!isCopied(owner, method, annotation)) {
        return Optional.of("@%s may tie it there".formatted(annotation.getAnnotationType()));
      }
    }
    return CALLED_BY_NAME.contains(method.name())
        ? Optional.of("the platform looks for it by its name")
        : Optional.empty();
  }

  private static boolean overrides(OwnerClass owner, OwnerClass.Method method) {
    return owner
        .program()
        .uses()
        .at(owner.trees().path(), owner.trees().names().of(method.tree()), UseKind.OVERRIDES)
        .isPresent();
  }

  public static boolean isOverridden(OwnerClass owner, OwnerClass.Method method) {
    return Overriding.isOverridden(owner.program(), method.element());
  }
}
