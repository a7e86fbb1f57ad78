package paredown.refactor.operation.value;

import java.util.Optional;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.carry.Layout;
import paredown.refactor.use.OwnerClass;
import paredown.text.NameWords;

/**
 * The text of the new type: a record where the language has them.
 *
 * @param name of the type
 * @param type of the value
 * @param check what must hold of the value; empty where every value will do
 */
record ValueText(
    String name, OwnerClass.Field field, OwnerClass owner, boolean open, Optional<String> check) {
  private static final int RECORDS_SINCE = 16;

  /** The component, and the accessor that gives it. */
  static final String VALUE = "value";

  String text() {
    String end = owner.source().lineEnd();
    String unit = Layout.of(owner).unit();
    StringBuilder text = new StringBuilder(imported(end));
    text.append(comment());
    text.append(isRecord() ? record() : plainClass());
    return text.toString().replace("\n  ", "\n" + unit).replace("  ", unit).replace("\n", end);
  }

  /** {@code A depth, as a Berth has one.} */
  private String comment() {
    String words = String.join(" ", NameWords.of(name));
    boolean vowel = "aeiou".indexOf(words.charAt(0)) >= 0;
    return words.endsWith("s")
        ? "/** %s, as a %s has them. */\n"
            .formatted(NameWords.capitalised(words), owner.simpleName())
        : "/** %s %s, as a %s has one. */\n"
            .formatted(vowel ? "An" : "A", words, owner.simpleName());
  }

  private boolean isRecord() {
    return owner.trees().language() >= RECORDS_SINCE;
  }

  private String shown() {
    return type() instanceof DeclaredType declared
        ? declared.asElement().getSimpleName().toString()
        : type().toString();
  }

  private TypeMirror type() {
    return field.element().asType();
  }

  private String imported(String end) {
    if (!(type() instanceof DeclaredType declared)) {
      return "";
    }
    String full = ((TypeElement) declared.asElement()).getQualifiedName().toString();
    String home = full.substring(0, Math.max(0, full.lastIndexOf('.')));
    boolean known = home.equals("java.lang") || home.equals(owner.packageName());
    return known ? "" : "import " + full + ";" + end + end;
  }

  private String visible() {
    return open ? "public " : "";
  }

  private String record() {
    String head = visible() + "record %s(%s value)".formatted(name, shown());
    return check.isEmpty()
        ? head + " {}\n"
        : head + " {\n  " + visible() + name + " {\n" + checked() + "  }\n}\n";
  }

  private String checked() {
    return check
        .map(
            each ->
                "    if (!(%s)) {\n      throw new IllegalArgumentException(\"no %s: \" + value);\n    }\n"
                    .formatted(each, name))
        .orElse("");
  }

  private String plainClass() {
    boolean primitive = type().getKind().isPrimitive();
    String boxed = primitive ? boxed() + ".hashCode(value)" : "java.util.Objects.hashCode(value)";
    String same =
        primitive
            ? boxed() + ".compare(value, ((%s) other).value) == 0".formatted(name)
            : "java.util.Objects.equals(value, ((%s) other).value)".formatted(name);
    return """
        %1$sfinal class %2$s {
          private final %3$s value;

          %1$s%2$s(%3$s value) {
        %4$s    this.value = value;
          }

          %1$s%3$s value() {
            return value;
          }

          @Override
          public boolean equals(Object other) {
            return other instanceof %2$s && %5$s;
          }

          @Override
          public int hashCode() {
            return %6$s;
          }

          @Override
          public String toString() {
            return String.valueOf(value);
          }
        }
        """
        .formatted(visible(), name, shown(), checked(), same, boxed);
  }

  private String boxed() {
    return switch (type().getKind()) {
      case INT -> "Integer";
      case LONG -> "Long";
      case DOUBLE -> "Double";
      case FLOAT -> "Float";
      default -> "Boolean";
    };
  }
}
