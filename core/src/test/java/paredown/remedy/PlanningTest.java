package paredown.remedy;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.facts.Facts;
import paredown.facts.FactsReader;
import paredown.history.History;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.detector.Detectors;

class PlanningTest {
  @TempDir Path folder;

  /** What comes of the first candidate of a kind for the first finding of a form. */
  private Remedy remedy(String source, Form form, Predicate<Cure> wanted) {
    return remedy(new Fixture(folder).with("src/Desk.java", source).sources(), form, wanted);
  }

  private static Remedy remedy(Sources sources, Form form, Predicate<Cure> wanted) {
    Facts facts = FactsReader.read(sources, sources.paths(SourceFile.Kind.MAIN)).facts();
    Grounds grounds = Grounds.of(facts, History.NONE, Limits.defaults());
    Finding finding =
        Detectors.find(grounds).stream()
            .filter(each -> each.form() == form)
            .findFirst()
            .orElseThrow();
    Candidate candidate =
        Candidates.of(finding, grounds).stream()
            .filter(each -> wanted.test(each.cure()))
            .findFirst()
            .orElseThrow();
    return new Planning(facts, sources, sources.index()).planOnCondition(candidate);
  }

  @Test
  void namesAParameterObjectLongerWhereItsNameIsTaken() {
    String method = "int %s(String language, String country, String variant) { return %d; } ";
    Remedy remedy =
        remedy(
            "import java.util.Locale;\npublic class Desk { Locale at; "
                + method.formatted("a", 1)
                + method.formatted("b", 2)
                + method.formatted("c", 3)
                + "}",
            Form.PARAMETERS,
            cure -> cure instanceof Cure.Together);
    assertTrue(remedy.refactoring().command().contains("--name LocaleValues"));
  }

  @Test
  void takesAllGroupsOutOnAConditionThatHoldsForEach() {
    String group =
        "private int %1$s; int x%1$s() { return %1$s > 2 ? 1 : %1$s < -2 ? 2 : 3; }"
            + " void y%1$s(int by) { if (by > 0 || by < -9) %1$s += by; else %1$s--; }"
            + " int z%1$s() { return %1$s > 5 || %1$s < 1 || %1$s == 4 ? %1$s * 2 : %1$s; } ";
    StringBuilder text = new StringBuilder("public class Desk implements java.io.Serializable { ");
    for (String field : List.of("depth", "length", "fare", "seats")) {
      text.append(group.formatted(field));
    }
    Remedy remedy = remedy(text + "}", Form.WHOLE, cure -> cure instanceof Cure.Apart);
    assertEquals(List.of(RefusalKind.SERIALIZED), remedy.conditions());
    assertTrue(remedy.change().files().size() > 2, remedy.change().summary());
    assertEquals(Set.of(RefusalKind.SERIALIZED), remedy.refactoring().accepted());
  }

  @Test
  void takesTheExpressionOutThatTheOtherClassCouldWorkOut() {
    Fixture ferry =
        new Fixture(folder)
            .with(
                "src/Desk.java",
                """
            import java.util.List;
            public class Desk {
              private final List<Berth> berths = List.of();
              private int tide;
              private int fare;
              void up() { tide++; fare += tide; }
              int crowded(int by) {
                int found = by;
                for (Berth each : berths) {
                  if (each.depth() + tide < each.keel() || each.length() > 90 && each.width() > 9) {
                    found += each.over();
                  }
                }
                return found > 3 ? found - 3 : found;
              }
            }
                """)
            .with(
                "src/Berth.java",
                """
            public class Berth {
              private int depth;
              private int keel;
              private int length;
              private int width;
              private int over;
              void dig() { depth++; over = depth - keel; }
              int depth() { return depth; }
              int keel() { return keel; }
              int length() { return length; }
              int width() { return width; }
              int over() { return over; }
            }
                """);
    Remedy remedy = remedy(ferry.sources(), Form.METHOD, cure -> cure instanceof Cure.Part);
    String text = remedy.change().files().get(1).after().text();
    assertTrue(text.contains("if (each.crowdedPart(tide)) {"), text);
  }

  private static final String SPAN =
      """
      public class %1$s {
        private final String crew;
        private final int from;
        private final int until;
        private int %2$s;
        public %1$s(String crew, int from, int until) {
          this.crew = crew;
          this.from = from;
          this.until = until;
        }
        public String crew() { return crew; }
        public boolean covers(int day) { return day >= from && day <= until; }
        public int %2$s() { return %2$s += 2; }
      }
      """;

  @Test
  void takesWhatAllDoWithTheFieldsUpWithThem() {
    Fixture ferry =
        new Fixture(folder)
            .with("src/Shift.java", SPAN.formatted("Shift", "tea"))
            .with("src/Leave.java", SPAN.formatted("Leave", "paid"));
    Remedy remedy = remedy(ferry.sources(), Form.TWINS, cure -> cure instanceof Cure.Above);
    assertTrue(remedy.refactoring().command().contains("covers"), remedy.refactoring().command());
  }

  @Test
  void namesAStageByWhatItReturnsAndLeavesAShortOneThatGivesTwo() {
    String bill =
        """
        public class Desk {
          private int fares;
          String bill(int count, int tax) {
            int sum = 0;
            for (int i = 0; i < count; i++) {
              sum += fares * i;
            }

            int due = sum * tax;
            int all = sum + due;
            fares++;

            StringBuilder text = new StringBuilder();
            text.append(due).append(all);
            return text.toString();
          }
        }
        """;
    Sources sources = new Fixture(folder).with("src/Desk.java", bill).sources();
    Facts facts = FactsReader.read(sources, sources.paths(SourceFile.Kind.MAIN)).facts();
    assertEquals(
        List.of("sum", "text"),
        Stages.of(facts.types().get(0), "bill").stages().stream()
            .map(ExtractMethod::name)
            .toList());
  }

  @Test
  void findsWhatDecidesByAKindAgainWhereAStepBeforeTookAnImportAway() {
    String desk =
        """
        import java.util.Locale;

        public class Desk {
          private double used;
          double feed(Berth berth) {
            double part;
            switch (berth.kind()) {
              case Berth.LONG: part = 2; break;
              case Berth.SHORT: part = 3; break;
              default: part = 1;
            }
            used += part;
            return part;
          }
          String text(Berth berth) {
            String label;
            switch (berth.kind()) {
              case Berth.LONG: label = "l".toUpperCase(Locale.ROOT); break;
              case Berth.SHORT: label = "s"; break;
              default: label = "";
            }
            return label + used;
          }
          double fee(Berth berth) {
            double fee;
            switch (berth.kind()) {
              case Berth.LONG: fee = 7; break;
              case Berth.SHORT: fee = 8; break;
              default: fee = 9;
            }
            return fee * used;
          }
        }
        """;
    String berth =
        """
        public class Berth {
          static final int LONG = 0;
          static final int SHORT = 1;
          private int kind;
          int kind() { return kind; }
        }
        """;
    Remedy remedy =
        remedy(
            new Fixture(folder).with("src/Desk.java", desk).with("src/Berth.java", berth).sources(),
            Form.QUESTION,
            cure -> cure instanceof Cure.InTurn);
    String after =
        remedy.change().files().stream()
            .filter(file -> file.path().endsWith("Desk.java"))
            .map(file -> file.after().text())
            .findFirst()
            .orElseThrow();
    assertTrue(after.contains("    used += part;\n"), after);
    assertTrue(after.contains("double part = berth.part();"), after);
  }
}
