package paredown.bench.differential;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * A random program of two packages whose classes stand within others: with members that only those
 * around see, names that mean another class elsewhere, classes without a name, and values that show
 * when a class starts.
 */
final class RandomNested extends RandomText {
  private RandomNested(Random random) {
    super(random);
  }

  static Map<String, String> files(Random random) {
    RandomNested nested = new RandomNested(random);
    Map<String, String> files = new TreeMap<>();
    files.put("p/Log.java", LOG);
    files.put("p/Harbor.java", nested.harbor());
    files.put("p/Part.java".replace("Part", nested.maybe(15, "Part", "Other")), nested.beside());
    files.put("q/Desk.java", nested.desk());
    files.put("q/Rope.java", "package q;\n\npublic class Rope {\n  public int n = 6;\n}\n");
    files.put("Main.java", nested.main());
    return files;
  }

  /** A class of the program, to a package or into another class. */
  static String command(Map<String, String> files, Random random) {
    List<String> classes =
        List.of(
            "p.Harbor.Part",
            "p.Harbor.Part",
            "p.Harbor.Inner",
            "p.Harbor.Inner",
            "p.Harbor.Kind",
            "p.Harbor.Pair",
            "p.Harbor",
            "p.Log",
            "p.Other",
            "q.Desk",
            "q.Desk.Note",
            "q.Rope");
    List<String> targets = List.of("p", "p", "q", "q", "r", "p.Harbor", "q.Desk");
    return "move class %s --to %s"
        .formatted(
            classes.get(random.nextInt(classes.size())),
            targets.get(random.nextInt(targets.size())));
  }

  private static final String LOG =
      """
      package p;

      public class Log {
        public static int say(String what, int x) {
          System.out.println(what + " " + x);
          return x;
        }
      }
      """;

  private String harbor() {
    return "package p;\n\nimport java.util.*;\n"
        + maybe(30, "import static p.Log.say;\n")
        + "\n/** A harbor with a {@link Part}, and {@link #count}. */\n"
        + "public class Harbor%s {\n".formatted(maybe(15, "<H>"))
        + "  %sstatic int count = %s;\n"
            .formatted(maybe(60, "private "), maybe(60, "3", "Log.say(\"count\", 3)"))
        + "  %sint level = 2;\n".formatted(maybe(50, "private "))
        + "  static int twice(int x) {\n    return 2 * x;\n  }\n"
        + part()
        + inner()
        + "  %senum Kind {\n    LOW, HIGH {\n      int x() { return %s; }\n    };\n"
            .formatted(maybe(70, "public "), maybe(40, "count", "4"))
        + "    int x() { return 1; }\n  }\n"
        + "  %srecord Pair(int a, Kind b) {}\n".formatted(maybe(50, "private ", "public "))
        + "  public int use(int x) {\n"
        + "    Part%s part = new Part%s(x);\n"
            .formatted(generic ? "<String>" : "", generic ? "<>" : "")
        + "    Inner inner = %s;\n".formatted(maybe(50, "this.new Inner()", "new Inner()"))
        + "    Pair pair = new Pair(part.x, Kind.HIGH);\n"
        + "    int k = switch (pair.b()) {\n      case LOW -> 1;\n      case HIGH -> Kind.HIGH.x();\n    };\n"
        + maybe(40, "    part.x++;\n")
        + maybe(30, "    inner.own += 2;\n")
        + maybe(30, "    Object o = part;\n    k += o instanceof Part ? 1 : 0;\n")
        + "    return part.go(k) + inner.go() + pair.a();\n  }\n}\n";
  }

  private boolean generic;

  private String part() {
    generic = random.nextInt(4) == 0;
    return "  %sstatic class Part%s {\n"
            .formatted(maybe(60, "public ", maybe(30, "private ")), generic ? "<T>" : "")
        + maybe(40, "    static int made = Log.say(\"made\", 5);\n")
        + "    %sint x;\n".formatted(maybe(50, "private ", maybe(50, "public ")))
        + "    %sPart(int x) {\n      this.x = x%s;\n    }\n"
            .formatted(maybe(70, "public "), maybe(40, " + count"))
        + "    public int go(int by) {\n"
        + "      Comparator<Integer> c = new Comparator<Integer>() {\n"
        + "        int n = %s;\n".formatted(maybe(40, "count", "x"))
        + "        public int compare(Integer a, Integer b) {\n          return a - b + n;\n        }\n"
        + "      };\n"
        + "      return c.compare(by, x) + %s;\n    }\n"
            .formatted(maybe(40, "twice(x)", maybe(50, "Harbor.count", "new Rope().n")))
        + "  }\n"
        + maybe(
            70,
            "  static class Rope {\n    int n = 8;\n  }\n",
            "  static class Rope {\n    private int n = 9;\n  }\n");
  }

  private String inner() {
    return "  %sclass Inner {\n".formatted(maybe(40, "private ", maybe(50, "public ")))
        + maybe(30, "    int level = 7;\n")
        + "    int own = %s;\n".formatted(maybe(50, "level", "1"))
        + "    int go() {\n      return own + %s + %s;\n    }\n"
            .formatted(
                maybe(50, "Harbor.this.level", "level"),
                maybe(40, "use2(own)", maybe(50, "twice(own)", "Harbor.this.use2(1)")))
        + "  }\n"
        + "  %sint use2(int x) {\n    return x + level;\n  }\n".formatted(maybe(50, "private "));
  }

  private String beside() {
    return "package p;\n\nclass Other {\n  static int seen = %s;\n"
            .formatted(maybe(50, "2", "Log.say(\"seen\", 2)"))
        + "  int go() {\n    return seen + Harbor.twice(3);\n  }\n}\n";
  }

  private String desk() {
    return "package q;\n\n"
        + maybe(50, "import p.*;\n", "import p.Harbor;\nimport p.Log;\n")
        + "\npublic class Desk {\n"
        + "  %sstatic class Note {\n    int length = new Rope().n;\n    int more() {\n      return length + %s;\n    }\n  }\n"
            .formatted(maybe(50, "private ", "public "), maybe(40, "hidden", "1"))
        + "  private static int hidden = 11;\n"
        + "  public int ask() {\n    return new Harbor%s().use(4) + new Note().more() + Log.say(\"desk\", 1);\n  }\n}\n"
            .formatted("");
  }

  private String main() {
    return "import p.Harbor;\nimport q.Desk;\n\n"
        + "public class Main {\n  public static void main(String[] a) {\n"
        + "    System.out.println(new Desk().ask());\n"
        + "    System.out.println(new Harbor().use(1));\n"
        + maybe(30, "    System.out.println(new q.Rope().n);\n")
        + "  }\n}\n";
  }
}
