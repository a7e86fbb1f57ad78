package paredown.refactor.operation.value;

import java.util.List;
import java.util.Optional;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.carry.Layout;
import paredown.refactor.use.OwnerClass;
import paredown.text.Article;
import paredown.text.NameWords;

/** The text of the new type: a record where the language has them. */
final class ValueText {
  private static final int RECORDS_SINCE = 16;

  /** The component, and the accessor that gives it. */
  static final String VALUE = "value";

  private final String name;
  private final OwnerClass owner;
  private final TypeMirror type;
  private final String visible;
  private final Optional<String> check;
  private final String unit;
  private final String end;
  private final StringBuilder text = new StringBuilder();

  /**
   * The text of a type.
   *
   * @param name of the type
   * @param open whether other packages see it
   * @param check what must hold of the value; empty where every value will do
   */
  ValueText(
      String name, OwnerClass.Field field, OwnerClass owner, boolean open, Optional<String> check) {
    this.name = name;
    this.owner = owner;
    this.type = field.element().asType();
    this.visible = open ? "public " : "";
    this.check = check;
    this.unit = Layout.of(owner).unit();
    this.end = owner.source().lineEnd();
  }

  String text() {
    imported();
    line(0, comment());
    if (owner.trees().language() >= RECORDS_SINCE) {
      record();
    } else {
      plainClass();
    }
    return text.toString();
  }

  private void line(int depth, String code) {
    text.append(unit.repeat(depth)).append(code).append(end);
  }

  /** Some lines within the type, behind a gap. */
  private void member(List<String> lines) {
    text.append(end);
    int depth = 1;
    for (String each : lines) {
      depth -= each.equals("}") ? 1 : 0;
      line(depth, each);
      depth += each.endsWith("{") ? 1 : 0;
    }
  }

  /** {@code A depth, as a Berth has one.} */
  private String comment() {
    String words = String.join(" ", NameWords.of(name));
    return words.endsWith("s")
        ? "/** %s, as %s has them. */"
            .formatted(NameWords.capitalised(words), Article.with(owner.simpleName()))
        : "/** %s, as %s has one. */"
            .formatted(
                NameWords.capitalised(Article.with(words)), Article.with(owner.simpleName()));
  }

  private String shown() {
    return type instanceof DeclaredType declared
        ? declared.asElement().getSimpleName().toString()
        : type.toString();
  }

  private void imported() {
    if (type instanceof DeclaredType declared) {
      String full = ((TypeElement) declared.asElement()).getQualifiedName().toString();
      String home = full.substring(0, Math.max(0, full.lastIndexOf('.')));
      if (!home.equals("java.lang") && !home.equals(owner.packageName())) {
        line(0, "import " + full + ";");
        text.append(end);
      }
    }
  }

  private void record() {
    String head = visible + "record %s(%s value) {".formatted(name, shown());
    if (check.isEmpty()) {
      line(0, head + "}");
      return;
    }
    line(0, head);
    line(1, visible + name + " {");
    checked();
    line(1, "}");
    line(0, "}");
  }

  private void checked() {
    check.ifPresent(
        condition -> {
          line(2, "if (!(" + condition + ")) {");
          line(3, "throw new IllegalArgumentException(\"no " + name + ": \" + value);");
          line(2, "}");
        });
  }

  private void plainClass() {
    line(0, visible + "final class " + name + " {");
    line(1, "private final " + shown() + " value;");
    text.append(end);
    line(1, visible + name + "(" + shown() + " value) {");
    checked();
    line(2, "this.value = value;");
    line(1, "}");
    member(List.of(visible + shown() + " value() {", "return value;", "}"));
    member(
        List.of(
            "@Override",
            "public boolean equals(Object other) {",
            "return other instanceof " + name + " && " + same() + ";",
            "}"));
    member(
        List.of(
            "@Override",
            "public int hashCode() {",
            "return " + holder() + ".hashCode(value);",
            "}"));
    member(
        List.of("@Override", "public String toString() {", "return String.valueOf(value);", "}"));
    line(0, "}");
  }

  private String same() {
    String other = "((" + name + ") other).value";
    return type.getKind().isPrimitive()
        ? holder() + ".compare(value, " + other + ") == 0"
        : holder() + ".equals(value, " + other + ")";
  }

  /** The class that compares such values. */
  private String holder() {
    return switch (type.getKind()) {
      case INT -> "Integer";
      case LONG -> "Long";
      case DOUBLE -> "Double";
      case FLOAT -> "Float";
      case BOOLEAN -> "Boolean";
      default -> "java.util.Objects";
    };
  }
}
