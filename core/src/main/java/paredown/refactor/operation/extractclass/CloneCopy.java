package paredown.refactor.operation.extractclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.use.OwnerClass;

/**
 * Where a class's own {@code clone} method has its copy in hand: right there the copy can be given
 * a new object of its own, before anything else is done with it.
 *
 * @param variable the local variable that holds the copy
 */
record CloneCopy(OwnerClass owner, TreePath variable) {

  /**
   * The place in a class; empty where it has no {@code clone} method that begins so, or where those
   * above it do more with a copy than setting its fields.
   */
  static Optional<CloneCopy> of(OwnerClass owner) {
    Program program = owner.program();
    List<TreePath> calls = callsOfSuper(program, owner.path());
    Optional<TreePath> copy = calls.size() == 1 ? copy(program, calls.get(0)) : Optional.empty();
    return copy.filter(
            at ->
                program.trees().getElement(at) instanceof VariableElement local
                    && program.types().isSameType(local.asType(), owner.element().asType())
                    && isSetOnce(program, at))
        .filter(at -> isCloneOf(program, at, owner.element()))
        .filter(at -> isQuietAbove(program, calls.get(0)))
        .map(at -> new CloneCopy(owner, at));
  }

  /** The calls of {@code super.clone()} by the object that some code belongs to. */
  private static List<TreePath> callsOfSuper(Program program, TreePath code) {
    Tree home = type(code);
    List<TreePath> calls = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        if (tree.getMethodSelect() instanceof MemberSelectTree select
            && select.getIdentifier().contentEquals("clone")) {
          String asked = select.getExpression().toString();
          boolean plain = asked.equals("super") && type(getCurrentPath()) == home;
          // A class within may ask the superclass of the object around, too.
          if (plain || asked.endsWith(".super")) {
            calls.add(getCurrentPath());
          }
        }
        return super.visitMethodInvocation(tree, null);
      }
    }.scan(code, null);
    return calls;
  }

  /** The class that code stands in. */
  private static Tree type(TreePath code) {
    TreePath at = code;
    while (!(at.getLeaf() instanceof ClassTree)) {
      at = at.getParentPath();
    }
    return at.getLeaf();
  }

  /** The local variable that is declared with the value of a call. */
  private static Optional<TreePath> copy(Program program, TreePath call) {
    TreePath at = above(call);
    boolean local =
        at.getLeaf() instanceof VariableTree && at.getParentPath().getLeaf() instanceof BlockTree;
    return local ? Optional.of(at) : Optional.empty();
  }

  private static TreePath above(TreePath value) {
    TreePath at = value.getParentPath();
    while (at.getLeaf() instanceof TypeCastTree || at.getLeaf() instanceof ParenthesizedTree) {
      at = at.getParentPath();
    }
    return at;
  }

  private static boolean isCloneOf(Program program, TreePath local, TypeElement type) {
    TreePath at = local;
    while (!(at.getLeaf() instanceof MethodTree)) {
      if (at.getLeaf() instanceof ClassTree) {
        return false;
      }
      at = at.getParentPath();
    }
    return program.trees().getElement(at) instanceof ExecutableElement method
        && method.getSimpleName().contentEquals("clone")
        && method.getParameters().isEmpty()
        && method.getEnclosingElement().equals(type);
  }

  private static boolean isSetOnce(Program program, TreePath local) {
    Element copy = program.trees().getElement(local);
    boolean[] once = {true};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitAssignment(AssignmentTree tree, Void unused) {
        TreePath to = new TreePath(getCurrentPath(), tree.getVariable());
        once[0] &= !copy.equals(program.trees().getElement(to));
        return super.visitAssignment(tree, null);
      }
    }.scan(local.getParentPath(), null);
    return once[0];
  }

  /** Whether what a call of {@code super.clone()} runs does no more than setting fields. */
  private static boolean isQuietAbove(Program program, TreePath call) {
    TreePath select = new TreePath(call, ((MethodInvocationTree) call.getLeaf()).getMethodSelect());
    if (!(program.trees().getElement(select) instanceof ExecutableElement called)) {
      return false;
    }
    TypeElement type = (TypeElement) called.getEnclosingElement();
    if (type.getQualifiedName().contentEquals("java.lang.Object")) {
      return true;
    }
    TreePath declaration = program.declares(type) ? program.declaration(called) : null;
    if (declaration == null) {
      return false;
    }
    List<TreePath> calls = callsOfSuper(program, declaration);
    return calls.size() == 1
        && (above(calls.get(0)).getLeaf() instanceof ReturnTree
            || copy(program, calls.get(0)).filter(copy -> isOnlySet(program, copy)).isPresent())
        && isQuietAbove(program, calls.get(0));
  }

  /** Whether a copy's fields are all that is used of it, before it is returned. */
  private static boolean isOnlySet(Program program, TreePath local) {
    Element copy = program.trees().getElement(local);
    boolean[] only = {true};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (copy.equals(program.trees().getElement(getCurrentPath()))) {
          TreePath above = above(getCurrentPath());
          boolean field =
              above.getLeaf() instanceof MemberSelectTree
                  && program.trees().getElement(above).getKind().isField();
          only[0] &= field || above.getLeaf() instanceof ReturnTree;
        }
        return super.visitIdentifier(tree, null);
      }
    }.scan(local.getParentPath(), null);
    return only[0];
  }

  /** Gives the copy an object of its own, in the line behind. */
  Replacement given(Holder holder) {
    Tree tree = variable.getLeaf();
    String copy = ((VariableTree) tree).getName().toString();
    int end = owner.trees().end(tree);
    Written.Text text = Written.text(owner.source().lineEnd());
    text.text(owner.source().indentAt(owner.trees().start(tree)));
    for (String word : List.of(" = ", ".")) {
      text.local(copy).text(".").name(holder.name(), holder.key()).text(word);
    }
    String clone = Symbols.methodKey(holder.type().binaryName(), "clone", List.of());
    return Replacement.of(end, end, text.name("clone", clone).text("();").done());
  }

  /** The method that makes the copy, in the new class. */
  static Written method(NewClass type, Layout layout) {
    String end = layout.lineEnd();
    String body = layout.body();
    Written.Text text =
        Written.text(layout.member() + "@").name("Override", "type java.lang.Override");
    text.text(end + layout.member() + "public ").name(type.name(), type.key()).text(" ");
    text.here(UseKind.OVERRIDES, Symbols.methodKey("java.lang.Object", "clone", List.of()))
        .text("clone() {" + end + body + "try {" + end + body + layout.unit() + "return (")
        .name(type.name(), type.key())
        .text(") ")
        .name("super", "super of " + type.binaryName())
        .text(".")
        .name("clone", Symbols.methodKey("java.lang.Object", "clone", List.of()))
        .text("();" + end + body + "} catch (")
        .name("CloneNotSupportedException", "type java.lang.CloneNotSupportedException")
        .text(" impossible) {" + end + body + layout.unit() + "throw ")
        .here(
            UseKind.CREATION,
            Symbols.constructorKey("java.lang.AssertionError", List.of("java.lang.Object")))
        .text("new ")
        .name("AssertionError", "type java.lang.AssertionError")
        .text("(")
        .local("impossible")
        .text(");" + end + body + "}" + end + layout.member() + "}" + end);
    return text.done().proving("a copy of an object that can be copied never fails");
  }
}
