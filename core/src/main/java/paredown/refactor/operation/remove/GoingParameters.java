package paredown.refactor.operation.remove;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.OwnerClass;

/**
 * The parameters that go together: of methods that dispatch together, and of those to which they
 * are only handed on.
 */
public final class GoingParameters {
  private final OwnerClass owner;
  private final Program program;
  private final FixedHead heads;
  private final Map<ExecutableElement, Set<Integer>> going = new LinkedHashMap<>();

  public GoingParameters(OwnerClass owner) {
    this.owner = owner;
    this.program = owner.program();
    this.heads = new FixedHead(program, owner.trees().place(owner.tree()));
  }

  /** Adds a parameter of one method, whose body has the value from elsewhere. */
  public void addAlone(ExecutableElement method, int position) {
    going.computeIfAbsent(method, one -> new TreeSet<>()).add(position);
  }

  /**
   * Adds a parameter with all that must go with it.
   *
   * @throws Refused where something uses it
   */
  void add(ExecutableElement method, int position) {
    Set<ExecutableElement> family =
        method.getKind() == ElementKind.CONSTRUCTOR
            ? Set.of(method)
            : MethodFamily.of(program, method);
    for (ExecutableElement each : family) {
      if (going.computeIfAbsent(each, one -> new TreeSet<>()).add(position)) {
        heads
            .of(each, List.of(position))
            .ifPresent(
                met -> {
                  throw Refused.advising(
                      met.kind(),
                      "%s of %s cannot be removed: %s."
                          .formatted(name(each, position), word(each), met.why()),
                      "",
                      met.place());
                });
        body(each, position);
      }
    }
  }

  private static String name(ExecutableElement method, int position) {
    return method.getParameters().get(position).getSimpleName().toString();
  }

  /** What a method is called where it is spoken of. */
  public static String word(ExecutableElement method) {
    return method.getKind() == ElementKind.CONSTRUCTOR
        ? "the constructor of " + method.getEnclosingElement().getSimpleName()
        : method.getSimpleName().toString();
  }

  private void body(ExecutableElement method, int position) {
    TreePath path = program.declaration(method);
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    VariableElement parameter = method.getParameters().get(position);
    if (((MethodTree) path.getLeaf()).getBody() == null) {
      return;
    }
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (parameter.equals(trees.element(getCurrentPath()))) {
          handed(trees, getCurrentPath())
              .ifPresentOrElse(
                  to -> add(to.method(), to.position()),
                  () -> {
                    throw Refused.advising(
                        RefusalKind.STILL_USED,
                        "%s cannot be removed: %s uses it."
                            .formatted(parameter.getSimpleName(), word(method)),
                        "",
                        trees.place(tree));
                  });
        }
        return null;
      }
    }.scan(new TreePath(path, ((MethodTree) path.getLeaf()).getBody()), null);
  }

  /** A parameter of a method. */
  private record Taken(ExecutableElement method, int position) {}

  /** The parameter that a name is given for; empty where it is used otherwise. */
  private Optional<Taken> handed(UnitTrees trees, TreePath name) {
    TreePath around = name.getParentPath();
    List<? extends ExpressionTree> arguments =
        around.getLeaf() instanceof MethodInvocationTree call
            ? call.getArguments()
            : around.getLeaf() instanceof NewClassTree made ? made.getArguments() : List.of();
    int position = arguments.indexOf((Tree) name.getLeaf());
    if (position < 0 || !(trees.element(around) instanceof ExecutableElement called)) {
      return Optional.empty();
    }
    boolean anonymous =
        around.getLeaf() instanceof NewClassTree made && made.getClassBody() != null;
    boolean plain =
        !anonymous
            && !called.isVarArgs()
            && called.getEnclosingElement() instanceof TypeElement type
            && program.declares(type)
            && program.declaration(called) != null
            && program
                .types()
                .isSameType(
                    program.types().erasure(called.getParameters().get(position).asType()),
                    program.types().erasure(trees.element(name).asType()));
    return plain ? Optional.of(new Taken(called, position)) : Optional.empty();
  }

  OwnerClass owner() {
    return owner;
  }

  /** The methods, each with the positions of its parameters that go. */
  public Map<ExecutableElement, Set<Integer>> all() {
    return going;
  }

  /** The words by which files could call the methods. */
  public Set<String> names() {
    Set<String> names = new TreeSet<>();
    for (ExecutableElement each : going.keySet()) {
      Element named = each.getKind() == ElementKind.CONSTRUCTOR ? each.getEnclosingElement() : each;
      names.add(named.getSimpleName().toString());
    }
    return names;
  }

  /** The erased types of the parameters that a method keeps. */
  List<String> kept(ExecutableElement method) {
    List<? extends VariableElement> all = method.getParameters();
    Set<Integer> gone = going.get(method);
    return IntStream.range(0, all.size())
        .filter(each -> !gone.contains(each))
        .mapToObj(each -> program.types().erasure(all.get(each).asType()).toString())
        .toList();
  }

  /** The key that a method has then. */
  String newKey(ExecutableElement method) {
    String type = program.symbols().binary((TypeElement) method.getEnclosingElement());
    return method.getKind() == ElementKind.CONSTRUCTOR
        ? Symbols.constructorKey(type, kept(method))
        : Symbols.methodKey(type, method.getSimpleName().toString(), kept(method));
  }
}
