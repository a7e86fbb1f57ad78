package paredown.bench.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A program made at random: a class that is changed and one that takes, classes above and below
 * both, interfaces with defaults of the same names, and a main method that asks them all. Every
 * object tells what it does.
 */
final class RandomProgram {
  static final String LOG =
      """
      public class Log {
        static int lines;
        static int say(String what, int value) {
          text(what + value);
          return value;
        }
        static void text(String text) {
          if (lines++ < 400) {
            System.out.println(text);
          } else {
            throw new IllegalStateException("enough");
          }
        }
        static int count;
        static int next() {
          return ++count;
        }
      }
      """;

  /** A class that shows when it is started. */
  private static final String LATE =
      """
      public class Late {
        static {
          Log.text("late");
        }
        static int start = 5;
        static int given() {
          return 3;
        }
      }
      """;

  private final Random random;
  private final RandomCode code;
  private final Map<String, String> files = new LinkedHashMap<>();
  private final List<String> methods = new ArrayList<>();
  private final List<String> fields = new ArrayList<>();
  private boolean base;
  private boolean cloneable;

  RandomProgram(Random random) {
    this.random = random;
    this.code = new RandomCode(random);
  }

  /** The signatures of the methods of Owner that may be moved, as they are typed. */
  List<String> methods() {
    return methods;
  }

  /** The names of the fields of Owner. */
  List<String> fields() {
    return fields;
  }

  Map<String, String> files() {
    if (files.isEmpty()) {
      make();
    }
    return files;
  }

  private void make() {
    base = code.chance(50);
    cloneable = code.chance(12);
    files.put("Log.java", LOG);
    files.put("Late.java", LATE);
    target();
    if (base) {
      base();
    }
    owner();
    files.put("Shape.java", shape());
    below();
    files.put("Main.java", main());
  }

  private void target() {
    String above = code.chance(25) && base ? " extends Base" : "";
    StringBuilder text = new StringBuilder("public class Target" + above + " {\n");
    text.append("  int n;\n  Target(int n) {\n    this.n = n;\n  }\n");
    text.append("  int n() {\n    return n;\n  }\n");
    text.append("  int grow() {\n    return Log.say(\"grow\", ++n);\n  }\n");
    text.append("  int plus(int x) {\n    return n + x;\n  }\n");
    if (code.chance(15)) {
      text.append("  static {\n    Log.text(\"start target\");\n  }\n");
    }
    files.put("Target.java", text.append("}\n").toString());
  }

  private void base() {
    StringBuilder text = new StringBuilder("public class Base {\n");
    text.append("  int low = 7;\n");
    if (code.chance(40)) {
      text.append("  Base() {\n    Log.say(\"base\", hook(3));\n  }\n");
    }
    text.append("  int hook(int x) {\n    return x + low;\n  }\n");
    if (code.chance(40)) {
      text.append("  class Inner {\n    int deep() {\n      return low + 1;\n    }\n  }\n");
    }
    files.put("Base.java", text.append("}\n").toString());
  }

  private String shape() {
    StringBuilder text = new StringBuilder("public interface Shape {\n");
    for (String signature :
        List.of("m0(Target t)", "m0()", "m1(int x)", "m2(Target t, int x)", "m2(int x)", "a()")) {
      boolean clashes = notPublic.contains(signature.substring(0, signature.indexOf('(')));
      if (code.chance(40) && !clashes) {
        text.append("  default int %s {\n    return -1;\n  }\n".formatted(signature));
      }
    }
    return text.append("}\n").toString();
  }

  private void field(StringBuilder text, String type, String name, String value) {
    String access = code.one(List.of("private ", "private ", ""));
    String shown = value.isEmpty() ? "" : " = " + value;
    text.append("  %s%s %s%s;\n".formatted(access, type, name, shown));
    fields.add(name);
  }

  private void owner() {
    StringBuilder text = new StringBuilder("public class Owner");
    text.append(base ? " extends Base" : "").append(cloneable ? " implements Cloneable" : "");
    text.append(" {\n");
    if (code.chance(20)) {
      text.append("  static {\n    Log.text(\"start owner\");\n  }\n");
    }
    List<String> values = List.of("", "4", "Log.next()", "Log.say(\"init\", 5)");
    field(text, "int", "a", code.one(values));
    field(text, "int", "b", code.one(values));
    field(text, "final int", "c", "");
    if (code.chance(50)) {
      field(text, "int", "d", code.one(values));
    } else if (code.chance(40)) {
      text.append(
          "  private int d = 2, e%s;\n".formatted(code.one(List.of("", "[] = {d}", " = 3"))));
      fields.add("d");
    }
    boolean asked = code.chance(30);
    if (asked) {
      field(text, "final java.util.function.IntSupplier", "asked", anonymous());
    }
    boolean list = code.chance(60);
    if (list) {
      field(
          text,
          "final java.util.List<Integer>",
          "items",
          "new java.util.ArrayList<>(java.util.List.of(1, 2))");
    }
    boolean held = code.chance(60);
    if (held) {
      field(text, code.chance(60) ? "final Target" : "Target", "target", "new Target(8)");
    }
    text.append("  static int s = 1;\n");
    constructor(text);
    RandomCode.Scope scope = scope(list, held);
    if (asked) {
      scope = scope.reading("asked.getAsInt()");
    }
    accessor(text, "a");
    if (code.chance(50)) {
      accessor(text, "b");
    }
    text.append("  void a(int value) {\n    a = value;\n  }\n");
    int count = 3 + random.nextInt(3);
    for (int i = 0; i < count; i++) {
      method(text, i, scope);
    }
    if (base && code.chance(40)) {
      text.append(
          "  @Override int hook(int x) {\n    return x + %s;\n  }\n"
              .formatted(code.one(List.of("a", "b++", "c", "a()"))));
    }
    if (cloneable) {
      boolean direct = code.chance(40);
      String body =
          direct
              ? "return (Owner) super.clone();"
              : "Owner made = (Owner) super.clone();\n      %sreturn made;"
                  .formatted(code.one(List.of("", "made.a++;\n      ", "a += 3;\n      ")));
      text.append(
          "  public Owner %s() {\n    try {\n      %s\n    }"
                  .formatted(direct ? "copy" : "clone", body)
              + " catch (CloneNotSupportedException e) {\n      throw new IllegalStateException();\n"
              + "    }\n  }\n");
      text.append(direct ? "" : "  public Owner copy() {\n    return clone();\n  }\n");
    }
    String loud = code.chance(25) ? "a++;\n    " : "";
    text.append("  public String toString() {\n    %sreturn \"owner\";\n  }\n".formatted(loud));
    text.append("  String dump() {\n    return a + \",\" + b + \",\" + c;\n  }\n");
    files.put("Owner.java", text.append("}\n").toString());
  }

  /** An object of a class without a name, which may ask the object around it. */
  private String anonymous() {
    String value = code.one(List.of("7", "s", "a", "a()", "Log.say(\"asked\", 3)"));
    return "new java.util.function.IntSupplier() {\n    public int getAsInt() {\n      return "
        + value
        + ";\n    }\n  }";
  }

  private void constructor(StringBuilder text) {
    text.append("  Owner(int c) {\n");
    List<String> lines = new ArrayList<>();
    lines.add("this.c = c;");
    if (code.chance(40)) {
      lines.add(random.nextInt(lines.size() + 1), "b = c + 1;");
    }
    if (code.chance(20)) {
      lines.add(random.nextInt(lines.size() + 1), "a = Log.say(\"ctor\", 2);");
    }
    if (code.chance(15)) {
      lines.add("Log.say(\"early\", a());");
    }
    lines.forEach(line -> text.append("    ").append(line).append('\n'));
    text.append("  }\n");
  }

  private RandomCode.Scope scope(boolean list, boolean held) {
    List<String> ints = new ArrayList<>(List.of("a", "b", "c", "this.a", "s", "Late.start"));
    List<String> set = new ArrayList<>(List.of("a", "b", "s"));
    List<String> calls = new ArrayList<>(List.of("a()", "Log.next()", "Late.given()"));
    if (base) {
      ints.add("low");
      calls.add("hook(%)");
    }
    return new RandomCode.Scope(
        ints,
        set,
        held ? List.of("target") : List.of(),
        calls,
        List.of("this"),
        list ? List.of("items") : List.of());
  }

  private void accessor(StringBuilder text, String field) {
    text.append("  public int %s() {\n    return %s;\n  }\n".formatted(field, field));
  }

  private void method(StringBuilder text, int i, RandomCode.Scope scope) {
    boolean takesTarget = i != 1 && code.chance(80);
    boolean takesNumber = i == 1 || code.chance(40);
    List<String> parameters = new ArrayList<>();
    List<String> types = new ArrayList<>();
    if (takesTarget) {
      parameters.add("Target t");
      types.add("Target");
    }
    if (takesNumber) {
      parameters.add("int x");
      types.add("int");
    }
    boolean isStatic = code.chance(12);
    String access = code.one(List.of("", "", "public ", "private "));
    RandomCode.Scope inside = isStatic ? bare() : light(scope);
    List<String> targets = new ArrayList<>(inside.targets());
    if (takesTarget) {
      targets.clear();
      targets.add("t");
    }
    inside =
        new RandomCode.Scope(
            inside.ints(), inside.set(), targets, inside.calls(), inside.texts(), inside.lists());
    if (takesNumber) {
      inside = inside.with("x");
    }
    String signature = "m%d(%s)".formatted(i, String.join(", ", parameters));
    text.append("  %s%sint %s {\n".formatted(access, isStatic ? "static " : "", signature));
    if (takesTarget && code.chance(50)) {
      text.append("    int w = t.n();\n");
      inside = inside.with("w");
    }
    for (String line : code.statements(inside, random.nextInt(3), 0)) {
      text.append("    ").append(line).append('\n');
    }
    text.append("    return %s;\n  }\n".formatted(code.number(inside, 0)));
    methods.add("m%d(%s)".formatted(i, String.join(",", types)));
    calls.add(
        (isStatic ? "Owner." : "o.") + "m%d(%s)".formatted(i, arguments(takesTarget, takesNumber)));
    privates.add(access.startsWith("private"));
    if (!access.startsWith("public")) {
      notPublic.add("m" + i);
    }
  }

  private final List<String> calls = new ArrayList<>();
  private final List<Boolean> privates = new ArrayList<>();
  private final java.util.Set<String> notPublic = new java.util.HashSet<>();

  private String arguments(boolean takesTarget, boolean takesNumber) {
    List<String> given = new ArrayList<>();
    if (takesTarget) {
      given.add(code.one(List.of("t", "t", "new Target(5)", "sub", "make(6)", "code")));
    }
    if (takesNumber) {
      given.add(code.one(List.of("2", "k++", "make(3).n", "o.a()")));
    }
    return String.join(", ", given).replace("code", code.chance(10) ? "null" : "t");
  }

  private static RandomCode.Scope bare() {
    return new RandomCode.Scope(
        List.of("s"), List.of("s"), List.of(), List.of("Log.next()"), List.of(), List.of());
  }

  /** Most methods touch little of their object, or none could ever move. */
  private RandomCode.Scope light(RandomCode.Scope scope) {
    if (code.chance(25)) {
      return scope;
    }
    List<String> ints = new ArrayList<>();
    ints.add(code.one(scope.ints()));
    if (code.chance(50)) {
      ints.add(code.one(scope.ints()));
    }
    List<String> set = code.chance(25) ? List.of(code.one(scope.set())) : List.of();
    List<String> called = code.chance(30) ? List.of(code.one(scope.calls())) : List.of();
    List<String> texts = code.chance(20) ? List.of("this") : List.of();
    return new RandomCode.Scope(
        ints, set, scope.targets(), called, texts, code.chance(40) ? scope.lists() : List.of());
  }

  private void below() {
    StringBuilder sub = new StringBuilder("public class Sub extends Owner");
    sub.append(code.chance(45) ? " implements Shape" : "").append(" {\n");
    sub.append("  int own = 3;\n  Sub(int c) {\n    super(c);\n  }\n");
    if (code.chance(25)) {
      sub.append(
          "  @Override public int a() {\n    return super.a() + Log.say(\"sub\", own++);\n  }\n");
    }
    for (String method : methods) {
      boolean plain = method.contains("(Target)") && code.chance(15);
      if (plain) {
        sub.append(
            "  public int %s(Target t) {\n    return 100 + t.n;\n  }\n"
                .formatted(method.substring(0, 2)));
      }
    }
    if (code.chance(30)) {
      sub.append("  @Override public String toString() {\n    a(9);\n    return \"sub\";\n  }\n");
    }
    files.put("Sub.java", sub.append("}\n").toString());
    StringBuilder target = new StringBuilder("public class SubTarget extends Target");
    target.append(code.chance(45) ? " implements Shape" : "").append(" {\n");
    target.append("  SubTarget(int n) {\n    super(n);\n  }\n");
    if (code.chance(40)) {
      target.append("  @Override int n() {\n    return super.n() + Log.say(\"n\", 1);\n  }\n");
    }
    if (code.chance(20)) {
      target.append("  public int m0(int x) {\n    return 50;\n  }\n");
    }
    files.put("SubTarget.java", target.append("}\n").toString());
  }

  private String main() {
    StringBuilder text = new StringBuilder("public class Main {\n");
    text.append("  static int k = 1;\n");
    text.append(
        "  static Target make(int n) {\n    Log.say(\"make\", n);\n    return new Target(n);\n  }\n");
    text.append("  static Owner owner(Owner o) {\n    Log.text(\"asked\");\n    return o;\n  }\n");
    text.append("  static void ask(Owner o, Target t) {\n    Target sub = new SubTarget(2);\n");
    for (int i = 0; i < calls.size(); i++) {
      if (!privates.get(i)) {
        String call = calls.get(i);
        String shown =
            code.chance(15) && call.startsWith("o.") ? "owner(o)." + call.substring(2) : call;
        text.append("    try {\n      Log.say(\"m%d \", %s);\n    }".formatted(i, shown));
        text.append(" catch (RuntimeException e) {\n      Log.text(\"failed\");\n    }\n");
      }
    }
    if (code.chance(40)) {
      text.append("    if (t instanceof Shape shape) {\n");
      defaults(text, "shape");
      text.append("    }\n");
    }
    text.append("    if (o instanceof Shape shape) {\n");
    defaults(text, "shape");
    text.append("    }\n");
    text.append("    Log.text(o.dump() + \" \" + t.n);\n");
    if (cloneable) {
      text.append(
          "    Owner copy = o.copy();\n    copy.a(20);\n    Log.text(o.dump() + copy.dump());\n");
    }
    text.append("  }\n  public static void main(String[] arguments) {\n");
    text.append("    Owner o = new Owner(3);\n    ask(o, new Target(4));\n");
    text.append("    ask(new Sub(2), new SubTarget(6));\n");
    text.append("    Log.text(\"end \" + Log.count + \" \" + k);\n  }\n}\n");
    return text.toString();
  }

  private void defaults(StringBuilder text, String shape) {
    String declared = files.get("Shape.java");
    for (Map.Entry<String, String> each :
        Map.of(
                "m0(Target t)", "m0(t)",
                "m0()", "m0()",
                "m1(int x)", "m1(2)",
                "m2(Target t, int x)", "m2(t, 3)",
                "m2(int x)", "m2(3)",
                "a()", "a()")
            .entrySet()) {
      if (declared.contains(" " + each.getKey() + " ")) {
        text.append("      Log.say(\"shape \", %s.%s);\n".formatted(shape, each.getValue()));
      }
    }
  }
}
