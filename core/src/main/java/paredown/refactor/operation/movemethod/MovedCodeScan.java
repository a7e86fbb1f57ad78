package paredown.refactor.operation.movemethod;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.util.Types;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.CaseLabel;
import paredown.refactor.code.InnerClasses;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;

/** Looks through a method that is about to move. */
final class MovedCodeScan extends TreePathScanner<Void, Void> {

  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Through through;
  private final TypeElement target;
  private final boolean delegate;
  private final Types types;
  private final List<MovedCode.Asked> asked = new ArrayList<>();
  private final List<MovedCode.Targeted> targeted = new ArrayList<>();
  private final List<MovedCode.Static> statics = new ArrayList<>();
  private final List<MovedCode.Named> named = new ArrayList<>();
  private final List<TreePath> again = new ArrayList<>();
  private final List<TreePath> seen = new ArrayList<>();
  private final Set<TypeParameterElement> variables = new LinkedHashSet<>();
  private final Set<String> locals = new HashSet<>();
  private final Set<Integer> offsets = new HashSet<>();
  private final Set<Element> own = new HashSet<>();
  private int inner;
  private int later;

  private MovedCodeScan(
      OwnerClass owner,
      OwnerClass.Method method,
      Through through,
      TypeElement target,
      boolean delegate) {
    this.delegate = delegate;
    this.owner = owner;
    this.method = method;
    this.through = through;
    this.target = target;
    this.types = owner.program().types();
  }

  /** What a method needs. */
  static MovedCode of(
      OwnerClass owner,
      OwnerClass.Method method,
      Through through,
      TypeElement target,
      boolean delegate) {
    MovedCodeScan scan = new MovedCodeScan(owner, method, through, target, delegate);
    scan.scan(method.path(), null);
    return new MovedCode(
        scan.asked,
        scan.targeted,
        scan.statics,
        scan.named,
        scan.again,
        scan.seen,
        scan.variables,
        scan.locals);
  }

  private Element element(Tree tree) {
    return owner.trees().element(new TreePath(getCurrentPath(), tree));
  }

  private Refused refused(RefusalKind kind, Tree tree) {
    return Refused.because(kind, OwnerClass.signature(method), owner.trees().place(tree));
  }

  @Override
  public Void visitAnnotation(AnnotationTree tree, Void unused) {
    boolean own = getCurrentPath().getParentPath().getLeaf() == method.tree().getModifiers();
    return own && delegate && !Ties.isCopied(owner, getCurrentPath())
        ? null
        : super.visitAnnotation(tree, null);
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    locals.add(tree.getName().toString());
    return super.visitVariable(tree, null);
  }

  /** An object of an inner class is made, which belongs to one that the new place has not. */
  private void requireObjectAround(Element made, Tree where) {
    if (InnerClasses.isInner(made) && !isWithin(made)) {
      TypeElement scope = scope((TypeElement) made.getEnclosingElement());
      if (!(through instanceof Through.Around && target.equals(scope))) {
        throw refused(RefusalKind.INNER_OBJECT, where);
      }
    }
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    requireObjectAround(InnerClasses.extended(owner.trees(), getCurrentPath()), tree);
    own.add(owner.trees().element(getCurrentPath()));
    inner++;
    later++;
    super.visitClass(tree, null);
    inner--;
    later--;
    return null;
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    later++;
    super.visitLambdaExpression(tree, null);
    later--;
    return null;
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (owner.trees().end(tree) < 0) {
      return null;
    }
    Element element = owner.trees().element(getCurrentPath());
    if (element == null) {
      return null;
    }
    String name = tree.getName().toString();
    if (name.equals("super") && element.getEnclosingElement().equals(owner.element())) {
      throw refused(RefusalKind.SUPER_CALL, tree);
    }
    if (name.equals("this")) {
      if (element.getEnclosingElement().equals(owner.element())) {
        asked.add(new MovedCode.Asked(getCurrentPath(), null, later > 0));
      }
    } else if (!name.equals("super")) {
      simple(tree, element);
    }
    return null;
  }

  private void simple(IdentifierTree tree, Element element) {
    if (element.equals(through.variable())) {
      targeted.add(new MovedCode.Targeted(getCurrentPath(), inner > 0));
      return;
    }
    switch (element.getKind()) {
      case CLASS, INTERFACE, ENUM, RECORD, ANNOTATION_TYPE -> {
        // The supertype of an anonymous class stands in two trees.
        if (!isWithin(element) && offsets.add(owner.trees().start(tree))) {
          requireFreeOfVariables(tree, element);
          named.add(new MovedCode.Named(tree, (TypeElement) element));
          seen.add(getCurrentPath());
        }
      }
      case FIELD, METHOD, ENUM_CONSTANT -> {
        if (!isWithin(element)
            && !(element.getKind() == ElementKind.ENUM_CONSTANT
                && CaseLabel.is(getCurrentPath()))) {
          seen.add(getCurrentPath());
          member(tree, element);
        }
      }
      case TYPE_PARAMETER -> variable(tree, (TypeParameterElement) element);
      default -> {
        // Locals and packages mean the same everywhere.
      }
    }
  }

  /** The name of a class within each object of a generic one stands for its type arguments, too. */
  private void requireFreeOfVariables(IdentifierTree tree, Element type) {
    if (MovedCode.isWithinGeneric(type) && !(through instanceof Through.Around)) {
      throw refused(RefusalKind.OWNER_TYPE_VARIABLE, tree);
    }
  }

  private void variable(IdentifierTree tree, TypeParameterElement variable) {
    Element generic = variable.getGenericElement();
    if (generic.equals(owner.element())) {
      variables.add(variable);
    } else if (generic instanceof TypeElement && !isWithin(generic)) {
      throw refused(RefusalKind.OWNER_TYPE_VARIABLE, tree);
    }
  }

  private boolean isWithin(Element element) {
    for (Element at = element; at != null; at = at.getEnclosingElement()) {
      if (own.contains(at)) {
        return true;
      }
    }
    return false;
  }

  private void member(IdentifierTree tree, Element member) {
    TypeElement declaring = (TypeElement) member.getEnclosingElement();
    boolean isStatic = member.getModifiers().contains(Modifier.STATIC);
    boolean ofOwn = own.stream().anyMatch(type -> has((TypeElement) type, declaring));
    if (ofOwn) {
      return;
    }
    TypeElement scope = scope(declaring);
    if (isStatic) {
      statics.add(new MovedCode.Static(tree, member, scope));
    } else if (owner.element().equals(scope)) {
      asked.add(new MovedCode.Asked(getCurrentPath(), member, later > 0));
    } else if (!(through instanceof Through.Around && target.equals(scope))) {
      throw refused(RefusalKind.INNER_OBJECT, tree);
    }
  }

  /** The owner or the innermost class around it that has the members of a class; null for none. */
  private TypeElement scope(TypeElement declaring) {
    for (Element at = owner.element();
        at instanceof TypeElement type;
        at = at.getEnclosingElement()) {
      if (has(type, declaring)) {
        return type;
      }
    }
    return null;
  }

  private boolean has(TypeElement type, TypeElement declaring) {
    return owner.program().isOrIsBelow(type, declaring);
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    Element element = owner.trees().element(getCurrentPath());
    String name = tree.getIdentifier().toString();
    if (name.equals("super")) {
      throw refused(RefusalKind.SUPER_CALL, tree);
    }
    if (name.equals("this")) {
      self(tree, element);
      return null;
    }
    if (element != null && element.equals(through.variable()) && isSelf(tree.getExpression())) {
      targeted.add(new MovedCode.Targeted(getCurrentPath(), inner > 0));
      return null;
    }
    if (method.element().equals(element) && !isSelf(tree.getExpression())) {
      again.add(getCurrentPath());
    } else if (element != null) {
      seen.add(getCurrentPath());
    }
    if (element != null && isSelf(tree.getExpression())) {
      asked.add(new MovedCode.Asked(getCurrentPath(), element, later > 0));
      return null;
    }
    return super.visitMemberSelect(tree, null);
  }

  private void self(MemberSelectTree tree, Element element) {
    Element type = element == null ? null : element.getEnclosingElement();
    if (owner.element().equals(type)) {
      asked.add(new MovedCode.Asked(getCurrentPath(), null, later > 0));
    } else if (through instanceof Through.Around && target.equals(type)) {
      targeted.add(new MovedCode.Targeted(getCurrentPath(), inner > 0));
    } else if (!isWithin(type)) {
      throw refused(RefusalKind.INNER_OBJECT, tree);
    }
  }

  /** Whether an expression is the old object itself. */
  private boolean isSelf(Tree expression) {
    boolean spelled =
        expression instanceof IdentifierTree identifier
            ? identifier.getName().contentEquals("this")
            : expression instanceof MemberSelectTree select
                && select.getIdentifier().contentEquals("this");
    return spelled
        && element(expression) != null
        && element(expression).getEnclosingElement().equals(owner.element());
  }

  @Override
  public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
    Element element = owner.trees().element(getCurrentPath());
    if (method.element().equals(element)) {
      again.add(getCurrentPath());
    } else if (element != null) {
      seen.add(getCurrentPath());
      if (element.getKind() == ElementKind.CONSTRUCTOR) {
        requireObjectAround(element.getEnclosingElement(), tree);
      }
    }
    return super.visitMemberReference(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    Element constructor = owner.trees().element(getCurrentPath());
    if (tree.getClassBody() == null && constructor != null) {
      seen.add(getCurrentPath());
    }
    if (tree.getEnclosingExpression() == null) {
      requireObjectAround(element(tree.getIdentifier()), tree);
    }
    return super.visitNewClass(tree, null);
  }
}
