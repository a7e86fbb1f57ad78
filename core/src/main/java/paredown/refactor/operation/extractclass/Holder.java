package paredown.refactor.operation.extractclass;

import java.util.List;
import java.util.Optional;
import paredown.edit.Written;
import paredown.program.Symbols;

/**
 * The holder is the field in which the old class keeps the new object.
 *
 * @param name the field's name
 * @param type the new class
 * @param outside whether other files use it, so that it cannot be private
 * @param variables the old class's type variables that the new class has as well
 * @param copied where clones get an object of their own; empty where they share it
 * @param setter the method that puts another object in; empty text where it stays for good
 */
record Holder(
    String name,
    NewClass type,
    boolean outside,
    List<String> variables,
    Optional<OwnCopy> copied,
    String setter) {

  /** The old class's binary name. */
  String ownerType() {
    return type.owner().binaryName();
  }

  String key() {
    return Symbols.fieldKey(ownerType(), name);
  }

  /** Writes its type as the old class names it. */
  Written.Text type(Written.Text text) {
    text.name(type.name(), type.key());
    String separator = "<";
    for (String variable : variables) {
      text.text(separator)
          .name(variable, Symbols.variableKey(variable, Symbols.typeKey(ownerType())));
      separator = ", ";
    }
    return text.text(variables.isEmpty() ? "" : ">");
  }

  String modifiers() {
    return (outside ? "" : "private ") + (setter.isEmpty() && copied.isEmpty() ? "final " : "");
  }
}
