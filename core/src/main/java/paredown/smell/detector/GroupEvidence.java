package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.measure.Representation;
import paredown.measure.Responsibilities;
import paredown.smell.Evidence;
import paredown.smell.Grounds;
import paredown.text.Listed;

/** What is shown of a class whose members fall into groups. */
final class GroupEvidence {
  private GroupEvidence() {}

  /** What holds groups together that share something. */
  static String held(TypeFact type, List<MemberGroups.Group> groups) {
    List<String> common =
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(field -> groups.stream().filter(each -> uses(type, each, field)).count() > 1)
            .toList();
    boolean calls =
        groups.stream().anyMatch(each -> groups.stream().anyMatch(o -> calls(type, each, o)));
    return common.isEmpty() || calls
        ? "its groups have members in common"
        : "only %s %s its groups together"
            .formatted(Listed.of(common), common.size() > 1 ? "hold" : "holds");
  }

  private static boolean uses(TypeFact type, MemberGroups.Group group, String field) {
    return group.methods().stream()
        .flatMap(method -> type.method(method).stream())
        .anyMatch(method -> method.fieldsOf(type.name()).contains(field));
  }

  private static boolean calls(TypeFact type, MemberGroups.Group one, MemberGroups.Group other) {
    return one != other
        && one.methods().stream()
            .flatMap(method -> type.method(method).stream())
            .flatMap(method -> method.callsOf(type.name()).stream())
            .anyMatch(other.methods()::contains);
  }

  /** The groups with their names and who uses them, and what shows the class as text. */
  static List<Evidence.Group> groups(
      TypeFact type, List<MemberGroups.Group> found, Grounds grounds) {
    Map<MemberGroups.Group, String> names = Responsibilities.names(found);
    Map<String, Set<String>> users = grounds.clients().ofMembers(type);
    List<Evidence.Group> groups = new ArrayList<>();
    for (MemberGroups.Group group : found) {
      groups.add(group(names.get(group), group.fields(), group.methods(), users));
    }
    Representation.of(type)
        .filter(Representation::isMuch)
        .map(Representation::making)
        .filter(
            making -> found.stream().allMatch(each -> Collections.disjoint(each.methods(), making)))
        .ifPresent(making -> groups.add(group(DivergentChange.TEXT, List.of(), making, users)));
    return groups;
  }

  private static Evidence.Group group(
      String name, List<String> fields, List<String> methods, Map<String, Set<String>> users) {
    return new Evidence.Group(
        name,
        fields,
        methods,
        methods.stream()
            .flatMap(method -> users.getOrDefault(method, Set.of()).stream())
            .distinct()
            .sorted()
            .toList());
  }

  /** Its members, each with the fields and methods of the class that it uses. */
  static List<Evidence.Row> rows(TypeFact type) {
    List<Evidence.Row> rows = new ArrayList<>();
    for (FieldFact field : type.instanceFields()) {
      rows.add(Evidence.Row.at(field.range(), field.name(), List.of()));
    }
    for (MethodFact method : type.methods()) {
      if (MemberGroups.ties(method)) {
        List<String> uses = new ArrayList<>();
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(method.fieldsOf(type.name())::contains)
            .forEach(uses::add);
        type.methods().stream()
            .filter(MemberGroups::ties)
            .filter(each -> method.callsOf(type.name()).contains(each.signature()))
            .map(each -> each.name() + "()")
            .distinct()
            .forEach(uses::add);
        rows.add(Evidence.Row.at(method.range(), method.signature(), uses));
      }
    }
    return rows;
  }
}
