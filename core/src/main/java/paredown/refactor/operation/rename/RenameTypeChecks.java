package paredown.refactor.operation.rename;

import java.util.Optional;
import javax.lang.model.util.ElementFilter;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** What must hold before a type gets another name: nobody looks for it by the old one. */
final class RenameTypeChecks {
  private final RenameType arguments;
  private final DeclaredType header;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final Overruled overruled;

  RenameTypeChecks(
      RenameType arguments,
      DeclaredType header,
      OwnerClass owner,
      SourceIndex index,
      Overruled overruled) {
    this.arguments = arguments;
    this.header = header;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    this.overruled = overruled;
  }

  void require() {
    requireFree();
    requireNoTests();
    new NamedFromOutside(owner, "renamed", overruled).require(arguments.inStrings());
  }

  private String here() {
    return owner.trees().place(owner.tree());
  }

  private void requireFree() {
    String around =
        header.name().substring(0, header.name().length() - owner.simpleName().length());
    Optional<DeclaredType> taken =
        index.types().stream()
            .filter(type -> type.name().equals(around + arguments.name()))
            .findFirst();
    String file = header.file().substring(0, header.file().lastIndexOf('/') + 1);
    boolean fileTaken =
        program.sources().file(file + arguments.name() + ".java").isPresent()
            && header.depth() == 0;
    if (taken.isPresent() || fileTaken) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "%s cannot be named %s: %s is there already."
              .formatted(
                  owner.simpleName(),
                  arguments.name(),
                  taken.isPresent() ? "a type of that name" : "a file of that name"),
          "Choose another with --name.",
          taken.map(DeclaredType::file).orElse(file + arguments.name() + ".java"));
    }
  }

  private void requireNoTests() {
    boolean test =
        program
            .sources()
            .file(header.file())
            .filter(file -> file.kind() == SourceFile.Kind.TEST)
            .isPresent();
    boolean holdsTests =
        ElementFilter.methodsIn(owner.element().getEnclosedElements()).stream()
            .flatMap(method -> method.getAnnotationMirrors().stream())
            .anyMatch(each -> each.getAnnotationType().toString().startsWith("org.junit."));
    if (test && holdsTests) {
      throw fixed("its tests are told by the name of their class");
    }
  }

  private Refused fixed(String why) {
    return Refused.advising(
        RefusalKind.FIXED_NAME,
        "%s cannot be renamed: %s.".formatted(owner.simpleName(), why),
        "",
        here());
  }
}
