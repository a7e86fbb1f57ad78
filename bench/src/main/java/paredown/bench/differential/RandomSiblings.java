package paredown.bench.differential;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A random program of classes that say much alike: with a class above that calls what they have
 * while it is made, others beside and below, an interface with defaults, and fields that
 * initialisers, constructors and methods set.
 */
final class RandomSiblings extends RandomText {
  private final RandomCode code;
  private final Map<String, String> files = new LinkedHashMap<>();
  private final boolean top;
  private final boolean quiet;
  private final boolean face;
  private final boolean given;
  private final boolean isFinal;
  private final boolean total;
  private final String start;

  private RandomSiblings(Random random) {
    super(random);
    this.code = new RandomCode(random);
    this.top = code.chance(70);
    this.quiet = code.chance(70);
    this.face = code.chance(40);
    this.given = code.chance(70);
    this.isFinal = code.chance(50);
    this.total = code.chance(80);
    this.start =
        code.one(List.of("0", "3", "0", "Log.next()", "base()", "new int[] {1}.length", "LIMIT"));
  }

  /** The files of a program. */
  static Map<String, String> files(Random random) {
    RandomSiblings siblings = new RandomSiblings(random);
    siblings.files.put("Log.java", RandomProgram.LOG);
    siblings.top();
    siblings.face();
    siblings.one("One", "count", "held", "label");
    siblings.one("Two", "number", siblings.maybe(30, "kept", "held"), "text");
    siblings.others();
    siblings.main();
    return siblings.files;
  }

  private void top() {
    StringBuilder text = new StringBuilder(maybe(60, "abstract ") + "class Top {\n");
    text.append("  protected int depth = Log.say(\"top\", 1);\n");
    text.append(maybe(15, "  int count = 7;\n"));
    text.append("  Top(%s) {\n".formatted(maybe(0, "int x")));
    text.append(quiet ? "" : "    hook(2);\n");
    text.append("    depth++;\n  }\n");
    text.append(maybe(30, "  Top(int depth) {\n    this.depth = depth;\n  }\n"));
    text.append("  void hook(int by) {\n    Log.say(\"hook\", by);\n  }\n");
    text.append("  int base() {\n    return Log.say(\"base\", depth);\n  }\n");
    text.append(maybe(15, "  int step(long by) {\n    return 99;\n  }\n"));
    text.append(maybe(10, "  private int help(int x) {\n    return x;\n  }\n"));
    text.append("  public String toString() {\n    return \"top\" + depth;\n  }\n");
    files.put("Top.java", text.append("}\n").toString());
  }

  private void face() {
    files.put(
        "Face.java",
        "interface Face {\n  default int total() {\n    return Log.say(\"face\", -1);\n  }\n%s}\n"
            .formatted(maybe(50, "  int LIMIT = 4;\n")));
  }

  private void one(String name, String count, String held, String label) {
    StringBuilder text = new StringBuilder("class " + name);
    text.append(top ? " extends Top" : "");
    text.append(face ? " implements Face {\n" : " {\n");
    text.append("  static final int LIMIT = %s;\n".formatted(maybe(97, "5", "6")));
    text.append(maybe(20, "  static int made;\n"));
    text.append(
        "  private int %s = %s;\n".formatted(count, top ? start : start.replace("base()", "1")));
    text.append(
        "  %sjava.util.List<Integer> %s = new java.util.ArrayList<>();\n"
            .formatted(isFinal ? "final " : "", held));
    text.append("  private final String %s;\n".formatted(label));
    if (given) {
      text.append("  %s(String %s) {\n".formatted(name, maybe(50, label, "said")));
      String parameter = text.substring(text.lastIndexOf("String ") + 7, text.lastIndexOf(")"));
      text.append(maybe(20, "    Log.text(\"made \" + %s);\n".formatted(parameter)));
      text.append(
          maybe(10, "    hook(3);\n", "")
              .replace(top ? "" : "hook", top ? "" : "System.out.println"));
      text.append("    this.%s = %s;\n".formatted(label, parameter));
      text.append(maybe(20, "    %s += 2;\n".formatted(count)));
      text.append("  }\n");
    } else {
      text.append("  %s(String said) {\n".formatted(name));
      text.append(
          "    %s = %s;\n"
              .formatted(label, code.one(List.of("\"x\"", "said + 1", "Log.next() + said"))));
      text.append("  }\n");
    }
    text.append("  int step(int by) {\n    %s += by * LIMIT;\n".formatted(count));
    text.append(maybe(3, "    Log.say(\"odd\", by);\n"));
    text.append(
        "    %s.add(by);\n    return Log.say(\"step\", help(%s));\n  }\n".formatted(held, count));
    text.append(
        maybe(
            total ? 100 : 0,
            "  public int total() {\n    int all = base2();\n    for (int each : %s) {\n      all += each;\n    }\n    return all + %s;\n  }\n"
                .formatted(held, count)));
    text.append(
        "  %sint help(int x) {\n    return x - %s;\n  }\n"
            .formatted(maybe(60, "private "), maybe(97, "1", "2")));
    text.append(
        "  %sint base2() {\n    return Log.say(\"%s\", 4);\n  }\n"
            .formatted(maybe(50, "private "), name));
    text.append("  String said() {\n    return %s + %s.size();\n  }\n".formatted(label, held));
    text.append(
        top
            ? maybe(
                50,
                "  void hook(int by) {\n    %s = by;\n    Log.say(\"own\", by);\n  }\n"
                    .formatted(count))
            : "");
    text.append(
        maybe(
            30,
            "  public String toString() {\n    return said() + this.%s;\n  }\n".formatted(count)));
    text.append(
        "  int other(int %s) {\n    return %s + this.%s;\n  }\n"
            .formatted("count", "count", count));
    files.put(name + ".java", text.append("}\n").toString());
  }

  private void others() {
    StringBuilder text = new StringBuilder("class Sub extends One {\n");
    text.append("  Sub() {\n    super(\"sub\");\n  }\n");
    text.append(maybe(50, "  int step(int by) {\n    return super.step(by + 1);\n  }\n"));
    text.append(maybe(30, "  int help(int x) {\n    return Log.say(\"subhelp\", x);\n  }\n"));
    text.append(maybe(30, "  int base2() {\n    return Log.say(\"subbase\", 8);\n  }\n"));
    files.put("Sub.java", text.append("}\n").toString());
    text = new StringBuilder("class Three");
    text.append(top ? " extends Top" : "").append(maybe(30, " implements Face", "")).append(" {\n");
    text.append(
        maybe(20, "  int total() {\n    return 3;\n  }\n")
            .replace("int total", "public int total"));
    text.append(maybe(20, "  int count = 8;\n"));
    text.append(maybe(15, "  static int step(int by) {\n    return by;\n  }\n"));
    files.put("Three.java", text.append("}\n").toString());
  }

  private void main() {
    StringBuilder text = new StringBuilder("public class Main {\n");
    text.append("  public static void main(String[] args) {\n");
    text.append("    One one = new One(\"a\");\n    Two two = new Two(\"b\");\n");
    text.append("    One sub = new Sub();\n    Three three = new Three();\n");
    for (int i = 0; i < 6; i++) {
      text.append(
          code.one(
              List.of(
                  "    Log.say(\"1\", one.step(2));\n",
                  "    Log.say(\"2\", two.step(3));\n",
                  "    Log.say(\"s\", sub.step(4));\n",
                  "    Log.text(one.said() + two.said() + sub.said());\n",
                  "    Log.text(one + \" \" + two + \" \" + sub);\n"
                      .replace(
                          "one + \" \" + two + \" \" + sub",
                          top
                              ? "one + \" \" + two + \" \" + sub + three"
                              : "one.other(1) + \" \" + two.other(2)"),
                  "    Log.say(\"o\", one.other(5) + two.other(6));\n",
                  files.get("One.java").contains("int total")
                      ? "    Log.say(\"t\", one.total() + sub.total());\n"
                      : "    Log.say(\"h\", one.step(0));\n",
                  "    java.util.function.IntUnaryOperator ref%d = two::step;\n    Log.say(\"r\", ref%d.applyAsInt(1));\n"
                      .formatted(i, i))));
    }
    text.append("    one.held.add(5);\n    Log.text(\"\" + one.held);\n");
    text.append("    Log.say(\"l\", One.LIMIT + Two.LIMIT);\n  }\n}\n");
    files.put("Main.java", text.toString());
  }
}
