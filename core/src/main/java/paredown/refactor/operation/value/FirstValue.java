package paredown.refactor.operation.value;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** The value that a field has from the start, and whether it passes the check of the new type. */
final class FirstValue {
  private static final String HOLDER = "FirstValueThatIsChecked";

  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final Optional<String> check;

  FirstValue(OwnerClass owner, OwnerClass.Field field, Optional<String> check) {
    this.owner = owner;
    this.field = field;
    this.check = check;
  }

  /**
   * Requires that a value passes, where the compiler can tell what it is.
   *
   * @param written the value as it is written
   * @param known whether the compiler must be able to tell
   * @throws paredown.refactor.Refused where it does not
   */
  void require(String written, boolean known) {
    Optional<Boolean> passes = check.flatMap(condition -> passes(condition, written));
    if (check.isPresent() && !passes.orElse(!known)) {
      String breaks = passes.isPresent() ? "breaks" : "may break";
      throw new Cannot("%s cannot be a value with that check".formatted(field.name()))
          .because(
              RefusalKind.NO_VALUE,
              "it is %s until somebody sets it, which %s the check".formatted(written, breaks),
              "Give it another value where it is declared first, or leave --check out.",
              owner.trees().place(field.tree()));
    }
  }

  private Optional<Boolean> passes(String condition, String written) {
    String path = HOLDER + ".java";
    String text =
        "class %s { static final %s value = %s; static final boolean passes = %s; }"
            .formatted(HOLDER, field.element().asType(), written, condition);
    Program alone =
        Program.attribute(
            owner.program().sources(),
            Map.of(path, new SourceText(path, text, StandardCharsets.UTF_8)));
    TypeElement holder = alone.elements().getTypeElement(HOLDER);
    return holder == null || !alone.errors().isEmpty()
        ? Optional.empty()
        : ElementFilter.fieldsIn(holder.getEnclosedElements()).stream()
            .filter(each -> each.getSimpleName().contentEquals("passes"))
            .map(VariableElement::getConstantValue)
            .filter(Boolean.class::isInstance)
            .map(Boolean.class::cast)
            .findFirst();
  }
}
