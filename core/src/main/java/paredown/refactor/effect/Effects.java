package paredown.refactor.effect;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.program.Symbols;

/**
 * Effects are what a piece of code does when it runs: what stands in it, what the methods do that
 * it calls, as far as they can be told, and what it calls without saying so: text that is made of
 * objects, iterators, the closing of resources.
 */
public final class Effects {
  private final Program program;
  private final Called called;

  public Effects(Program program) {
    this.program = program;
    this.called = new Called(program, this);
  }

  /** The deeds of code; what a lambda or a class within it would do later is not among them. */
  public Deeds of(TreePath code) {
    return of(code, null, 0);
  }

  /** The deeds of a call of a method or constructor, whoever is asked. */
  public Deeds ofCall(ExecutableElement method) {
    return called.of(method, 0);
  }

  /**
   * The deeds of code.
   *
   * @param fresh the class whose object is being made, so that nobody knows it yet; null for none
   * @param depth how many calls deep it stands
   */
  Deeds of(TreePath code, TypeElement fresh, int depth) {
    Deeds deeds = new Deeds();
    new Scan(deeds, fresh, depth).scan(code, null);
    return deeds;
  }

  private final class Scan extends TreePathScanner<Void, Void> {
    private final Deeds deeds;
    private final TypeElement fresh;
    private final int depth;

    Scan(Deeds deeds, TypeElement fresh, int depth) {
      this.deeds = deeds;
      this.fresh = fresh;
      this.depth = depth;
    }

    private Element element(TreePath path) {
      return program.trees().getElement(path);
    }

    private void add(Deed deed) {
      deeds.add(deed, getCurrentPath());
    }

    private void set(ExpressionTree target) {
      ExpressionTree bare = target;
      TreePath path = new TreePath(getCurrentPath(), target);
      while (bare instanceof ParenthesizedTree inner) {
        bare = inner.getExpression();
        path = new TreePath(path, bare);
      }
      if (bare instanceof ArrayAccessTree) {
        add(Deed.CHANGES);
        return;
      }
      Element element = element(path);
      if (element == null) {
        add(Deed.UNKNOWN);
      } else if (Symbols.isLocal(element)) {
        add(Deed.SETS_LOCAL);
      } else if (!isOfFresh(bare, element)) {
        deeds.sets(element, getCurrentPath());
      }
    }

    private boolean isOfFresh(ExpressionTree target, Element field) {
      boolean own =
          target instanceof IdentifierTree
              || target instanceof MemberSelectTree select
                  && select.getExpression() instanceof IdentifierTree name
                  && name.getName().contentEquals("this");
      return own
          && fresh != null
          && !field.getModifiers().contains(Modifier.STATIC)
          && fresh.equals(field.getEnclosingElement());
    }

    @Override
    public Void visitAssignment(AssignmentTree tree, Void unused) {
      set(tree.getVariable());
      return super.visitAssignment(tree, null);
    }

    @Override
    public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
      set(tree.getVariable());
      if (tree.getKind() == Tree.Kind.PLUS_ASSIGNMENT && isString(getCurrentPath())) {
        text(tree.getExpression());
      }
      return super.visitCompoundAssignment(tree, null);
    }

    @Override
    public Void visitUnary(UnaryTree tree, Void unused) {
      if (tree.getKind().name().contains("CREMENT")) {
        set(tree.getExpression());
      }
      return super.visitUnary(tree, null);
    }

    @Override
    public Void visitBinary(BinaryTree tree, Void unused) {
      if (tree.getKind() == Tree.Kind.PLUS && isString(getCurrentPath())) {
        text(tree.getLeftOperand());
        text(tree.getRightOperand());
      }
      return super.visitBinary(tree, null);
    }

    private boolean isString(TreePath path) {
      TypeMirror type = program.trees().getTypeMirror(path);
      return type != null && type.toString().equals("java.lang.String");
    }

    private void text(ExpressionTree operand) {
      TypeMirror type = program.trees().getTypeMirror(new TreePath(getCurrentPath(), operand));
      deeds.addCalled(called.text(type, depth), getCurrentPath());
    }

    @Override
    public Void visitEnhancedForLoop(EnhancedForLoopTree tree, Void unused) {
      TypeMirror type =
          program.trees().getTypeMirror(new TreePath(getCurrentPath(), tree.getExpression()));
      if (type == null || type.getKind() != TypeKind.ARRAY) {
        add(Deed.GOES_THROUGH);
      }
      return super.visitEnhancedForLoop(tree, null);
    }

    @Override
    public Void visitTry(TryTree tree, Void unused) {
      for (Tree resource : tree.getResources()) {
        TypeMirror type = program.trees().getTypeMirror(new TreePath(getCurrentPath(), resource));
        deeds.addCalled(called.closing(type, depth), getCurrentPath());
      }
      return super.visitTry(tree, null);
    }

    @Override
    public Void visitThrow(ThrowTree tree, Void unused) {
      add(Deed.THROWS);
      return super.visitThrow(tree, null);
    }

    @Override
    public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
      Element method = element(new TreePath(getCurrentPath(), tree.getMethodSelect()));
      if (isOfArray(tree)) {
        add(Deed.READS);
      } else if (method instanceof ExecutableElement executable) {
        deeds.addCalled(called.of(executable, depth), getCurrentPath());
        runs(executable, tree.getArguments());
      } else {
        add(Deed.UNKNOWN);
      }
      return super.visitMethodInvocation(tree, null);
    }

    /** Whether an array is asked for a copy; it has no other method of its own. */
    private boolean isOfArray(MethodInvocationTree call) {
      TypeMirror asked =
          call.getMethodSelect() instanceof MemberSelectTree select
                  && select.getIdentifier().contentEquals("clone")
              ? program
                  .trees()
                  .getTypeMirror(
                      new TreePath(new TreePath(getCurrentPath(), select), select.getExpression()))
              : null;
      return asked != null && asked.getKind() == TypeKind.ARRAY;
    }

    /** The platform runs what it is given, at once as far as anybody can tell. */
    private void runs(ExecutableElement method, Iterable<? extends ExpressionTree> arguments) {
      boolean platform =
          method.getEnclosingElement() instanceof TypeElement type && Platform.isOf(type);
      for (ExpressionTree argument : arguments) {
        if (platform && argument instanceof LambdaExpressionTree lambda) {
          TreePath path = new TreePath(getCurrentPath(), lambda);
          new Scan(deeds, null, depth).scan(new TreePath(path, lambda.getBody()), null);
        } else if (platform
            && argument instanceof MemberReferenceTree
            && element(new TreePath(getCurrentPath(), argument)) instanceof ExecutableElement of) {
          deeds.addCalled(called.of(of, depth), getCurrentPath());
        } else if (platform && isFunction(argument)) {
          add(Deed.UNKNOWN);
        }
      }
    }

    private boolean isFunction(ExpressionTree argument) {
      TypeMirror type = program.trees().getTypeMirror(new TreePath(getCurrentPath(), argument));
      return type instanceof DeclaredType declared
          && declared.asElement().toString().startsWith("java.util.function.");
    }

    @Override
    public Void visitNewClass(NewClassTree tree, Void unused) {
      Element made = element(getCurrentPath());
      if (tree.getClassBody() != null || !(made instanceof ExecutableElement constructor)) {
        add(Deed.UNKNOWN);
      } else {
        deeds.addCalled(called.of(constructor, depth), getCurrentPath());
      }
      scan(tree.getEnclosingExpression(), null);
      return scan(tree.getArguments(), null);
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      read(element(getCurrentPath()));
      return null;
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      read(element(getCurrentPath()));
      return super.visitMemberSelect(tree, null);
    }

    private void read(Element element) {
      if (element instanceof VariableElement variable
          && variable.getKind() == ElementKind.FIELD
          && variable.getConstantValue() == null) {
        if (!variable.getModifiers().contains(Modifier.FINAL)) {
          add(Deed.READS);
        }
        if (variable.getModifiers().contains(Modifier.STATIC)
            && variable.getEnclosingElement() instanceof TypeElement type
            && program.declares(type)) {
          deeds.looksAt(variable);
        }
      }
    }

    @Override
    public Void visitArrayAccess(ArrayAccessTree tree, Void unused) {
      add(Deed.READS);
      return super.visitArrayAccess(tree, null);
    }

    /** Its values are written like assignments, but nothing of it runs. */
    @Override
    public Void visitAnnotation(AnnotationTree tree, Void unused) {
      return null;
    }

    @Override
    public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
      return null;
    }

    @Override
    public Void visitClass(ClassTree tree, Void unused) {
      return null;
    }
  }

  /** The methods of a type of a name without parameters, its own before inherited ones. */
  static ExecutableElement method(Program program, TypeElement type, String name) {
    return ElementFilter.methodsIn(program.elements().getAllMembers(type)).stream()
        .filter(each -> each.getSimpleName().contentEquals(name))
        .filter(each -> each.getParameters().isEmpty())
        .findFirst()
        .orElse(null);
  }
}
