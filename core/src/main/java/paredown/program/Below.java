package paredown.program;

import com.sun.source.tree.ClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;

/** Finds the types of a project that are below others, all but those within bodies by skeletons. */
public final class Below {
  private Below() {}

  /**
   * The types below some types, these left out: all that have a name, and in the files of the
   * program those without one.
   */
  public static Set<TypeElement> of(Program program, Collection<TypeElement> types) {
    Set<TypeElement> found = new LinkedHashSet<>();
    SourceIndex index = program.sources().index();
    Set<String> names = new TreeSet<>();
    for (TypeElement type : types) {
      names.addAll(index.namesOfSubtypes(type.getSimpleName().toString()));
    }
    for (DeclaredType declared : index.types()) {
      boolean known =
          names.contains(declared.simpleName())
              && declared.header().stream().anyMatch(names::contains);
      TypeElement type = known ? program.elements().getTypeElement(declared.name()) : null;
      if (type != null && isBelow(program, type, types)) {
        found.add(type);
      }
    }
    for (Unit unit : program.units()) {
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitClass(ClassTree tree, Void unused) {
          TreePath path = getCurrentPath();
          Element element = program.trees().getElement(path);
          if (element instanceof TypeElement type
              && type.getNestingKind() != NestingKind.TOP_LEVEL
              && isBelow(program, type, types)) {
            found.add(type);
          }
          return super.visitClass(tree, null);
        }
      }.scan(unit.tree(), null);
    }
    return found;
  }

  private static boolean isBelow(Program program, TypeElement type, Collection<TypeElement> types) {
    Set<TypeElement> above = program.supertypes(type);
    return types.stream().anyMatch(above::contains);
  }
}
