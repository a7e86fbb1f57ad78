package paredown.refactor.use;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.edit.Assumption;

/**
 * A remark is an annotation that tells readers and checkers something, and that nobody looks for in
 * the running program: it goes where its member goes.
 */
public final class Remarks {
  /** Remarks of the platform, whose meaning is known. */
  private static final Set<String> PLATFORM =
      Set.of("Deprecated", "SuppressWarnings", "SafeVarargs", "FunctionalInterface");

  /** Names that annotations of many libraries have which are only remarks. */
  private static final Set<String> NAMES =
      Set.of(
          "Nullable",
          "NonNull",
          "NotNull",
          "Nonnull",
          "CheckForNull",
          "CheckReturnValue",
          "CanIgnoreReturnValue",
          "VisibleForTesting",
          "GuardedBy",
          "ThreadSafe",
          "NotThreadSafe",
          "Immutable",
          "Internal",
          "Experimental",
          "Beta",
          "SuppressFBWarnings",
          "API",
          "Contract",
          "Pure",
          "NullMarked",
          "NullUnmarked",
          "ParametersAreNonnullByDefault");

  /** How sure it is that an annotation is a remark. */
  private enum Kind {
    KNOWN,
    ASSUMED,
    NONE
  }

  private Remarks() {}

  /**
   * The annotations of a declaration that tell somebody outside the code something.
   *
   * @param nameless which are passed over by their names, as they need no name of what they are on
   */
  public static Stream<AnnotationTree> telling(
      OwnerClass owner, TreePath declaration, ModifiersTree modifiers, Predicate<String> nameless) {
    TreePath path = new TreePath(declaration, modifiers);
    return modifiers.getAnnotations().stream()
        .filter(each -> !nameless.test(name(owner, path, each)))
        .filter(each -> !isRemark(owner, new TreePath(path, each)))
        .map(AnnotationTree.class::cast);
  }

  private static String name(OwnerClass owner, TreePath modifiers, AnnotationTree annotation) {
    TreePath at = new TreePath(modifiers, annotation);
    return String.valueOf(owner.trees().element(new TreePath(at, annotation.getAnnotationType())));
  }

  /** Whether an annotation is a remark, which is noted as assumed where it is not known. */
  public static boolean isRemark(OwnerClass owner, TreePath annotation) {
    AnnotationTree tree = (AnnotationTree) annotation.getLeaf();
    Element type = owner.trees().element(new TreePath(annotation, tree.getAnnotationType()));
    Kind kind = of(type);
    if (kind == Kind.ASSUMED) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.REMARK,
              "@%s is only a remark, which nobody looks for".formatted(type.getSimpleName()),
              owner.trees().place(tree));
    }
    return kind != Kind.NONE;
  }

  private static Kind of(Element annotation) {
    if (!(annotation instanceof TypeElement type)) {
      return Kind.NONE;
    }
    String name = type.getSimpleName().toString();
    boolean ofPlatform = type.getQualifiedName().contentEquals("java.lang." + name);
    boolean ties = type.getQualifiedName().contentEquals("java.lang.Override");
    if (!ties && (ofPlatform && PLATFORM.contains(name) || isForSources(type))) {
      return Kind.KNOWN;
    }
    return NAMES.contains(name) ? Kind.ASSUMED : Kind.NONE;
  }

  /** Whether the compiler throws an annotation away. */
  private static boolean isForSources(TypeElement annotation) {
    Optional<? extends AnnotationMirror> retention =
        annotation.getAnnotationMirrors().stream()
            .filter(
                each ->
                    each.getAnnotationType().toString().equals("java.lang.annotation.Retention"))
            .findFirst();
    return retention
        .map(each -> each.getElementValues().values().toString().contains("SOURCE"))
        .orElse(false);
  }
}
