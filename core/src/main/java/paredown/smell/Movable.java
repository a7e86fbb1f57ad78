package paredown.smell;

import java.util.Set;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.TypeFact;

/** Which methods could live in another class, and which classes could take them. */
final class Movable {
  private static final Set<String> BY_TRADE =
      Set.of("Mapper", "Builder", "Visitor", "Converter", "Factory", "Serializer", "Deserializer");

  private Movable() {}

  /**
   * Whether a method's use of foreign data can be envy. Constructors and bodiless methods have no
   * choice; what overrides is called by its name from elsewhere ({@code equals} and visitors among
   * them); what makes an object of the type that it gives back maps or builds, and classes named
   * for that do so by trade.
   */
  static boolean mayBeEnvious(Owned owned) {
    MethodFact method = owned.method();
    return !method.isConstructor()
        && !method.isAbstract()
        && !method.overrides()
        && !method.head().isFramed()
        && !method.head().isDeprecated()
        && !method.isAccessor()
        && !makes(method)
        && BY_TRADE.stream().noneMatch(trade -> owned.type().simpleName().endsWith(trade))
        && !(method.name().equals("main") && method.isStatic());
  }

  private static boolean makes(MethodFact method) {
    String result = method.result().replaceAll("<.*", "");
    return method.uses().stream()
        .filter(use -> use.kind() == MemberUse.Kind.CREATE)
        .anyMatch(use -> ("." + use.type()).endsWith("." + result));
  }

  /**
   * Whether a class could take code that uses these types. Interfaces have no data; records are
   * transparent carriers of data on purpose; generated code has no author; and no package may come
   * to use one that uses it.
   */
  static boolean canHold(String provider, MethodFact method, Set<String> used, Grounds grounds) {
    TypeFact target = grounds.types().get(provider);
    boolean kind =
        target != null
            && target.kind() != TypeFact.Kind.INTERFACE
            && target.kind() != TypeFact.Kind.RECORD
            && target.kind() != TypeFact.Kind.ANNOTATION;
    return kind
        && !target.hasErrors()
        && !target.head().annotations().contains("Generated")
        && target.method(method.signature()).isEmpty()
        && !grounds.packages().wouldCircle(provider, used);
  }
}
