package paredown.refactor.startup;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
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
      boolean shared = !each.equals(type) && program.isOrIsBelow(other, each);
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
        new StartCode(program, effects, value)
            .looksAt(
                named ->
                    !NO_MEMBERS.contains(named.getNestingKind())
                        && (StartCode.isWithin(named, type) || StartCode.isWithin(named, other)));
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
    StartCode start = new StartCode(program, effects, code);
    boolean others = start.looksAtOthers(type);
    boolean sets =
        deeds.fields().stream()
            .anyMatch(field -> !StartCode.isWithin(field.getEnclosingElement(), type));
    boolean prints = deeds.has(Deed.OUTSIDE) && start.asksTheMachine();
    if (start.throwsOnPurpose()
        || sets
        || prints
        || start.registers(type)
        || start.looksAt(
            named -> StartCode.isWithin(named, other) && !StartCode.isWithin(named, type))) {
      return Sound.LOUD;
    }
    boolean counts = deeds.has(Deed.SETS) && others;
    return counts ? Sound.LOUD : others ? Sound.ASSUMED : Sound.QUIET;
  }
}
