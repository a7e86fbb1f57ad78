package paredown.refactor.operation.extractclass;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeParameterTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.DeclaredType;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.Needs;
import paredown.refactor.carry.OwnerStatics;
import paredown.refactor.code.CaseLabel;
import paredown.refactor.code.InnerClasses;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.Sight;
import paredown.refactor.plan.Fluent;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;

/**
 * Looks through the code of one member that is about to leave its class: requires that it can live
 * outside, and notes what has to be said differently there.
 */
final class CarriedCodeScan extends TreePathScanner<Void, Void> {
  private final CarriedCode carried;
  private final OwnerClass owner;
  private final Map<Element, String> moved;
  private final NewClass type;
  private final Sight sight;
  private final OwnerStatics statics;
  private final String subject;
  private final Set<Element> own = new LinkedHashSet<>();
  private final Map<Element, Tree> needs = new LinkedHashMap<>();
  private Passing passing;
  private boolean fluent;
  private boolean delegates;

  /**
   * A scan of one member.
   *
   * @param carried takes what is found
   */
  CarriedCodeScan(CarriedCode carried, Leaving leaving, NewClass type, String subject) {
    this.carried = carried;
    this.owner = leaving.owner();
    this.moved = leaving.keys();
    this.type = type;
    this.sight = carried.sight();
    this.statics = new OwnerStatics(owner);
    this.subject = subject;
  }

  /** What stays with a delegate is not looked at. */
  void leavingDelegate() {
    delegates = true;
  }

  /** The method gives its own object, which its delegate goes on doing. */
  void leavingFluentDelegate() {
    fluent = true;
  }

  /** The method may reach what stays in its old object. */
  void passing(Passing way) {
    passing = way;
  }

  /** Notes all type variables of the owner, which stand in the type of its object. */
  void allVariables() {
    for (TypeParameterTree tree : owner.tree().getTypeParameters()) {
      TreePath path = new TreePath(owner.path(), tree);
      if (carried.needs((TypeParameterElement) owner.trees().element(path))) {
        scan(path, null);
      }
    }
  }

  private Refused refused(RefusalKind kind, Tree tree) {
    return Refused.because(kind, subject, owner.trees().place(tree));
  }

  @Override
  public Void visitAnnotation(AnnotationTree tree, Void unused) {
    boolean stays =
        delegates
            && getCurrentPath().getParentPath().getParentPath().getLeaf() instanceof MethodTree
            && !Ties.isCopied(owner, getCurrentPath());
    return stays ? null : super.visitAnnotation(tree, null);
  }

  private void requireNoInner(Element made, Tree where) {
    if (InnerClasses.isInner(made) && !isWithin(made)) {
      throw refused(RefusalKind.NEEDS_OWNER, where);
    }
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    requireNoInner(InnerClasses.extended(owner.trees(), getCurrentPath()), tree);
    own.add(owner.trees().element(getCurrentPath()));
    return super.visitClass(tree, null);
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (owner.trees().end(tree) >= 0) {
      Element element = owner.trees().element(getCurrentPath());
      String name = tree.getName().toString();
      if (name.equals("this") || name.equals("super")) {
        self(tree, element);
      } else if (element != null) {
        simple(tree, element);
      }
    }
    return super.visitIdentifier(tree, null);
  }

  private void self(IdentifierTree tree, Element element) {
    boolean owners =
        element != null
            && element.getEnclosingElement() instanceof TypeElement type
            && type.equals(owner.element());
    boolean given = fluent && getCurrentPath().getParentPath().getLeaf() instanceof ReturnTree;
    if (!owners || given) {
      return;
    }
    boolean member = getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree;
    boolean movedMember =
        tree.getName().contentEquals("this")
            && member
            && moved.containsKey(owner.trees().element(getCurrentPath().getParentPath()));
    if (!movedMember) {
      Element asked = owner.trees().element(getCurrentPath().getParentPath());
      if (passing != null && tree.getName().contentEquals("this")) {
        if (member && asked != null) {
          reach(getCurrentPath().getParentPath(), asked);
        } else {
          carried.add(passing.self(tree));
        }
        return;
      }
      if (!member || asked == null) {
        throw refused(RefusalKind.THIS_ESCAPES, tree);
      }
      needs.putIfAbsent(asked, tree);
    }
  }

  private void simple(IdentifierTree tree, Element element) {
    carried.named(tree.getName().toString());
    switch (element.getKind()) {
      case CLASS, INTERFACE, ENUM, RECORD, ANNOTATION_TYPE -> type(tree, (TypeElement) element);
      case FIELD, METHOD -> member(tree, element);
      case ENUM_CONSTANT -> {
        if (!CaseLabel.is(getCurrentPath())) {
          member(tree, element);
        }
      }
      case TYPE_PARAMETER -> {
        if (element.getEnclosingElement() instanceof TypeElement type && !isWithin(type)) {
          variable(tree, (TypeParameterElement) element);
        }
      }
      default -> {
        // Locals and packages mean the same everywhere.
      }
    }
  }

  private void variable(IdentifierTree tree, TypeParameterElement variable) {
    if (!variable.getGenericElement().equals(owner.element())) {
      throw refused(RefusalKind.OWNER_TYPE_VARIABLE, tree);
    }
    if (carried.needs(variable)) {
      int index = owner.element().getTypeParameters().indexOf(variable);
      scan(new TreePath(owner.path(), owner.tree().getTypeParameters().get(index)), null);
    }
  }

  /** An initialiser may not need what stays. */
  void requireNoNeeds() {
    needs.values().stream()
        .findFirst()
        .ifPresent(
            tree -> {
              throw refused(RefusalKind.NEEDS_OWNER, tree);
            });
  }

  /** Says all that a method would have to take along, and what it costs. */
  void requireNoNeeds(OwnerClass.Method method) {
    if (!needs.isEmpty()) {
      throw new Needs(owner, method, List.copyOf(needs.keySet()))
          .refused(owner.trees().place(needs.values().iterator().next()));
    }
  }

  private boolean isWithin(Element type) {
    for (Element at = type; at != null; at = at.getEnclosingElement()) {
      if (own.contains(at)) {
        return true;
      }
    }
    return false;
  }

  private void type(IdentifierTree tree, TypeElement type) {
    if (isWithin(type)) {
      return;
    }
    requireVisible(type, tree);
    if (isInnerOfGeneric(type)) {
      throw refused(RefusalKind.OWNER_TYPE_VARIABLE, tree);
    }
    if (type.getEnclosingElement() instanceof TypeElement || isLeftBehind(type)) {
      carried.nested(type);
    }
  }

  /** Whether only the old package gave a type its simple name. */
  private boolean isLeftBehind(TypeElement named) {
    return type.elsewhere()
        && owner
            .program()
            .elements()
            .getPackageOf(named)
            .getQualifiedName()
            .contentEquals(owner.packageName());
  }

  private static boolean isInnerOfGeneric(TypeElement type) {
    return ((DeclaredType) type.asType()).getEnclosingType() instanceof DeclaredType outer
        && !outer.getTypeArguments().isEmpty();
  }

  /** A fluent method gives nothing in the new class, which its callers there could miss. */
  private void requireNotFluent(Tree tree, Element element) {
    boolean called =
        owner.methods().stream()
            .anyMatch(each -> each.element().equals(element) && Fluent.is(owner, each));
    if (called) {
      throw refused(RefusalKind.NEEDS_OWNER, tree);
    }
  }

  /** What stays is received in the way that is wished, and else is needed. */
  private void asked(IdentifierTree tree, Element element) {
    if (passing == null) {
      needs.putIfAbsent(element, tree);
    } else {
      reach(getCurrentPath(), element);
    }
  }

  private void reach(TreePath named, Element element) {
    TypeElement declaring = (TypeElement) element.getEnclosingElement();
    if (!owner.program().isOrIsBelow(owner.element(), declaring)) {
      throw refused(RefusalKind.INNER_OBJECT, named.getLeaf());
    }
    if (passing.asks()) {
      requireVisible(element, named.getLeaf());
    }
    carried.add(passing.member(named, element));
  }

  /** Another method that receives something gets it along. */
  private void along(TreePath select, Element element) {
    if (passing == null || !passing.receives(element)) {
      return;
    }
    if (!(select.getParentPath().getLeaf() instanceof MethodInvocationTree call)
        || call.getMethodSelect() != select.getLeaf()) {
      throw refused(RefusalKind.NEEDS_OWNER, select.getLeaf());
    }
    carried.add(passing.name(owner.trees().nameOffset(select.getLeaf()), element, type.key()));
    carried.add(passing.arguments(select.getParentPath(), element));
  }

  private void member(IdentifierTree tree, Element element) {
    if (moved.containsKey(element)) {
      requireNotFluent(tree, element);
      along(getCurrentPath(), element);
      meansNew(owner.trees().start(tree), element);
    }
    if (moved.containsKey(element) || isWithin(element)) {
      return;
    }
    TypeElement declaring = (TypeElement) element.getEnclosingElement();
    if (!element.getModifiers().contains(Modifier.STATIC)) {
      if (!inheritedWithin(declaring)) {
        asked(tree, element);
      }
      return;
    }
    if (type.elsewhere()) {
      requireVisible(element, tree);
    }
    if (statics.areNamedAlone(tree.getName().toString(), declaring)
        || type.nested() && !isHiddenByMoved(element)) {
      return;
    }
    requireVisible(element, tree);
    if (!statics.isNear(declaring)) {
      throw refused(RefusalKind.NEEDS_OWNER, tree);
    }
    if (type.elsewhere()) {
      carried.nested((TypeElement) OwnerClass.outermost(declaring));
    }
    carried.add(statics.qualified(tree, declaring));
  }

  /** Whether a class declared within the carried code inherits from a class. */
  private boolean inheritedWithin(TypeElement declaring) {
    return own.stream()
        .filter(TypeElement.class::isInstance)
        .anyMatch(type -> owner.program().isOrIsBelow((TypeElement) type, declaring));
  }

  /** Within the new class, a member of it hides all of its name around it. */
  private boolean isHiddenByMoved(Element element) {
    return moved.keySet().stream()
        .anyMatch(each -> each.getSimpleName().equals(element.getSimpleName()));
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    Element element = owner.trees().element(getCurrentPath());
    if (tree.getIdentifier().contentEquals("this") || tree.getIdentifier().contentEquals("super")) {
      throw refused(RefusalKind.THIS_ESCAPES, tree);
    }
    if (element != null && owner.trees().end(tree) >= 0) {
      boolean ofThis =
          tree.getExpression() instanceof IdentifierTree self
              && self.getName().contentEquals("this");
      if (moved.containsKey(element) && isNamed(tree.getExpression(), element)) {
        carried.add(newName(tree.getExpression()));
        meansNew(owner.trees().nameOffset(tree), element);
        return null;
      }
      if (moved.containsKey(element)) {
        if (!ofThis) {
          throw refused(RefusalKind.NEEDS_OWNER, tree);
        }
        requireNotFluent(tree, element);
        along(getCurrentPath(), element);
      } else if (!isWithin(element) && !(ofThis && isReached(tree.getExpression()))) {
        requireVisible(element, tree);
      }
    }
    return super.visitMemberSelect(tree, null);
  }

  /** Whether the old object is meant, of which the method receives what it needs. */
  private boolean isReached(Tree self) {
    Element element = owner.trees().element(new TreePath(getCurrentPath(), self));
    return passing != null && element.getEnclosingElement().equals(owner.element());
  }

  @Override
  public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
    Element element = owner.trees().element(getCurrentPath());
    if (element != null && !isWithin(element)) {
      if (moved.containsKey(element) && isNamed(tree.getQualifierExpression(), element)) {
        carried.add(newName(tree.getQualifierExpression()));
        meansNew(owner.trees().end(tree) - tree.getName().length(), element);
        return null;
      }
      if (moved.containsKey(element)) {
        throw refused(RefusalKind.NEEDS_OWNER, tree);
      }
      requireVisible(element, tree);
      if (element.getKind() == ElementKind.CONSTRUCTOR) {
        requireNoInner(element.getEnclosingElement(), tree);
      }
    }
    return super.visitMemberReference(tree, null);
  }

  /** Whether a static member is asked of a class by its name. */
  private boolean isNamed(Tree qualifier, Element member) {
    return member.getModifiers().contains(Modifier.STATIC)
        && owner.trees().element(new TreePath(getCurrentPath(), qualifier)) instanceof TypeElement;
  }

  /** A static method means itself in the new class, though a delegate of it may stay. */
  private void meansNew(int offset, Element element) {
    if (element.getKind() == ElementKind.METHOD
        && element.getModifiers().contains(Modifier.STATIC)) {
      String word = element.getSimpleName().toString();
      String key = type.methodKey(owner.program().symbols().key(element), List.of());
      Written name = Written.text("").name(word, key, Rewriting.name(owner.trees(), offset)).done();
      carried.add(Replacement.of(offset, offset + word.length(), name));
    }
  }

  private Replacement newName(Tree qualifier) {
    return Rewriting.of(
        owner.trees(),
        owner.trees().start(qualifier),
        owner.trees().end(qualifier),
        "its members are in the new class",
        Written.text("").name(this.type.name(), this.type.key()).done());
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    Element constructor = owner.trees().element(getCurrentPath());
    if (tree.getClassBody() == null && constructor != null && !isWithin(constructor)) {
      requireVisible(constructor, tree);
    }
    Element made = owner.trees().element(new TreePath(getCurrentPath(), tree.getIdentifier()));
    if (tree.getEnclosingExpression() == null) {
      requireNoInner(made, tree);
    }
    return super.visitNewClass(tree, null);
  }

  private void requireVisible(Element element, Tree tree) {
    carried.widening().open(element, sight, subject, owner.trees().place(tree));
  }
}
