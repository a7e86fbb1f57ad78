package paredown.refactor.operation.superclass;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.use.OwnerClass;

/**
 * Looks for the members that classes have in common: those that were named, and those that these
 * need.
 */
final class CommonSearch {
  private static final Set<Modifier> TOLD =
      Set.of(Modifier.STATIC, Modifier.FINAL, Modifier.VOLATILE, Modifier.TRANSIENT);

  private final CommonMembers common;
  private final OwnerClass first;
  private final Map<OwnerClass, Likeness> likeness = new LinkedHashMap<>();
  private final Deque<OwnerClass.Method> open = new ArrayDeque<>();

  private CommonSearch(CommonMembers common) {
    this.common = common;
    this.first = common.first();
    common
        .siblings()
        .forEach(each -> likeness.put(each.owner(), new Likeness(first, each.owner())));
  }

  /**
   * The members that some words select, with those that they need.
   *
   * @throws Refused where the others do not have the same
   */
  static CommonMembers of(
      OwnerClass first, List<OwnerClass> others, OwnerClass parent, List<String> selectors) {
    CommonSearch search = new CommonSearch(new CommonMembers(first, others, parent));
    search.common.siblings().forEach(search::pairVariables);
    for (String selector : selectors) {
      List<OwnerClass.Field> named =
          first.fields().stream().filter(each -> each.name().equals(selector)).toList();
      named.forEach(search.common::add);
      boolean both = first.methods().stream().anyMatch(each -> each.name().equals(selector));
      if (named.isEmpty() || both) {
        first.methods(List.of(selector)).forEach(search::named);
      }
    }
    search.close();
    search.pairFields();
    return search.common;
  }

  /** Type variables that are the same one above are twins. */
  private void pairVariables(Sibling sibling) {
    Symbols symbols = first.program().symbols();
    for (TypeParameterElement own : first.element().getTypeParameters()) {
      for (TypeParameterElement other : sibling.owner().element().getTypeParameters()) {
        Optional<TypeParameterElement> above = common.variables().variable(own);
        if (above.isPresent() && above.equals(sibling.variables().variable(other))) {
          likeness.get(sibling.owner()).pair(symbols.key(own), symbols.key(other));
        }
      }
    }
  }

  /** A method that was named goes up, or nothing does. */
  private void named(OwnerClass.Method method) {
    if (common.add(method)) {
      for (Sibling sibling : common.siblings()) {
        OwnerClass.Method twin = twin(method, sibling.owner());
        Optional<Likeness.Difference> differs =
            twin == null
                ? Optional.of(new Likeness.Difference(place(method), place(sibling.owner())))
                : compare(method, sibling.owner(), twin, likeness.get(sibling.owner()));
        differs.ifPresent(
            where -> {
              throw differs(
                  method.name(), sibling.owner(), twin == null, where.here(), where.there());
            });
        sibling.methods().put(method, twin);
      }
      open.add(method);
    }
  }

  private static String place(OwnerClass owner) {
    return owner.trees().place(owner.tree());
  }

  private String place(OwnerClass.Method method) {
    return first.source().place(method.range().declaration());
  }

  private static Optional<Likeness.Difference> compare(
      OwnerClass.Method method, OwnerClass other, OwnerClass.Method twin, Likeness like) {
    return like.compare(
        new int[] {method.range().declaration(), method.range().declarationEnd()},
        new int[] {twin.range().declaration(), twin.range().declarationEnd()});
  }

  private Refused differs(
      String member, OwnerClass other, boolean lacks, String here, String there) {
    return Refused.advising(
        RefusalKind.DIFFERS,
        "%s cannot go up: %s %s."
            .formatted(
                member,
                other.writtenName(),
                lacks ? "has no such member" : "says it differently there"),
        lacks
            ? "Name the classes that have it."
            : "Make the two alike first, or extract the part in which they differ as a method of"
                + " one name.",
        here,
        there);
  }

  private OwnerClass.Method twin(OwnerClass.Method method, OwnerClass other) {
    String own = signature(first, method);
    return other.methods().stream()
        .filter(each -> signature(other, each).equals(own))
        .filter(each -> each.is(Modifier.STATIC) == method.is(Modifier.STATIC))
        .findFirst()
        .orElse(null);
  }

  private static String signature(OwnerClass owner, OwnerClass.Method method) {
    String key = owner.program().symbols().key(method.element());
    return key.substring(key.lastIndexOf('#'));
  }

  /** Takes along what members that go up need of their class. */
  private void close() {
    Set<OwnerClass.Field> looked = new LinkedHashSet<>();
    while (true) {
      if (!open.isEmpty()) {
        needs(open.remove().path());
        continue;
      }
      Optional<OwnerClass.Field> next =
          common.fields().stream().filter(each -> !looked.contains(each)).findFirst();
      if (next.isEmpty()) {
        return;
      }
      looked.add(next.get());
      needs(next.get().path());
    }
  }

  private void needs(TreePath member) {
    for (Element each : CodeElsewhere.named(first.trees(), member)) {
      if (!first.element().equals(each.getEnclosingElement())) {
        continue;
      }
      first.fields().stream().filter(field -> field.element().equals(each)).forEach(common::add);
      if (each instanceof ExecutableElement called) {
        first.method(called).ifPresent(method -> called(method));
      }
    }
  }

  private void called(OwnerClass.Method method) {
    if (common.has(method)) {
      return;
    }
    Optional<ExecutableElement> above = common.above(method.element());
    if (above.isPresent()) {
      common.addSlot(method.element(), above.get());
    } else if (isCommon(method)) {
      named(method);
    } else {
      abstracted(method);
    }
  }

  private boolean isCommon(OwnerClass.Method method) {
    return common.siblings().stream()
        .allMatch(
            sibling -> {
              OwnerClass.Method twin = twin(method, sibling.owner());
              Likeness tried = likeness.get(sibling.owner()).copy();
              return twin != null && compare(method, sibling.owner(), twin, tried).isEmpty();
            });
  }

  /** A method that each class has in its own way is asked of the object above. */
  private void abstracted(OwnerClass.Method method) {
    for (Sibling sibling : common.siblings()) {
      OwnerClass.Method twin = twin(method, sibling.owner());
      boolean same =
          twin != null
              && !method.is(Modifier.STATIC)
              && method.tree().getTypeParameters().isEmpty()
              && isSame(sibling, method.element().getReturnType(), twin.element().getReturnType())
              && texts(common.variables(), method.element().getThrownTypes())
                  .equals(texts(sibling.variables(), twin.element().getThrownTypes()));
      if (!same) {
        throw differs(
            method.name() + ", which they need,",
            sibling.owner(),
            twin == null,
            place(method),
            twin == null
                ? place(sibling.owner())
                : sibling.owner().source().place(twin.range().declaration()));
      }
      sibling.methods().put(method, twin);
    }
    common.addAbstract(method);
  }

  private static Set<String> texts(VariablesElsewhere variables, List<? extends TypeMirror> types) {
    Set<String> texts = new LinkedHashSet<>();
    types.forEach(each -> texts.add(variables.in(each).toString()));
    return texts;
  }

  private boolean isSame(Sibling sibling, TypeMirror one, TypeMirror other) {
    return first
        .program()
        .types()
        .isSameType(common.variables().in(one), sibling.variables().in(other));
  }

  private void pairFields() {
    for (OwnerClass.Field field : common.fields()) {
      for (Sibling sibling : common.siblings()) {
        Likeness like = likeness.get(sibling.owner());
        OwnerClass.Field twin = twin(field, sibling.owner(), like);
        if (twin == null || !isAlike(sibling, field, twin)) {
          throw differs(
              field.name(),
              sibling.owner(),
              twin == null,
              first.trees().place(field.tree()),
              twin == null ? place(sibling.owner()) : sibling.owner().trees().place(twin.tree()));
        }
        sibling.fields().put(field, twin);
      }
    }
  }

  private static OwnerClass.Field twin(OwnerClass.Field field, OwnerClass other, Likeness like) {
    String key = like.twin(field.key());
    return other.fields().stream()
        .filter(each -> key == null ? each.name().equals(field.name()) : each.key().equals(key))
        .findFirst()
        .orElse(null);
  }

  private boolean isAlike(Sibling sibling, OwnerClass.Field field, OwnerClass.Field twin) {
    Likeness like = likeness.get(sibling.owner());
    VariableElement one = field.element();
    VariableElement two = twin.element();
    boolean same =
        isSame(sibling, one.asType(), two.asType())
            && TOLD.stream().allMatch(each -> field.is(each) == twin.is(each))
            && like.pair(field.key(), twin.key());
    Tree value = field.tree().getInitializer();
    Tree other = twin.tree().getInitializer();
    if (!same || value == null || other == null) {
      return same && value == other;
    }
    return like.compare(range(first, value), range(like.other(), other)).isEmpty();
  }

  private static int[] range(OwnerClass owner, Tree tree) {
    return new int[] {owner.trees().start(tree), owner.trees().end(tree)};
  }
}
