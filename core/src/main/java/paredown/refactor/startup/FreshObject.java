package paredown.refactor.startup;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.Sight;
import paredown.refactor.use.OwnerClass;

/** A new object that is made by the way, of a class whose objects can be made and show nowhere. */
public final class FreshObject {
  private final OwnerClass type;
  private final OwnerClass maker;
  private final String subject;

  /**
   * A new object.
   *
   * @param type its class
   * @param maker the class that makes it
   * @param subject what needs it, for the refusal
   */
  public FreshObject(OwnerClass type, OwnerClass maker, String subject) {
    this.type = type;
    this.maker = maker;
    this.subject = subject;
  }

  /** Refuses where it cannot be made, or somebody could tell that it was. */
  public void require() {
    if (!isPlain()) {
      throw refused("only objects of a plain class can be made for it", type.tree());
    }
    if (!canBeMade()) {
      throw refused("no object of it can be made here without arguments", type.tree());
    }
    if (!constructsQuietly()) {
      throw refused("making an object of it runs code that could show", type.tree());
    }
    type.fields().stream()
        .filter(field -> field.startsWithObject())
        .forEach(field -> requireQuiet(new TreePath(field.path(), field.tree().getInitializer())));
  }

  private boolean isPlain() {
    Element element = type.element();
    return element.getKind() == ElementKind.CLASS
        && !element.getModifiers().contains(Modifier.ABSTRACT)
        && (type.element().getNestingKind() == NestingKind.TOP_LEVEL
            || element.getModifiers().contains(Modifier.STATIC))
        && type.element().getTypeParameters().isEmpty();
  }

  private boolean canBeMade() {
    Sight sight = new Sight(maker.element(), type.program());
    return ElementFilter.constructorsIn(type.element().getEnclosedElements()).stream()
        .anyMatch(
            each ->
                each.getParameters().isEmpty()
                    && each.getThrownTypes().isEmpty()
                    && !sight.hides(each));
  }

  private boolean constructsQuietly() {
    return type.constructors().stream()
            .filter(each -> each.element().getParameters().isEmpty())
            .allMatch(each -> each.tree().getBody().getStatements().size() <= 1)
        && type.initialisers().isEmpty()
        && type.element().getSuperclass().toString().equals("java.lang.Object");
  }

  /** What a field gets may be neither counted nor kept elsewhere, nor be made without an end. */
  private void requireQuiet(TreePath initialiser) {
    CalmCalls calm = new CalmCalls(type.program());
    new TreePathScanner<Void, Void>() {
      private void requireCalm(Element called, Tree tree) {
        if (called == null || !calm.isCalm(called)) {
          throw refused("a new object of it calls others", tree);
        }
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        Element made = type.trees().element(getCurrentPath());
        boolean ofProject =
            made != null
                && made.getEnclosingElement() instanceof TypeElement of
                && type.program().declares(of);
        if (ofProject) {
          // It could make one of this in turn, and so on without an end.
          throw refused("a new object of it makes others", tree);
        }
        requireCalm(made, tree);
        return super.visitNewClass(tree, null);
      }

      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        TreePath select = new TreePath(getCurrentPath(), tree.getMethodSelect());
        requireCalm(type.trees().element(select), tree);
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitAssignment(AssignmentTree tree, Void unused) {
        throw refused("a new object of it sets something", tree);
      }

      @Override
      public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
        throw refused("a new object of it sets something", tree);
      }

      @Override
      public Void visitUnary(UnaryTree tree, Void unused) {
        if (tree.getKind().name().contains("CREMENT")) {
          throw refused("a new object of it sets something", tree);
        }
        return super.visitUnary(tree, null);
      }

      @Override
      public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
        return null;
      }
    }.scan(initialiser, null);
  }

  private Refused refused(String why, Tree tree) {
    return Refused.of(RefusalKind.TARGET_ELSEWHERE, subject, why, type.trees().place(tree));
  }
}
