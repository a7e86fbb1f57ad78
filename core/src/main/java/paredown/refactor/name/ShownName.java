package paredown.refactor.name;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.use.MadeFromOutside;
import paredown.refactor.use.OwnerClass;

/** The name of a type as the running program shows it or looks for it. */
public final class ShownName {
  /** Words that ask for the names of classes. */
  private static final List<String> ASKING =
      List.of(
          "getSimpleName",
          "getTypeName",
          "getCanonicalName",
          "getPackageName",
          "getPackage",
          "forName",
          "loadClass");

  /** Many other things than classes have a name. */
  private static final Pattern NAME_OF_CLASS =
      Pattern.compile("(?:getClass\\(\\)|\\.class)\\s*\\.\\s*getName\\b");

  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;

  public ShownName(OwnerClass owner, SourceIndex index) {
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
  }

  /** Assumes that it does not matter, where code asks for names or shows this one. */
  public void assume() {
    Set<String> asking = new TreeSet<>(index.filesWith(ASKING));
    index.filesWith(List.of("getName")).stream()
        .filter(file -> NAME_OF_CLASS.matcher(program.sources().text(file).text()).find())
        .forEach(asking::add);
    if (!asking.isEmpty() || showsName(owner.element())) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.NAME,
              "nothing that matters shows or looks for the name of %s while the program runs"
                  .formatted(owner.simpleName()),
              asking.isEmpty() ? owner.trees().place(owner.tree()) : asking.iterator().next());
    }
  }

  /** Assumes that nothing looks for it, where code looks for classes by their names. */
  public void assumeUnlooked() {
    index.filesWith(MadeFromOutside.LOOKING).stream()
        .sorted()
        .findFirst()
        .ifPresent(
            file ->
                owner
                    .assumptions()
                    .add(
                        Assumption.Kind.NAME,
                        "nothing looks for %s by its name while the program runs"
                            .formatted(owner.simpleName()),
                        file));
  }

  /** Whether the text that an object makes of itself holds the name of its class. */
  private boolean showsName(TypeElement type) {
    if (type.getKind().isInterface() || type.getKind() == ElementKind.ENUM) {
      return false;
    }
    for (TypeElement each = type;
        program.declares(each);
        each = (TypeElement) program.types().asElement(each.getSuperclass())) {
      boolean own =
          ElementFilter.methodsIn(each.getEnclosedElements()).stream()
              .filter(method -> method.getParameters().isEmpty())
              .filter(method -> program.trees().getPath(method) != null)
              .anyMatch(method -> method.getSimpleName().contentEquals("toString"));
      if (own) {
        return owner.source().text().contains("super.toString");
      }
    }
    return true;
  }
}
