package paredown.bench;

import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.refactor.code.UnitTrees;

/** The code of a project without its tests, one file after the other. */
final class MainCode {
  private MainCode() {}

  static void of(Sources sources, Predicate<String> isMain, Consumer<UnitTrees> look) {
    for (SourceFile file : sources.files()) {
      if (isMain.test(file.path())) {
        Program program = Program.of(sources, Set.of(file.path()));
        look.accept(new UnitTrees(program, program.unit(file.path()).orElseThrow()));
      }
    }
  }
}
