package paredown.refactor.startup;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;

/**
 * The classes that code starts, if they are not started yet: it reads their static fields, calls
 * their static methods or makes their objects.
 *
 * <p>The Java Language Specification, section 12.4.1.
 */
public final class Starts {
  private Starts() {}

  /** The classes that show it when they are started, or could, with how much. */
  public static Map<TypeElement, StaticStart.Sound> in(Program program, TreePath code) {
    Map<TypeElement, StaticStart.Sound> loud = new LinkedHashMap<>();
    TypeElement here = null;
    for (TypeElement type : named(program, code)) {
      here = here == null ? innermost(program, code) : here;
      StaticStart.Sound sound =
          here == null ? StaticStart.Sound.QUIET : new StaticStart(program).of(type, here);
      if (sound != StaticStart.Sound.QUIET) {
        loud.put(type, sound);
      }
    }
    return loud;
  }

  private static Set<TypeElement> named(Program program, TreePath code) {
    Set<TypeElement> started = started(program, code);
    Set<TypeElement> found = new LinkedHashSet<>();
    new TreePathScanner<Void, Void>() {
      private void add(Element element) {
        boolean constant =
            element instanceof VariableElement variable && variable.getConstantValue() != null;
        boolean starts =
            element != null
                && !constant
                && (element.getKind() == ElementKind.CONSTRUCTOR
                    || element.getModifiers().contains(Modifier.STATIC)
                        && (element.getKind().isField()
                            || element.getKind() == ElementKind.METHOD));
        if (starts
            && element.getEnclosingElement() instanceof TypeElement type
            && !started.contains(type)
            && program.declares(type)) {
          found.add(type);
        }
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        add(program.trees().getElement(getCurrentPath()));
        return null;
      }

      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        add(program.trees().getElement(getCurrentPath()));
        return super.visitMemberSelect(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        add(program.trees().getElement(getCurrentPath()));
        return super.visitNewClass(tree, null);
      }
    }.scan(code, null);
    return found;
  }

  /** The classes that are started where the code runs: its own, and those above it. */
  private static Set<TypeElement> started(Program program, TreePath code) {
    Set<TypeElement> started = new LinkedHashSet<>();
    for (TreePath at = code; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && program.trees().getElement(at) instanceof TypeElement type) {
        started.add(type);
        program.supertypes(type).stream()
            .filter(each -> each.getKind() == ElementKind.CLASS)
            .forEach(started::add);
        boolean within =
            type.getNestingKind() == NestingKind.LOCAL
                || type.getNestingKind() == NestingKind.ANONYMOUS
                || type.getNestingKind() == NestingKind.MEMBER
                    && type.getKind() == ElementKind.CLASS
                    && !type.getModifiers().contains(Modifier.STATIC);
        if (!within) {
          break;
        }
      }
    }
    return started;
  }

  private static TypeElement innermost(Program program, TreePath code) {
    for (TreePath at = code; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && program.trees().getElement(at) instanceof TypeElement type) {
        return type;
      }
    }
    return null;
  }
}
