package paredown.refactor;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.program.Symbols;
import paredown.refactor.MemberUses.MemberUse;

/**
 * What goes into a new class, and how it is reached from outside.
 *
 * @param delegates the methods that leave a forwarding method behind
 * @param access by the fields' keys
 * @param staying the uses of these members by code that stays
 */
record ExtractedMembers(
    List<OwnerClass.Field> fields,
    List<FieldDeclaration> declarations,
    List<OwnerClass.Method> methods,
    Set<OwnerClass.Method> delegates,
    Map<String, FieldAccess> access,
    Construction construction,
    List<MemberUse> staying,
    Holder holder) {

  /** Whether the old class holds an object of the new one: not all that leaves is static. */
  boolean holdsObject() {
    return fields.stream().anyMatch(field -> !field.is(Modifier.STATIC))
        || methods.stream().anyMatch(method -> !method.is(Modifier.STATIC));
  }

  /** The first field that the object has; empty where it has none. */
  Optional<OwnerClass.Field> firstOfObject() {
    return fields.stream().filter(field -> !field.is(Modifier.STATIC)).findFirst();
  }

  boolean isStatic(String key) {
    return fields.stream().anyMatch(field -> field.is(Modifier.STATIC) && field.key().equals(key))
        || methods.stream()
            .anyMatch(method -> method.is(Modifier.STATIC) && method.key().equals(key));
  }

  /** The key of a method in its new class. */
  String newKey(OwnerClass.Method method) {
    String key = method.key();
    return "method " + holder.typeName() + key.substring(key.indexOf('#'));
  }

  String newKey(OwnerClass.Field field) {
    return Symbols.fieldKey(holder.typeName(), field.name());
  }

  String accessorKey(FieldAccess access) {
    return Symbols.methodKey(holder.typeName(), access.accessor(), List.of());
  }

  /** Whether code that stays calls a method in its new place, a delegate included. */
  boolean isCalledFromOutside(OwnerClass.Method method) {
    return delegates.contains(method)
        || staying.stream().anyMatch(use -> use.key().equals(method.key()));
  }
}
