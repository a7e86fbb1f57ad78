package paredown.remedy;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/**
 * The methods that could leave a class together with some fields: they use only these fields, and
 * of their class's methods only each other.
 */
public final class MovableMethods {
  private MovableMethods() {}

  /** The methods, in the order of the text. */
  public static List<MethodFact> of(TypeFact type, Set<String> fields) {
    Set<String> staying =
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(name -> !fields.contains(name))
            .collect(Collectors.toSet());
    Set<MethodFact> chosen = new LinkedHashSet<>();
    for (MethodFact method : type.methods()) {
      Set<String> used = method.fieldsOf(type.name());
      boolean eligible =
          method.isOfObject()
              && !method.overrides()
              && !method.isGetter()
              && used.stream().noneMatch(staying::contains);
      if (eligible) {
        chosen.add(method);
      }
    }
    boolean shrank = true;
    while (shrank) {
      Set<String> signatures =
          chosen.stream().map(MethodFact::signature).collect(Collectors.toSet());
      shrank = chosen.removeIf(method -> !callsOnly(method, type, signatures));
    }
    Set<String> useful = reaching(chosen, type, fields);
    return chosen.stream().filter(method -> useful.contains(method.signature())).toList();
  }

  private static boolean callsOnly(MethodFact method, TypeFact type, Set<String> chosen) {
    return method.callsOf(type.name()).stream()
        .filter(called -> isInstance(type, called))
        .allMatch(chosen::contains);
  }

  private static boolean isInstance(TypeFact type, String signature) {
    return type.methods().stream()
        .anyMatch(method -> method.signature().equals(signature) && !method.isStatic());
  }

  /** Of the chosen, those that use one of the fields, themselves or through each other. */
  private static Set<String> reaching(Set<MethodFact> chosen, TypeFact type, Set<String> fields) {
    Set<String> reaching = new HashSet<>();
    boolean grew = true;
    while (grew) {
      grew = false;
      for (MethodFact method : chosen) {
        boolean uses =
            method.fieldsOf(type.name()).stream().anyMatch(fields::contains)
                || method.callsOf(type.name()).stream().anyMatch(reaching::contains);
        grew |= uses && reaching.add(method.signature());
      }
    }
    return reaching;
  }
}
