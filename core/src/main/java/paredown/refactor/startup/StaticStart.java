package paredown.refactor.startup;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.EnumSet;
import java.util.Set;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.effect.Effects;
import paredown.refactor.use.OwnerClass;

/**
 * What a class does when it is first used: the initialisers of its static fields and its static
 * blocks. It is quiet where these know of no other class of the project, so that nobody can tell
 * when they run; it is loud where they print, register something, ask for properties or throw on
 * purpose; between the two one assumes that nobody can tell.
 *
 * <p>The Java Language Specification, section 12.4.
 */
public final class StaticStart {
  /** What a value declares itself. */
  private static final Set<NestingKind> NO_MEMBERS =
      Set.of(NestingKind.ANONYMOUS, NestingKind.LOCAL);

  private final Program program;
  private final Effects effects;

  public StaticStart(Program program) {
    this.program = program;
    this.effects = new Effects(program);
  }

  /** How much of the start of a class shows elsewhere. */
  public enum Sound {
    QUIET,
    ASSUMED,
    LOUD
  }

  /**
   * How loud the start of a class is, and of those above it that the other one does not start as
   * well.
   *
   * @param other a class that would be started before or after it now: loud where the two look at
   *     each other
   */
  public Sound of(TypeElement type, TypeElement other) {
    Sound loudest = Sound.QUIET;
    for (Element at = type; at instanceof TypeElement each; at = superclass(each)) {
      TreePath path = program.declaration(each);
      boolean shared = !each.equals(type) && program.types().isSubtype(erased(other), erased(each));
      if (path == null || shared) {
        break;
      }
      for (Tree member : ((ClassTree) path.getLeaf()).getMembers()) {
        TreePath inside = new TreePath(path, member);
        TreePath code = isStatic(inside) ? code(inside) : null;
        Sound sound = code == null ? Sound.QUIET : sound(code, type, other);
        loudest = sound.compareTo(loudest) > 0 ? sound : loudest;
      }
    }
    return loudest;
  }

  /**
   * How much it shows that the value of a static field is worked out by another class: loud where
   * it looks at one of the two, so that which of them starts first could matter.
   */
  public Sound ofValue(TreePath value, TypeElement type, TypeElement other) {
    boolean tied =
        looksAt(
            value,
            named ->
                !NO_MEMBERS.contains(named.getNestingKind())
                    && (isWithin(named, type) || isWithin(named, other)));
    return tied ? Sound.LOUD : sound(value, type, other);
  }

  /**
   * Requires that it shows nowhere when a class starts, or assumes so.
   *
   * @param owner takes the assumption
   * @param what cannot be done, for the refusal
   * @param accepted whether that does not matter
   * @throws Refused where it shows
   */
  public static void require(OwnerClass owner, OwnerClass started, String what, boolean accepted) {
    Sound sound = new StaticStart(owner.program()).of(started.element(), owner.element());
    String place = started.trees().place(started.tree());
    if (sound == Sound.LOUD && !accepted) {
      throw Refused.advising(
          RefusalKind.STARTED_EARLIER,
          "%s: the static parts of %s would be initialised at another time."
              .formatted(what, started.writtenName()),
          "If that does not matter here, say --accept started-earlier.",
          place);
    }
    if (sound == Sound.ASSUMED) {
      assume(owner, started, place);
    }
  }

  /** Notes that it is assumed to show nowhere when a class starts. */
  public static void assume(OwnerClass owner, OwnerClass started, String place) {
    owner
        .assumptions()
        .add(
            Assumption.Kind.START,
            "it shows nowhere when the static parts of %s are initialised"
                .formatted(started.simpleName()),
            place);
  }

  private TypeMirror erased(TypeElement type) {
    return program.types().erasure(type.asType());
  }

  private Element superclass(TypeElement type) {
    return program.types().asElement(type.getSuperclass());
  }

  private boolean isStatic(TreePath member) {
    if (member.getLeaf() instanceof BlockTree block) {
      return block.isStatic();
    }
    return member.getLeaf() instanceof VariableTree
        && program.trees().getElement(member) instanceof VariableElement field
        && field.getModifiers().contains(Modifier.STATIC)
        && field.getConstantValue() == null;
  }

  /** What runs for a member; null for a field without a value, or with code that is only kept. */
  private TreePath code(TreePath member) {
    if (!(member.getLeaf() instanceof VariableTree field)) {
      return member;
    }
    Tree value = field.getInitializer();
    while (value instanceof ParenthesizedTree brackets) {
      value = brackets.getExpression();
    }
    TreePath path = value == null ? null : new TreePath(member, value);
    return value instanceof LambdaExpressionTree || isOfType(path) ? null : path;
  }

  /** Whether it is a reference to a method of a class, rather than of an object that is asked. */
  private boolean isOfType(TreePath value) {
    return value != null
        && value.getLeaf() instanceof MemberReferenceTree reference
        && program.trees().getElement(new TreePath(value, reference.getQualifierExpression()))
            instanceof TypeElement;
  }

  private Sound sound(TreePath code, TypeElement type, TypeElement other) {
    Deeds deeds = effects.of(code);
    boolean others = looksAtOthers(code, type);
    boolean sets =
        deeds.fields().stream().anyMatch(field -> !isWithin(field.getEnclosingElement(), type));
    boolean prints = deeds.has(Deed.OUTSIDE) && asksTheMachine(code);
    if (throwsOnPurpose(code)
        || sets
        || prints
        || registers(code, type)
        || looksAt(code, named -> isWithin(named, other) && !isWithin(named, type))) {
      return Sound.LOUD;
    }
    boolean counts = deeds.has(Deed.SETS) && others;
    return counts ? Sound.LOUD : others ? Sound.ASSUMED : Sound.QUIET;
  }

  /** Whether a call prints or asks for properties, files, time or chance, itself or in turn. */
  private boolean asksTheMachine(TreePath code) {
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
    boolean copies = method.getSimpleName().contentEquals("arraycopy");
    return type.startsWith("java.lang.System") && !copies
        || type.startsWith("java.io.")
        || type.startsWith("java.nio.file.")
        || type.startsWith("java.lang.Thread")
        || type.equals("java.lang.Runtime")
        || asked && type.matches("java\\.lang\\.(Integer|Long|Boolean|Math)");
  }

  private boolean throwsOnPurpose(TreePath code) {
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
  private boolean registers(TreePath code, TypeElement type) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitExpressionStatement(ExpressionStatementTree tree, Void unused) {
        TreePath path = new TreePath(getCurrentPath(), tree.getExpression());
        found[0] |=
            tree.getExpression() instanceof MethodInvocationTree call
                && !call.getMethodSelect().toString().equals("System.arraycopy")
                && isOther(path, type);
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

  private boolean looksAtOthers(TreePath code, TypeElement type) {
    return looksAt(code, named -> !isWithin(named, type) && program.declares(named));
  }

  private boolean looksAt(TreePath code, Predicate<TypeElement> which) {
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

  private static boolean isWithin(Element named, TypeElement type) {
    for (Element at = named; at != null; at = at.getEnclosingElement()) {
      if (at.equals(type)) {
        return true;
      }
    }
    return false;
  }
}
