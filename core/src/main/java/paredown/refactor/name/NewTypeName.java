package paredown.refactor.name;

import java.util.function.Predicate;
import paredown.program.Program;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;

/**
 * The simple name of a type that is new in a package: from then on it means that type in the
 * package's files, but where they import another by name.
 *
 * @param packageName the package
 * @param name the simple name
 */
public record NewTypeName(Program program, String packageName, String name) {

  /** The whole name of the type. */
  public String qualified() {
    return (packageName.isEmpty() ? "" : packageName + ".") + name;
  }

  /**
   * Requires that no type has the name, and that no file of the package means another by it.
   *
   * @param same tells which uses mean the type itself, which has another place now
   * @param advice how to get out of it
   * @param place where it stands, or will
   * @throws Refused where there is one
   */
  public void requireFree(Predicate<Use> same, String advice, String place) {
    if (program.elements().getTypeElement(qualified()) != null) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN, "There is a class %s already.".formatted(name), advice, place);
    }
    program
        .uses()
        .all()
        .filter(use -> use.isName() && use.key().startsWith("type "))
        .filter(use -> use.key().matches(".*[.$ ]" + name))
        .filter(same.negate())
        .filter(this::isNamedAlone)
        .findFirst()
        .ifPresent(
            use -> {
              throw Refused.advising(
                  RefusalKind.NAME_TAKEN,
                  "%s means another class there.".formatted(name),
                  advice,
                  program.unit(use.file()).orElseThrow().source().place(use.offset()));
            });
  }

  private boolean isNamedAlone(Use use) {
    UnitTrees trees = new UnitTrees(program, program.unit(use.file()).orElseThrow());
    return trees.packageName().equals(packageName)
        && trees.source().text().startsWith(name, use.offset())
        && !trees.source().isBehindDot(use.offset());
  }
}
