package paredown.refactor.operation.movetype;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** What must hold before a nested type stands alone. */
final class UnnestChecks {
  private final OwnerClass nested;
  private final NewTypeName name;
  private final Overruled overruled;
  private final boolean inStrings;
  private final Program program;
  private final UnitTrees trees;
  private final String here;

  private final Cannot cannot;

  UnnestChecks(OwnerClass nested, NewTypeName name, boolean inStrings, Overruled overruled) {
    this.inStrings = inStrings;
    this.nested = nested;
    this.name = name;
    this.overruled = overruled;
    this.program = nested.program();
    this.trees = nested.trees();
    this.here = trees.place(nested.tree());
    this.cannot = new Cannot("%s cannot stand alone".formatted(nested.writtenName()));
  }

  void require() {
    String key = program.symbols().key(nested.element());
    name.requireFree(use -> use.key().equals(key), "Rename one of the two first.", here);
    requireOpenAround();
    if (new ObjectAround(nested).isThere()) {
      requireNoObjectAround();
    }
    requireNotSealed();
    new NamedFromOutside(nested, "moved", overruled).require(inStrings);
  }

  private void requireOpenAround() {
    for (Element at = nested.element().getEnclosingElement();
        at instanceof TypeElement around;
        at = at.getEnclosingElement()) {
      boolean closed =
          around.getModifiers().contains(Modifier.PRIVATE)
              || around.getNestingKind().isNested()
                  && around.getKind() == ElementKind.CLASS
                  && !around.getModifiers().contains(Modifier.STATIC);
      if (closed) {
        throw cannot.because(
            RefusalKind.NESTED_TYPE,
            "%s, which is around it, is private or belongs to an object"
                .formatted(around.getSimpleName()),
            "Move that first.",
            here);
      }
    }
  }

  private void requireNoObjectAround() {
    boolean generic =
        nested.element().getEnclosingElement() instanceof TypeElement around
            && !around.getTypeParameters().isEmpty();
    if (generic) {
      throw inner(here);
    }
    new ObjectAround(nested)
        .uses().stream()
            .findFirst()
            .ifPresent(
                use -> {
                  throw inner(trees.source().place(use.offset()));
                });
    if (program.types().asElement(nested.element().getSuperclass()) instanceof TypeElement above
        && above.getNestingKind().isNested()
        && !above.getModifiers().contains(Modifier.STATIC)) {
      throw inner(here);
    }
    program.units().forEach(unit -> requirePlainCreations(new UnitTrees(program, unit)));
  }

  private Refused inner(String place) {
    return cannot.because(
        RefusalKind.INNER_OBJECT,
        "each of its objects belongs to one of the class around it",
        "Let it take what it needs of that in its constructor, and make it static first.",
        place);
  }

  /** What is made for an object that is named there would have to be written anew. */
  private void requirePlainCreations(UnitTrees in) {
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        Element made = in.element(getCurrentPath());
        boolean own = made != null && nested.element().equals(made.getEnclosingElement());
        if (own && tree.getEnclosingExpression() != null) {
          throw inner(in.place(tree));
        }
        return super.visitNewClass(tree, null);
      }
    }.scan(in.unit().tree(), null);
  }

  /** What is sealed without saying whom it permits permits those of its file. */
  private void requireNotSealed() {
    for (var above : program.types().directSupertypes(nested.element().asType())) {
      if (program.types().asElement(above) instanceof TypeElement type
          && type.getModifiers().contains(Modifier.SEALED)) {
        requirePermitting(type);
      }
    }
    boolean below =
        nested.element().getPermittedSubclasses().stream()
            .map(each -> program.types().asElement(each).getEnclosingElement())
            .anyMatch(around -> !around.equals(nested.element()));
    if (below && nested.element().getKind() != ElementKind.ENUM) {
      requirePermitting(nested.element());
    }
  }

  private void requirePermitting(TypeElement type) {
    TreePath path = program.declaration(type);
    boolean says = path != null && !((ClassTree) path.getLeaf()).getPermitsClause().isEmpty();
    if (!says) {
      throw cannot.because(
          RefusalKind.TARGET_ELSEWHERE,
          "%s is sealed, and permits only what stands in its file".formatted(type.getSimpleName()),
          "Let it say what it permits first.",
          here);
    }
  }
}
