package paredown.bench.differential;

/** The class around a random body: what stands above it, and what stands below. */
final class BodyClass {
  static final String HEAD =
      """
      import java.util.*;
      import java.util.function.*;

      public class Main {
        static int lines;
        static int f = 2;
        int g = 3;
        final int k = 4;
        Tide tide = new Tide(5);
        Tide none;
        List<Integer> list = new ArrayList<>(List.of(1, 2));

        static int say(Object x) {
          if (lines++ < 300) {
            System.out.println(x);
          } else {
            throw new IllegalArgumentException();
          }
          return lines;
        }

        static void fail(int x) {
          if (x % 3 == 0) {
            throw new IllegalStateException();
          }
        }

        static int calc(int x) {
          return x * 3 + 1;
        }

        int bump(int by) {
          g += by;
          return g;
        }

        private int twice(int x) {
          return x + x;
        }

        private int plus(int x, int y) {
          int sum = x + y * g;
          f = f + 1;
          return sum - f;
        }

        private int tell(int x, int y) {
          if (x > y || g == x) {
            return say(x);
          }
          return y + f;
        }

        private void note(int x, String text) {
          for (int i = 0; i < x % 3; i++) {
            say(text + i);
          }
          g = g + x;
        }

        private int seek(int x, int y) {
          for (int i = 0; i < 4; i++) {
            if (say(i) % 3 == x % 3) return i + y;
            g += y;
          }
          return 0;
        }

        private int sort(int x, int y) {
          if (x > y) {
            say(x);
            return y;
          }
          int z = bump(x);
          if (z > 9) return z - y;
          try {
            fail(z + y);
            return g;
          } catch (IllegalStateException e) {
            f = f + x;
          }
          return say(y);
        }

        private int pick(int x, int y) {
          switch (x % 3) {
            case 0: return y;
            case 1:
              g++;
              return say(g);
            default:
              return x - y;
          }
        }

        private void guard(int x, String text) {
          if (x < 2) {
            return;
          }
          say(text + x);
          if (g > 20) return;
          g = g + x;
        }

        static int kind(Object x) {
          return 1;
        }

        static int kind(Integer x) {
          return 2;
        }

        static int kind(long x) {
          return 3;
        }

      """;

  static final String TAIL =
      """
        public static void main(String[] args) {
          for (int i = 0; i < 4; i++) {
            try {
              say(new Main().run(i, 3 - i));
            } catch (RuntimeException failed) {
              say(failed.getClass());
            }
          }
          say(f);
        }
      }

      class Late {
        static {
          Main.say("late");
        }

        static int start = 5;
        int own = 6;

        static int given() {
          return 3;
        }
      }

      class Tide {
        int h;

        Tide(int h) {
          this.h = h;
        }

        int height() {
          return h;
        }

        int high(int by) {
          h = h + by;
          return h * by + late;
        }

        static int late = 2;

        Tide up() {
          h++;
          return this;
        }

        @Override
        public String toString() {
          return "tide " + h;
        }
      }
      """;

  private BodyClass() {}
}
