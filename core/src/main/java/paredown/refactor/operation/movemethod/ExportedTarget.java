package paredown.refactor.operation.movemethod;

import java.util.List;
import paredown.program.ModuleDeclaration;
import paredown.program.Sources;
import paredown.project.Module;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** Callers in another module of the platform's kind see the exported packages only. */
final class ExportedTarget {
  private ExportedTarget() {}

  /** Refuses where a caller in another module could not see the method where it goes. */
  static void require(Moving moving, List<MemberUses.MemberUse> callers) {
    Sources sources = moving.program().sources();
    Module home = module(sources, moving.target().trees().path());
    for (MemberUses.MemberUse use : callers) {
      boolean elsewhere = !module(sources, use.file()).directory().equals(home.directory());
      if (elsewhere
          && ModuleDeclaration.of(sources.project(), home)
              .filter(declared -> !declared.exports(moving.target().packageName()))
              .isPresent()) {
        throw Refused.advising(
            RefusalKind.DELEGATE_NEEDED,
            "%s cannot leave its old place: another module calls it, and %s is not exported."
                .formatted(OwnerClass.signature(moving.method()), moving.target().packageName()),
            "Say --delegate keep.",
            use.place());
      }
    }
  }

  private static Module module(Sources sources, String file) {
    return sources.file(file).orElseThrow().module();
  }
}
