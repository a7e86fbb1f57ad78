package paredown.refactor.use;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/**
 * Finds where code lets others see or call the object that it runs in: calls of its own methods,
 * {@code this} handed out, inner classes made. Reads and writes of fields are no such touches, but
 * for those in a class without a name, which may come at any time.
 */
public final class OwnerTouches extends TreePathScanner<Void, Void> {

  /**
   * A place where the object itself is called or handed out.
   *
   * @param called the method of its own that is called; null where it is handed out
   */
  public record Touch(int offset, ExecutableElement called) {}

  private final OwnerClass owner;
  private final List<Touch> touches = new ArrayList<>();

  /** The classes without a name around what is looked at, which have objects of their own. */
  private final Deque<TypeElement> within = new ArrayDeque<>();

  private OwnerTouches(OwnerClass owner) {
    this.owner = owner;
  }

  public static List<Touch> in(OwnerClass owner, TreePath code) {
    OwnerTouches scan = new OwnerTouches(owner);
    scan.scan(code, null);
    return scan.touches;
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    Element element = owner.trees().element(getCurrentPath());
    String name = tree.getName().toString();
    if (!within.isEmpty()) {
      if (isMemberOfOwner(element)) {
        touches.add(new Touch(owner.trees().start(tree), null));
      }
    } else if (name.equals("this") || name.equals("super")) {
      self(tree);
    } else if (element instanceof ExecutableElement method
        && method.getKind() == ElementKind.METHOD
        && !method.getModifiers().contains(Modifier.STATIC)
        && isOfOwner(method)) {
      touches.add(new Touch(owner.trees().start(tree), method));
    }
    return super.visitIdentifier(tree, null);
  }

  private void self(IdentifierTree tree) {
    int offset = owner.trees().start(tree);
    if (getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree) {
      Element member = owner.trees().element(getCurrentPath().getParentPath());
      if (member instanceof ExecutableElement method) {
        touches.add(new Touch(offset, method));
      }
      return;
    }
    boolean constructorCall = owner.trees().element(getCurrentPath()) instanceof ExecutableElement;
    if (!constructorCall) {
      touches.add(new Touch(offset, null));
    }
  }

  private boolean isOfOwner(Element member) {
    return member.getEnclosingElement() instanceof TypeElement type
        && owner.program().isOrIsBelow(owner.element(), type);
  }

  /** Whether a name within a class without a name is a member of the object around that. */
  private boolean isMemberOfOwner(Element element) {
    return element != null
        && (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
        && !element.getModifiers().contains(Modifier.STATIC)
        && isOfOwner(element)
        && within.stream()
            .noneMatch(
                type ->
                    owner.program().isOrIsBelow(type, (TypeElement) element.getEnclosingElement()));
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    Element asked = owner.trees().element(new TreePath(getCurrentPath(), tree.getExpression()));
    if (tree.getIdentifier().contentEquals("this") && !within.contains(asked)) {
      touches.add(new Touch(owner.trees().start(tree), null));
    }
    return super.visitMemberSelect(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    Element made = owner.trees().element(new TreePath(getCurrentPath(), tree.getIdentifier()));
    boolean inner =
        made instanceof TypeElement type
            && type.getEnclosingElement() instanceof TypeElement outer
            && owner.program().isOrIsBelow(owner.element(), outer)
            && !type.getModifiers().contains(Modifier.STATIC)
            && type.getKind() == ElementKind.CLASS;
    if (inner && tree.getEnclosingExpression() == null) {
      touches.add(new Touch(owner.trees().start(tree), null));
    }
    return super.visitNewClass(tree, null);
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    Element type = owner.trees().element(getCurrentPath());
    if (tree.getSimpleName().isEmpty() && type instanceof TypeElement anonymous) {
      within.push(anonymous);
      super.visitClass(tree, null);
      within.pop();
      return null;
    }
    // A local class may use the object whenever it is asked to.
    touches.add(new Touch(owner.trees().start(tree), null));
    return super.visitClass(tree, null);
  }
}
