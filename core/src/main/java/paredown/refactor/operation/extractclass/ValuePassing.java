package paredown.refactor.operation.extractclass;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.Words;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.startup.SteadyFields;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** A method that leaves receives the values that it reads of its old object, read once before. */
final class ValuePassing extends Passing {
  private final CalmCalls calm;
  private final SteadyFields steady;
  private final Set<String> locals = new HashSet<>();

  ValuePassing(OwnerClass owner, OwnerClass.Method method, Receiving receiving) {
    super(owner, method, receiving);
    this.calm = new CalmCalls(owner.program());
    this.steady = new SteadyFields(owner, method, calm);
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        locals.add(tree.getName().toString());
        return super.visitVariable(tree, null);
      }
    }.scan(method.path(), null);
  }

  @Override
  boolean asks() {
    return false;
  }

  @Override
  Replacement member(TreePath named, Element member) {
    boolean call = member.getKind() == ElementKind.METHOD;
    MemberUses.Access access = MemberUses.access(named);
    Optional<VariableElement> read =
        call
            ? calm.field((ExecutableElement) member)
                .filter(each -> access == MemberUses.Access.CALL)
            : Optional.of((VariableElement) member);
    String word = member.getSimpleName().toString();
    if (read.isEmpty()) {
      throw refused("it calls " + word + " of its old object", named);
    }
    if (!call && access != MemberUses.Access.READ) {
      throw refused("it sets or locks " + word, named);
    }
    if (leaves(read.get())) {
      throw refused("it calls " + word + " of its old object, whose field leaves", named);
    }
    String value = value(read.get(), named);
    Tree whole = call ? named.getParentPath().getLeaf() : named.getLeaf();
    return Rewriting.of(
        trees(),
        trees().start(whole),
        trees().end(whole),
        "its value is a parameter now",
        Written.text("")
            .local(value, Rewriting.name(trees(), trees().nameOffset(named.getLeaf())))
            .done());
  }

  private String value(VariableElement read, TreePath where) {
    String word = read.getSimpleName().toString();
    OwnerClass.Field field =
        owner().fields().stream()
            .filter(each -> each.element().equals(read))
            .findFirst()
            .orElseThrow(() -> refused(word + " is inherited", where));
    if (!steady.is(read, where, isLater(where))) {
      throw refused(word + " could change while it runs", where);
    }
    owner().assumptions().addAll(steady.assumed());
    boolean taken = locals.contains(word);
    String name =
        taken ? Words.decapitalised(owner().simpleName()) + Words.capitalised(word) : word;
    return note(new Received(name, Optional.of(field)));
  }

  /** Whether code runs at another time than the method: in a lambda or a class within it. */
  private boolean isLater(TreePath where) {
    for (TreePath at = where; at.getLeaf() != method().tree(); at = at.getParentPath()) {
      if (at.getLeaf() instanceof LambdaExpressionTree || at.getLeaf() instanceof ClassTree) {
        return true;
      }
    }
    return false;
  }

  @Override
  Replacement self(IdentifierTree tree) {
    throw refused("it hands its old object on", TreePath.getPath(method().path(), tree));
  }

  @Override
  String given(Received other, TreePath call) {
    return value(other.field().orElseThrow().element(), call);
  }

  private Refused refused(String why, TreePath where) {
    return Refused.of(
            RefusalKind.NEEDS_OWNER,
            OwnerClass.signature(method()),
            why,
            trees().place(where.getLeaf()))
        .with("Leave it, or say --pass owner to give it the whole " + owner().simpleName() + ".");
  }
}
