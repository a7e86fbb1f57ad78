package paredown.bench.differential;

import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * A random program of a class above two others, of whose members most are asked of objects of the
 * one below only: with what others override, hide or inherit for an interface, and with code that
 * looks at the order in which objects are made.
 */
final class RandomFamily extends RandomText {
  private RandomFamily(Random random) {
    super(random);
  }

  static Map<String, String> files(Random random) {
    RandomFamily family = new RandomFamily(random);
    Map<String, String> files = new TreeMap<>();
    files.put("Log.java", LOG);
    files.put("Top.java", family.top());
    files.put("Low.java", family.low());
    files.put(
        "Face.java", "interface Face {\n  default int part(int x) {\n    return -x;\n  }\n}\n");
    files.put("Main.java", family.main());
    return files;
  }

  private static final String LOG =
      """
      class Log {
        static int say(String what, int x) {
          System.out.println(what + " " + x);
          return x;
        }
      }
      """;

  private String top() {
    return "class Top {\n"
        + maybe(
            50,
            "  private static final int EACH = 3;\n",
            "  static int EACH = Log.say(\"each\", 3);\n")
        + "  int depth = %s;\n".formatted(maybe(60, "2", "Log.say(\"depth\", 2)"))
        + "  protected int held%s;\n".formatted(maybe(50, " = 5"))
        + "  Top() {\n"
        + maybe(30, "    held = 4;\n")
        + maybe(30, "    hook(1);\n")
        + "  }\n"
        + "  void hook(int by) {\n    Log.say(\"hook\", by);\n  }\n"
        + "  %sint part(int x) {\n    return Log.say(\"part\", help(x) + depth * EACH);\n  }\n"
            .formatted(maybe(30, "public "))
        + "  %sint help(int x) {\n    return x + %s;\n  }\n"
            .formatted(maybe(60, "private "), maybe(50, "this.depth", "held"))
        + "  int whole(Object o) {\n    return part(Log.say(\"o\", 1)) + say(this);\n  }\n"
        + "  int say(Top top) {\n    return Log.say(\"top\", 7);\n  }\n"
        + maybe(12, "  static int of(Top top) {\n    return top.held;\n  }\n")
        + maybe(8, "  static int asked(Top top) {\n    return top.part(2);\n  }\n")
        + "}\n";
  }

  private String low() {
    return "class Low extends Top%s {\n".formatted(maybe(25, " implements Face"))
        + maybe(25, "  int depth = 9;\n")
        + maybe(25, "  int help(int x) {\n    return Log.say(\"lowhelp\", x);\n  }\n")
        + maybe(30, "  int say(Low low) {\n    return Log.say(\"low\", 8);\n  }\n")
        + maybe(30, "  void hook(int by) {\n    Log.say(\"lowhook\", held + by);\n  }\n")
        + "  int all() {\n    return part(3) + %s + whole(this);\n  }\n"
            .formatted(maybe(30, "super.held", "held"))
        + "}\n\n"
        + "class Lower extends Low {\n"
        + maybe(30, "  int part(int x) {\n    return Log.say(\"lower\", x);\n  }\n")
        + "  int more() {\n    held++;\n    return this.part(held) + depth;\n  }\n"
        + "}\n\n"
        + "class Other extends Top {\n"
        + maybe(20, "  int part(long x) {\n    return Log.say(\"other\", 6);\n  }\n")
        + "  int one() {\n    return %s;\n  }\n".formatted(maybe(12, "part(1)", "1"))
        + "}\n";
  }

  private String main() {
    return "public class Main {\n  public static void main(String[] a) {\n"
        + "    Low low = new Lower();\n"
        + "    Log.say(\"all\", low.all());\n"
        + "    Log.say(\"more\", new Lower().more());\n"
        + "    Log.say(\"held\", low.held + low.whole(\"x\"));\n"
        + maybe(12, "    Top top = low;\n    Log.say(\"asked\", top.part(4));\n")
        + maybe(
            30,
            "    java.util.function.IntUnaryOperator f = low::part;\n    Log.say(\"f\", f.applyAsInt(2));\n")
        + "    Log.say(\"other\", new Other().one());\n"
        + "  }\n}\n";
  }
}
