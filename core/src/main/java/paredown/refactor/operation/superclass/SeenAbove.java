package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Sight;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** How far each member that goes up is seen there: as far as before, and from all who name it. */
final class SeenAbove {
  private final CommonMembers common;
  private final Map<String, AccessLevel> levels = new HashMap<>();
  private final List<String> wider = new ArrayList<>();

  private SeenAbove(CommonMembers common) {
    this.common = common;
  }

  /**
   * The levels of members.
   *
   * @param uses of what goes up, in all classes
   * @param moved tells which use goes up itself
   */
  static SeenAbove of(
      CommonMembers common,
      List<MemberUses.MemberUse> uses,
      Predicate<MemberUses.MemberUse> moved) {
    SeenAbove seen = new SeenAbove(common);
    Map<String, List<MemberUses.MemberUse>> byKey = new HashMap<>();
    uses.stream()
        .filter(use -> !use.isImport() && !moved.test(use))
        .forEach(use -> byKey.computeIfAbsent(use.key(), each -> new ArrayList<>()).add(use));
    common
        .fields()
        .forEach(
            field -> {
              List<String> keys = new ArrayList<>(List.of(field.key()));
              List<Element> all = new ArrayList<>(List.of(field.element()));
              common
                  .siblings()
                  .forEach(
                      each -> {
                        keys.add(each.fields().get(field).key());
                        all.add(each.fields().get(field).element());
                      });
              seen.note(field.key(), field.name(), all, keys, byKey, AccessLevel.PRIVATE);
            });
    common.methods().forEach(method -> seen.note(method, byKey, AccessLevel.PRIVATE));
    common
        .abstracted()
        .forEach(
            method ->
                seen.note(
                    method, Map.of(), seen.isNear() ? AccessLevel.PACKAGE : AccessLevel.PROTECTED));
    return seen;
  }

  private void note(
      OwnerClass.Method method, Map<String, List<MemberUses.MemberUse>> uses, AccessLevel atLeast) {
    List<String> keys = new ArrayList<>(List.of(method.key()));
    List<Element> all = new ArrayList<>(List.of(method.element()));
    common
        .siblings()
        .forEach(
            each -> {
              keys.add(each.methods().get(method).key());
              all.add(each.methods().get(method).element());
            });
    note(method.key(), method.name(), all, keys, uses, atLeast);
  }

  private boolean isNear() {
    return common.owners().stream()
        .allMatch(each -> each.packageName().equals(common.parent().packageName()));
  }

  private void note(
      String key,
      String name,
      List<Element> elements,
      List<String> keys,
      Map<String, List<MemberUses.MemberUse>> uses,
      AccessLevel atLeast) {
    AccessLevel before = AccessLevel.PRIVATE;
    for (Element each : elements) {
      before = max(before, AccessLevel.of(each));
    }
    AccessLevel level = max(before, atLeast);
    for (String each : keys) {
      for (MemberUses.MemberUse use : uses.getOrDefault(each, List.of())) {
        level = max(level, needed(use));
      }
    }
    levels.put(key, level);
    for (Element each : elements) {
      AccessLevel own = AccessLevel.of(each);
      if (level.compareTo(own) > 0) {
        OwnerClass home = common.parent();
        String type =
            own == before
                ? home.simpleName()
                : each.getEnclosingElement().getSimpleName().toString();
        String said = "%s#%s: %s -> %s".formatted(type, name, own.word(), level.word());
        if (!wider.contains(said)) {
          wider.add(said);
        }
      }
    }
  }

  private static AccessLevel max(AccessLevel one, AccessLevel other) {
    return one.compareTo(other) > 0 ? one : other;
  }

  private AccessLevel needed(MemberUses.MemberUse use) {
    Program program = common.first().program();
    TypeElement scope = use.scope() == null ? common.first().element() : use.scope();
    AccessLevel level = AccessLevel.neededBy(new Sight(scope, program), common.parent().element());
    boolean member = use.trees().element(use.path()).getModifiers().contains(Modifier.STATIC);
    boolean below = (use.simple() || member) && isBelow(scope, program);
    // What is private above is not inherited, so that even a class beside it does not see it below.
    return level == AccessLevel.PRIVATE
        ? AccessLevel.PACKAGE
        : level == AccessLevel.PUBLIC && below ? AccessLevel.PROTECTED : level;
  }

  private boolean isBelow(TypeElement scope, Program program) {
    for (Element at = scope; at instanceof TypeElement type; at = at.getEnclosingElement()) {
      if (program.supertypes(type).contains(common.parent().element())) {
        return true;
      }
    }
    return false;
  }

  /** How far a member of the first class is seen then. */
  AccessLevel of(String key) {
    return levels.get(key);
  }

  /** What is announced: {@code MemberEvent#names: private -> package}. */
  List<String> wider() {
    return wider;
  }
}
