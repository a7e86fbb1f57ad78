package paredown.bench.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A random small program whose one long method has what stands in methods: loops, switches, tries,
 * jumps, lambdas, and variables of all kinds. It prints what it does.
 */
final class RandomBody {
  private final Random random;
  private final List<String> lines = new ArrayList<>();
  private final List<String> numbers = new ArrayList<>(List.of("a", "b", "c", "d"));
  private int names;

  private RandomBody(Random random) {
    this.random = random;
  }

  /** The one file of a program. */
  static Map<String, String> files(Random random) {
    RandomBody body = new RandomBody(random);
    body.statements("    ", 4 + random.nextInt(5), 0, false);
    Map<String, String> files = new LinkedHashMap<>();
    files.put(
        "Main.java",
        BodyClass.HEAD
            + "  int run(int a, int b) {\n    int c = 1;\n    int d = a;\n"
            + String.join("\n", body.lines)
            + "\n    return a + b + c + d;\n  }\n\n"
            + BodyClass.TAIL);
    return files;
  }

  private String one(String... of) {
    return of[random.nextInt(of.length)];
  }

  private String variable() {
    return random.nextInt(3) > 0
        ? numbers.get(numbers.size() - 1 - random.nextInt(Math.min(3, numbers.size())))
        : numbers.get(random.nextInt(numbers.size()));
  }

  private String changed() {
    return one("a", "b", "c", "d");
  }

  private String value() {
    String x = variable();
    return switch (random.nextInt(26)) {
      case 0 -> "" + random.nextInt(7);
      case 1, 2, 3 -> x;
      case 4 -> x + " + " + variable();
      case 5 -> x + " * 2 - " + variable();
      case 6 -> "say(" + x + ")";
      case 7 -> "f";
      case 8 -> one("g", "this.g", "k");
      case 9 -> one("tide.h", "none.h", "tide.height()", "tide.high(" + x + ")");
      case 10 -> "list.size()";
      case 11 -> x + " / " + variable();
      case 12 -> "calc(" + x + ")";
      case 13 -> "bump(" + x + ")";
      case 14 -> "(" + x + " > " + variable() + " ? " + variable() + " : f)";
      case 15 -> "twice(" + value() + ")";
      case 16 -> "plus(" + value() + ", " + value() + ")";
      case 17 -> "kind(" + x + ")";
      case 18 -> "-" + x;
      case 19 -> changed() + one("++", "--");
      case 20 -> "list.get(" + x + " & 1)";
      case 21 -> one("Late.start", "Late.given()", "new Late().own");
      case 22 ->
          "new IntSupplier() { public int getAsInt() { return %s; } }.getAsInt()"
              .formatted(one("f", "g++", "f + say(2)", "k"));
      case 23, 24 -> one("tell(", "seek(", "sort(", "pick(") + value() + ", " + value() + ")";
      default -> "(" + x + " = " + x + " + 1)";
    };
  }

  private String condition() {
    String simple = value() + " " + one("<", ">", "==", "!=") + " " + variable();
    return switch (random.nextInt(8)) {
      case 0, 1 -> simple + one(" && ", " || ") + variable() + " > 1";
      case 2 -> "!(" + simple + one(" && ", " || ") + "!(0.5 * " + variable() + " < 1.5))";
      case 3 -> variable() + " >= 2" + one(" && ", " || ") + "(" + simple + " || !(f > 2))";
      default -> simple;
    };
  }

  private void add(String indent, String line) {
    lines.add(indent + line);
  }

  private void statements(String indent, int count, int depth, boolean loop) {
    int known = numbers.size();
    for (int i = 0; i < count; i++) {
      statement(indent, depth, loop);
    }
    while (numbers.size() > known) {
      numbers.remove(numbers.size() - 1);
    }
  }

  private void block(String indent, String head, int depth, boolean loop) {
    add(indent, head + " {");
    statements(indent + "  ", 1 + random.nextInt(3), depth + 1, loop);
  }

  private void statement(String indent, int depth, boolean loop) {
    String name = "x" + names++;
    switch (random.nextInt(depth > 2 ? 9 : 17)) {
      case 0 -> add(indent, changed() + one(" = ", " += ", " -= ") + value() + ";");
      case 1 -> add(indent, "say(" + value() + ");");
      case 2, 3, 4 -> {
        add(indent, one("int ", "int ", "int ", "final int ") + name + " = " + value() + ";");
        numbers.add(name);
        if (random.nextInt(3) == 0) {
          add(indent, "say(" + value() + " + " + name + ");");
        }
      }
      case 5 -> odd(indent, name);
      case 6 -> jump(indent, loop);
      case 7 -> add(indent, one("g", "f", "tide.h") + " += " + variable() + ";");
      case 8 ->
          add(
              indent,
              one(
                  "note(" + value() + ", \"n\" + " + value() + ");",
                  "guard(" + value() + ", \"n\" + " + value() + ");",
                  "list.add(f);"));
      case 9, 10 -> {
        if (random.nextInt(4) == 0) {
          add(indent, "if (" + condition() + ") {");
          block(indent + "  ", "if (" + condition() + ")", depth, loop);
          add(indent + "  ", "}");
          add(indent, "}");
          return;
        }
        block(indent, "if (" + condition() + ")", depth, loop);
        if (random.nextBoolean()) {
          add(indent, "} else {");
          statements(indent + "  ", 1, depth + 1, loop);
        }
        add(indent, "}");
      }
      case 11, 12 -> {
        block(indent, "for (int %1$s = 0; %1$s < 3; %1$s++)".formatted(name), depth, true);
        add(indent, "}");
      }
      case 13 -> {
        add(indent, "int " + name + " = 3;");
        block(indent, "while (" + name + "-- > 0)", depth, true);
        add(indent, "}");
      }
      case 14 -> {
        block(indent, "try", depth, loop);
        add(indent + "  ", "fail(" + variable() + ");");
        block(indent, "} catch (RuntimeException " + name + ")", depth, loop);
        if (random.nextBoolean()) {
          add(indent, "} finally {");
          add(indent + "  ", "say(" + variable() + ");");
        }
        add(indent, "}");
      }
      case 15 -> {
        add(indent, "int " + name + ";");
        add(indent, "if (%s) {".formatted(condition()));
        add(indent + "  ", name + " = " + value() + ";");
        add(indent, "} else {");
        add(indent + "  ", name + " = " + value() + ";");
        add(indent, "}");
        add(indent, "say(" + name + ");");
      }
      default -> {
        add(indent, "switch (" + value() + " & 1) {");
        add(indent + "  ", "case 0:");
        statements(indent + "    ", 2, 3, loop);
        if (random.nextBoolean()) {
          add(indent + "    ", "break;");
        }
        add(indent + "  ", "default:");
        statements(indent + "    ", 2, 3, loop);
        add(indent, "}");
      }
    }
  }

  private void jump(String indent, boolean loop) {
    add(indent, "if (" + condition() + ") {");
    String way = loop ? one("break;", "continue;", "return a;") : one("return b;", "say(f);");
    add(indent + "  ", way);
    add(indent, "}");
  }

  /** A variable that is no number, and what is done with it. */
  private void odd(String indent, String name) {
    switch (random.nextInt(8)) {
      case 0 -> {
        add(indent, "String " + name + " = \"t\" + " + value() + ";");
        add(indent, "say(" + name + ".length() + " + name + ");");
      }
      case 1 -> {
        add(indent, "Tide " + name + " = " + one("new Tide(f)", "tide", "tide.up()") + ";");
        add(indent, name + ".h += 2;");
        add(indent, "say(" + name + ".h + tide.h);");
      }
      case 2 -> {
        add(indent, "IntSupplier " + name + " = () -> " + one("f", "g", "k", "tide.h") + ";");
        add(indent, one("g", "f") + " += 1;");
        add(indent, "say(" + name + ".getAsInt());");
      }
      case 3 -> {
        add(indent, "int " + name + " = " + one("g", "f", "k", "tide.h", "k * 2", "f + k") + ";");
        add(indent, "IntSupplier y" + name + " = () -> " + name + " + 1;");
        add(indent, one("g", "f", "tide.h") + " += 1;");
        add(indent, "say(y" + name + ".getAsInt());");
      }
      case 4 -> {
        add(indent, "long " + name + " = " + value() + ";");
        add(indent, "say(kind(" + name + ") + " + name + " * 2147483647);");
      }
      case 5 -> {
        add(indent, "Integer " + name + " = " + value() + ";");
        add(indent, "say(kind(" + name + ") + " + one("\"\" + ", "") + name + ");");
        if (random.nextBoolean()) {
          add(indent, "say(" + name + " == " + one(name, "(Object) " + name) + ");");
        }
      }
      case 6 -> {
        add(indent, "int[] " + name + " = {" + value() + ", " + variable() + "};");
        add(indent, "say(" + name + "[0]" + one("", "++") + ");");
        numbers.add(name + "[1]");
      }
      default -> {
        add(indent, "Object " + name + " = " + one("tide", "\"s\"", "list") + ";");
        add(indent, "say(kind(" + name + ") + \"\" + " + name + ");");
      }
    }
  }
}
