package paredown.refactor.plan;

import java.util.Map;
import java.util.TreeMap;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;

/** The type names of each file that changes, with the imports that they need. */
public final class FileNames {
  private final Program program;
  private final EditList edits;
  private final Map<String, TypeNames> byFile = new TreeMap<>();

  public FileNames(Program program, EditList edits) {
    this.program = program;
    this.edits = edits;
  }

  public TypeNames of(UnitTrees trees) {
    return byFile.computeIfAbsent(
        trees.path(), each -> new TypeNames(trees, program.symbols()::key));
  }

  /** Adds the imports that the written names need. */
  public void addImports() {
    byFile.forEach((file, names) -> names.imports().forEach(each -> edits.add(file, each)));
  }
}
