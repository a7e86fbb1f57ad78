package paredown.refactor.use;

import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.program.Symbols;

/** A method, or a variable of one, as it is named in a command. */
public final class NamedVariable {
  private NamedVariable() {}

  /**
   * The one method that a selector means.
   *
   * @throws UnusableRequest where there is none, or several
   */
  public static OwnerClass.Method method(OwnerClass owner, String selector) {
    return one(owner, selector, owner.methods(List.of(selector)));
  }

  /**
   * The one method or constructor that a selector means; constructors have the name of the class.
   *
   * @throws UnusableRequest where there is none, or several
   */
  public static OwnerClass.Method body(OwnerClass owner, String selector) {
    List<OwnerClass.Method> meant = constructors(owner, selector);
    boolean ofMethod =
        owner.methods().stream().anyMatch(each -> each.name().equals(owner.simpleName()));
    if (meant.isEmpty() && isOf(owner, selector) && !owner.constructors().isEmpty() && !ofMethod) {
      throw new UnusableRequest(
          "%s has no constructor %s.".formatted(owner.writtenName(), selector),
          "It has: " + listed(owner, owner.constructors()) + ".");
    }
    return meant.isEmpty() ? method(owner, selector) : one(owner, selector, meant);
  }

  /** The constructors that a selector means; none where it has another name than the class. */
  public static List<OwnerClass.Method> constructors(OwnerClass owner, String selector) {
    return owner.constructors().stream()
        .filter(each -> isOf(owner, selector))
        .filter(
            each -> !selector.contains("(") || said(owner, each).equals(selector.replace(" ", "")))
        .toList();
  }

  /** Whether a selector says the name that the constructors of a class have. */
  private static boolean isOf(OwnerClass owner, String selector) {
    return selector.replaceAll("\\(.*", "").equals(owner.simpleName());
  }

  private static String listed(OwnerClass owner, List<OwnerClass.Method> methods) {
    return methods.stream().map(each -> said(owner, each)).collect(Collectors.joining(", "));
  }

  /** The signature of a method or constructor as a command says it. */
  public static String said(OwnerClass owner, OwnerClass.Method method) {
    return OwnerClass.signature(method).replace("<init>", owner.simpleName());
  }

  private static OwnerClass.Method one(
      OwnerClass owner, String selector, List<OwnerClass.Method> meant) {
    if (meant.size() > 1) {
      throw new UnusableRequest(
          "%s has %d methods %s.".formatted(owner.writtenName(), meant.size(), selector),
          "Say which: " + listed(owner, meant) + ".");
    }
    return meant.get(0);
  }

  /**
   * The declaration of the one parameter or local variable of a name.
   *
   * @throws UnusableRequest where there is none, or several
   */
  public static TreePath of(OwnerClass owner, OwnerClass.Method method, String name) {
    List<TreePath> found = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        boolean local = Symbols.isLocal(owner.trees().element(getCurrentPath()));
        if (local && tree.getName().contentEquals(name)) {
          found.add(getCurrentPath());
        }
        return super.visitVariable(tree, null);
      }
    }.scan(method.path(), null);
    if (found.size() != 1) {
      String count = found.isEmpty() ? "no variable " : found.size() + " variables ";
      throw new UnusableRequest(
          OwnerClass.signature(method) + " has " + count + name + ".",
          "Name a parameter or a local variable that it has once.");
    }
    return found.get(0);
  }
}
