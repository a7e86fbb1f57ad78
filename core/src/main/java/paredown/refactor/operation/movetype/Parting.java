package paredown.refactor.operation.movetype;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePathScanner;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Sight;
import paredown.refactor.name.Widening;
import paredown.refactor.use.OwnerClass;

/**
 * The parting of a type from its package: what each of them asks of the other, and could see only
 * because they were together.
 */
final class Parting {
  private final OwnerClass owner;
  private final Program program;
  private final Sight far;
  private final Widening widening;

  Parting(OwnerClass owner, String target, Widening widening) {
    this.owner = owner;
    this.program = owner.program();
    this.far = Sight.within(target, program);
    this.widening = widening;
  }

  /**
   * Opens what they need of each other.
   *
   * @throws Refused where it cannot be opened
   */
  void open() {
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      if (trees.packageName().equals(owner.packageName())) {
        new Scan(trees).scan(unit.tree(), null);
      }
    }
  }

  private final class Scan extends TreePathScanner<Void, Void> {
    private final UnitTrees trees;

    Scan(UnitTrees trees) {
      this.trees = trees;
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      asked(tree);
      return super.visitIdentifier(tree, null);
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      asked(tree);
      return super.visitMemberSelect(tree, null);
    }

    @Override
    public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
      asked(tree);
      return super.visitMemberReference(tree, null);
    }

    @Override
    public Void visitNewClass(NewClassTree tree, Void unused) {
      asked(tree);
      return super.visitNewClass(tree, null);
    }

    private void asked(Tree tree) {
      Element element = trees.element(getCurrentPath());
      boolean member =
          element instanceof TypeElement
              || element instanceof ExecutableElement
              || element != null && element.getKind().isField();
      if (!member || element.getEnclosingElement() == null || !isParted(element)) {
        return;
      }
      if (far.hides(element) && !isInherited(element, tree)) {
        open(element, tree);
      }
    }

    private void open(Element element, Tree tree) {
      try {
        widening.open(element, far, owner.simpleName(), trees.place(tree));
      } catch (Refused refused) {
        throw Refused.advising(
            refused.kind(),
            "%s cannot be moved: %s would have to be public, and cannot be made so."
                .formatted(owner.simpleName(), Widening.name(element)),
            "Make it public first, or let its users ask something else.",
            trees.place(tree));
      }
    }

    /** Whether an element and this file will be in two packages, and were in one. */
    private boolean isParted(Element element) {
      boolean within = trees.path().equals(owner.trees().path());
      return MoveTypeChecks.packageOf(program, element).equals(owner.packageName())
          && MoveTypeChecks.isOf(owner, element) != within;
    }

    /** What is protected is seen from a class below its own, for objects of that class. */
    private boolean isInherited(Element element, Tree tree) {
      Element declaring = element.getEnclosingElement();
      if (!element.getModifiers().contains(Modifier.PROTECTED)
          || !(declaring instanceof TypeElement type)
          || far.hides(type)) {
        return false;
      }
      boolean made =
          element.getKind() == ElementKind.CONSTRUCTOR
              && tree instanceof NewClassTree creation
              && creation.getClassBody() == null;
      boolean ofOther =
          tree instanceof MemberSelectTree select
              && !select.getExpression().toString().matches("(?:.*\\.)?(?:this|super)")
              && !element.getModifiers().contains(Modifier.STATIC);
      return !made && !ofOther && trees.classAround(getCurrentPath(), type) != null;
    }

    @Override
    public Void visitMethod(MethodTree tree, Void unused) {
      if (trees.element(getCurrentPath()) instanceof ExecutableElement method
          && method.getKind() == ElementKind.METHOD
          && method.getEnclosingElement() instanceof TypeElement type) {
        program.supertypes(type).forEach(above -> requireTogether(method, type, above, tree));
      }
      return super.visitMethod(tree, null);
    }

    /** A method without a modifier is overridden within its package only. */
    private void requireTogether(
        ExecutableElement method, TypeElement type, TypeElement above, Tree tree) {
      if (MoveTypeChecks.isOf(owner, type) == MoveTypeChecks.isOf(owner, above)) {
        return;
      }
      for (ExecutableElement each : ElementFilter.methodsIn(above.getEnclosedElements())) {
        Set<Modifier> modifiers = each.getModifiers();
        boolean near =
            !modifiers.contains(Modifier.PUBLIC) && !modifiers.contains(Modifier.PROTECTED);
        if (near
            && each.getSimpleName().equals(method.getSimpleName())
            && program.elements().overrides(method, each, type)) {
          throw Refused.advising(
              RefusalKind.OVERRIDES,
              "%s cannot be moved: %s#%s overrides %s#%s, which is seen in its package only."
                  .formatted(
                      owner.simpleName(),
                      type.getSimpleName(),
                      method.getSimpleName(),
                      above.getSimpleName(),
                      each.getSimpleName()),
              "Make both protected first.",
              trees.place(tree));
        }
      }
    }
  }
}
