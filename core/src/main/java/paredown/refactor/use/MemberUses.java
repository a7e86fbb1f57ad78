package paredown.refactor.use;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;

/** Finds every expression in a program that names one of some members. */
public final class MemberUses {

  /** What an expression does to the member that it names. */
  public enum Access {
    READ,
    WRITE,
    /** Reads and writes in one: {@code count++}, {@code total += fare}. */
    UPDATE,
    CALL,
    REFERENCE,
    RESOURCE,
    LOCK;

    /** Whether the value is all that is wanted, so that an accessor can give it. */
    public boolean isRead() {
      return this == READ || this == CALL || this == LOCK;
    }
  }

  /**
   * An expression that names a member.
   *
   * @param path the identifier, member select or member reference
   * @param offset where the member's name stands
   * @param key the member
   * @param simple whether the name stands alone
   */
  public record MemberUse(
      UnitTrees trees, TreePath path, int offset, String key, boolean simple, Access access) {

    public String place() {
      return trees.source().place(offset);
    }

    public String file() {
      return trees.path();
    }

    /** Whether it stands in an import. */
    public boolean isImport() {
      for (TreePath at = path; at != null; at = at.getParentPath()) {
        if (at.getLeaf() instanceof ImportTree) {
          return true;
        }
      }
      return false;
    }

    /** The innermost class around it; null where it stands in front of one. */
    public TypeElement scope() {
      return trees.scope(path);
    }

    /**
     * The type of the object, or the type itself, that is asked; empty where the name is simple.
     */
    public Optional<TypeElement> askedType() {
      Tree asked =
          path.getLeaf() instanceof MemberSelectTree select
              ? select.getExpression()
              : path.getLeaf() instanceof MemberReferenceTree reference
                  ? reference.getQualifierExpression()
                  : null;
      return asked != null
              && trees.program().trees().getTypeMirror(new TreePath(path, asked))
                  instanceof DeclaredType type
          ? Optional.of((TypeElement) type.asElement())
          : Optional.empty();
    }

    /** Whether code and object are in a package, so that what only that sees can be asked. */
    public boolean isNear(String packageName) {
      return trees.packageName().equals(packageName)
          && askedType()
              .map(type -> trees.program().elements().getPackageOf(type))
              .map(home -> home.getQualifiedName().contentEquals(packageName))
              .orElse(true);
    }
  }

  private MemberUses() {}

  /** All uses of members, by units and places. */
  public static List<MemberUse> of(Program program, Map<Element, String> members) {
    List<MemberUse> found = new ArrayList<>();
    for (Unit unit : program.units()) {
      new Scan(new UnitTrees(program, unit), members, found).scan(unit.tree(), null);
    }
    return found;
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final UnitTrees trees;
    private final Map<Element, String> members;
    private final List<MemberUse> found;

    Scan(UnitTrees trees, Map<Element, String> members, List<MemberUse> found) {
      this.trees = trees;
      this.members = members;
      this.found = found;
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      add(trees.start(tree), true);
      return super.visitIdentifier(tree, null);
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      add(trees.end(tree) - tree.getIdentifier().length(), false);
      return super.visitMemberSelect(tree, null);
    }

    @Override
    public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
      add(trees.end(tree) - tree.getName().length(), false);
      return super.visitMemberReference(tree, null);
    }

    private void add(int offset, boolean simple) {
      Element element = trees.element(getCurrentPath());
      String key = element == null ? null : members.get(element);
      if (key != null && trees.end(getCurrentPath().getLeaf()) >= 0) {
        found.add(
            new MemberUse(trees, getCurrentPath(), offset, key, simple, access(getCurrentPath())));
      }
    }
  }

  /** What is done to the member that an expression names. */
  public static Access access(TreePath path) {
    Tree here = path.getLeaf();
    if (here instanceof MemberReferenceTree) {
      return Access.REFERENCE;
    }
    TreePath above = path.getParentPath();
    while (above.getLeaf() instanceof ParenthesizedTree
        && !(above.getParentPath().getLeaf() instanceof SynchronizedTree)) {
      here = above.getLeaf();
      above = above.getParentPath();
    }
    Tree parent = above.getLeaf();
    if (parent instanceof AssignmentTree assignment && assignment.getVariable() == here) {
      return Access.WRITE;
    }
    if (parent instanceof CompoundAssignmentTree update && update.getVariable() == here) {
      return Access.UPDATE;
    }
    if (parent instanceof UnaryTree unary && Values.isStep(unary.getKind())) {
      return Access.UPDATE;
    }
    if (parent instanceof TryTree) {
      return Access.RESOURCE;
    }
    if (parent instanceof ParenthesizedTree) {
      return Access.LOCK;
    }
    boolean calls =
        parent instanceof com.sun.source.tree.MethodInvocationTree call
            && call.getMethodSelect() == here;
    return calls ? Access.CALL : Access.READ;
  }
}
