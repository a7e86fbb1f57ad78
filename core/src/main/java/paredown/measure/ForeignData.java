package paredown.measure;

import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/**
 * Access to foreign data: the fields of the project's other classes that a class uses, directly or
 * through methods that only give or set them.
 *
 * <p>Lanza and Marinescu, "Object-Oriented Metrics in Practice", 2006. Classes above it, below it
 * and nested in the same top-level class are not foreign; nor are constants, and parts that it
 * holds and nobody else uses.
 */
public final class ForeignData {
  private ForeignData() {}

  /** The fields as {@code Type#field}, each once, in order. */
  public static Set<String> of(TypeFact type, Map<String, TypeFact> types, Clients clients) {
    Set<String> found = new TreeSet<>();
    for (MethodFact method : type.methods()) {
      for (MethodFact.MemberUse use : method.uses()) {
        TypeFact other = types.get(use.type());
        if (other != null && isForeign(type, other) && !isPart(other, type, clients)) {
          String field = field(other, use);
          if (!field.isEmpty()) {
            found.add(other.name() + "#" + field);
          }
        }
      }
    }
    return found;
  }

  /** Whether a class is there for another one alone, which holds an object of it. */
  private static boolean isPart(TypeFact other, TypeFact type, Clients clients) {
    return !other.isPublic()
        && type.instanceFields().stream().anyMatch(each -> each.type().equals(other.simpleName()))
        && clients.of(other).equals(Set.of(type.name()));
  }

  /** Whether what one class uses of another is foreign to it. */
  public static boolean isForeign(TypeFact type, TypeFact other) {
    return !other.sharesFileWith(type) && !type.isKinOf(other);
  }

  /** The field that a use reaches, directly or through an accessor; empty where it reaches none. */
  public static String field(TypeFact other, MethodFact.MemberUse use) {
    return switch (use.kind()) {
      case READ, WRITE ->
          other
              .field(use.member())
              .filter(field -> !field.isConstant())
              .map(field -> field.name())
              .orElse("");
      case CALL -> component(other, use.member());
      case CREATE -> "";
    };
  }

  private static String component(TypeFact other, String signature) {
    MethodFact method = other.method(signature).orElse(null);
    if (method != null && method.isAccessor()) {
      return method.isGetter()
          ? method.returned()
          : method.fieldsOf(other.name()).stream().sorted().findFirst().orElse("");
    }
    boolean ofRecord =
        other.kind() == TypeFact.Kind.RECORD
            && signature.endsWith("()")
            && other.field(signature.replace("()", "")).isPresent();
    return ofRecord ? signature.replace("()", "") : "";
  }
}
