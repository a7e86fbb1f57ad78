package paredown.refactor.operation.inlineclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.operation.close.CloseMembers;
import paredown.refactor.operation.movefield.MoveField;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * The way of a class that holds nothing but static helpers: each goes home to the class that it
 * serves, with the constants that it needs, and the shell that is left goes.
 */
final class HelpersHome {
  private final InlineClass whole;
  private final OwnerClass owner;
  private final List<MemberUses.MemberUse> uses;

  private HelpersHome(InlineClass whole, OwnerClass owner) {
    this.whole = whole;
    this.owner = owner;
    Map<Element, String> members = new LinkedHashMap<>();
    owner.methods().forEach(each -> members.put(each.element(), each.key()));
    owner.fields().forEach(each -> members.put(each.element(), each.key()));
    this.uses = MemberUses.of(owner.program(), members);
  }

  /** The steps of it; empty where a class is more than such helpers. */
  static Optional<Refactoring.Steps> of(InlineClass whole, OwnerClass owner, Sources sources) {
    return isShell(owner)
        ? Optional.of(new HelpersHome(whole, owner).steps(sources))
        : Optional.empty();
  }

  private static boolean isShell(OwnerClass owner) {
    return Way.isPlain(owner)
        && !owner.methods().isEmpty()
        && owner.methods().stream().allMatch(each -> each.is(Modifier.STATIC))
        && owner.methods().stream().noneMatch(each -> each.name().equals("main"))
        && owner.fields().stream().allMatch(HelpersHome::isConstant)
        && EmptyShell.isUnmade(owner);
  }

  private static boolean isConstant(OwnerClass.Field field) {
    return field.is(Modifier.STATIC) && field.is(Modifier.FINAL);
  }

  private Refactoring.Steps steps(Sources sources) {
    Map<OwnerClass.Method, String> homes = homes(sources);
    List<Refactoring> all = new ArrayList<>();
    homes.forEach(
        (method, home) ->
            all.add(
                new MoveMethod(
                    name(),
                    OwnerClass.signature(method),
                    home,
                    MoveMethod.Wishes.NONE.through("static").delegate(false))));
    for (OwnerClass.Field field : owner.fields()) {
      all.add(
          new MoveField(
              name(), field.name(), home(field, homes), Optional.empty(), whole.accepted()));
    }
    closed(homes)
        .forEach(
            (home, names) -> all.add(new CloseMembers(whole, owner.simpleName(), home, names)));
    all.add(new EmptyShell(whole));
    List<String> named =
        homes.values().stream()
            .distinct()
            .map(each -> each.substring(each.lastIndexOf('.') + 1))
            .toList();
    return new Refactoring.Steps(
        "The helpers of %s are in %s now; %s is gone."
            .formatted(owner.simpleName(), Listed.of(named), owner.simpleName()),
        all);
  }

  /** What was private in the old class is, where only its home uses it. */
  private Map<String, Set<String>> closed(Map<OwnerClass.Method, String> homes) {
    Map<String, Set<String>> closed = new LinkedHashMap<>();
    homes.forEach(
        (method, home) -> {
          if (method.is(Modifier.PRIVATE)) {
            closed.computeIfAbsent(home, each -> new TreeSet<>()).add(method.name());
          }
        });
    for (OwnerClass.Field field : owner.fields()) {
      if (field.is(Modifier.PRIVATE)) {
        closed.computeIfAbsent(home(field, homes), each -> new TreeSet<>()).add(field.name());
      }
    }
    return closed;
  }

  private String name() {
    return owner.element().getQualifiedName().toString();
  }

  /** The class that each helper serves. */
  private Map<OwnerClass.Method, String> homes(Sources sources) {
    Map<OwnerClass.Method, String> homes = new LinkedHashMap<>();
    for (OwnerClass.Method method : owner.methods()) {
      Set<String> served = served(method, sources, new LinkedHashSet<>());
      if (whole.into().isPresent()) {
        homes.put(method, sources.index().type(whole.into().get()).name());
      } else if (served.size() == 1) {
        homes.put(method, served.iterator().next());
      } else {
        throw Refused.advising(
            RefusalKind.DOES_MORE,
            "%s of %s serves %s."
                .formatted(
                    OwnerClass.signature(method),
                    owner.simpleName(),
                    served.isEmpty()
                        ? "no class"
                        : Listed.of(
                            served.stream()
                                .map(each -> each.substring(each.lastIndexOf('.') + 1))
                                .toList())),
            "Say which class gets it: --into, or pare move method.",
            owner.trees().place(method.tree()));
      }
    }
    return homes;
  }

  /** The classes that call a helper, be it through another. */
  private Set<String> served(OwnerClass.Method helper, Sources sources, Set<String> asked) {
    Set<String> served = new LinkedHashSet<>();
    if (asked.add(helper.key())) {
      for (MemberUses.MemberUse use : uses(helper.key())) {
        client(use, sources).ifPresent(served::add);
      }
      for (OwnerClass.Method other : owner.methods()) {
        if (names(other, helper.key())) {
          served.addAll(served(other, sources, asked));
        }
      }
    }
    return served;
  }

  /** The class of the product, other than this one, in which a use stands. */
  private Optional<String> client(MemberUses.MemberUse use, Sources sources) {
    boolean main =
        sources.file(use.file()).filter(file -> file.kind() == SourceFile.Kind.MAIN).isPresent();
    return main
            && use.scope() != null
            && OwnerClass.outermost(use.scope()) instanceof TypeElement client
            && !client.equals(OwnerClass.outermost(owner.element()))
        ? Optional.of(client.getQualifiedName().toString())
        : Optional.empty();
  }

  private List<MemberUses.MemberUse> uses(String member) {
    return uses.stream().filter(use -> use.key().equals(member)).toList();
  }

  /** Whether a helper names a member of the class. */
  private boolean names(OwnerClass.Method helper, String member) {
    return uses(member).stream().anyMatch(use -> owner.holds(helper.range(), use));
  }

  /** A constant goes where the first helper goes that names it. */
  private String home(OwnerClass.Field field, Map<OwnerClass.Method, String> homes) {
    return homes.entrySet().stream()
        .filter(each -> names(each.getKey(), field.key()))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(homes.values().iterator().next());
  }
}
