package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.CatchTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.UnionType;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;

/** The checked exceptions that code throws to what is around it (JLS 11.2). */
final class Thrown extends TreePathScanner<Void, Void> {
  private final UnitTrees trees;
  private final Program program;
  private List<TypeMirror> thrown = new ArrayList<>();

  /** What the variable of a catch that throws it again can hold. */
  private final Map<Element, List<TypeMirror>> caught = new HashMap<>();

  private Thrown(UnitTrees trees) {
    this.trees = trees;
    this.program = trees.program();
  }

  /** Each type once, without those below another. */
  static List<TypeMirror> of(UnitTrees trees, List<TreePath> code) {
    Thrown all = new Thrown(trees);
    code.forEach(path -> all.scan(path, null));
    List<TypeMirror> least = new ArrayList<>();
    for (TypeMirror type : all.thrown) {
      boolean known = least.stream().anyMatch(each -> all.isSub(type, each));
      if (!known) {
        least.removeIf(each -> all.isSub(each, type));
        least.add(type);
      }
    }
    return least;
  }

  private boolean isSub(TypeMirror type, TypeMirror above) {
    return program.types().isSubtype(type, above);
  }

  private void add(TypeMirror type) {
    boolean unchecked =
        type == null
            || isA(type, "java.lang.RuntimeException")
            || isA(type, "java.lang.Error")
            || !isA(type, "java.lang.Throwable");
    if (!unchecked) {
      thrown.add(type);
    }
  }

  private boolean isA(TypeMirror type, String name) {
    return isSub(type, program.elements().getTypeElement(name).asType());
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    TreePath select = new TreePath(getCurrentPath(), tree.getMethodSelect());
    if (program.trees().getTypeMirror(select) instanceof ExecutableType type) {
      type.getThrownTypes().forEach(this::add);
    }
    return super.visitMethodInvocation(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    if (trees.element(getCurrentPath()) instanceof ExecutableElement made) {
      made.getThrownTypes().forEach(this::add);
    }
    return super.visitNewClass(tree, null);
  }

  @Override
  public Void visitThrow(ThrowTree tree, Void unused) {
    TreePath value = new TreePath(getCurrentPath(), tree.getExpression());
    Element again = tree.getExpression() instanceof IdentifierTree ? trees.element(value) : null;
    if (caught.containsKey(again)) {
      thrown.addAll(caught.get(again));
    } else {
      add(program.trees().getTypeMirror(value));
    }
    return super.visitThrow(tree, null);
  }

  @Override
  public Void visitTry(TryTree tree, Void unused) {
    List<TypeMirror> outer = thrown;
    thrown = new ArrayList<>();
    for (Tree resource : tree.getResources()) {
      scan(resource, null);
      closing(program.trees().getTypeMirror(new TreePath(getCurrentPath(), resource)));
    }
    scan(tree.getBlock(), null);
    List<TypeMirror> within = thrown;
    thrown = outer;
    List<TypeMirror> left = new ArrayList<>(within);
    for (CatchTree each : tree.getCatches()) {
      TreePath parameter = new TreePath(new TreePath(getCurrentPath(), each), each.getParameter());
      TypeMirror type = program.trees().getTypeMirror(parameter);
      List<? extends TypeMirror> types =
          type instanceof UnionType union ? union.getAlternatives() : List.of(type);
      List<TypeMirror> held =
          left.stream().filter(one -> types.stream().anyMatch(of -> isSub(one, of))).toList();
      Element variable = trees.element(parameter);
      if (variable != null && variable.getKind() == ElementKind.EXCEPTION_PARAMETER) {
        caught.put(variable, held);
      }
      left.removeAll(held);
      scan(each.getBlock(), null);
    }
    thrown.addAll(left);
    scan(tree.getFinallyBlock(), null);
    return null;
  }

  /** What closing a resource throws. */
  private void closing(TypeMirror type) {
    if (type != null && program.types().asElement(type) instanceof TypeElement element) {
      ElementFilter.methodsIn(program.elements().getAllMembers(element)).stream()
          .filter(method -> method.getSimpleName().contentEquals("close"))
          .filter(method -> method.getParameters().isEmpty())
          .findFirst()
          .ifPresent(method -> method.getThrownTypes().forEach(this::add));
    }
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
