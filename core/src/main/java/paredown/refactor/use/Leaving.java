package paredown.refactor.use;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.refactor.use.MemberUses.MemberUse;

/** The members that leave their class together, and every use of them. */
public final class Leaving {
  private final OwnerClass owner;
  private final List<OwnerClass.Field> fields;
  private final List<OwnerClass.Method> methods;
  private final List<MemberUse> uses;
  private final Map<Element, String> keys = new HashMap<>();
  private final Set<String> statics = new HashSet<>();
  private final List<MemberUse> staying = new ArrayList<>();
  private final List<MemberUse> along = new ArrayList<>();

  private Leaving(
      OwnerClass owner,
      List<OwnerClass.Field> fields,
      List<OwnerClass.Method> methods,
      List<MemberUse> uses) {
    this.owner = owner;
    this.fields = fields;
    this.methods = methods;
    this.uses = uses;
    fields.forEach(field -> note(field.element(), field.key()));
    methods.forEach(method -> note(method.element(), method.key()));
    uses.forEach(use -> (leaves(use) ? along : staying).add(use));
  }

  private void note(Element member, String key) {
    keys.put(member, key);
    if (member.getModifiers().contains(Modifier.STATIC)) {
      statics.add(key);
    }
  }

  /**
   * The members that these words select.
   *
   * @throws paredown.UnusableRequest where one selects nothing
   */
  public static Leaving of(OwnerClass owner, List<String> fields, List<String> methods) {
    Leaving some = new Leaving(owner, owner.fields(fields), owner.methods(methods), List.of());
    return new Leaving(owner, some.fields, some.methods, MemberUses.of(owner.program(), some.keys));
  }

  /** One method alone; its uses are not looked for. */
  public static Leaving of(OwnerClass owner, OwnerClass.Method method) {
    return new Leaving(owner, List.of(), List.of(method), List.of());
  }

  /** The same with a method more; its uses are not looked for. */
  public Leaving with(OwnerClass.Method method) {
    List<OwnerClass.Method> more = new ArrayList<>(methods);
    more.add(method);
    return new Leaving(owner, fields, more, uses);
  }

  public OwnerClass owner() {
    return owner;
  }

  /** The fields, in the order of the text. */
  public List<OwnerClass.Field> fields() {
    return fields;
  }

  /** The methods, in the order of the text. */
  public List<OwnerClass.Method> methods() {
    return methods;
  }

  /** Every use of them. */
  public List<MemberUse> uses() {
    return uses;
  }

  /** Their keys, by the elements. */
  public Map<Element, String> keys() {
    return keys;
  }

  /** The fields that an object has: those that are not static. */
  public List<OwnerClass.Field> fieldsOfObject() {
    return fields.stream().filter(field -> !field.is(Modifier.STATIC)).toList();
  }

  /** The methods that an object has: those that are not static. */
  public List<OwnerClass.Method> methodsOfObject() {
    return methods.stream().filter(method -> !method.is(Modifier.STATIC)).toList();
  }

  /** Whether the old class will hold an object of the new one: not all that leaves is static. */
  public boolean holdsObject() {
    return statics.size() < keys.size();
  }

  /** Whether what is used there is static. */
  public boolean isStatic(MemberUse use) {
    return statics.contains(use.key());
  }

  /** The uses of the fields. */
  public List<MemberUse> usesOfFields() {
    return uses.stream().filter(use -> use.key().startsWith("field ")).toList();
  }

  /** The uses by code that stays. */
  public List<MemberUse> staying() {
    return staying;
  }

  /** The uses by code that leaves, too. */
  public List<MemberUse> along() {
    return along;
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
