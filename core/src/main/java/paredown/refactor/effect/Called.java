package paredown.refactor.effect;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;

/** What methods do that are called, with all that could run in their place. */
final class Called {
  /** How many calls deep code is followed. */
  private static final int DEPTH = 4;

  /** How many calls deep a file is read for it that nothing else needs. */
  private static final int READING = 1;

  /** More declarations than these that could run are not looked at. */
  private static final int MOST = 6;

  private final Program program;
  private final Effects effects;
  private final Overriders overriders;
  private final Map<Element, Deeds> known = new HashMap<>();
  private final Set<Element> open = new HashSet<>();

  Called(Program program, Effects effects) {
    this.program = program;
    this.effects = effects;
    this.overriders = new Overriders(program);
  }

  /** What a call of a method does, whoever is asked. */
  Deeds of(ExecutableElement method, int depth) {
    Deeds deeds = known.get(method);
    if (deeds != null) {
      return deeds;
    }
    if (!open.add(method)) {
      // What it does is being found out already.
      return new Deeds();
    }
    try {
      deeds = find(method, depth);
      if (depth <= READING) {
        known.put(method, deeds);
      }
      return deeds;
    } finally {
      open.remove(method);
    }
  }

  private static Deeds only(Deed deed) {
    Deeds deeds = new Deeds();
    deeds.add(deed, null);
    return deeds;
  }

  private Deeds find(ExecutableElement method, int depth) {
    TypeElement type = (TypeElement) method.getEnclosingElement();
    if (Platform.isOf(type)) {
      Deeds deeds = new Deeds();
      Platform.of(method).forEach(deed -> deeds.add(deed, null));
      return deeds;
    }
    if (depth >= DEPTH || !program.declares(type) && !isRecordPart(method)) {
      return only(Deed.UNKNOWN);
    }
    Deeds deeds = new Deeds();
    if (method.getKind() == ElementKind.CONSTRUCTOR
        || method.getModifiers().contains(Modifier.STATIC)) {
      start(type, depth, deeds);
    }
    if (method.getKind() == ElementKind.CONSTRUCTOR) {
      construct(type, method, depth, deeds);
      return deeds;
    }
    boolean interfaces = type.getKind().isInterface();
    boolean isStatic = method.getModifiers().contains(Modifier.STATIC);
    if (interfaces && !isStatic) {
      // A lambda, or a class that is not looked at, could be asked.
      return only(Deed.UNKNOWN);
    }
    List<ExecutableElement> others = overriders.of(method);
    if (others.size() > MOST) {
      return only(Deed.UNKNOWN);
    }
    body(method, depth, deeds);
    others.forEach(other -> body(other, depth, deeds));
    return deeds;
  }

  private static boolean isRecordPart(ExecutableElement method) {
    return method.getEnclosingElement().getKind() == ElementKind.RECORD;
  }

  private void body(ExecutableElement method, int depth, Deeds deeds) {
    if (method.getModifiers().contains(Modifier.ABSTRACT)) {
      return;
    }
    TreePath path = declaration(method, depth);
    if (path == null) {
      boolean accessor = isRecordPart(method) && method.getParameters().isEmpty();
      if (!accessor) {
        deeds.add(Deed.UNKNOWN, null);
      }
      return;
    }
    if (path.getLeaf() instanceof MethodTree tree && tree.getBody() != null) {
      deeds.addCalled(effects.of(new TreePath(path, tree.getBody()), null, depth + 1), null);
    } else if (!isRecordPart(method)) {
      deeds.add(Deed.UNKNOWN, null);
    }
  }

  /** Where a method is declared; null where its file is not to be read for this. */
  private TreePath declaration(Element element, int depth) {
    if (depth > READING && program.isSkeleton(element)) {
      return null;
    }
    return program.declaration(element);
  }

  private void construct(TypeElement type, ExecutableElement constructor, int depth, Deeds deeds) {
    TreePath path = declaration(type, depth);
    if (path == null || !(path.getLeaf() instanceof ClassTree tree)) {
      deeds.add(Deed.UNKNOWN, null);
      return;
    }
    for (Tree member : tree.getMembers()) {
      TreePath at = new TreePath(path, member);
      boolean runs =
          member instanceof VariableTree field && field.getInitializer() != null && !isStatic(at)
              || member instanceof BlockTree block && !block.isStatic();
      if (runs) {
        deeds.addCalled(effects.of(at, type, depth + 1), null);
      }
    }
    TreePath own = program.declaration(constructor);
    if (own != null && own.getLeaf() instanceof MethodTree method && method.getBody() != null) {
      deeds.addCalled(effects.of(new TreePath(own, method.getBody()), type, depth + 1), null);
    }
    if (program.types().asElement(type.getSuperclass()) instanceof TypeElement above
        && own == null) {
      aboveWithoutWords(above, depth, deeds);
    }
  }

  /** A constructor that stands in no text calls the one of its superclass without parameters. */
  private void aboveWithoutWords(TypeElement above, int depth, Deeds deeds) {
    javax.lang.model.util.ElementFilter.constructorsIn(above.getEnclosedElements()).stream()
        .filter(each -> each.getParameters().isEmpty())
        .findFirst()
        .ifPresent(each -> deeds.addCalled(of(each, depth + 1), null));
  }

  /** Which fields are set or looked at where a class is used first; of the rest nothing is told. */
  private void start(TypeElement type, int depth, Deeds deeds) {
    TreePath path = declaration(type, depth);
    if (path == null || !(path.getLeaf() instanceof ClassTree tree) || !open.add(type)) {
      return;
    }
    for (Tree member : tree.getMembers()) {
      TreePath at = new TreePath(path, member);
      boolean runs =
          member instanceof VariableTree field && field.getInitializer() != null && isStatic(at)
              || member instanceof BlockTree block && block.isStatic();
      if (runs) {
        Deeds starting = effects.of(at, null, depth + 1);
        starting.fields().stream()
            .filter(field -> !type.equals(field.getEnclosingElement()))
            .forEach(field -> deeds.sets(field, null));
        starting.lookedAt().stream()
            .filter(field -> !type.equals(field.getEnclosingElement()))
            .forEach(deeds::looksAt);
      }
    }
    open.remove(type);
  }

  private boolean isStatic(TreePath member) {
    Element element = program.trees().getElement(member);
    return element != null && element.getModifiers().contains(Modifier.STATIC);
  }

  /** What making text of a value does. */
  Deeds text(TypeMirror type, int depth) {
    if (type == null || !(type instanceof DeclaredType declared)) {
      boolean plain = type != null && (type.getKind().isPrimitive() || isArrayOrNull(type));
      return plain ? new Deeds() : only(Deed.MAKES_TEXT);
    }
    TypeElement element = (TypeElement) declared.asElement();
    String name = element.getQualifiedName().toString();
    if (name.matches(
        "java\\.lang\\.(String|Integer|Long|Short|Byte|Character|Boolean|Double|Float)"
            + "|java\\.(math|time)\\..*|java\\.lang\\.StringBuilder")) {
      return new Deeds();
    }
    if (Platform.isOf(element)) {
      return only(Deed.MAKES_TEXT);
    }
    ExecutableElement method = Effects.method(program, element, "toString");
    boolean told =
        method != null
            && !element.getKind().isInterface()
            && program.declares((TypeElement) method.getEnclosingElement());
    boolean plainEnum = element.getKind() == ElementKind.ENUM && !told;
    return told ? of(method, depth) : plainEnum ? new Deeds() : only(Deed.MAKES_TEXT);
  }

  private static boolean isArrayOrNull(TypeMirror type) {
    return switch (type.getKind()) {
      case ARRAY, NULL -> true;
      default -> false;
    };
  }

  /** What closing a resource does. */
  Deeds closing(TypeMirror type, int depth) {
    ExecutableElement method =
        type instanceof DeclaredType declared
            ? Effects.method(program, (TypeElement) declared.asElement(), "close")
            : null;
    return method == null ? only(Deed.UNKNOWN) : of(method, depth);
  }
}
