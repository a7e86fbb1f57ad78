package paredown.refactor.startup;

import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.effect.Overriding;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;

/** Tells whether a method could run while its object is still being constructed. */
public final class EarlyRun {
  /** Classes of the platform whose constructors call nothing of the object that they construct. */
  private static final Set<String> QUIET =
      Set.of(
          "java.lang.Object",
          "java.lang.Enum",
          "java.io.InputStream",
          "java.io.OutputStream",
          "java.io.Reader",
          "java.io.Writer",
          "java.io.FilterInputStream",
          "java.io.FilterOutputStream",
          "java.io.FilterReader",
          "java.io.FilterWriter",
          "java.text.Format",
          "java.util.AbstractCollection",
          "java.util.AbstractList",
          "java.util.AbstractMap",
          "java.util.AbstractSet");

  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Program program;

  public EarlyRun(OwnerClass owner, OwnerClass.Method method) {
    this.owner = owner;
    this.method = method;
    this.program = owner.program();
  }

  /** Whether the constructors of the classes above the owner call nothing of their object. */
  public boolean isQuietAbove() {
    return isQuietAbove(owner.element());
  }

  /** Whether the constructors of the classes above a class call nothing of its objects. */
  public static boolean isQuietAbove(OwnerClass owner) {
    return new EarlyRun(owner, null).isQuietAbove();
  }

  private boolean isQuietAbove(TypeElement type) {
    if (!(program.types().asElement(type.getSuperclass()) instanceof TypeElement above)) {
      return false;
    }
    if (QUIET.contains(above.getQualifiedName().toString())) {
      return true;
    }
    OwnerClass superclass = OwnerClass.of(program, above);
    return superclass != null
        && code(superclass).allMatch(each -> OwnerTouches.in(superclass, each).isEmpty())
        && isQuietAbove(above);
  }

  /**
   * Whether the method never runs while an object is being made by its own class and those above.
   */
  boolean isNever() {
    return isQuietAbove() && code(owner).allMatch(this::isQuiet);
  }

  /** Whether code of the sources could come to the method while an object is being made. */
  public boolean isInSources() {
    if (!code(owner).allMatch(this::isQuiet)) {
      return true;
    }
    for (Element at = above(owner.element());
        at instanceof TypeElement above && program.declares(above);
        at = above(above)) {
      OwnerClass superclass = OwnerClass.of(program, above);
      if (!code(superclass).allMatch(each -> OwnerTouches.in(superclass, each).isEmpty())) {
        return true;
      }
    }
    return false;
  }

  private Element above(TypeElement type) {
    return program.types().asElement(type.getSuperclass());
  }

  /** What runs when an object of a class is constructed. */
  static Stream<TreePath> code(OwnerClass type) {
    Stream<TreePath> fields =
        type.fields().stream()
            .filter(each -> each.startsWithObject())
            .map(each -> new TreePath(each.path(), each.tree().getInitializer()));
    Stream<TreePath> blocks =
        type.initialisers().stream()
            .filter(each -> !each.tree().isStatic())
            .map(OwnerClass.Initialiser::path);
    Stream<TreePath> constructors =
        type.constructors().stream().map(each -> new TreePath(each.path(), each.tree().getBody()));
    return Stream.of(fields, blocks, constructors).flatMap(each -> each);
  }

  /** Whether code of a constructor or initialiser cannot come to the method. */
  public boolean isQuiet(TreePath code) {
    return OwnerTouches.in(owner, code).stream()
        .allMatch(touch -> touch.called() != null && !reaches(touch.called()));
  }

  /** Whether a value can be worked out without coming to the method. */
  public boolean isQuietValue(TreePath value) {
    return isPlainInner(value) || isQuiet(value);
  }

  /** Whether code makes an object of an inner class that does nothing when it is made. */
  private boolean isPlainInner(TreePath code) {
    if (!(code.getLeaf() instanceof NewClassTree made)
        || made.getClassBody() != null
        || !made.getArguments().isEmpty()) {
      return false;
    }
    Element inner = program.trees().getElement(new TreePath(code, made.getIdentifier()));
    return inner instanceof TypeElement type
        && program.declares(type)
        && code(OwnerClass.of(program, type)).findAny().isEmpty()
        && isQuietAbove(type);
  }

  /** Whether a method of the owner, or one that it calls in turn, could call the method. */
  private boolean reaches(ExecutableElement start) {
    Deque<ExecutableElement> open = new ArrayDeque<>(Set.of(start));
    Set<ExecutableElement> seen = new HashSet<>();
    while (!open.isEmpty()) {
      ExecutableElement next = open.pop();
      if (!seen.add(next)) {
        continue;
      }
      OwnerClass.Method own = owner.method(next).orElse(null);
      if (own == null || next.equals(method.element()) || !Overriding.isFinal(next)) {
        return true;
      }
      for (OwnerTouches.Touch touch : OwnerTouches.in(owner, own.path())) {
        if (touch.called() == null) {
          return true;
        }
        open.push(touch.called());
      }
    }
    return false;
  }
}
