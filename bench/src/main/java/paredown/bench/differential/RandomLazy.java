package paredown.bench.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A random program with classes that do little: a subclass that adds nothing, a class that only
 * passes on, and a class whose one object another holds; each now and then with something that
 * makes it more than that.
 */
final class RandomLazy extends RandomText {
  private final RandomCode code;
  private final Map<String, String> files = new LinkedHashMap<>();

  private RandomLazy(Random random) {
    super(random);
    this.code = new RandomCode(random);
  }

  /** The files of a program. */
  static Map<String, String> files(Random random) {
    RandomLazy lazy = new RandomLazy(random);
    lazy.files.put("Log.java", RandomProgram.LOG);
    lazy.base();
    lazy.sub();
    lazy.desk();
    lazy.part();
    lazy.whole();
    lazy.main();
    return lazy.files;
  }

  private void base() {
    StringBuilder text = new StringBuilder("public class Base {\n  protected int n;\n");
    text.append("  Base(int n) {\n    this.n = n;\n    Log.say(\"base\", n);\n  }\n");
    text.append("  Base(int n, int k) {\n    this.n = n * 10 + k;\n  }\n");
    text.append("  int n() {\n    return n;\n  }\n");
    text.append("  int grow() {\n    return Log.say(\"grow\", ++n);\n  }\n");
    text.append("  int plus(int x) {\n    return n + x;\n  }\n");
    text.append(maybe(40, "  int plus(long x) {\n    return -1;\n  }\n"));
    text.append("  void note(String what) {\n    Log.text(what + n);\n  }\n");
    text.append(maybe(30, "  static int count = Log.next();\n"));
    text.append(maybe(30, "  public String toString() {\n    return \"base\" + n;\n  }\n"));
    text.append(
        maybe(
            20,
            "  public boolean equals(Object o) {\n    return o instanceof Base b && b.n == n;\n  }\n"
                + "  public int hashCode() {\n    return n;\n  }\n"));
    files.put("Base.java", text.append("}\n").toString());
  }

  private void sub() {
    StringBuilder text = new StringBuilder("public class Sub extends Base {\n");
    text.append("  Sub(int n) {\n");
    text.append(
        code.one(
            List.of(
                "    super(n);\n", "    super(n);\n", "    super(n, 3);\n", "    super(2, n);\n")));
    text.append(maybe(8, "    Log.text(\"sub\");\n")).append("  }\n");
    text.append(maybe(30, "  Sub(int n, int k) {\n    super(n, k);\n  }\n"));
    text.append(maybe(10, "  int grow() {\n    return n += 2;\n  }\n"));
    files.put("Sub.java", text.append("}\n").toString());
    if (code.chance(40)) {
      files.put(
          "Low.java",
          "public class Low extends Sub {\n  Low() {\n    super(8);\n  }\n"
              + maybe(50, "  int plus(int x) {\n    return super.plus(x) + 1;\n  }\n")
              + "}\n");
    }
  }

  private void desk() {
    StringBuilder text = new StringBuilder("public class Desk {\n  private final Base base;\n");
    text.append("  Desk(Base base) {\n    this.base = base;\n");
    text.append(maybe(6, "    Log.text(\"desk\");\n")).append("  }\n");
    text.append("  int plus(int x) {\n    return base.plus(x);\n  }\n");
    String grow = code.one(List.of("grow", "more"));
    text.append("  int %s() {\n    return base.grow();\n  }\n".formatted(grow));
    text.append("  void note(String what) {\n    this.base.note(what);\n  }\n");
    text.append(maybe(40, "  Base base() {\n    return base;\n  }\n"));
    text.append(maybe(6, "  int twice() {\n    return base.n() * 2;\n  }\n"));
    files.put("Desk.java", text.append("}\n").toString());
  }

  private void part() {
    String list = "new java.util.ArrayList<>()";
    StringBuilder text = new StringBuilder("public class Part {\n");
    text.append(maybe(30, "  static final int TOP = 90;\n"));
    boolean top = text.indexOf("TOP") > 0;
    text.append(maybe(10, "  static int made = Log.next();\n"));
    text.append("  private int a")
        .append(code.one(List.of("", " = 4", " = Log.next()")))
        .append(";\n");
    text.append("  final java.util.List<Integer> items = " + list + ";\n");
    text.append("  private final int b;\n");
    text.append("  Part(int b) {\n    this.b = b;\n");
    text.append(maybe(20, "    a = 7;\n")).append(maybe(8, "    Log.text(\"part\");\n"));
    text.append("  }\n");
    String top1 = top ? "TOP" : "5";
    text.append(
        "  int add(int x) {\n    items.add(x);\n    a += x;\n    return a > %s ? b : a;\n  }\n"
            .formatted(top1));
    text.append("  int a() {\n    return a;\n  }\n");
    text.append("  void a(int a) {\n    this.a = a;\n  }\n");
    text.append(
        "  int sum() {\n    int sum = b;\n    for (int item : items) {\n      sum += item;\n    }\n"
            + "    return count(sum);\n  }\n");
    text.append("  private int count(int x) {\n    return Log.say(\"count\", x + a);\n  }\n");
    text.append(
        maybe(
            30,
            "  java.util.function.IntSupplier later() {\n    return () -> this.a + add(1);\n  }\n"));
    text.append(maybe(8, "  Part self() {\n    return this;\n  }\n"));
    text.append(maybe(8, "  synchronized int lock() {\n    return a;\n  }\n"));
    text.append(maybe(10, "  public String toString() {\n    return \"part\" + a;\n  }\n"));
    files.put("Part.java", text.append("}\n").toString());
  }

  private void whole() {
    boolean early = code.chance(15);
    StringBuilder text =
        new StringBuilder("public class Whole" + (early ? " extends Root" : "") + " {\n");
    if (early) {
      files.put(
          "Root.java",
          "public class Root {\n  Root() {\n    try {\n      Log.say(\"root\", hook());\n    } catch"
              + " (NullPointerException e) {\n      Log.text(\"none\");\n    }\n  }\n"
              + "  int hook() {\n    return 1;\n  }\n  int sum() {\n    return -4;\n  }\n}\n");
    }
    text.append(maybe(40, "  int a = 100;\n")).append(maybe(30, "  int b = Log.next();\n"));
    boolean declared = code.chance(50);
    String value = code.one(List.of("3", "Log.next()", "Log.say(\"given\", 6)"));
    text.append(
        "  private %sPart part%s;\n"
            .formatted(
                code.one(List.of("final ", "")), declared ? " = new Part(" + value + ")" : ""));
    text.append("  int c = Log.say(\"c\", 1);\n");
    text.append("  Whole(int x) {\n");
    text.append(maybe(10, "    Log.say(\"first\", run(1));\n"));
    text.append(
        declared ? "" : "    part = new Part(%s);\n".formatted(code.one(List.of("x", value))));
    text.append("    c += x;\n  }\n");
    if (code.chance(20)) {
      text.append("  Whole() {\n    this(2);\n  }\n");
    }
    text.append("  int run(int b) {\n    int a = part.add(b);\n");
    text.append(code.one(List.of("", "    part.a(a + 1);\n", "    this.part.a(b);\n")));
    text.append("    return a + part.a() + part.items.size();\n  }\n");
    text.append(maybe(50, "  int add(int y) {\n    return part.add(y);\n  }\n"));
    text.append(maybe(40, "  int total() {\n    return part.sum();\n  }\n"));
    text.append(maybe(30, "  int a() {\n    return part.a();\n  }\n"));
    text.append(maybe(30, "  int sum() {\n    return 1000;\n  }\n"));
    text.append(maybe(30, "  int hook() {\n    return part.sum();\n  }\n"));
    text.append(
        maybe(
            30,
            "  java.util.function.IntSupplier later() {\n    return code() > 0 ? part::sum : this.part::a;\n"
                + "  }\n  int code() {\n    return c;\n  }\n"));
    text.append(
        maybe(
            30,
            "  int inner() {\n    return new Object() {\n      int sum() {\n        return -3;\n      }\n"
                + "      int go() {\n        return part.sum() + sum();\n      }\n    }.go();\n  }\n"));
    text.append(
        maybe(20, "  int other(Whole o) {\n    return o.part.sum() + o.part.add(2);\n  }\n"));
    text.append(maybe(8, "  Part part() {\n    return part;\n  }\n"));
    text.append(maybe(6, "  void anew() {\n    part = new Part(5);\n  }\n"));
    text.append(maybe(6, "  boolean has() {\n    return part != null;\n  }\n"));
    String whole = text.append("}\n").toString();
    if (whole.contains("anew")) {
      whole = whole.replace("private final Part", "private Part");
    }
    files.put("Whole.java", whole);
  }

  private void main() {
    StringBuilder text = new StringBuilder("import java.util.*;\nimport java.util.function.*;\n\n");
    text.append("public class Main {\n");
    text.append("  static int kind(Base b) {\n    return 1;\n  }\n");
    text.append(maybe(20, "  static int kind(Sub b) {\n    return 2;\n  }\n"));
    text.append(maybe(20, "  static int kind(Object b) {\n    return 3;\n  }\n"));
    text.append("  static Sub keep(Sub s) {\n    return s;\n  }\n");
    text.append("  static void tell(Desk d, int x) {\n    Log.say(\"tell\", d.plus(x));\n  }\n\n");
    text.append("  public static void main(String[] arguments) {\n");
    List<String> lines = new ArrayList<>(lines());
    int count = 8 + lines.size() / 3;
    text.append("    Base s = new Sub(1);\n    Sub t = new Sub(2);\n");
    text.append("    Desk d = new Desk(s);\n    Whole w = new Whole(3);\n");
    while (count-- > 0) {
      text.append("    ").append(code.one(lines)).append('\n');
    }
    text.append("    Log.say(\"w\", w.run(4));\n    d.note(\"end\");\n  }\n}\n");
    files.put("Main.java", text.toString());
  }

  private List<String> lines() {
    List<String> lines =
        new ArrayList<>(
            List.of(
                "Log.say(\"t\", t.grow());",
                "Log.say(\"s\", s.plus(t.n()));",
                "Log.say(\"kind\", kind(t));",
                "Log.say(\"kept\", keep(new Sub(5)).plus(1));",
                "new ArrayList<Sub>(List.of(t)).forEach(x -> x.note(\"list\"));",
                "tell(new Desk(t), 3);",
                "tell(d, Log.next());",
                "Log.say(\"d\", new Desk(Log.next() > 2 ? s : t).plus(3));",
                "{ IntUnaryOperator f = d::plus; Log.say(\"f\", f.applyAsInt(2)); }",
                "{ Supplier<Sub> f = () -> new Sub(6); Log.say(\"made\", f.get().n()); }",
                "for (Desk each : List.of(d, new Desk(t))) { each.note(\"each\"); }",
                "Log.say(\"run\", w.run(2));",
                "Log.say(\"again\", new Whole(Log.next()).run(1));"));
    List<String> rare =
        List.of(
            "{ Function<Integer, Sub> f = Sub::new; Log.say(\"ref\", f.apply(7).n()); }",
            "Log.text(\"is \" + (s instanceof Sub));",
            "Log.text(\"same \" + (d == new Desk(s)));",
            "Log.text(\"null \" + (d == null));",
            "Log.text(Sub.class.getSimpleName());",
            "Log.say(\"anon\", new Sub(4) { int n() { return 40; } }.n());",
            "Log.say(\"set\", new HashSet<>(List.of(d)).contains(new Desk(s)) ? 1 : 0);",
            "t = (Sub) t;",
            "new Desk(t);",
            "Desk none = null;");
    lines.add(code.one(rare));
    lines.add(code.one(rare));
    optional(lines, "Desk.java", "int more()", "Log.say(\"more\", d.more());");
    optional(lines, "Desk.java", "int grow()", "Log.say(\"more\", d.grow());");
    optional(lines, "Desk.java", "Base base()", "Log.say(\"base\", d.base().grow());");
    optional(lines, "Whole.java", "int add(", "Log.say(\"add\", w.add(5));");
    optional(lines, "Whole.java", "int total()", "Log.say(\"total\", w.total());");
    optional(lines, "Whole.java", "int a()", "Log.say(\"a\", w.a());");
    optional(lines, "Whole.java", "int inner()", "Log.say(\"inner\", w.inner());");
    optional(lines, "Whole.java", "int other(", "Log.say(\"other\", w.other(new Whole(1)));");
    optional(lines, "Whole.java", "later()", "Log.say(\"later\", w.later().getAsInt());");
    optional(lines, "Whole.java", "Part part()", "Log.say(\"part\", w.part().sum());");
    if (files.containsKey("Low.java")) {
      lines.add("Log.say(\"low\", new Low().plus(3));");
    }
    return lines;
  }

  private void optional(List<String> lines, String file, String holding, String line) {
    if (files.get(file).contains(holding)) {
      lines.add(line);
    }
  }
}
