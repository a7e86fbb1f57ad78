package paredown.refactor.operation.builder;

import com.sun.source.tree.LiteralTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.OwnerClass;

/** The constructors of a class that grow by a parameter at a time. */
final class Growing {
  private static final Set<String> OF_OBJECTS =
      Set.of(
          "build",
          "clone",
          "finalize",
          "getClass",
          "hashCode",
          "notify",
          "notifyAll",
          "toString",
          "wait",
          "equals");

  private final OwnerClass owner;
  private final OwnerClass.Method longest;
  private final Map<ExecutableElement, Shorter> all = new LinkedHashMap<>();

  /**
   * The constructors of a class.
   *
   * @throws Refused where there is no longest one that others lead to
   */
  Growing(OwnerClass owner) {
    this.owner = owner;
    List<OwnerClass.Method> ends =
        owner.constructors().stream().filter(each -> !each.callsAnother()).toList();
    boolean plain =
        owner.element().getKind() == ElementKind.CLASS
            && !owner.element().getModifiers().contains(Modifier.ABSTRACT)
            && owner.element().getTypeParameters().isEmpty()
            && (!owner.element().getNestingKind().isNested()
                || owner.element().getModifiers().contains(Modifier.STATIC));
    if (!plain) {
      throw refused(RefusalKind.NOT_A_CLASS, "only a plain class without type parameters has one");
    }
    if (ends.size() != 1 || owner.constructors().size() < 2) {
      throw refused(
          RefusalKind.CONSTRUCTOR_SHAPE,
          "it takes one constructor that others lead to, and there are %d of %d"
              .formatted(ends.size(), owner.constructors().size()));
    }
    this.longest = ends.get(0);
    if (longest.element().isVarArgs()) {
      throw refused(RefusalKind.CONSTRUCTOR_SHAPE, "callers give the last value in pieces");
    }
    collect();
    for (VariableElement each : longest.element().getParameters()) {
      if (OF_OBJECTS.contains(each.getSimpleName().toString())) {
        throw refused(
            RefusalKind.NAME_TAKEN,
            "each object has a method %s, or the builder will".formatted(each.getSimpleName()));
      }
    }
  }

  private Refused refused(RefusalKind kind, String why) {
    return Refused.advising(
        kind,
        "%s gets no builder: %s.".formatted(owner.writtenName(), why),
        "",
        owner.trees().place(owner.tree()));
  }

  private void collect() {
    all.put(longest.element(), Shorter.longest(longest));
    List<OwnerClass.Method> open = new ArrayList<>(owner.constructors());
    open.remove(longest);
    boolean found = true;
    while (found) {
      found = false;
      for (OwnerClass.Method each : List.copyOf(open)) {
        Optional<Shorter> shorter =
            Shorter.of(owner, each, all).filter(one -> one.fits(owner.program(), longest));
        if (shorter.isPresent()) {
          all.put(each.element(), shorter.get());
          open.remove(each);
          found = true;
        }
      }
    }
    if (all.size() < 2) {
      throw refused(
          RefusalKind.CONSTRUCTOR_SHAPE, "the shorter constructors do more than call the longest");
    }
  }

  OwnerClass owner() {
    return owner;
  }

  OwnerClass.Method longest() {
    return longest;
  }

  List<? extends VariableElement> parameters() {
    return longest.element().getParameters();
  }

  /** The constructors that lead to the longest by values alone, itself among them. */
  Map<ExecutableElement, Shorter> all() {
    return all;
  }

  /** Whether all constructors take a parameter of the longest. */
  boolean isRequired(int position) {
    return all.values().stream().allMatch(each -> each.given().get(position).value() == null);
  }

  /**
   * What a parameter is where nobody gives it: as the shortest constructor has it that does not.
   */
  TreePath usual(int position) {
    return all.values().stream()
        .filter(each -> each.given().get(position).value() != null)
        .min(Comparator.comparingInt(each -> each.constructor().element().getParameters().size()))
        .map(each -> each.given().get(position).value())
        .orElseThrow();
  }

  /** What a constructor gives besides that is not as usual. */
  List<TreePath> unusual(Shorter constructor) {
    List<TreePath> unusual = new ArrayList<>();
    for (int i = 0; i < parameters().size(); i++) {
      TreePath value = constructor.given().get(i).value();
      if (value != null && !text(value).equals(text(usual(i)))) {
        unusual.add(value);
      }
    }
    return unusual;
  }

  /** Whether a value says the same wherever it stands. */
  boolean isLiteral(TreePath value) {
    return value.getLeaf() instanceof LiteralTree;
  }

  private String text(TreePath value) {
    return owner
        .source()
        .slice(owner.trees().start(value.getLeaf()), owner.trees().end(value.getLeaf()));
  }
}
