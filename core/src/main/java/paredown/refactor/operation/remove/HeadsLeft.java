package paredown.refactor.operation.remove;

import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.MadeFromOutside;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;

/** The heads that are left of methods without parameters that go. */
final class HeadsLeft {
  private final String name;
  private final GoingParameters going;
  private final OwnerClass owner;
  private final Program program;

  /**
   * @param name of the parameter that was named
   */
  HeadsLeft(String name, GoingParameters going) {
    this.name = name;
    this.going = going;
    this.owner = going.owner();
    this.program = owner.program();
  }

  /**
   * Requires that nobody looks a method up by its name, since it would be asked for with the old
   * types, and that no other method has what is left.
   *
   * @throws Refused where that is not so
   */
  void require() {
    for (ExecutableElement each : going.all().keySet()) {
      TypeElement type = (TypeElement) each.getEnclosingElement();
      if (each.getKind() == ElementKind.METHOD) {
        new ReflectionCheck(OwnerClass.of(program, type), Map.of(each, program.symbols().key(each)))
            .require();
      } else {
        MadeFromOutside.assume(owner, type);
      }
      requireFree(each, type);
    }
    boolean closed =
        going.all().keySet().stream()
            .allMatch(each -> each.getModifiers().contains(Modifier.PRIVATE));
    OnlookersFromOutside.assume(owner, closed ? List.of() : List.copyOf(going.names()));
  }

  /** No other method may have the name with the parameters that are left. */
  private void requireFree(ExecutableElement method, TypeElement type) {
    List<String> kept = going.kept(method);
    for (Element each : program.elements().getAllMembers(type)) {
      boolean clashes =
          each instanceof ExecutableElement other
              && !going.all().containsKey(other)
              && other.getKind() == method.getKind()
              && other.getSimpleName().equals(method.getSimpleName())
              && erased(other).equals(kept);
      if (clashes) {
        throw Refused.advising(
            RefusalKind.NAME_TAKEN,
            "%s cannot be removed: %s would have two %s with the same parameters."
                .formatted(name, type.getSimpleName(), several(method)),
            method.getKind() == ElementKind.CONSTRUCTOR
                ? "Leave the parameter, or give the other one more first."
                : "Rename one of them first: pare rename --help.",
            owner.trees().place(owner.tree()));
      }
    }
  }

  private static String several(ExecutableElement method) {
    return method.getKind() == ElementKind.CONSTRUCTOR
        ? "constructors"
        : "methods " + method.getSimpleName();
  }

  private List<String> erased(ExecutableElement method) {
    return method.getParameters().stream()
        .map(each -> program.types().erasure(each.asType()).toString())
        .toList();
  }
}
