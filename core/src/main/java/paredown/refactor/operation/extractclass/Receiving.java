package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.Refused;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * What the methods that leave receive of their old object, themselves or for others that they call.
 */
final class Receiving {
  private final OwnerClass owner;
  private final NewClass type;
  private final Optional<ExtractClass.Pass> way;
  private final Map<Element, List<Received>> byMethod = new LinkedHashMap<>();
  private final Set<Element> leaving = new LinkedHashSet<>();

  private Receiving(OwnerClass owner, NewClass type, Optional<ExtractClass.Pass> way) {
    this.owner = owner;
    this.type = type;
    this.way = way;
  }

  /** None receives anything. */
  static Receiving nothing(OwnerClass owner, NewClass type) {
    return new Receiving(owner, type, Optional.empty());
  }

  /**
   * What each needs.
   *
   * @param way how it receives that; empty where none is to receive anything
   * @throws Refused where one cannot leave even so
   */
  static Receiving of(Leaving leaving, NewClass type, Optional<ExtractClass.Pass> way) {
    Receiving receiving = new Receiving(leaving.owner(), type, way);
    leaving.fields().forEach(field -> receiving.leaving.add(field.element()));
    int before = -1;
    while (way.isPresent() && receiving.count() > before) {
      before = receiving.count();
      CarriedCode carried = new CarriedCode(leaving, type, receiving);
      leaving.methodsOfObject().forEach(carried::look);
    }
    return receiving;
  }

  private int count() {
    return byMethod.values().stream().mapToInt(List::size).sum();
  }

  /** How a method reaches what stays; empty where it cannot. */
  Optional<Passing> passing(OwnerClass.Method method) {
    return way.map(
        each ->
            each == ExtractClass.Pass.OWNER
                ? new OwnerPassing(owner, method, this)
                : new ValuePassing(owner, method, this));
  }

  /** Whether a field leaves the old object too, which has no value of it to give any more. */
  boolean leaves(Element field) {
    return leaving.contains(field);
  }

  /** Notes that a method receives something; the name that it has there. */
  String note(Element method, Received received) {
    List<Received> known = byMethod.computeIfAbsent(method, each -> new ArrayList<>());
    for (Received each : known) {
      if (each.field().equals(received.field())) {
        return each.name();
      }
    }
    known.add(received);
    return received.name();
  }

  /** What a method receives, in the order of its parameters. */
  List<Received> of(Element method) {
    return List.copyOf(byMethod.getOrDefault(method, List.of()));
  }

  boolean isNothing(Element method) {
    return of(method).isEmpty();
  }

  /** Whether a method receives its whole old object. */
  boolean isWhole(Element method) {
    return of(method).stream().anyMatch(each -> each.field().isEmpty());
  }

  /** The methods that receive something, in their order. */
  Set<OwnerClass.Method> methods() {
    Set<OwnerClass.Method> methods = new LinkedHashSet<>(owner.methods());
    methods.removeIf(method -> isNothing(method.element()));
    return methods;
  }

  /** The key that a method has in the new class. */
  String newKey(Element method) {
    List<String> types =
        of(method).stream()
            .map(each -> each.field().map(field -> field.element().asType()))
            .map(each -> each.orElse(owner.element().asType()))
            .map(this::erased)
            .toList();
    return type.methodKey(owner.program().symbols().key(method), types);
  }

  private String erased(TypeMirror mirror) {
    return owner.program().types().erasure(mirror).toString();
  }

  /** What is said of it, and what else could be asked for; empty where none receives anything. */
  Optional<String> note() {
    if (byMethod.isEmpty()) {
      return Optional.empty();
    }
    String old = owner.simpleName();
    return way.filter(ExtractClass.Pass.VALUES::equals).isPresent()
        ? Optional.of(
            "%s; --pass owner gives the whole %s instead.".formatted(Listed.of(values()), old))
        : Optional.of(
            "%s and %s know each other now; --pass values gives methods just what they read."
                .formatted(old, type.name()));
  }

  private List<String> values() {
    List<String> values = new ArrayList<>();
    for (OwnerClass.Method method : methods()) {
      List<String> names =
          of(method.element()).stream().map(each -> each.field().orElseThrow().name()).toList();
      values.add("%s receives %s".formatted(OwnerClass.signature(method), Listed.of(names)));
    }
    return values;
  }
}
