package paredown.refactor;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.refactor.MemberUses.MemberUse;

/**
 * The members that leave their class together, and every use of them.
 *
 * @param fields in the order of the text
 * @param methods in the order of the text
 */
record Leaving(
    OwnerClass owner,
    List<OwnerClass.Field> fields,
    List<OwnerClass.Method> methods,
    List<MemberUse> uses) {

  /**
   * The members that these words select.
   *
   * @throws paredown.UnusableRequest where one selects nothing
   */
  static Leaving of(OwnerClass owner, List<String> fields, List<String> methods) {
    Leaving some = new Leaving(owner, owner.fields(fields), owner.methods(methods), List.of());
    return new Leaving(
        owner, some.fields(), some.methods(), MemberUses.of(owner.program(), some.keys()));
  }

  /** The same with a method more; its uses are not looked for. */
  Leaving with(OwnerClass.Method method) {
    List<OwnerClass.Method> more = new ArrayList<>(methods);
    more.add(method);
    return new Leaving(owner, fields, more, uses);
  }

  /** Their keys, by the elements. */
  Map<Element, String> keys() {
    Map<Element, String> keys = new HashMap<>();
    fields.forEach(field -> keys.put(field.element(), field.key()));
    methods.forEach(method -> keys.put(method.element(), method.key()));
    return keys;
  }

  /** The fields that an object has: those that are not static. */
  List<OwnerClass.Field> fieldsOfObject() {
    return fields.stream().filter(field -> !field.is(Modifier.STATIC)).toList();
  }

  /** The methods that an object has: those that are not static. */
  List<OwnerClass.Method> methodsOfObject() {
    return methods.stream().filter(method -> !method.is(Modifier.STATIC)).toList();
  }

  /** Whether the old class will hold an object of the new one: not all that leaves is static. */
  boolean holdsObject() {
    return !fieldsOfObject().isEmpty() || !methodsOfObject().isEmpty();
  }

  boolean isStatic(MemberUse use) {
    return keys().entrySet().stream()
        .filter(entry -> entry.getValue().equals(use.key()))
        .anyMatch(entry -> entry.getKey().getModifiers().contains(Modifier.STATIC));
  }

  /** The uses of the fields. */
  List<MemberUse> usesOfFields() {
    return uses.stream().filter(use -> use.key().startsWith("field ")).toList();
  }

  /** The uses by code that stays. */
  List<MemberUse> staying() {
    return uses.stream().filter(use -> !leaves(use)).toList();
  }

  /** The uses by code that leaves, too. */
  List<MemberUse> along() {
    return uses.stream().filter(this::leaves).toList();
  }

  private boolean leaves(MemberUse use) {
    return fields.stream().anyMatch(field -> isWithin(field, use))
        || methods.stream().anyMatch(method -> owner.holds(method.range(), use));
  }

  private boolean isWithin(OwnerClass.Field field, MemberUse use) {
    return use.file().equals(owner.trees().path())
        && field.declared() <= use.offset()
        && use.offset() < owner.trees().end(field.tree());
  }
}
