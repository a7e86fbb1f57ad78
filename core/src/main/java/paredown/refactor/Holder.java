package paredown.refactor;

import paredown.program.Symbols;

/**
 * The holder is the field in which the old class keeps the new object.
 *
 * @param name the field's name
 * @param simpleType the new class's simple name
 * @param typeName the new class's binary name
 * @param ownerType the old class's binary name
 * @param outside whether other files use it, so that it cannot be private
 */
record Holder(String name, String simpleType, String typeName, String ownerType, boolean outside) {

  String key() {
    return Symbols.fieldKey(ownerType, name);
  }

  String typeKey() {
    return Symbols.typeKey(typeName);
  }

  String modifiers() {
    return outside ? "final " : "private final ";
  }
}
