package paredown.refactor.startup;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.EnumSet;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Effects;

/** What code that runs when a class starts does with other things than its class. */
record StartCode(Program program, Effects effects, TreePath code) {

  /**
   * Whether a call in it prints or asks for properties, files, time or chance, itself or in turn.
   */
  boolean asksTheMachine() {
    boolean[] asks = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        TreePath select = new TreePath(getCurrentPath(), tree.getMethodSelect());
        if (program.trees().getElement(select) instanceof ExecutableElement method) {
          TypeElement type = (TypeElement) method.getEnclosingElement();
          asks[0] |=
              program.declares(type)
                  ? effects.ofCall(method).has(Deed.OUTSIDE)
                  : isOfMachine(type.getQualifiedName().toString(), method);
        }
        return super.visitMethodInvocation(tree, null);
      }
    }.scan(code, null);
    return asks[0];
  }

  private static boolean isOfMachine(String type, ExecutableElement method) {
    boolean asked = method.getSimpleName().toString().matches("get\\w+|random");
    return type.startsWith("java.lang.System")
        || type.startsWith("java.io.")
        || type.startsWith("java.nio.file.")
        || type.startsWith("java.lang.Thread")
        || type.equals("java.lang.Runtime")
        || asked && type.matches("java\\.lang\\.(Integer|Long|Boolean|Math)");
  }

  boolean throwsOnPurpose() {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitThrow(ThrowTree tree, Void unused) {
        found[0] = true;
        return null;
      }

      @Override
      public Void visitClass(ClassTree tree, Void unused) {
        return null;
      }
    }.scan(code, null);
    return found[0];
  }

  /** Whether something of another class is asked for nothing but what that does. */
  boolean registers(TypeElement type) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitExpressionStatement(ExpressionStatementTree tree, Void unused) {
        TreePath path = new TreePath(getCurrentPath(), tree.getExpression());
        found[0] |= tree.getExpression() instanceof MethodInvocationTree && isOther(path, type);
        return super.visitExpressionStatement(tree, null);
      }

      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        // A collection of another class that takes something in, wherever that stands.
        found[0] |= isOther(getCurrentPath(), type) && changes(getCurrentPath(), tree);
        return super.visitMethodInvocation(tree, null);
      }
    }.scan(code, null);
    return found[0];
  }

  private boolean changes(TreePath path, MethodInvocationTree call) {
    return program.trees().getElement(new TreePath(path, call.getMethodSelect()))
            instanceof ExecutableElement method
        && effects.ofCall(method).hasAny(EnumSet.of(Deed.CHANGES, Deed.SETS));
  }

  /** Whether a call begins at another class of the project, or at an object of it. */
  private boolean isOther(TreePath call, TypeElement type) {
    TreePath at = new TreePath(call, ((MethodInvocationTree) call.getLeaf()).getMethodSelect());
    while (at.getLeaf() instanceof MemberSelectTree
        || at.getLeaf() instanceof MethodInvocationTree) {
      at =
          at.getLeaf() instanceof MemberSelectTree select
              ? new TreePath(at, select.getExpression())
              : new TreePath(at, ((MethodInvocationTree) at.getLeaf()).getMethodSelect());
    }
    Element element = program.trees().getElement(at);
    Element owner = element;
    while (owner != null && !(owner instanceof TypeElement)) {
      owner = owner.getEnclosingElement();
    }
    return owner instanceof TypeElement named
        && !isWithin(named, type)
        && (program.declares(named) || named.toString().startsWith("java.lang.System"));
  }

  boolean looksAtOthers(TypeElement type) {
    return looksAt(named -> !isWithin(named, type) && program.declares(named));
  }

  /** Whether it names a class, or a member of one, of some kind. */
  boolean looksAt(Predicate<TypeElement> which) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element owner = program.trees().getElement(getCurrentPath());
        while (owner != null && !(owner instanceof TypeElement)) {
          owner = owner.getEnclosingElement();
        }
        found[0] |= owner instanceof TypeElement named && which.test(named);
        return super.visitIdentifier(tree, null);
      }
    }.scan(code, null);
    return found[0];
  }

  /** Whether an element is a class or within it. */
  static boolean isWithin(Element named, TypeElement type) {
    for (Element at = named; at != null; at = at.getEnclosingElement()) {
      if (at.equals(type)) {
        return true;
      }
    }
    return false;
  }
}
