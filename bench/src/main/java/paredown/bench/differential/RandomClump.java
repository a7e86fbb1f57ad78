package paredown.bench.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A random program whose methods take the same values together: above and below, in an interface,
 * in constructors, overloaded, in other orders, with callers that do something while they give.
 */
final class RandomClump extends RandomText {
  private final RandomCode code;
  private final Map<String, String> files = new LinkedHashMap<>();

  private RandomClump(Random random) {
    super(random);
    this.code = new RandomCode(random);
  }

  /** The files of a program. */
  static Map<String, String> files(Random random) {
    RandomClump clump = new RandomClump(random);
    clump.files.put("Log.java", RandomProgram.LOG);
    clump.face();
    clump.base();
    clump.low();
    clump.desk();
    clump.main();
    return clump.files;
  }

  /** The three values in an order, with something else among them or not. */
  private String parameters() {
    return code.one(
        List.of(
            "int from, String name, long until",
            "int from, String name, long until",
            "int from, String name, int more, long until",
            "String name, int from, long until",
            "boolean loud, int from, String name, long until",
            "long until, int more, int from, String name"));
  }

  private void face() {
    String body = maybe(40, " { return Log.say(\"face\", from); }");
    files.put(
        "Face.java",
        "public interface Face {\n  %sint shown(int from, String name, long until)%s\n%s}\n"
            .formatted(
                body.isEmpty() ? "" : "default ",
                body.isEmpty() ? ";" : body,
                maybe(40, "  default int other() {\n    return 1;\n  }\n")));
  }

  private void base() {
    StringBuilder text = new StringBuilder("public class Base implements Face {\n");
    text.append("  protected int from;\n  protected String name;\n  protected long until;\n");
    text.append("  Base(int from, String name, long until) {\n    this.from = from;\n");
    text.append("    this.name = name;\n");
    text.append(maybe(30, "    until++;\n"));
    text.append("    this.until = until;\n    Log.text(\"base \" + name + from);\n  }\n");
    text.append(maybe(40, "  Base(int from) {\n    this(from, \"x\", Log.say(\"l\", 3));\n  }\n"));
    text.append("  public int shown(int from, String name, long until) {\n");
    text.append(maybe(30, "    from += 2;\n"));
    text.append(maybe(30, "    name = name + until;\n"));
    text.append("    return Log.say(name, from + (int) until + this.from);\n  }\n");
    text.append("  int first(" + parameters() + ") {\n");
    text.append(maybe(40, "    for (int i = 0; i < 2; i++) {\n      from = from + i;\n    }\n"));
    text.append(maybe(40, "    Runnable said = () -> Log.text(name + until);\n    said.run();\n"));
    text.append(maybe(50, "    shown(from, name, until);\n"));
    text.append(maybe(30, "    shown(until > 3 ? 1 : from, name, until + 1);\n"));
    text.append("    return Log.say(\"first \" + name, from - (int) until);\n  }\n");
    text.append(maybe(30, "  int first(String name) {\n    return name == null ? 0 : 1;\n  }\n"));
    text.append(maybe(30, "  int first(Object name) {\n    return name == null ? 5 : 6;\n  }\n"));
    files.put("Base.java", text.append("}\n").toString());
  }

  private void low() {
    StringBuilder text = new StringBuilder("public class Low extends Base {\n");
    text.append("  Low(int from, String name, long until) {\n    super(from, name, until);\n  }\n");
    text.append(
        maybe(40, "  Low(long until) {\n    super(Log.say(\"f\", 1), \"low\", until);\n  }\n"));
    text.append(
        maybe(
            60,
            "  public int shown(int begin, String name, long until) {\n"
                + "    return super.shown(begin, name, until) + 1;\n  }\n"));
    text.append(
        maybe(20, "  public int shown(int from) {\n    return shown(from, \"n\", 2L);\n  }\n"));
    files.put("Low.java", text.append("}\n").toString());
  }

  private void desk() {
    StringBuilder text = new StringBuilder("public class Desk {\n");
    text.append(maybe(20, "  static Face face = (from, name, until) -> from;\n"));
    text.append("  static int second(" + parameters() + ") {\n");
    text.append(maybe(30, "    until = until * 2;\n"));
    text.append("    Base base = new Base(from, name, until)");
    text.append(maybe(20, " { int n = Log.next(); }")).append(";\n");
    text.append("    return base.shown(from, name, until) + third(from, name, until);\n  }\n");
    text.append("  private static int third(int from, String name, long until) {\n");
    text.append(
        maybe(
            40,
            "    class Inner {\n      int of(int from) {\n        return from + name.length();\n"
                + "      }\n    }\n    Log.say(\"in\", new Inner().of(4));\n"));
    text.append("    return Log.say(\"third\" + name, from + (int) until);\n  }\n");
    files.put("Desk.java", text.append("}\n").toString());
  }

  private String value(String type) {
    return switch (type) {
      case "int" -> code.one(List.of("1", "Log.next()", "Log.say(\"i\", 4)", "n", "n++", "n + 2"));
      case "String" -> code.one(List.of("\"a\"", "\"b\" + n", "text", "text + Log.next()"));
      case "long" -> code.one(List.of("2", "3L", "Log.say(\"u\", 5)", "n", "w", "w--"));
      default -> code.one(List.of("true", "n > 2", "Log.next() > 3"));
    };
  }

  private String given(String file, String method) {
    String text = files.get(file);
    String list = text.substring(text.indexOf(method + "(") + method.length() + 1);
    List<String> values = new ArrayList<>();
    for (String parameter : list.substring(0, list.indexOf(')')).split(", ")) {
      values.add(value(parameter.split(" ")[0]));
    }
    return String.join(", ", values);
  }

  private void main() {
    StringBuilder text = new StringBuilder("public class Main {\n");
    text.append("  public static void main(String[] args) {\n");
    text.append("    int n = 1;\n    long w = 4;\n    String text = \"t\";\n");
    text.append("    Base base = new Low(%s);\n".formatted(given("Low.java", " Low")));
    text.append("    Face plain = new Base(%s);\n".formatted(given("Base.java", " Base")));
    text.append(maybe(20, "    Face asked = base::shown;\n    asked.shown(1, \"r\", 2);\n"));
    for (int i = 0; i < 5; i++) {
      text.append(
          code.one(
              List.of(
                  "    Log.say(\"s\", base.shown(%s));\n".formatted(given("Base.java", "shown")),
                  "    Log.say(\"p\", plain.shown(%s));\n".formatted(given("Base.java", "shown")),
                  "    Log.say(\"f\", base.first(%s));\n".formatted(given("Base.java", "first")),
                  "    Log.say(\"d\", Desk.second(%s));\n".formatted(given("Desk.java", "second")),
                  "    Log.say(\"n\", base.shown(base.shown(%s), text, w));\n"
                      .formatted(given("Base.java", "shown")))));
    }
    text.append("    Log.text(n + \" \" + w + text);\n  }\n}\n");
    files.put("Main.java", text.toString());
  }
}
