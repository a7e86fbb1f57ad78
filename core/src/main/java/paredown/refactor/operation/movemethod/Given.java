package paredown.refactor.operation.movemethod;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.code.Words;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.Sight;
import paredown.refactor.name.WritableType;
import paredown.refactor.nulls.Dereference;
import paredown.refactor.startup.SteadyFields;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** What a moved method receives of its old object: values, or the whole of it. */
final class Given {
  /** More values than this make a worse list of parameters than the object that has them. */
  private static final int MOST_VALUES = 4;

  private static final String CHANGES = " could change while it runs";

  /**
   * A value of the old object that the method receives.
   *
   * @param member the field, or the accessor that the code asks
   * @param field the field itself
   */
  record Value(String name, Element member, VariableElement field, TypeMirror type) {}

  private final Route route;
  private final OwnerClass owner;
  private final OwnerClass target;
  private final OwnerClass.Method method;
  private final CalmCalls calm;
  private final Map<Element, Value> values = new LinkedHashMap<>();
  private final Optional<String> ownerReason;
  private final String ownerName;

  /**
   * What a method receives.
   *
   * @param wished whether the whole object is wished
   * @param forced why callers could give no values; empty where they can
   */
  Given(Route route, CalmCalls calm, boolean wished, Optional<String> forced) {
    this.route = route;
    this.owner = route.owner();
    this.target = route.target();
    this.method = route.method();
    this.calm = calm;
    Optional<String> found = reason(wished);
    this.ownerReason = values.isEmpty() ? found : found.or(() -> forced);
    if (ownerReason.isPresent()) {
      values.clear();
    }
    this.ownerName = owner.freeName(method);
  }

  List<Value> values() {
    return values.values().stream().distinct().toList();
  }

  Value value(Element member) {
    return values.get(member);
  }

  /** Why it receives its whole old object; empty text where that was wished, empty where not. */
  Optional<String> ownerReason() {
    return ownerReason;
  }

  boolean isOwner() {
    return ownerReason.isPresent();
  }

  /** Whether the code fails at once where the old object that it receives is null. */
  boolean isOwnerAskedAtOnce() {
    Set<Tree> asking = new HashSet<>();
    route.code().asked().stream()
        .filter(asked -> asked.member() != null && !asked.later())
        .forEach(asked -> asking.add(asked.path().getLeaf()));
    return Dereference.ownIsCertain(
        owner.trees(), new TreePath(method.path(), method.tree().getBody()), asking::contains);
  }

  /** The name of the parameter that holds the old object. */
  String ownerName() {
    return ownerName;
  }

  private Optional<String> reason(boolean wished) {
    if (wished && !route.code().asked().isEmpty()) {
      return Optional.of("");
    }
    SteadyFields steady = new SteadyFields(owner, method, calm);
    List<String> reasons =
        route.code().asked().stream()
            .map(asked -> reason(asked, steady))
            .flatMap(Optional::stream)
            .toList();
    if (!reasons.isEmpty()) {
      return reasons.stream()
          .filter(reason -> !reason.endsWith(CHANGES))
          .findFirst()
          .or(() -> Optional.of(reasons.get(0)));
    }
    if (values().size() > MOST_VALUES) {
      return Optional.of("it uses %d of its values".formatted(values().size()));
    }
    owner.assumptions().addAll(steady.assumed());
    return Optional.empty();
  }

  /** Why a use needs the old object; empty where a value does, which is noted. */
  private Optional<String> reason(MovedCode.Asked asked, SteadyFields steady) {
    Element member = asked.member();
    if (member == null) {
      return Optional.of("it hands that on");
    }
    String word = member.getSimpleName().toString();
    if (member.getModifiers().contains(Modifier.STATIC)) {
      return Optional.of("it reaches " + word + " through it");
    }
    MemberUses.Access access = MemberUses.access(asked.path());
    boolean call = member.getKind() == ElementKind.METHOD;
    if (call) {
      Optional<VariableElement> field = calm.field((ExecutableElement) member);
      boolean plain =
          field.isPresent()
              && access == MemberUses.Access.CALL
              && steady.is(field.get(), asked.path(), asked.later());
      TypeMirror type = typeOf(asked.path().getParentPath());
      return plain && isNameable(type)
          ? value(member, field.get(), type)
          : Optional.of("it calls " + word);
    }
    if (access != MemberUses.Access.READ) {
      return Optional.of("it sets or locks " + word);
    }
    if (!steady.is((VariableElement) member, asked.path(), asked.later())) {
      return Optional.of(word + CHANGES);
    }
    TypeMirror type = typeOf(asked.path());
    return isNameable(type)
        ? value(member, (VariableElement) member, type)
        : Optional.of("the type of " + word + " cannot be named there");
  }

  private TypeMirror typeOf(TreePath path) {
    Tree leaf = path.getLeaf();
    boolean call = leaf instanceof MethodInvocationTree;
    Element element =
        owner
            .trees()
            .element(
                call ? new TreePath(path, ((MethodInvocationTree) leaf).getMethodSelect()) : path);
    DeclaredType self = (DeclaredType) owner.element().asType();
    TypeMirror type = route.program().types().asMemberOf(self, element);
    return call ? ((javax.lang.model.type.ExecutableType) type).getReturnType() : type;
  }

  private boolean isNameable(TypeMirror type) {
    Sight sight = new Sight(target.element(), route.program());
    boolean known =
        WritableType.variables(type).stream()
            .allMatch(variable -> variable.getGenericElement().equals(owner.element()));
    return known
        && WritableType.is(type)
        && (!(type instanceof DeclaredType declared) || !sight.hides(declared.asElement()));
  }

  /** An accessor and the field that it gives are one value. */
  private Optional<String> value(Element member, VariableElement field, TypeMirror type) {
    Optional<Value> known =
        values.values().stream().filter(value -> value.field().equals(field)).findFirst();
    if (known.isPresent()) {
      values.put(member, known.get());
      return Optional.empty();
    }
    String word = field.getSimpleName().toString();
    boolean taken =
        isLocal(word) || values.values().stream().anyMatch(value -> value.name().equals(word));
    String free = taken ? Words.decapitalised(owner.simpleName()) + Words.capitalised(word) : word;
    values.put(member, new Value(free, member, field, type));
    return Optional.empty();
  }

  private boolean isLocal(String word) {
    boolean leaves =
        route.through() instanceof Through.Parameter parameter
            && parameter.variable().getSimpleName().contentEquals(word);
    return route.code().locals().contains(word) && !leaves;
  }
}
