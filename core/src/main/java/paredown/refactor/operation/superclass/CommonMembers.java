package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Symbols;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.use.OwnerClass;

/**
 * The members that classes have in common: those that were named, and those of their own that these
 * need. What they need and say differently becomes abstract above.
 */
final class CommonMembers {
  private final OwnerClass first;
  private final OwnerClass parent;
  private final List<Sibling> siblings;
  private final Set<OwnerClass.Field> fields = new LinkedHashSet<>();
  private final Set<OwnerClass.Method> methods = new LinkedHashSet<>();
  private final Set<OwnerClass.Method> abstracted = new LinkedHashSet<>();
  private final Map<ExecutableElement, ExecutableElement> slots = new LinkedHashMap<>();
  private final VariablesElsewhere variables;

  /** None yet. */
  CommonMembers(OwnerClass first, List<OwnerClass> others, OwnerClass parent) {
    this.first = first;
    this.parent = parent;
    this.siblings = others.stream().map(Sibling::new).toList();
    this.variables = VariablesElsewhere.above(first.program().types(), first.element());
  }

  void add(OwnerClass.Field field) {
    fields.add(field);
  }

  /** Adds a method; false where it is among them already. */
  boolean add(OwnerClass.Method method) {
    return methods.add(method);
  }

  /** Adds a method that becomes abstract above. */
  void addAbstract(OwnerClass.Method method) {
    abstracted.add(method);
  }

  /** Adds a method that stays, and the one above that it overrides. */
  void addSlot(ExecutableElement own, ExecutableElement above) {
    slots.put(own, above);
  }

  /** Whether a method goes up, or becomes abstract above. */
  boolean has(OwnerClass.Method method) {
    return methods.contains(method) || abstracted.contains(method);
  }

  /** Whether a method overrides one of the parent, or above it. */
  boolean isKnownAbove(OwnerClass.Method method) {
    return above(method.element()).isPresent();
  }

  /** The method of the parent, or above it, that is asked for in the place of one of its own. */
  Optional<ExecutableElement> above(ExecutableElement method) {
    if (method.getModifiers().contains(Modifier.STATIC)) {
      return Optional.empty();
    }
    List<TypeElement> types = new ArrayList<>(List.of(parent.element()));
    types.addAll(first.program().supertypes(parent.element()));
    return types.stream()
        .flatMap(type -> ElementFilter.methodsIn(type.getEnclosedElements()).stream())
        .filter(
            each ->
                each.getSimpleName().equals(method.getSimpleName())
                    && first.program().elements().overrides(method, each, first.element()))
        .findFirst();
  }

  OwnerClass first() {
    return first;
  }

  OwnerClass parent() {
    return parent;
  }

  /** What the type variables of the first class are above. */
  VariablesElsewhere variables() {
    return variables;
  }

  /** The other classes, with their twins of what goes up. */
  List<Sibling> siblings() {
    return siblings;
  }

  /** All classes that lose members, the first among them. */
  List<OwnerClass> owners() {
    List<OwnerClass> all = new ArrayList<>(List.of(first));
    siblings.forEach(each -> all.add(each.owner()));
    return all;
  }

  /** The fields that go up, in the order of the text. */
  List<OwnerClass.Field> fields() {
    return first.fields().stream().filter(fields::contains).toList();
  }

  /** The methods that go up, in the order of the text. */
  List<OwnerClass.Method> methods() {
    return first.methods().stream().filter(methods::contains).toList();
  }

  /** The methods that stay, and are abstract above, so that what goes up can ask for them. */
  List<OwnerClass.Method> abstracted() {
    return first.methods().stream().filter(abstracted::contains).toList();
  }

  /** A field that goes up, as a class has it. */
  OwnerClass.Field of(OwnerClass owner, OwnerClass.Field field) {
    return sibling(owner).map(each -> each.fields().get(field)).orElse(field);
  }

  /** A method that goes up, or becomes abstract above, as a class has it. */
  OwnerClass.Method of(OwnerClass owner, OwnerClass.Method method) {
    return sibling(owner).map(each -> each.methods().get(method)).orElse(method);
  }

  private Optional<Sibling> sibling(OwnerClass owner) {
    return siblings.stream().filter(each -> each.owner().equals(owner)).findFirst();
  }

  /**
   * The methods that stay and that what goes up asks for, with the one above that they override.
   */
  Map<ExecutableElement, ExecutableElement> slots() {
    return slots;
  }

  /** The simple names of what goes up, as any of the classes has it. */
  Set<String> names() {
    Set<String> names = new LinkedHashSet<>();
    fields.forEach(each -> names.add(each.name()));
    methods.forEach(each -> names.add(each.name()));
    abstracted.forEach(each -> names.add(each.name()));
    siblings.forEach(sibling -> sibling.fields().values().forEach(each -> names.add(each.name())));
    return names;
  }

  /** The methods that stay, with those above that code asks for in their place when it goes up. */
  Map<String, String> asked() {
    Symbols symbols = first().program().symbols();
    Map<String, String> asked = new LinkedHashMap<>();
    slots().forEach((own, above) -> asked.put(symbols.key(own), symbols.key(above)));
    for (OwnerClass.Method each : abstracted()) {
      String above = MoveUp.above(this, each.key());
      asked.put(each.key(), above);
      siblings().forEach(sibling -> asked.put(sibling.methods().get(each).key(), above));
    }
    return asked;
  }
}
