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
 * and nested in the same top-level class are not foreign; nor are constants.
 */
public final class ForeignData {
  private ForeignData() {}

  /** The fields as {@code Type#field}, each once, in order. */
  public static Set<String> of(TypeFact type, Map<String, TypeFact> types) {
    Set<String> found = new TreeSet<>();
    for (MethodFact method : type.methods()) {
      for (MethodFact.MemberUse use : method.uses()) {
        TypeFact other = types.get(use.type());
        if (other != null && isForeign(type, other)) {
          String field = field(other, use);
          if (!field.isEmpty()) {
            found.add(other.name() + "#" + field);
          }
        }
      }
    }
    return found;
  }

  private static boolean isForeign(TypeFact type, TypeFact other) {
    return !other.range().file().equals(type.range().file())
        && !type.supertypes().contains(other.name())
        && !other.supertypes().contains(type.name());
  }

  private static String field(TypeFact other, MethodFact.MemberUse use) {
    return switch (use.kind()) {
      case READ, WRITE ->
          other
              .field(use.member())
              .filter(field -> !(field.isStatic() && field.isFinal()))
              .map(field -> field.name())
              .orElse("");
      case CALL -> component(other, use.member());
      case CREATE -> "";
    };
  }

  private static String component(TypeFact other, String signature) {
    for (MethodFact method : other.methods()) {
      if (method.signature().equals(signature) && method.isAccessor()) {
        return method.isGetter()
            ? method.returned()
            : method.fieldsOf(other.name()).stream().sorted().findFirst().orElse("");
      }
    }
    boolean ofRecord =
        other.kind() == TypeFact.Kind.RECORD
            && signature.endsWith("()")
            && other.field(signature.replace("()", "")).isPresent();
    return ofRecord ? signature.replace("()", "") : "";
  }
}
