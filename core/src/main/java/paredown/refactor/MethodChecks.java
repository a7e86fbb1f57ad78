package paredown.refactor;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.program.UseKind;

/** What must hold of methods before they may be moved into the extracted class. */
final class MethodChecks {
  private static final Set<String> HARMLESS =
      Set.of("Deprecated", "SuppressWarnings", "SafeVarargs");

  private final OwnerClass owner;

  MethodChecks(OwnerClass owner) {
    this.owner = owner;
  }

  void require(List<OwnerClass.Method> methods) {
    methods.forEach(this::requireMovable);
  }

  private void requireMovable(OwnerClass.Method method) {
    String place = owner.trees().place(method.tree());
    refuseIf(method.is(Modifier.STATIC), RefusalKind.STATIC_MEMBER, method, place);
    refuseIf(method.tree().getBody() == null, RefusalKind.NO_BODY, method, place);
    refuseIf(method.is(Modifier.SYNCHRONIZED), RefusalKind.LOCKED, method, place);
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitSynchronized(SynchronizedTree tree, Void unused) {
        throw Refused.because(
            RefusalKind.LOCKED, OwnerClass.signature(method), owner.trees().place(tree));
      }
    }.scan(method.path(), null);
    for (AnnotationTree annotation : method.tree().getModifiers().getAnnotations()) {
      boolean overrides = annotation.getAnnotationType().toString().endsWith("Override");
      refuseIf(overrides, RefusalKind.OVERRIDES, method, place);
      refuseIf(
          !HARMLESS.contains(annotation.getAnnotationType().toString()),
          RefusalKind.MAPPED_METHOD,
          method,
          place);
    }
    boolean overrides =
        owner
            .program()
            .uses()
            .at(owner.trees().path(), owner.trees().names().of(method.tree()), UseKind.OVERRIDES)
            .isPresent();
    refuseIf(overrides, RefusalKind.OVERRIDES, method, place);
  }

  /** Refuses where a subclass that can be seen overrides one of the methods. */
  void requireNotOverridden(List<OwnerClass.Method> methods) {
    for (OwnerClass.Method method : methods) {
      if (method.is(Modifier.PRIVATE)) {
        continue;
      }
      Overriding.of(owner.program(), method.key())
          .ifPresent(
              use -> {
                throw Refused.because(
                    RefusalKind.OVERRIDDEN,
                    OwnerClass.signature(method),
                    owner.program().unit(use.file()).orElseThrow().source().place(use.offset()));
              });
    }
  }

  private static void refuseIf(
      boolean condition, RefusalKind kind, OwnerClass.Method method, String place) {
    if (condition) {
      throw Refused.because(kind, OwnerClass.signature(method), place);
    }
  }
}
