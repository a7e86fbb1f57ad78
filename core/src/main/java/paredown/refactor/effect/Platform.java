package paredown.refactor.effect;

import java.util.EnumSet;
import java.util.Set;
import java.util.regex.Pattern;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** What methods and constructors of the platform do, by the names of their classes. */
final class Platform {
  /** Objects of these are values: their methods change nothing and ask nobody. */
  private static final Pattern VALUES =
      Pattern.compile(
          "java\\.lang\\.(String|Math|StrictMath|Integer|Long|Short|Byte|Character|Boolean|Double"
              + "|Float|Number|Enum|Record|Void)|java\\.math\\..*|java\\.time\\..*"
              + "|java\\.util\\.(Optional\\w*|UUID|Locale|OptionalInt)|java\\.lang\\.Class"
              + "|java\\.net\\.URI|java\\.nio\\.charset\\.(Charset|StandardCharsets)"
              + "|java\\.util\\.regex\\.Pattern");

  private static final Pattern TEXT_IN_THE_MAKING =
      Pattern.compile("java\\.lang\\.(StringBuilder|StringBuffer|AbstractStringBuilder)");

  private static final Pattern COLLECTIONS =
      Pattern.compile(
          "java\\.util\\.(?!Scanner|Timer|ServiceLoader|Formatter|Random)\\w+"
              + "|java\\.util\\.stream\\..*|java\\.util\\.concurrent\\.(Copy|Concurrent)\\w+"
              + "|java\\.util\\.concurrent\\.atomic\\..*|java\\.lang\\.Iterable");

  private static final Pattern LOOKING =
      Pattern.compile(
          "get|getOrDefault|getFirst|getLast|first|last|peek\\w*|element|size|length|isEmpty"
              + "|contains\\w*|indexOf|lastIndexOf|iterator|listIterator|stream|keySet|values"
              + "|entrySet|getKey|getValue|subList|headMap|tailMap|subMap|firstKey|lastKey|toArray"
              + "|hasNext|ceiling|floor|higher|lower|charAt|substring|toString|capacity|cardinality"
              + "|nextSetBit|nextClearBit|doubleValue|intValue|longValue|getPlain|reversed");

  private static final Pattern STATIC_HELP =
      Pattern.compile("java\\.util\\.(Objects|Arrays|Collections|List|Set|Map|stream\\..*)");

  private static final Pattern CHANGING_HELP =
      Pattern.compile("fill|sort|shuffle|reverse|swap|rotate|copy|setAll|addAll|parallel\\w*");

  private Platform() {}

  /** Whether a class comes with the platform. */
  static boolean isOf(TypeElement type) {
    String name = type.getQualifiedName().toString();
    return name.startsWith("java.") || name.startsWith("javax.");
  }

  static Set<Deed> of(ExecutableElement called) {
    TypeElement type = (TypeElement) called.getEnclosingElement();
    String owner = type.getQualifiedName().toString();
    String name = called.getSimpleName().toString();
    if (called.getKind() == ElementKind.CONSTRUCTOR) {
      return made(owner);
    }
    boolean isStatic = called.getModifiers().contains(Modifier.STATIC);
    if (owner.equals("java.lang.Object")) {
      return ofObject(name);
    }
    if (owner.equals("java.lang.Comparable") || owner.equals("java.util.Comparator")) {
      return isStatic ? Set.of() : EnumSet.of(Deed.COMPARES);
    }
    if (owner.equals("java.lang.CharSequence")) {
      return EnumSet.of(Deed.READS, Deed.MAKES_TEXT);
    }
    if (VALUES.matcher(owner).matches()) {
      return ofValue(called, owner, name, isStatic);
    }
    if (TEXT_IN_THE_MAKING.matcher(owner).matches()) {
      boolean looks = LOOKING.matcher(name).matches() || name.equals("compareTo");
      Set<Deed> deeds = EnumSet.of(looks ? Deed.READS : Deed.CHANGES);
      if (takesObject(called)) {
        deeds.add(Deed.MAKES_TEXT);
      }
      return deeds;
    }
    if (isStatic && STATIC_HELP.matcher(owner).matches()) {
      boolean changes = CHANGING_HELP.matcher(name).matches();
      boolean makes = owner.matches("java\\.util\\.(List|Set|Map|Collections|Objects)");
      Set<Deed> deeds = EnumSet.noneOf(Deed.class);
      if (changes || !makes) {
        deeds.add(changes ? Deed.CHANGES : Deed.READS);
      }
      if (name.matches("equals|hash\\w*|deepEquals|binarySearch|sort|min|max|frequency|disjoint")) {
        deeds.add(Deed.COMPARES);
      }
      if (name.matches("toString|deepToString")) {
        deeds.add(Deed.MAKES_TEXT);
      }
      return deeds;
    }
    if (COLLECTIONS.matcher(owner).matches()) {
      return ofCollection(name);
    }
    if (owner.startsWith("java.lang.System") && name.equals("arraycopy")) {
      return EnumSet.of(Deed.CHANGES);
    }
    if (owner.startsWith("java.lang.System") && name.equals("identityHashCode")) {
      return Set.of();
    }
    if (owner.equals("java.lang.Throwable") && name.startsWith("get")) {
      return EnumSet.of(Deed.READS);
    }
    return EnumSet.of(Deed.OUTSIDE, Deed.UNKNOWN);
  }

  private static Set<Deed> ofObject(String name) {
    return switch (name) {
      case "getClass" -> Set.of();
      case "toString" -> EnumSet.of(Deed.READS, Deed.MAKES_TEXT);
      case "equals", "hashCode" -> EnumSet.of(Deed.READS, Deed.COMPARES);
      case "clone" -> EnumSet.of(Deed.READS, Deed.UNKNOWN);
      default -> EnumSet.of(Deed.OUTSIDE);
    };
  }

  private static Set<Deed> ofValue(
      ExecutableElement called, String owner, String name, boolean isStatic) {
    boolean chance = name.equals("random") || name.equals("randomUUID") || name.equals("now");
    boolean asks = name.matches("getInteger|getLong|getBoolean|getDefault|setDefault");
    if (chance || asks && isStatic) {
      return EnumSet.of(Deed.OUTSIDE);
    }
    if (owner.equals("java.lang.Class")) {
      return name.matches("forName|newInstance|getResource\\w*|getDeclared\\w*|getMethod\\w*")
          ? EnumSet.of(Deed.OUTSIDE, Deed.UNKNOWN)
          : Set.of();
    }
    boolean text =
        owner.equals("java.lang.String")
            && name.matches("format|formatted|valueOf|join")
            && takesObject(called);
    if (text) {
      return EnumSet.of(Deed.MAKES_TEXT);
    }
    return owner.startsWith("java.util.Optional") && name.matches("equals|hashCode|toString")
        ? EnumSet.of(Deed.COMPARES, Deed.MAKES_TEXT)
        : Set.of();
  }

  private static boolean takesObject(ExecutableElement called) {
    return called.getParameters().stream()
        .map(parameter -> parameter.asType().toString())
        .anyMatch(type -> type.matches("java\\.lang\\.(Object|CharSequence|Iterable).*"));
  }

  private static Set<Deed> ofCollection(String name) {
    Set<Deed> deeds =
        EnumSet.of(LOOKING.matcher(name).matches() ? Deed.READS : Deed.CHANGES, Deed.GOES_THROUGH);
    deeds.add(Deed.COMPARES);
    if (name.equals("toString")) {
      deeds.add(Deed.MAKES_TEXT);
    }
    return deeds;
  }

  private static Set<Deed> made(String owner) {
    boolean value =
        VALUES.matcher(owner).matches()
            || TEXT_IN_THE_MAKING.matcher(owner).matches()
            || owner.equals("java.lang.Object")
            || owner.matches(
                "java\\.(lang|util|io)\\.\\w*(Exception|Error)|java\\.lang\\.Throwable")
            || COLLECTIONS.matcher(owner).matches();
    return value ? Set.of() : EnumSet.of(Deed.OUTSIDE, Deed.UNKNOWN);
  }
}
