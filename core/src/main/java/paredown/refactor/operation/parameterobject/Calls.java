package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.code.UnitTrees;

/** Finds the calls of heads, inner ones first. */
final class Calls extends TreePathScanner<Void, Void> {
  private final Signatures signatures;
  private final UnitTrees trees;
  private final List<Call> found;

  private Calls(Signatures signatures, UnitTrees trees, List<Call> found) {
    this.signatures = signatures;
    this.trees = trees;
    this.found = found;
  }

  static List<Call> of(Program program, Signatures signatures) {
    List<Call> found = new ArrayList<>();
    for (Unit unit : program.units()) {
      new Calls(signatures, new UnitTrees(program, unit), found).scan(unit.tree(), null);
    }
    return found;
  }

  /** The constructor of a class without a name stands in no text, nor does its call. */
  @Override
  public Void visitMethod(MethodTree tree, Void unused) {
    boolean unwritten =
        trees.element(getCurrentPath()).getKind() == ElementKind.CONSTRUCTOR
            && trees.element(getCurrentPath()).getEnclosingElement() instanceof TypeElement type
            && type.getNestingKind() == NestingKind.ANONYMOUS;
    return unwritten ? null : super.visitMethod(tree, null);
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    super.visitMethodInvocation(tree, null);
    signatures
        .head(trees.element(getCurrentPath()))
        .ifPresent(head -> found.add(new Call(trees, getCurrentPath(), tree.getArguments(), head)));
    return null;
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    super.visitNewClass(tree, null);
    made(tree)
        .ifPresent(head -> found.add(new Call(trees, getCurrentPath(), tree.getArguments(), head)));
    return null;
  }

  /** A class without a name goes to the constructor that takes as many. */
  private Optional<Head> made(NewClassTree tree) {
    if (tree.getClassBody() == null) {
      return signatures.head(trees.element(getCurrentPath()));
    }
    Element above = trees.element(new TreePath(getCurrentPath(), tree.getIdentifier()));
    return signatures.heads().stream()
        .filter(each -> each.element().getKind() == ElementKind.CONSTRUCTOR)
        .filter(each -> each.owner().equals(above))
        .filter(each -> each.element().getParameters().size() == tree.getArguments().size())
        .findFirst();
  }

  /** Whether a class without a name could go to another constructor, too. */
  static boolean isDoubtful(Call call) {
    if (!(call.path().getLeaf() instanceof NewClassTree tree) || tree.getClassBody() == null) {
      return false;
    }
    long like =
        ElementFilter.constructorsIn(call.head().owner().getEnclosedElements()).stream()
            .filter(each -> takes(each, call.given().size()))
            .count();
    return like > 1;
  }

  private static boolean takes(ExecutableElement constructor, int arguments) {
    return constructor.isVarArgs() || constructor.getParameters().size() == arguments;
  }
}
