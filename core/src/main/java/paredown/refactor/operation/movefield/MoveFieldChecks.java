package paredown.refactor.operation.movefield;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Constants;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.WritableType;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** What must hold before a field can stand in another class. */
final class MoveFieldChecks {
  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final OwnerClass target;
  private final Overruled overruled;
  private final Program program;
  private final UnitTrees trees;

  private final Cannot cannot;

  MoveFieldChecks(
      OwnerClass owner, OwnerClass.Field field, OwnerClass target, Overruled overruled) {
    this.owner = owner;
    this.field = field;
    this.target = target;
    this.overruled = overruled;
    this.program = owner.program();
    this.trees = owner.trees();
    this.cannot =
        new Cannot("%s cannot be moved to %s".formatted(field.name(), target.writtenName()));
  }

  void require() {
    if (owner.element().equals(target.element())) {
      throw new UnusableRequest(
          field.name() + " is in " + target.writtenName() + " already.", "Name another class.");
    }
    if (field.element().getKind() == ElementKind.ENUM_CONSTANT
        || owner.element().getKind() == ElementKind.RECORD && !field.is(Modifier.STATIC)) {
      throw cannot.because(
          RefusalKind.NEEDS_OWNER,
          "it is a constant of an enum, or a component of a record",
          "",
          trees.place(field.tree()));
    }
    FieldDeclaration.requireAlone(owner, field, "moved");
    requireTarget();
    requireFree();
    if (field.is(Modifier.STATIC)) {
      requireNoStart();
    } else {
      requireObject();
    }
    FieldOnlookers.requireNone(owner, field, overruled, "moved");
  }

  /** What a field of objects needs besides. */
  private void requireObject() {
    if (target.element().getKind() != ElementKind.CLASS) {
      throw cannot.because(
          RefusalKind.TARGET_ELSEWHERE,
          "only a plain class can have it",
          "Choose a class.",
          trees.place(field.tree()));
    }
    boolean variable =
        WritableType.variables(field.element().asType()).stream()
            .anyMatch(each -> each.getGenericElement().equals(owner.element()));
    if (variable) {
      throw cannot.because(
          RefusalKind.OWNER_TYPE_VARIABLE,
          RefusalKind.OWNER_TYPE_VARIABLE.why(),
          "",
          trees.place(field.tree()));
    }
    if (field.tree().getInitializer() == null) {
      if (field.is(Modifier.FINAL)) {
        throw cannot.because(
            RefusalKind.CONSTRUCTOR_SHAPE,
            "its class gives it its only value",
            "Take final away first.",
            trees.place(field.tree()));
      }
      return;
    }
    TreePath value = new TreePath(field.path(), field.tree().getInitializer());
    boolean inert =
        Constants.unknown(trees, value).isEmpty()
            || Shift.isInert(program, new CalmCalls(program), value);
    if (!inert || CodeElsewhere.instance(trees, value).isPresent()) {
      throw cannot.because(
          RefusalKind.INITIALISATION_ORDER,
          "working its value out could show, or needs its object, and would be done at another time",
          "Give it its value in a constructor first.",
          trees.place(field.tree()));
    }
  }

  private void requireTarget() {
    boolean open = !field.is(Modifier.FINAL) && target.element().getKind().isInterface();
    if (open) {
      throw cannot.because(
          RefusalKind.TARGET_ELSEWHERE,
          "an interface has constants only",
          "Make it final first, or choose a class.",
          trees.place(field.tree()));
    }
  }

  /** A field of the name in the target, above or below it would be meant by others. */
  private void requireFree() {
    boolean taken =
        program.elements().getAllMembers(target.element()).stream()
            .filter(each -> !each.equals(field.element()))
            .anyMatch(
                each ->
                    each.getKind().isField() && each.getSimpleName().contentEquals(field.name()));
    if (taken) {
      throw cannot.because(
          RefusalKind.NAME_TAKEN,
          "it has a field of that name",
          "Rename one of the two first: pare rename --help.",
          trees.place(field.tree()));
    }
  }

  /** Requires that it shows nowhere when the field is given its value. */
  private void requireNoStart() {
    boolean constant = field.element().getConstantValue() != null;
    if (constant) {
      return;
    }
    boolean declared = field.tree().getInitializer() != null;
    TreePath value = declared ? new TreePath(field.path(), field.tree().getInitializer()) : null;
    CalmCalls calm = new CalmCalls(program);
    if (declared && !Shift.isInert(program, calm, value)) {
      requireQuietValue(value);
    }
    for (Tree member : owner.tree().getMembers()) {
      TreePath path = new TreePath(owner.path(), member);
      boolean sets = isStartOf(path) && calm.effects().of(path).fields().contains(field.element());
      if (sets
          || member instanceof BlockTree && Writes.in(program, path).contains(field.element())) {
        throw cannot.because(
            RefusalKind.INITIALISATION_ORDER,
            "its class sets it when it starts",
            "Give it its value where it is declared first.",
            trees.place(field.tree()));
      }
    }
    requireQuiet(owner);
    requireQuiet(target);
  }

  /** A value that does more shows nowhere, or it is assumed to. */
  private void requireQuietValue(TreePath value) {
    StaticStart.Sound sound =
        new StaticStart(program).ofValue(value, owner.element(), target.element());
    if (sound == StaticStart.Sound.LOUD) {
      throw cannot.because(
          RefusalKind.INITIALISATION_ORDER,
          "working its value out could show, and would be done at another time",
          "Give it its value in a method first.",
          trees.place(field.tree()));
    }
    owner
        .assumptions()
        .add(
            Assumption.Kind.START,
            "it shows nowhere when %s gets its value".formatted(field.name()),
            trees.place(field.tree()));
  }

  /** Whether a member is worked out when its class starts. */
  private boolean isStartOf(TreePath member) {
    return member.getLeaf() instanceof BlockTree
        || member.getLeaf() instanceof VariableTree
            && trees.element(member) != null
            && trees.element(member).getModifiers().contains(Modifier.STATIC);
  }

  /** A class that is started at another time must not show that. */
  private void requireQuiet(OwnerClass started) {
    StaticStart.require(
        started.equals(owner) ? target : owner,
        started,
        "%s cannot be moved to %s".formatted(field.name(), target.writtenName()),
        overruled.overrules(RefusalKind.STARTED_EARLIER));
  }

  /** Requires that a field is asked of a type, so that nothing is lost with what is asked. */
  static void requireType(UnitTrees unit, TreePath asked, OwnerClass.Field field) {
    Element element = unit.element(asked);
    if (!(element instanceof TypeElement)) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "%s is asked of an object there, though it is static.".formatted(field.name()),
          "Ask its class instead.",
          unit.place(asked.getLeaf()));
    }
  }
}
