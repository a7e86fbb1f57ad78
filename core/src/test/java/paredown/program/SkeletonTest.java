package paredown.program;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

class SkeletonTest {

  private static String of(String text) {
    return Skeleton.of(text).text();
  }

  @Test
  void dropsTheBodiesOfMethodsAndConstructors() {
    assertEquals(
        "class Berth { Berth(int n) {throw null;} int[] free()[] {throw null;} abstract void moor(); }",
        of(
            "class Berth { Berth(int n) { this.n = n; } int[] free()[] { if (n > 0) { return a; }"
                + " return null; } abstract void moor(); }"));
  }

  @Test
  void keepsWhatMayBeAConstant() {
    String text =
        "class Fare { static final int FULL = (2 + 3) * 4; final String name = \"a;{\" + 'b';"
            + " static final int A = 1, B = A; }";
    assertEquals(text, of(text));
  }

  @Test
  void dropsValuesThatAreNoConstants() {
    assertEquals(
        "class Desk { int open ; static final List<String> NAMES ; final Runnable bell ; }",
        of(
            "class Desk { int open = 3; static final List<String> NAMES = new ArrayList<>();"
                + " final Runnable bell = () -> { ring(); }; }"));
  }

  @Test
  void keepsTheValuesOfFieldsThatAreDeclaredTogether() {
    String text = "class Tide { int high = 4, low = 1; int[] a = {1, 2}, b; }";
    assertEquals(text, of(text));
  }

  @Test
  void takesEveryFieldOfAnInterfaceForFinal() {
    assertEquals(
        "interface Signs { int BELL = 1; Object LAMP ; default int ring() {throw null;} }",
        of(
            "interface Signs { int BELL = 1; Object LAMP = new Object(); default int ring() { return 1; } }"));
  }

  @Test
  void keepsWhetherAConstantOfAnEnumHasABody() {
    assertEquals(
        "enum Kind { CAR(1) {}, @Deprecated FOOT; final int n; Kind(int n) {throw null;} }",
        of(
            "enum Kind { CAR(1) { int price() { return 2; } }, @Deprecated FOOT; final int n;"
                + " Kind(int n) { this.n = n; } }"));
  }

  @Test
  void keepsDefaultsOfAnnotationsAndArgumentsOfThem() {
    String text = "@Target({A, B}) @interface Mark { String[] value() default {\"x\"}; int n(); }";
    assertEquals(text, of(text));
  }

  @Test
  void readsRecordsNestedTypesAndBlocks() {
    assertEquals(
        "record Leg(int a) { Leg {throw null;} static {} {} static class In { void f() {throw null;} } }",
        of(
            "record Leg(int a) { Leg { check(a); } static { load(); } { more(); }"
                + " static class In { void f() { } } }"));
  }

  @Test
  void tellsTheTopLevelTypesOfAFile() {
    assertEquals(
        List.of("Sailing", "Log", "Kind"),
        Skeleton.of(
                "package ferry; import a.B; class Sailing { class Leg { } } record Log(int n) { }"
                    + " sealed interface Kind permits A { }")
            .types());
  }

  @Test
  void leavesATextAloneWhoseBracketsDoNotMatch() {
    assertEquals("class Buoy { void f() { ", of("class Buoy { void f() { "));
  }
}
