package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.smell.detector.LongConstructor;
import paredown.smell.detector.ParameterClumps;
import paredown.smell.detector.TwinFields;

class ClumpsTest {
  private static final String PILOT =
      """
      public class Pilot {
        private int seen;
        void guide(int depth, int length, String name) { seen++; }
        void wait(String name, int length, int depth, int hours) { seen++; }
        %s
      }
      """;
  @TempDir Path folder;

  private List<String> parameters(String member) {
    return Found.in(folder, PILOT.formatted(member)).of(Form.PARAMETERS);
  }

  @Test
  void findsParametersThatTravelTogetherInAnyOrder() {
    assertEquals(
        List.of("Pilot: depth, length and name are passed together in 3 places"),
        parameters("int fee(int length, String name, int depth) { return 2; }"));
    assertEquals(List.of(), parameters("int fee(int length, String name) { return 2; }"));
    assertEquals(
        List.of(), parameters("int fee(long depth, int length, String name) { return 2; }"));
  }

  @Test
  void takesTwoDaysThatArePassedTogetherForARange() {
    String planner =
        """
        import java.time.LocalDate;
        public class Planner {
          private int seen;
          void close(%1$s from, %1$s to) { seen++; }
          int sailings(int port, %1$s from, %1$s to) { return seen++; }
        }
        """;
    String season =
        "import java.time.LocalDate; public class Season { private int n;"
            + " boolean overlaps(%1$s from, %1$s to) { return n++ > 2; } }";
    assertEquals(
        List.of("Planner: from and to are passed together in 3 places"),
        Found.in(folder, planner.formatted("LocalDate"), season.formatted("LocalDate"))
            .of(Form.PARAMETERS));
    assertEquals(
        List.of(),
        Found.in(folder.resolve("int"), planner.formatted("int"), season.formatted("int"))
            .of(Form.PARAMETERS));
  }

  @Test
  void tellsWithAClumpWhatFewOfItsPlacesHaveBesides() {
    StringBuilder more = new StringBuilder();
    for (int i = 0; i < 7; i++) {
      String fourth = i < 3 ? ", boolean late" : "";
      more.append(
          "void m%d(int depth, int length, String name%s) { seen++; } ".formatted(i, fourth));
    }
    Found found = Found.in(folder, PILOT.formatted(more));
    assertEquals(
        List.of("Pilot: depth, length and name are passed together in 9 places"),
        found.of(Form.PARAMETERS));
    assertEquals(
        3,
        found.one(Form.PARAMETERS).evidence().rows().stream()
            .filter(row -> row.uses().equals(List.of("and late")))
            .count());
  }

  @Test
  void countsOverloadsOnceAndOverridingMethodsNever() {
    assertEquals(
        List.of(), parameters("void guide(int depth, int length, String name, int x) { seen--; }"));
    assertEquals(
        List.of(),
        Found.in(
                folder,
                PILOT.formatted(""),
                "public class Old extends Pilot { @Override"
                    + " void guide(int depth, int length, String name) {} }")
            .of(Form.PARAMETERS));
  }

  @Test
  void countsNoListOfWhichAShorterOverloadLeavesSomeOut() {
    String third = "int fee(int length, String name, int depth) { return 2; } ";
    assertEquals(List.of(), parameters(third + "int fee(int length, String name) { return 3; }"));
    assertEquals(1, parameters(third + "int fee(boolean late) { return 3; }").size());
    assertEquals(
        List.of(),
        parameters("int compareDepths(int length, String name, int depth) { return 2; }"));
  }

  @Test
  void doesNotCountClassesThatHoldTheSameAsFields() {
    String hull =
        "public class Hull { int depth, length; String name; %s void b(int depth, int length,"
            + " String name) {} void c(int depth, int length, String name) {} }";
    assertEquals(
        List.of(),
        Found.in(
                folder,
                hull.formatted("Hull(int depth, int length, String name) { this.depth = 1; }"))
            .of(Form.PARAMETERS));
  }

  @Test
  void findsTheSameFieldsInSeveralClasses() {
    String type = "public class %s { private int depth, length; private String name; %s }";
    Found found =
        Found.in(folder, type.formatted("Berth", "int x;"), type.formatted("Dock", "int y;"));
    assertEquals(
        List.of("Berth: depth, length and name stand in 2 classes alike"), found.of(Form.TWINS));
    assertEquals(
        List.of(),
        Found.in(
                folder,
                type.formatted("Berth", ""),
                type.formatted("Dock", "").replace("Dock {", "Dock extends Berth {"))
            .of(Form.TWINS));
  }

  @Test
  void leavesWhatOneClassIsElsewhereAlone() {
    String berth =
        """
        public class Berth {
          private final int depth, length;
          private final String name;
          Berth(int depth, int length, String name) { this.depth = depth; this.length = length; this.name = name; }
          int depth() { return depth; }
          int length() { return length; }
          String name() { return name; }
        }
        """;
    String sent = "public class Sent { int depth, length; String name; }";
    String maps =
        """
        public class Maps {
          Sent sent(Berth b) { Sent s = new Sent(); s.depth = b.depth(); s.length = b.length(); %s return s; }
        }
        """;
    assertEquals(
        List.of(),
        Found.in(folder, berth, sent, maps.formatted("s.name = b.name();")).of(Form.TWINS));
    assertEquals(
        1, Found.in(folder.resolve("part"), berth, sent, maps.formatted("")).of(Form.TWINS).size());
  }

  @Test
  void takesTheLinksOfAListForNoThing() {
    String queue =
        """
        import java.util.*;
        public class Queue {
          private static class %s { Link before, behind; }
          static class Link {}
          private final Map<String, Link> links = new HashMap<>();
          private Link first, last;
          private int asked, missed, limit;
          void put(String name, Link link) { links.put(name, link); if (first == null) first = link; last = link; }
          void drop(String name) { if (links.remove(name) == first) first = last; }
          void clear() { links.clear(); first = null; last = null; }
          int asked() { asked++; return missed++ * limit; }
        }
        """;
    assertEquals(List.of(), Found.in(folder, queue.formatted("Pair")).of(Form.FIELDS));
    String elsewhere = queue.formatted("Pair").replace("static class Link {}", "");
    assertEquals(
        List.of("Queue: links, first and last are always used together"),
        Found.in(folder.resolve("two"), elsewhere, "public class Link {}").of(Form.FIELDS));
  }

  @Test
  void findsConstructorsThatAreTooLongOrGrow() {
    assertEquals(
        List.of("Berth: a constructor of 5 parameters"),
        Found.in(
                folder, "public class Berth { public Berth(int a, int b, int c, int d, int e) {} }")
            .of(Form.CONSTRUCTOR));
    assertEquals(
        List.of("Berth: 3 constructors, up to 4 parameters"),
        Found.in(
                folder,
                "public class Berth { public Berth(int a) {} protected Berth(int a, int b) {}"
                    + " public Berth(int a, int b, int c, int d) {} }")
            .of(Form.CONSTRUCTOR));
    assertEquals(
        List.of(),
        Found.in(folder, "public record Berth(int a, int b, int c, int d, int e) {}")
            .of(Form.CONSTRUCTOR));
    assertEquals(
        List.of(),
        Found.in(
                folder,
                "public class Berth { private Berth(int a, int b, int c, int d, int e) {} }")
            .of(Form.CONSTRUCTOR));
    assertEquals(
        List.of(),
        Found.in(
                folder,
                "public abstract class Berth { Berth(int a, int b, int c, int d, int e) {} }")
            .of(Form.CONSTRUCTOR));
  }

  @Test
  void leavesTheConstructorAloneThatOnlyOneClassCalls() {
    String berth = "public class Berth { Berth(int a, int b, int c, int d, int e) {} }";
    String maker = "public class %s { Object make() { return new Berth(1, 2, 3, 4, 5); } }";
    assertEquals(List.of(), Found.in(folder, berth, maker.formatted("Quay")).of(Form.CONSTRUCTOR));
    assertEquals(
        List.of("Berth: a constructor of 5 parameters"),
        Found.in(folder, berth, maker.formatted("Quay"), maker.formatted("Dock"))
            .of(Form.CONSTRUCTOR));
  }

  @Test
  void takesAnArrayAndTwoNumbersForAPartOfTheArray() {
    String log =
        "public class Log { int n; void put(byte[] text, int from, int length%1$s) { n++; }"
            + " void add(byte[] text, int from, int length%1$s) { n--; }"
            + " void sum(byte[] text, int from, int length%1$s) { n = 0; } }";
    assertEquals(List.of(), Found.in(folder, log.formatted("")).of(Form.PARAMETERS));
    assertEquals(
        List.of("Log: text, from, length and tide are passed together in 3 places"),
        Found.in(folder, log.formatted(", int tide")).of(Form.PARAMETERS));
  }

  @Test
  void findsEachLargestSetOnce() {
    Map<String, Set<String>> held = new LinkedHashMap<>();
    held.put("one", Set.of("a", "b", "c", "d"));
    held.put("two", Set.of("a", "b", "c", "d", "x"));
    held.put("three", Set.of("a", "b", "c", "y"));
    held.put("four", Set.of("a", "b", "z", "v"));
    List<ClosedSets.Closed<String>> found = ClosedSets.of(held, 3, 2);
    assertEquals(List.of(Set.of("a", "b", "c", "d")), found.stream().map(c -> c.items()).toList());
    held.put("five", Set.of("a", "b", "c", "w"));
    assertEquals(
        List.of(Set.of("a", "b", "c", "d"), Set.of("a", "b", "c")),
        ClosedSets.of(held, 3, 2).stream().map(c -> c.items()).toList());
  }

  @Test
  void weighsMoreOfTheEvilNeverLess() {
    for (int more = 0; more < 40; more++) {
      assertTrue(ParameterClumps.weight(4 + more, 3) >= ParameterClumps.weight(3 + more, 3));
      assertTrue(ParameterClumps.weight(3, 4 + more) >= ParameterClumps.weight(3, 3 + more));
      assertTrue(TwinFields.weight(3, 3 + more) >= TwinFields.weight(3, 2 + more));
      assertTrue(
          LongConstructor.weight(6 + more, 1, Limits.defaults())
              >= LongConstructor.weight(5 + more, 1, Limits.defaults()));
    }
  }

  private static final String KEEPER =
      """
      public class Keeper {
        private String name;
        private String lane;
        private String town;
        private String code;
        private int hives;
        private int since;
        public String getLane() { return lane; }
        public void setLane(String lane) { this.lane = lane; }
        public String getTown() { return town; }
        public void setTown(String town) { this.town = town; }
        public String getCode() { return code; }
        public void setCode(String code) { this.code = code; }
        public String getName() { return name; }
        public int votes() { return hives > 20 ? 2 : since; }
        public String label() { return name + lane + town.strip() + code; }
        %s
      }
      """;

  @Test
  void findsFieldsWithAccessorsThatOneMethodSumsUp() {
    Found found = Found.in(folder, KEEPER.formatted(""));
    assertEquals(
        List.of("Keeper: lane, town and code are got and set, and come together in label"),
        found.of(Form.FIELDS));
    String also = "public boolean near(String t) { return town.equals(t); }";
    assertEquals(List.of(), Found.in(folder, KEEPER.formatted(also)).of(Form.FIELDS));
  }

  @Test
  void takesAConstructorThatOnlyMakesCopiesForNone() {
    String berth =
        """
        public final class Berth {
          private final int a, b, c, d, e;
          public Berth(int a, int b, int c, int d, int e) {
            this.a = a; this.b = b; this.c = c; this.d = d; this.e = e;
          }
          %s
        }
        """;
    String copy = "public Berth with(int other) { return new Berth(other, b, c, d, e); }";
    assertEquals(1, Found.in(folder, berth.formatted("")).of(Form.CONSTRUCTOR).size());
    assertEquals(List.of(), Found.in(folder, berth.formatted(copy)).of(Form.CONSTRUCTOR));
  }

  @Test
  void twoThirdsOfAClassAreAClumpWhereTheOtherFieldsHaveALifeWithoutThem() {
    String mooring =
        """
        public class Mooring {
          private final String ship = "Gull";
          private int nights;
          private double latitude;
          private double longitude;
          private String datum = "";
          void shift(double north, double east, String by) {
            latitude = north;
            longitude = east;
            datum = by;
          }
          String position() { return latitude + " " + longitude + " " + datum; }
          double miles() { return datum.isEmpty() ? 0 : latitude * longitude; }
          void stay(int more) { nights += more; }
          %s
        }
        """;
    assertEquals(
        List.of("latitude, longitude, datum"),
        fields(mooring.formatted("String label() { return ship + nights; }")));
    assertEquals(List.of(), fields(mooring.formatted("String label() { return ship + datum; }")));
  }

  private List<String> fields(String source) {
    return Found.in(folder, source).all().stream()
        .filter(finding -> finding.form() == Form.FIELDS)
        .map(finding -> String.join(", ", finding.members()))
        .toList();
  }

  @Test
  void countsFunctionsWhereOthersPassTheSameOn() {
    String chart =
        """
        public final class Chart {
          private Chart() {}
          public static int area(int north, int west, int south, int east) { return north - south; }
          public static int wide(int north, int west, int south, int east) { return east - west; }
          public static int edge(int north, int west, int south, int east) { return north + east; }
        }
        """;
    String finder =
        "public class Finder { int cost(int north, int west, int south, int east) {"
            + " return 2 * Chart.area(north, west, south, east); } }";
    assertEquals(List.of(), Found.in(folder, chart).of(Form.PARAMETERS));
    assertEquals(
        List.of("Chart: north, west, south and east are passed together in 4 places"),
        Found.in(folder, chart, finder).of(Form.PARAMETERS));
  }

  @Test
  void takesTwoValuesThatAreHardlyEverApartForAThing() {
    String chart =
        """
        public class %1$s {
          private int seen;
          void mark(double %2$s, double %3$s) { seen++; }
          int far(double %2$s, double %3$s) { return seen++; }
        }
        """;
    String[] three = new String[4];
    String[] ends = new String[3];
    for (int i = 0; i < 3; i++) {
      three[i] = chart.formatted("Chart" + i, "north", "east");
      ends[i] = chart.formatted("Chart" + i, "start", "end");
    }
    three[3] = "public class Other {}";
    assertEquals(
        List.of("Chart0: north and east are passed together in 6 places"),
        Found.in(folder.resolve("a"), three).of(Form.PARAMETERS));
    assertEquals(List.of(), Found.in(folder.resolve("b"), ends).of(Form.PARAMETERS));
    three[3] =
        "public class Other { int n; void a(double north) { n++; } void b(double north) { n--; } }";
    assertEquals(List.of(), Found.in(folder.resolve("c"), three).of(Form.PARAMETERS));
  }
}
