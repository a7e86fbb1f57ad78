package paredown.bench.sites;

import com.sun.source.tree.ClassTree;
import com.sun.source.util.TreePathScanner;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** The code of a project without its tests, one file after the other. */
public final class MainCode {
  private MainCode() {}

  public static void of(Sources sources, Predicate<String> isMain, Consumer<UnitTrees> look) {
    for (SourceFile file : sources.files()) {
      if (isMain.test(file.path())) {
        Program program = Program.of(sources, Set.of(file.path()));
        look.accept(new UnitTrees(program, program.unit(file.path()).orElseThrow()));
      }
    }
  }

  /** Each class that has a name, with its members. */
  public static void classes(Sources sources, Predicate<String> isMain, Consumer<OwnerClass> look) {
    of(
        sources,
        isMain,
        trees ->
            new TreePathScanner<Void, Void>() {
              @Override
              public Void visitClass(ClassTree tree, Void unused) {
                if (trees.element(getCurrentPath()) instanceof TypeElement type
                    && !type.getQualifiedName().toString().isEmpty()) {
                  look.accept(OwnerClass.of(trees.program(), type));
                }
                return super.visitClass(tree, null);
              }
            }.scan(trees.unit().tree(), null));
  }
}
