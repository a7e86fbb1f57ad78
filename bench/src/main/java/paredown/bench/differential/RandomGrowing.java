package paredown.bench.differential;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A random program with a class whose constructors lead to one: with values in other orders, values
 * of their own, more than calls, and callers that do something while they give.
 */
final class RandomGrowing {
  private static final Map<String, String> TYPES = new LinkedHashMap<>();

  static {
    TYPES.put("buyer", "String");
    TYPES.put("pieces", "int");
    TYPES.put("height", "long");
    TYPES.put("colour", "Object");
    TYPES.put("boxed", "boolean");
  }

  private final Random random;
  private final RandomCode code;
  private final List<List<String>> signatures = new ArrayList<>();

  private RandomGrowing(Random random) {
    this.random = random;
    this.code = new RandomCode(random);
  }

  /** The files of a program. */
  static Map<String, String> files(Random random) {
    RandomGrowing growing = new RandomGrowing(random);
    Map<String, String> files = new LinkedHashMap<>();
    files.put("Log.java", RandomProgram.LOG);
    files.put("Order.java", growing.order());
    files.put("Main.java", growing.main());
    return files;
  }

  private String constant(String type) {
    return switch (type) {
      case "int" -> code.one(List.of("1", "2", "USUAL", "2 + 3", "-1", "Log.next()"));
      case "long" -> code.one(List.of("3", "4L", "USUAL", "5L * 2"));
      case "boolean" -> code.one(List.of("true", "false", "false", "USUAL > 3"));
      case "String" -> code.one(List.of("null", "\"a\"", "\"b\" + USUAL"));
      default -> code.one(List.of("null", "\"o\"", "7", "\"p\""));
    };
  }

  private static String declared(List<String> names) {
    List<String> declared = new ArrayList<>();
    names.forEach(each -> declared.add(TYPES.get(each) + " " + each));
    return String.join(", ", declared);
  }

  private String order() {
    StringBuilder text = new StringBuilder("class Order {\n  static final int USUAL = 4;\n");
    if (code.chance(15)) {
      text.append("  static {\n    Log.text(\"orders\");\n  }\n");
    }
    TYPES.forEach((name, type) -> text.append("  final %s %s;\n".formatted(type, name)));
    List<String> longest = new ArrayList<>(TYPES.keySet());
    if (code.chance(30)) {
      Collections.shuffle(longest, random);
    }
    text.append("  Order(%s) {\n".formatted(declared(longest)));
    text.append("    Log.text(\"made \" + buyer + pieces);\n");
    longest.forEach(each -> text.append("    this.%s = %s;\n".formatted(each, each)));
    text.append("  }\n");
    signatures.add(longest);
    Set<String> known = new LinkedHashSet<>(Set.of(types(longest)));
    for (int i = 0; i < 4; i++) {
      List<String> own = new ArrayList<>(longest.subList(0, 1 + random.nextInt(4)));
      if (code.chance(30)) {
        Collections.shuffle(own, random);
      }
      if (!known.add(types(own))) {
        continue;
      }
      List<String> called =
          signatures.stream()
              .filter(each -> each.containsAll(own) && each.size() > own.size())
              .reduce((one, other) -> code.chance(50) ? one : other)
              .orElse(longest);
      List<String> given = new ArrayList<>();
      called.forEach(each -> given.add(own.contains(each) ? each : constant(TYPES.get(each))));
      text.append(
          "  Order(%s) {\n    this(%s);\n".formatted(declared(own), String.join(", ", given)));
      text.append(code.chance(8) ? "    Log.text(\"more\");\n" : "").append("  }\n");
      signatures.add(own);
    }
    text.append(
        "  public String toString() {\n    return buyer + pieces + height + colour + boxed;\n  }\n");
    return text.append("}\n").toString();
  }

  private static String types(List<String> names) {
    return String.join(",", names.stream().map(TYPES::get).toList());
  }

  private String value(String type) {
    return switch (type) {
      case "int" -> code.one(List.of("1", "n", "n++", "Log.next()", "Order.USUAL"));
      case "long" -> code.one(List.of("2L", "n", "Log.say(\"h\", 3)"));
      case "boolean" -> code.one(List.of("true", "n > 2", "Log.next() > 3"));
      case "String" -> code.one(List.of("\"x\"", "\"y\" + n", "\"z\" + Log.next()"));
      default -> code.one(List.of("\"c\"", "n", "Log.next()"));
    };
  }

  private String made() {
    List<String> signature = code.one(signatures);
    List<String> values = new ArrayList<>();
    signature.forEach(each -> values.add(value(TYPES.get(each))));
    return "new Order(%s)".formatted(String.join(", ", values));
  }

  private String main() {
    StringBuilder text = new StringBuilder("public class Main {\n");
    text.append("  public static void main(String[] args) {\n    int n = 1;\n");
    for (int i = 0; i < 5; i++) {
      String made = made();
      if (code.chance(10)) {
        made += " { }";
      }
      text.append("    Log.text(\"\" + %s + n);\n".formatted(made));
    }
    return text.append("  }\n}\n").toString();
  }
}
