package paredown.refactor.operation.parameterobject;

import java.util.Map;
import java.util.TreeMap;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;

/** The type names of each file that changes, with the imports that they need. */
final class FileNames {
  private final Program program;
  private final EditList edits;
  private final Map<String, TypeNames> byFile = new TreeMap<>();

  FileNames(Program program, EditList edits) {
    this.program = program;
    this.edits = edits;
  }

  TypeNames of(UnitTrees trees) {
    return byFile.computeIfAbsent(
        trees.path(), each -> new TypeNames(trees, program.symbols()::key));
  }

  void addImports() {
    byFile.forEach((file, names) -> names.imports().forEach(each -> edits.add(file, each)));
  }
}
