package paredown.refactor.operation.extractclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
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
import javax.lang.model.type.DeclaredType;
import paredown.edit.Carried;
import paredown.edit.Indent;
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
 * @param statement the one that has the copy: it declares a variable with it, sets one to it, or
 *     returns it
 */
record CloneCopy(OwnerClass owner, TreePath statement) implements OwnCopy {
  /** What a variable is called that has a copy for the new object's sake. */
  static final String COPY = "copy";

  /**
   * The place in a class; empty where it has no {@code clone} method, or asks its superclass for a
   * copy in several places or in the middle of something, or where those above it do more with a
   * copy than setting its fields.
   */
  static Optional<CloneCopy> of(OwnerClass owner) {
    Program program = owner.program();
    List<TreePath> calls = callsOfSuper(program, owner.path());
    Optional<TreePath> copy = calls.size() == 1 ? statement(calls.get(0)) : Optional.empty();
    return copy.filter(at -> isOfObject(program, at, owner.element()))
        .filter(at -> owner.methods().stream().anyMatch(CloneCopy::isClone))
        .filter(at -> isQuietAbove(program, calls.get(0)))
        .map(at -> new CloneCopy(owner, at))
        .filter(CloneCopy::isInHand);
  }

  /** {@code clone} itself, or the one that gets the copy. */
  @Override
  public boolean isIn(OwnerClass.Method method) {
    return isClone(method) || method(statement).getLeaf() == method.tree();
  }

  /** Whether the copy is in a variable of its class that is nothing else, or can be. */
  private boolean isInHand() {
    Program program = owner.program();
    Optional<Element> variable = variable(program, statement);
    return variable.isEmpty()
        ? isFree(COPY) && owner.element().getTypeParameters().isEmpty()
        : variable.get() instanceof VariableElement local
            && local.asType() instanceof DeclaredType declared
            && declared.asElement().equals(owner.element())
            && isSetOnce(local);
  }

  /** The calls of {@code super.clone()} by the object that some code belongs to. */
  static List<TreePath> callsOfSuper(Program program, TreePath code) {
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

  /** The statement of a block that declares, sets or returns the value of a call as it is. */
  private static Optional<TreePath> statement(TreePath call) {
    TreePath at = above(call);
    boolean set =
        at.getLeaf() instanceof AssignmentTree assignment
            && assignment.getVariable() instanceof IdentifierTree
            && at.getParentPath().getLeaf() instanceof ExpressionStatementTree;
    TreePath statement = set ? at.getParentPath() : at;
    boolean known =
        set || at.getLeaf() instanceof VariableTree || at.getLeaf() instanceof ReturnTree;
    return known && statement.getParentPath().getLeaf() instanceof BlockTree
        ? Optional.of(statement)
        : Optional.empty();
  }

  /** The variable that has the copy behind a statement; empty where it is returned. */
  private static Optional<Element> variable(Program program, TreePath statement) {
    if (statement.getLeaf() instanceof ExpressionStatementTree expression
        && expression.getExpression() instanceof AssignmentTree set) {
      TreePath assignment = new TreePath(statement, set);
      return Optional.of(program.trees().getElement(new TreePath(assignment, set.getVariable())));
    }
    return statement.getLeaf() instanceof VariableTree
        ? Optional.of(program.trees().getElement(statement))
        : Optional.empty();
  }

  private static TreePath above(TreePath value) {
    TreePath at = value.getParentPath();
    while (at.getLeaf() instanceof TypeCastTree || at.getLeaf() instanceof ParenthesizedTree) {
      at = at.getParentPath();
    }
    return at;
  }

  private static boolean isOfObject(Program program, TreePath local, TypeElement type) {
    return program.trees().getElement(method(local)) instanceof ExecutableElement method
        && method.getEnclosingElement().equals(type);
  }

  private static boolean isClone(OwnerClass.Method method) {
    return method.name().equals("clone") && method.element().getParameters().isEmpty();
  }

  /** The innermost method, or class, around a place. */
  private static TreePath method(TreePath code) {
    TreePath at = code;
    while (!(at.getLeaf() instanceof MethodTree) && !(at.getLeaf() instanceof ClassTree)) {
      at = at.getParentPath();
    }
    return at;
  }

  /** Whether a variable is a local one that is set once, or declared as null and then set once. */
  private boolean isSetOnce(Element copy) {
    Program program = owner.program();
    boolean[] once = {Symbols.isLocal(copy)};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitAssignment(AssignmentTree tree, Void unused) {
        TreePath to = new TreePath(getCurrentPath(), tree.getVariable());
        once[0] &=
            !copy.equals(program.trees().getElement(to))
                || getCurrentPath().getParentPath().getLeaf() == statement.getLeaf();
        return super.visitAssignment(tree, null);
      }

      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        boolean empty =
            tree.getInitializer() == null
                || tree.getInitializer().getKind() == Tree.Kind.NULL_LITERAL;
        once[0] &=
            !copy.equals(program.trees().getElement(getCurrentPath()))
                || tree == statement.getLeaf()
                || empty;
        return super.visitVariable(tree, null);
      }
    }.scan(method(statement), null);
    return once[0];
  }

  private boolean isFree(String name) {
    boolean[] free = {true};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        free[0] &= !tree.getName().contentEquals(name);
        return super.visitVariable(tree, null);
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        free[0] &= !tree.getName().contentEquals(name);
        return super.visitIdentifier(tree, null);
      }
    }.scan(method(statement), null);
    return free[0];
  }

  /** Whether what a call of {@code super.clone()} runs does no more than setting fields. */
  private static boolean isQuietAbove(Program program, TreePath call) {
    TreePath select = new TreePath(call, ((MethodInvocationTree) call.getLeaf()).getMethodSelect());
    if (!(program.trees().getElement(select) instanceof ExecutableElement called)) {
      return false;
    }
    return isQuiet(program, called);
  }

  /** Whether a method that makes a copy does no more with it than setting fields. */
  static boolean isQuiet(Program program, ExecutableElement clone) {
    TypeElement type = (TypeElement) clone.getEnclosingElement();
    if (type.getQualifiedName().contentEquals("java.lang.Object")) {
      return true;
    }
    TreePath declaration = program.declares(type) ? program.declaration(clone) : null;
    if (declaration == null) {
      return false;
    }
    List<TreePath> calls = callsOfSuper(program, declaration);
    return calls.size() == 1
        && statement(calls.get(0)).filter(copy -> isOnlySet(program, copy)).isPresent()
        && isQuietAbove(program, calls.get(0));
  }

  /** Whether an object of the platform is made that only keeps the copy for later. */
  private static boolean isKept(TreePath made) {
    return made.getLeaf() instanceof NewClassTree tree
        && tree.getIdentifier().toString().matches("(?:PropertyChange|VetoableChange)Support");
  }

  /** Whether a copy's fields are all that is used of it, before it is returned. */
  private static boolean isOnlySet(Program program, TreePath statement) {
    Optional<Element> variable = variable(program, statement);
    if (variable.isEmpty()) {
      return true;
    }
    Element copy = variable.get();
    boolean[] only = {true};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (copy.equals(program.trees().getElement(getCurrentPath()))) {
          TreePath above = above(getCurrentPath());
          boolean field =
              above.getLeaf() instanceof MemberSelectTree
                  && program.trees().getElement(above).getKind().isField();
          boolean set =
              above.getLeaf() instanceof AssignmentTree
                  && above.getParentPath().getLeaf() == statement.getLeaf();
          only[0] &= field || set || above.getLeaf() instanceof ReturnTree || isKept(above);
        }
        return super.visitIdentifier(tree, null);
      }
    }.scan(method(statement), null);
    return only[0];
  }

  /** In the line behind. */
  @Override
  public Replacement given(Holder holder) {
    int start = owner.trees().start(statement.getLeaf());
    int end = owner.trees().end(statement.getLeaf());
    String line = owner.source().lineEnd() + owner.source().indentAt(start);
    Optional<Element> variable = variable(owner.program(), statement);
    if (variable.isPresent()) {
      String copy = variable.get().getSimpleName().toString();
      return Replacement.of(end, end, own(holder, copy, Written.text(line)).done());
    }
    Tree value = ((ReturnTree) statement.getLeaf()).getExpression();
    String type = owner.simpleName();
    String key = Symbols.typeKey(owner.binaryName());
    Written.Text before = Written.text("").name(type, key).text(" " + COPY + " = ");
    if (!(value instanceof TypeCastTree)) {
      before.text("(").name(type, key).text(") ");
    }
    Written.Text behind = own(holder, COPY, Written.text(";" + line));
    behind.text(line + "return ").local(COPY).text(";");
    int from = owner.trees().start(value);
    int to = owner.trees().end(value);
    Carried carried = new Carried(owner.trees().path(), from, to, List.of(), Indent.SAME, null);
    return new Replacement(start, end, List.of(before.done(), carried, behind.done()), List.of())
        .proving("a variable has the copy before it is returned");
  }

  /** Writes that a copy gets an object of its own. */
  static Written.Text own(Holder holder, String copy, Written.Text text) {
    for (String word : List.of(" = ", ".")) {
      text.local(copy).text(".").name(holder.name(), holder.key()).text(word);
    }
    String clone = Symbols.methodKey(holder.type().binaryName(), "clone", List.of());
    return text.name("clone", clone).text("();");
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
