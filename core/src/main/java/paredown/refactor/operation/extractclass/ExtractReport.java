package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.edit.Change;
import paredown.program.Symbols;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** What is said of an extraction, and what became of the members. */
final class ExtractReport {
  private final ExtractedMembers members;
  private final Leaving leaving;
  private final OwnerClass owner;
  private final NewClass type;

  ExtractReport(ExtractedMembers members) {
    this.members = members;
    this.leaving = members.leaving();
    this.owner = leaving.owner();
    this.type = members.holder().type();
  }

  /** One sentence of what happens. */
  String summary() {
    List<String> names =
        new ArrayList<>(leaving.fields().stream().map(OwnerClass.Field::name).toList());
    if (leaving.methods().size() > 1) {
      names.add(leaving.methods().size() + " methods");
    } else {
      leaving.methods().forEach(method -> names.add(method.name() + "()"));
    }
    boolean one = leaving.fields().size() + leaving.methods().size() == 1;
    String held =
        leaving.holdsObject()
            ? ", which %s holds in its field %s"
                .formatted(owner.simpleName(), members.holder().name())
            : "";
    return "%s of %s %s, %s%s."
        .formatted(
            Listed.of(names),
            owner.writtenName(),
            one ? "becomes a class of its own" : "become a class of their own",
            type.name(),
            held);
  }

  /** The key of each member that is in the new class now. */
  Map<String, String> became() {
    Map<String, String> became = new LinkedHashMap<>();
    leaving.fields().forEach(field -> became.put(field.key(), members.newKey(field)));
    leaving.methods().stream()
        .filter(method -> !members.delegates().contains(method))
        .forEach(method -> became.put(method.key(), members.newKey(method)));
    return became;
  }

  /** What code that moved means by members that stay as delegates, and by type variables. */
  Map<String, String> becameForSelf() {
    Map<String, String> became = new LinkedHashMap<>();
    members.delegates().forEach(method -> became.put(method.key(), members.newKey(method)));
    for (String variable : members.holder().variables()) {
      became.put(
          Symbols.variableKey(variable, Symbols.typeKey(owner.binaryName())),
          Symbols.variableKey(variable, type.key()));
    }
    return became;
  }

  /**
   * What a reader wants to know beside the text.
   *
   * @param widened what becomes more visible in the old place
   */
  Change.Report report(List<String> widened, List<String> notes) {
    List<String> wider = new ArrayList<>(widened);
    wider.addAll(wider());
    List<String> delegates = members.delegates().stream().map(OwnerClass::signature).toList();
    return new Change.Report(api(), wider, delegates, notes);
  }

  private List<String> api() {
    List<String> api = new ArrayList<>();
    for (OwnerClass.Field field : leaving.fields()) {
      if (isOpen(field.element().getModifiers())) {
        api.add("the field %s#%s goes".formatted(owner.writtenName(), field.name()));
      }
    }
    for (OwnerClass.Method method : leaving.methods()) {
      if (isOpen(method.element().getModifiers()) && !members.delegates().contains(method)) {
        api.add(
            "the method %s#%s goes".formatted(owner.writtenName(), OwnerClass.signature(method)));
      }
    }
    return api;
  }

  private static boolean isOpen(Set<Modifier> modifiers) {
    return modifiers.contains(Modifier.PUBLIC) || modifiers.contains(Modifier.PROTECTED);
  }

  private List<String> wider() {
    List<String> wider = new ArrayList<>();
    for (OwnerClass.Field field : leaving.fields()) {
      if (members.access().get(field.key()).isDirect()) {
        opened(field.name(), field.element()).ifPresent(wider::add);
      }
    }
    for (OwnerClass.Method method : leaving.methods()) {
      if (members.isCalledFromOutside(method)) {
        opened(OwnerClass.signature(method), method.element()).ifPresent(wider::add);
      }
    }
    return wider;
  }

  private Optional<String> opened(String member, Element element) {
    AccessLevel before = AccessLevel.of(element);
    AccessLevel after = type.elsewhere() ? AccessLevel.PUBLIC : AccessLevel.PACKAGE;
    return before.compareTo(after) < 0
        ? Optional.of("%s#%s: %s -> %s".formatted(type.name(), member, before.word(), after.word()))
        : Optional.empty();
  }
}
