package paredown.refactor.operation.extractclass;

import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.code.FieldAccess;
import paredown.refactor.startup.Construction;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.OwnerClass;

/**
 * What goes into a new class, and how it is reached from outside.
 *
 * @param delegates the methods that leave a forwarding method behind
 * @param receiving what methods receive of their old object; those that do are delegates all
 * @param access by the fields' keys
 */
record ExtractedMembers(
    Leaving leaving,
    List<FieldDeclaration> declarations,
    Set<OwnerClass.Method> delegates,
    Receiving receiving,
    Map<String, FieldAccess> access,
    Construction construction,
    Holder holder) {

  List<OwnerClass.Field> fields() {
    return leaving.fields();
  }

  List<OwnerClass.Method> methods() {
    return leaving.methods();
  }

  /** The key of a method in its new class. */
  String newKey(OwnerClass.Method method) {
    return receiving.newKey(method.element());
  }

  String newKey(OwnerClass.Field field) {
    return Symbols.fieldKey(holder.type().binaryName(), field.name());
  }

  String accessorKey(FieldAccess access) {
    return Symbols.methodKey(holder.type().binaryName(), access.accessor(), List.of());
  }

  /**
   * Writes the making of a new object, up to its arguments.
   *
   * @param inferred whether the compiler can tell the type arguments, as it can but where a value's
   *     own type depends on them
   */
  Written.Text creation(Written.Text text, boolean inferred) {
    var types = leaving.owner().program().types();
    List<String> erased =
        construction.parameters().stream()
            .map(field -> types.erasure(field.element().asType()).toString())
            .toList();
    NewClass type = holder.type();
    text.here(UseKind.CREATION, Symbols.constructorKey(type.binaryName(), erased)).text("new ");
    return inferred
        ? text.name(type.name(), type.key()).text(holder.variables().isEmpty() ? "" : "<>")
        : holder.type(text);
  }

  /** Whether code that stays calls a method in its new place, a delegate included. */
  boolean isCalledFromOutside(OwnerClass.Method method) {
    return delegates.contains(method)
        || access.values().stream()
            .anyMatch(
                each ->
                    method.name().equals(each.accessor())
                        && !each.isNew()
                        && method.tree().getParameters().isEmpty())
        || leaving.staying().stream().anyMatch(use -> use.key().equals(method.key()));
  }
}
