package paredown.refactor.operation.movedown;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Constants;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.OutsideNames;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;

/** What must hold before members go down: only objects of the class below are asked for them. */
final class MoveDownChecks {
  private final Going going;
  private final Program program;
  private final Overruled overruled;

  MoveDownChecks(Going going, Overruled overruled) {
    this.going = going;
    this.program = going.parent().program();
    this.overruled = overruled;
  }

  void require(List<MemberUses.MemberUse> uses) {
    if (going.child().element().getKind() != ElementKind.CLASS) {
      throw cannot("It")
          .because(RefusalKind.TARGET_ELSEWHERE, "only a plain class can have it", here());
    }
    going.methods().forEach(this::requireMethod);
    going.fields().forEach(this::requireField);
    uses.forEach(this::requireBelow);
    new ReflectionCheck(going.parent(), going.keys()).requireUnless(overruled);
    OutsideNames.requireNone(going.parent(), List.copyOf(going.names()), overruled);
  }

  private String here() {
    return going.parent().trees().place(going.parent().tree());
  }

  private Cannot cannot(String member) {
    return new Cannot("%s cannot go down to %s".formatted(member, going.child().simpleName()));
  }

  private void requireMethod(OwnerClass.Method method) {
    String name = OwnerClass.signature(method);
    String place = going.parent().trees().place(method.tree());
    if (method.is(Modifier.STATIC)) {
      throw Refused.advising(
          RefusalKind.STATIC_CONTEXT,
          "%s is static, so that no object has it.".formatted(name),
          "Say pare move method --through static.",
          place);
    }
    if (method.tree().getBody() == null) {
      throw cannot(name).because(RefusalKind.NO_BODY, RefusalKind.NO_BODY.why(), place);
    }
    for (Element other : MethodFamily.of(program, method.element())) {
      if (!other.equals(method.element())) {
        boolean above =
            !(other.getEnclosingElement() instanceof TypeElement type)
                || !program.declares(type)
                || program.supertypes(going.parent().element()).contains(type);
        throw cannot(name)
            .because(
                above ? RefusalKind.OVERRIDES : RefusalKind.OVERRIDDEN,
                (above ? "it overrides or implements what %s has" : "%s has one of its own")
                    .formatted(other.getEnclosingElement().getSimpleName()),
                place);
      }
    }
  }

  private void requireField(OwnerClass.Field field) {
    String place = going.parent().trees().place(field.tree());
    FieldDeclaration.requireAlone(going.parent(), field, "moved");
    FieldOnlookers.requireNone(going.parent(), field, overruled, "moved");
    if (field.is(Modifier.STATIC)) {
      throw Refused.advising(
          RefusalKind.STATIC_CONTEXT,
          "%s is static, so that no object has it.".formatted(field.name()),
          "Say pare move field.",
          place);
    }
    boolean hidden =
        program.elements().getAllMembers(going.child().element()).stream()
            .filter(each -> each.getKind().isField() && !each.equals(field.element()))
            .anyMatch(each -> each.getSimpleName().contentEquals(field.name()));
    if (hidden) {
      throw cannot(field.name())
          .because(RefusalKind.NAME_TAKEN, "it has a field of that name", place);
    }
    if (field.tree().getInitializer() == null) {
      return;
    }
    TreePath value = new TreePath(field.path(), field.tree().getInitializer());
    boolean inert =
        Constants.unknown(going.parent().trees(), value).isEmpty()
            || Shift.isInert(program, new CalmCalls(program), value);
    if (!inert || CodeElsewhere.instance(going.parent().trees(), value).isPresent()) {
      throw cannot(field.name())
          .because(
              RefusalKind.INITIALISATION_ORDER,
              "working its value out could show, or needs its object, and would be done later",
              place);
    }
  }

  /** Who is asked for a member must be an object of the class below. */
  private void requireBelow(MemberUses.MemberUse use) {
    boolean along =
        going.keys().keySet().stream()
            .map(program::declaration)
            .anyMatch(path -> isWithin(use.path(), path));
    if (!along && !isBelow(use)) {
      throw cannot(use.trees().element(use.path()).getSimpleName().toString())
          .because(
              RefusalKind.STILL_USED,
              "another object than one of %s is asked for it".formatted(going.child().simpleName()),
              use.place());
    }
  }

  private static boolean isWithin(TreePath use, TreePath member) {
    for (TreePath at = use; at != null; at = at.getParentPath()) {
      if (at.getLeaf() == member.getLeaf()) {
        return true;
      }
    }
    return false;
  }

  private boolean isBelow(MemberUses.MemberUse use) {
    if (use.isImport()) {
      return false;
    }
    if (!use.simple()) {
      Tree asked =
          use.path().getLeaf() instanceof MemberSelectTree select
              ? select.getExpression()
              : ((MemberReferenceTree) use.path().getLeaf()).getQualifierExpression();
      boolean ofParent =
          asked instanceof IdentifierTree name
              && name.getName().contentEquals("super")
              && use.scope().equals(going.child().element());
      return !ofParent && use.askedType().filter(this::isOfChild).isPresent();
    }
    for (TreePath at = use.path(); at != null; at = at.getParentPath()) {
      if (use.trees().element(at) instanceof TypeElement type
          && at.getLeaf() instanceof ClassTree
          && (type.equals(going.parent().element())
              || program.supertypes(type).contains(going.parent().element()))) {
        return isOfChild(type);
      }
    }
    return false;
  }

  private boolean isOfChild(TypeElement type) {
    return type.equals(going.child().element())
        || program.supertypes(type).contains(going.child().element());
  }
}
