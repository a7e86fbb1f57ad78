package paredown.refactor;

import java.util.List;
import paredown.edit.Written;
import paredown.program.Symbols;

/**
 * The holder is the field in which the old class keeps the new object.
 *
 * @param name the field's name
 * @param simpleType the new class's simple name
 * @param typeName the new class's binary name
 * @param ownerType the old class's binary name
 * @param outside whether other files use it, so that it cannot be private
 * @param variables the old class's type variables that the new class has as well
 * @param nested whether the new class is within the old
 * @param setter the method that puts another object in; empty text where it stays for good
 */
record Holder(
    String name,
    String simpleType,
    String typeName,
    String ownerType,
    boolean outside,
    List<String> variables,
    boolean nested,
    String setter) {

  String key() {
    return Symbols.fieldKey(ownerType, name);
  }

  /** The new class's name as code in the old class's package writes it. */
  String writtenFrom(OwnerClass owner, String file) {
    boolean near = !nested || file.equals(owner.trees().path());
    return near ? simpleType : owner.writtenName() + "." + simpleType;
  }

  String typeKey() {
    return Symbols.typeKey(typeName);
  }

  /** Writes its type as the old class names it. */
  Written.Text type(Written.Text text) {
    text.name(simpleType, typeKey());
    String separator = "<";
    for (String variable : variables) {
      text.text(separator)
          .name(variable, Symbols.variableKey(variable, Symbols.typeKey(ownerType)));
      separator = ", ";
    }
    return text.text(variables.isEmpty() ? "" : ">");
  }

  String modifiers() {
    return (outside ? "" : "private ") + (setter.isEmpty() ? "final " : "");
  }
}
