package paredown.gate;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Region;
import paredown.edit.Replacement;
import paredown.program.Program;

/** The part of <em>bindings kept</em> that looks at the types of expressions. */
final class ExpressionTypes {
  private final Program before;
  private final Program after;
  private final Change change;

  ExpressionTypes(Program before, Program after, Change change) {
    this.before = before;
    this.after = after;
    this.change = change;
  }

  /** The words for another type than an expression had; empty where it has the same. */
  Optional<String> instead(
      ChangedFile file, Intervals<Region> regions, Nodes.Node now, Nodes.Node then) {
    boolean written =
        regions.touching(now.start(), now.end()).stream()
            .anyMatch(region -> region.start() == now.start() && region.end() == now.end());
    boolean retyped =
        regions.touching(now.start(), now.end()).stream()
            .filter(region -> region.start() == now.start() && region.end() == now.end())
            .anyMatch(region -> region.proof().equals(Replacement.OTHER_TYPE));
    boolean call = now.kind() == Tree.Kind.METHOD_INVOCATION;
    if (now.kind() != then.kind() || written && !call || retyped) {
      // What was written may hold another object; a call that stands for a call gives its result.
      return Optional.empty();
    }
    if (!now.isExpression() || !then.isExpression() || isNoValue(after, now.path())) {
      return Optional.empty();
    }
    if (isNoValue(before, then.path())) {
      return Optional.empty();
    }
    String type = type(after, now.path());
    String expected = type(before, then.path());
    boolean same =
        change.isSameType(expected, type)
            || isSelf(then)
            || isUnused(now)
            || isTyped(file, now, expected, type);
    return same
        ? Optional.empty()
        : Optional.of("would have the type " + type + " instead of " + expected);
  }

  /** Whether an expression has the type that its type variables are said to be where it is now. */
  private boolean isTyped(ChangedFile file, Nodes.Node now, String expected, String type) {
    return file.runs().stream()
        .filter(run -> run.self() != null && !run.self().variables().isEmpty())
        .filter(run -> run.start() < now.end() && now.start() < run.start() + run.length())
        .anyMatch(run -> change.isSameType(run.self().typed(expected), type));
  }

  /** Whether an expression is the name of a type, or of a method that is called. */
  private static boolean isNoValue(Program program, TreePath path) {
    Tree tree = path.getLeaf();
    if (path.getParentPath().getLeaf() instanceof MethodInvocationTree call
        && call.getMethodSelect() == tree) {
      return true;
    }
    if (tree instanceof IdentifierTree || tree instanceof MemberSelectTree) {
      Element element = program.trees().getElement(path);
      return element == null || element instanceof TypeElement || element instanceof PackageElement;
    }
    return false;
  }

  private static boolean isUnused(Nodes.Node node) {
    return node.path().getParentPath().getLeaf() instanceof ExpressionStatementTree;
  }

  private static boolean isSelf(Nodes.Node then) {
    Tree tree = then.path().getLeaf();
    return tree instanceof IdentifierTree name
            && (name.getName().contentEquals("this") || name.getName().contentEquals("super"))
        || tree instanceof MemberSelectTree select && select.getIdentifier().contentEquals("this");
  }

  private static String type(Program program, TreePath path) {
    TypeMirror type = program.trees().getTypeMirror(path);
    return type == null || type.getKind() == TypeKind.NONE || type.getKind() == TypeKind.PACKAGE
        ? ""
        : program.symbols().text(type);
  }
}
