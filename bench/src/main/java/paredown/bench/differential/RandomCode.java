package paredown.bench.differential;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Statements and expressions made at random, of names that a scope knows. */
final class RandomCode {
  private final Random random;

  /**
   * What code can reach.
   *
   * @param ints names of numbers that can be read
   * @param set names of numbers that can be set
   * @param targets expressions of type Target
   * @param calls calls that give a number; {@code %} stands for a number, {@code @} for a Target
   * @param texts expressions that are made text of
   * @param lists expressions of numbers that can be gone through
   */
  record Scope(
      List<String> ints,
      List<String> set,
      List<String> targets,
      List<String> calls,
      List<String> texts,
      List<String> lists) {

    Scope with(String name) {
      List<String> more = new ArrayList<>(ints);
      more.add(name);
      List<String> settable = new ArrayList<>(set);
      settable.add(name);
      return new Scope(more, settable, targets, calls, texts, lists);
    }

    Scope reading(String name) {
      List<String> more = new ArrayList<>(ints);
      more.add(name);
      return new Scope(more, set, targets, calls, texts, lists);
    }
  }

  RandomCode(Random random) {
    this.random = random;
  }

  boolean chance(int percent) {
    return random.nextInt(100) < percent;
  }

  <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  /** A number. */
  String number(Scope scope, int depth) {
    int kind = random.nextInt(depth > 2 ? 4 : 12);
    switch (kind) {
      case 0:
        return String.valueOf(random.nextInt(9));
      case 1, 2:
        return scope.ints().isEmpty() ? "2" : one(scope.ints());
      case 3:
        return scope.targets().isEmpty() ? "3" : member(one(scope.targets()));
      case 4, 5:
        return "(%s %s %s)"
            .formatted(
                number(scope, depth + 1), one(List.of("+", "-", "*")), number(scope, depth + 1));
      case 6:
        return "%s - (%s - %s)"
            .formatted(number(scope, 3), number(scope, depth + 1), number(scope, depth + 1));
      case 7:
        return scope.calls().isEmpty() ? "4" : call(scope, depth);
      case 8:
        return "(%s ? %s : %s)"
            .formatted(
                condition(scope, depth + 1), number(scope, depth + 1), number(scope, depth + 1));
      case 9:
        return scope.set().isEmpty()
            ? "5"
            : one(List.of("%s++", "++%s")).formatted(one(scope.set()));
      case 10:
        return "Log.say(\"%s\", %s)".formatted(letter(), number(scope, depth + 1));
      default:
        return scope.lists().isEmpty()
            ? "6"
            : one(List.of("%s.size()", "%s.hashCode()", "%s.get(0)")).formatted(one(scope.lists()));
    }
  }

  private String member(String target) {
    return one(List.of("%s.n", "%s.n()", "%s.grow()", "%s.plus(2)", "%s.n")).formatted(target);
  }

  private String letter() {
    return String.valueOf((char) ('a' + random.nextInt(26)));
  }

  private String call(Scope scope, int depth) {
    StringBuilder call = new StringBuilder();
    for (char sign : one(scope.calls()).toCharArray()) {
      if (sign == '%') {
        call.append(number(scope, Math.max(2, depth + 1)));
      } else if (sign == '@') {
        call.append(scope.targets().isEmpty() ? "new Target(1)" : one(scope.targets()));
      } else {
        call.append(sign);
      }
    }
    return call.toString();
  }

  String condition(Scope scope, int depth) {
    String test =
        "%s %s %s"
            .formatted(
                number(scope, depth + 1), one(List.of(">", "<", "==")), number(scope, depth + 1));
    return chance(15) ? "!(" + test + ")" : test;
  }

  /** Some statements, a line each where they have no parts. */
  List<String> statements(Scope scope, int count, int depth) {
    List<String> lines = new ArrayList<>();
    Scope known = scope;
    for (int i = 0; i < count; i++) {
      String name = "v" + depth + i;
      switch (random.nextInt(depth > 1 ? 5 : 11)) {
        case 0, 1 -> {
          lines.add("int %s = %s;".formatted(name, number(known, 1)));
          known = known.with(name);
        }
        case 2, 3 -> {
          if (!known.set().isEmpty()) {
            lines.add(
                "%s %s %s;".formatted(one(known.set()), one(List.of("=", "+=")), number(known, 1)));
          }
        }
        case 4 -> {
          String text = known.texts().isEmpty() ? "\"\"" : one(known.texts());
          lines.add("Log.text(\"t\" + %s + (%s));".formatted(text, number(known, 2)));
        }
        case 5 -> block(lines, "if (" + condition(known, 1) + ") {", known, depth);
        case 6 -> {
          if (!known.lists().isEmpty()) {
            block(
                lines,
                "for (int i%d : %s) {".formatted(depth, one(known.lists())),
                known.reading("i" + depth),
                depth);
          }
        }
        case 7 -> {
          lines.add("try {");
          statements(known, 1, depth + 1).forEach(line -> lines.add("  " + line));
          lines.add("} finally {");
          statements(known, 1, depth + 1).forEach(line -> lines.add("  " + line));
          lines.add("}");
        }
        case 8 -> {
          String read =
              known.ints().stream().filter(each -> !each.startsWith("v")).findFirst().orElse("1");
          lines.add(
              "java.util.function.IntSupplier f%d%d = () -> %s + 1;".formatted(depth, i, read));
          statements(known, 1, 2).forEach(lines::add);
          lines.add("Log.say(\"f\", f%d%d.getAsInt());".formatted(depth, i));
        }
        case 9 -> {
          if (!known.targets().isEmpty()) {
            lines.add("%s.n = %s;".formatted(one(known.targets()), number(known, 2)));
          }
        }
        default -> {
          if (!known.calls().isEmpty()) {
            lines.add("Log.say(\"c\", %s);".formatted(call(known, 1)));
          }
        }
      }
    }
    return lines;
  }

  private void block(List<String> lines, String head, Scope scope, int depth) {
    lines.add(head);
    statements(scope, 1 + random.nextInt(2), depth + 1).forEach(line -> lines.add("  " + line));
    lines.add("}");
  }
}
