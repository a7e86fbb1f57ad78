package paredown.refactor.operation.remove;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import paredown.refactor.code.MemberRange;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** The members of a class that go. */
record GoingMembers(
    OwnerClass owner, List<OwnerClass.Field> fields, List<OwnerClass.Method> methods) {

  /**
   * The members that some words select.
   *
   * @throws paredown.UnusableRequest where one selects nothing
   */
  static GoingMembers of(OwnerClass owner, List<String> selectors) {
    List<OwnerClass.Field> fields = new ArrayList<>();
    List<OwnerClass.Method> methods = new ArrayList<>();
    for (String selector : selectors) {
      List<OwnerClass.Field> named =
          owner.fields().stream().filter(each -> each.name().equals(selector)).toList();
      fields.addAll(named);
      boolean both = owner.methods().stream().anyMatch(each -> each.name().equals(selector));
      if (named.isEmpty() || both) {
        methods.addAll(owner.methods(List.of(selector)));
      }
    }
    return new GoingMembers(owner, fields, methods);
  }

  Map<Element, String> keys() {
    Map<Element, String> keys = new LinkedHashMap<>();
    fields.forEach(each -> keys.put(each.element(), each.key()));
    methods.forEach(each -> keys.put(each.element(), each.key()));
    return keys;
  }

  Set<String> names() {
    Set<String> names = new TreeSet<>();
    fields.forEach(each -> names.add(each.name()));
    methods.forEach(each -> names.add(each.name()));
    return names;
  }

  /** The ranges of whole declarations that go. */
  List<MemberRange> ranges() {
    List<MemberRange> ranges = new ArrayList<>();
    FieldDeclaration.of(owner, fields).stream()
        .filter(FieldDeclaration::isWhole)
        .forEach(each -> ranges.add(each.range()));
    methods.forEach(each -> ranges.add(each.range()));
    return ranges;
  }

  /** Whether a use stands in what goes. */
  boolean holds(MemberUses.MemberUse use) {
    return holds(use.file(), use.offset());
  }

  boolean holds(String file, int offset) {
    boolean declared =
        ranges().stream().anyMatch(each -> each.start() <= offset && offset < each.end());
    boolean within =
        fields.stream()
            .anyMatch(each -> each.declared() <= offset && offset < owner.trees().end(each.tree()));
    return file.equals(owner.trees().path()) && (declared || within);
  }
}
