package paredown.bench.differential;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/** A program whose classes hand each other the same value, or nearly, again and again. */
final class RandomHanded {
  private final Random random;

  private RandomHanded(Random random) {
    this.random = random;
  }

  static Map<String, String> files(Random random) {
    RandomHanded handed = new RandomHanded(random);
    Map<String, String> files = new TreeMap<>();
    files.put("Table.java", handed.table());
    files.put("Desk.java", handed.desk());
    files.put(
        "Main.java",
        """
        class Main {
          static final int FIXED = 7;
          static int counted;
          static int count() {
            return ++counted;
          }
          public static void main(String[] arguments) {
            for (int i = 0; i < 3; i++) {
              Desk desk = new Desk(i, "d" + i);
              System.out.println(desk.first(i + 1, "m" + i) + " " + desk.second(i));
            }
            System.out.println(counted);
          }
        }
        """);
    return files;
  }

  private String one(String... of) {
    return List.of(of).get(random.nextInt(of.length));
  }

  private String table() {
    return """
        class Table%s {
        %s%s
          int next(int hour, String tide) {
            int at = hour;
            %s
            return at + tide.length()%s;
          }
          %s fits(String tide, int hour) {
            %s
            return hour > 1 ? tide + hour : tide;
          }
          String said(String tide) {
            return %s;
          }
          private int random(String tide) {
            return tide.length() * 3;
          }
        }
        """
            .formatted(
                one("", "", "", " implements Said"),
                one("", "", "  private int rows = Main.count();\n", "  int extra;\n"),
                one(
                    "",
                    "",
                    "  Table() {\n    Main.count();\n  }\n",
                    "  Table() {\n    this(3);\n  }\n  Table(int rows) {\n    Main.counted += rows;\n  }\n"),
                one(
                    "while (fits(tide, at).length() < 3) {\n      at++;\n    }",
                    "Runnable run = () -> Main.counted += tide.length();\n    run.run();",
                    "at += said(tide).length();",
                    "at += new Object() {\n      int of() {\n        return tide.hashCode() % 5;\n      }\n    }.of();",
                    "at += random(tide);"),
                one("", " + said(tide).length()"),
                one("String", "String", "protected String", "public String"),
                one(
                    "",
                    "tide = tide + hour;",
                    "if (tide == null) {\n      return \"none\";\n    }"),
                one("tide + \"!\"", "fits(tide, 1)", "this.fits(tide, 2)"))
        + "\ninterface Said {\n  String said(String tide);\n}\n";
  }

  private String desk() {
    String held = one("private final Table table", "private Table table", "Table table");
    String made = one("new Table()", "new Table()", "(new Table())").toString();
    boolean inConstructor = random.nextBoolean();
    String value = one("tide", "tide", "this.tide", "\"high\"", "NAME", "tide.trim()");
    return """
        class Desk {
          static final String NAME = %s;
          private %sString tide;
          %s%s;
          Desk(int number, String known) {
            %s
            %s
            %s
          }
          String first(int hour, String tide) {
            Table own = new Table();
            String mine = "mine" + hour;
            %s
            return own.next(hour, %s) + "," + %s;
          }
          String second(int hour) {
            %s
            return %s + "," + %s;
          }
          private String asked(Table given, String mine) {
            return given.said(mine);
          }
        }
        """
        .formatted(
            one("\"name\"", "\"n\" + Main.count()"),
            one("final ", ""),
            held,
            inConstructor ? "" : " = " + made,
            one("tide = known;", "this.tide = known;"),
            inConstructor ? "table = " + made + ";" : "",
            one("", "", "Main.counted += table.said(tide).length();"),
            one(
                "",
                "",
                "Runnable run = () -> Main.counted += own.said(tide).length();\n    run.run();",
                "Main.counted++;"),
            one("tide", "tide", "tide", "tide", "mine", "this.tide", "NAME"),
            one(
                "own.said(tide)",
                "new Table().said(tide)",
                "own.fits(tide, 1)",
                "asked(own, tide)"),
            one("", "", "", "table = new Table();")
                .replace(
                    "table = new Table();", held.contains("final") ? "" : "table = new Table();"),
            "table.next(hour, " + value + ")",
            one("table.said(" + value + ")", "this.table.fits(" + value + ", hour)", "1"));
  }
}
