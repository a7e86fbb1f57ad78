package paredown.bench.differential;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * A random program whose classes and methods have type variables: bounded and not, under the same
 * and other names above and below, with casts to them, overloads that they choose between, and
 * values that become other ones when they are boxed.
 */
final class RandomGeneric extends RandomText {
  private RandomGeneric(Random random) {
    super(random);
  }

  static Map<String, String> files(Random random) {
    RandomGeneric generic = new RandomGeneric(random);
    Map<String, String> files = new TreeMap<>();
    files.put("Base.java", generic.base());
    files.put("Leaf.java", generic.leaf("Leaf", "T"));
    files.put("Twin.java", generic.leaf("Twin", generic.maybe(50, "T", "U")));
    files.put("Util.java", generic.util());
    files.put("Main.java", generic.main());
    return files;
  }

  /** A method with type variables to the places where it is called. */
  static String inlineMethod(Random random) {
    return "inline method "
        + one(
            random,
            "Util#first",
            "Util#pick",
            "Util#max",
            "Util#each",
            "Util#or",
            "Util#as",
            "Leaf#take",
            "Leaf#most",
            "Base#put");
  }

  /** Members that name type variables, up. */
  static String superclass(Random random) {
    String members = one(random, "take", "most", "over", "take,most", "size", "held,take");
    return one(
        random,
        "move up Leaf#" + members,
        "extract superclass Leaf --members " + members + " --name Fresh",
        "extract superclass Leaf,Twin --members " + members,
        "extract superclass Leaf,Twin --members " + members + " --name Fresh");
  }

  /** Parameters whose types name type variables. */
  static String parameterObject(Random random) {
    String everywhere = one(random, "", " --everywhere");
    return "extract parameter-object "
        + one(
            random,
            "Util#pick --parameters all,other",
            "Util#or --parameters one,two",
            "Util#max --parameters one,two",
            "Util#each --parameters all,by",
            "Leaf#both --parameters one,two",
            "Base#both --parameters one,two")
        + " --name Fresh"
        + everywhere;
  }

  private static String one(Random random, String... of) {
    return List.of(of).get(random.nextInt(of.length));
  }

  private boolean bounded;

  /** Whether the class in the front has a variable more. */
  private boolean more;

  private String base() {
    bounded = random.nextInt(3) > 0;
    return "import java.util.*;\n\nabstract class Base<K%s> {\n"
            .formatted(bounded ? " extends Comparable<K>" : "")
        + "  final List<K> all = new ArrayList<>();\n"
        + "  K put(K one) {\n    K before = all.isEmpty() ? one : all.get(0);\n"
        + "    all.add(one);\n    return before;\n  }\n"
        + maybe(50, "  void say(Object o) {\n    System.out.println(\"object \" + o);\n  }\n")
        + "  String both(K one, K two) {\n    return one + \"|\" + two;\n  }\n}\n";
  }

  private String leaf(String name, String variable) {
    boolean two = random.nextInt(3) == 0;
    more |= two && name.equals("Leaf");
    String text =
        "import java.util.*;\n\nclass %s<T%s%s> extends Base<T> {\n"
                .formatted(
                    name,
                    bounded || random.nextBoolean() ? " extends Comparable<T>" : "",
                    two ? ", N extends Number" : "")
            + "  private T held;\n"
            + "  private int size = %s;\n".formatted(maybe(70, "2", "Integer.parseInt(\"2\")"))
            + "  T take() {\n    T one = held;\n    held = null;\n    return one;\n  }\n"
            + "  T most(T than) {\n    T most = than;\n    for (T each : all) {\n"
            + "      if (%s > 0) {\n        most = each;\n      }\n    }\n    return most;\n  }\n"
                .formatted(bounded ? "each.compareTo(most)" : "each.hashCode() - most.hashCode()")
            + "  Iterator<T> over() {\n    return new Iterator<T>() {\n      private int at;\n"
            + "      public boolean hasNext() {\n        return at < all.size();\n      }\n"
            + "      public T next() {\n        return all.get(at++);\n      }\n    };\n  }\n"
            + maybe(
                50,
                "  @Override\n  String both(T one, T two) {\n    return two + \"/\" + one;\n  }\n")
            + "  void hold(T one) {\n    held = one;\n    size++;\n%s  }\n"
                .formatted(maybe(40, "    T next = take();\n    held = next;\n"))
            + "  int size() {\n    return size + %s;\n  }\n}\n"
                .formatted(maybe(50, "all.size()", "(held == null ? 0 : 1)"));
    return text.replaceAll("\\bT\\b", variable);
  }

  private String util() {
    return "import java.util.*;\nimport java.util.function.*;\n\nclass Util {\n"
        + "  static <T> T first(List<T> all) {\n    %s\n  }\n"
            .formatted(maybe(50, "return all.get(0);", "T one = all.get(0);\n    return one;"))
        + "  static <T> T pick(List<T> all, T other) {\n"
        + "    if (all.isEmpty()) {\n      return other;\n    }\n"
        + "    T one = all.get(all.size() - 1);\n%s    return one;\n  }\n"
            .formatted(maybe(40, "    System.out.println(one);\n"))
        + "  static <T extends Comparable<T>> T max(T one, T two) {\n    return %s ? one : two;\n  }\n"
            .formatted(maybe(60, "one.compareTo(two) > 0", "Objects.equals(one, two)"))
        + "  static <T, R> List<R> each(List<T> all, Function<T, R> by) {\n"
        + "    List<R> found = new ArrayList<>();\n    for (T each : all) {\n"
        + "      found.add(by.apply(each));\n    }\n    return found;\n  }\n"
        + "  static <T> T or(T one, T two) {\n    return one %s null ? one : two;\n  }\n"
            .formatted(maybe(80, "!=", "=="))
        + "  @SuppressWarnings(\"unchecked\")\n  static <T> T as(Object one) {\n    return (T) one;\n  }\n}\n";
  }

  private String main() {
    return "import java.util.*;\n\npublic class Main {\n  static Integer none() {\n    return null;\n  }\n"
        + "  static <S extends Comparable<S>> S most(List<S> all, S than) {\n"
        + "    S s = Util.max(Util.first(all), than);\n    return s;\n  }\n"
        + "  public static void main(String[] a) {\n"
        + "    List<String> words = new ArrayList<>(List.of(\"b\", \"a\"));\n"
        + "    List<Integer> numbers = List.of(1000, 2);\n"
        + "    String w = Util.first(words);\n"
        + "    int n = Util.first(numbers);\n"
        + "    System.out.println(w + n + most(words, \"c\"));\n"
        + maybe(50, "    Integer k = Util.or(none(), 1000);\n    System.out.println(k == 1000);\n")
        + maybe(50, "    Object o = Util.or(none(), 3);\n    System.out.println(o);\n")
        + maybe(30, "    Number m = Util.or(2, 2.5);\n    System.out.println(m);\n")
        + "    String p = Util.pick(words, \"z\");\n    System.out.println(p);\n"
        + maybe(
            40, "    long l = Util.pick(new ArrayList<Long>(), 4L);\n    System.out.println(l);\n")
        + "    List<Integer> lengths = Util.each(words, %s);\n    System.out.println(lengths);\n"
            .formatted(maybe(50, "String::length", "s -> s.length() + 1"))
        + maybe(40, "    String cast = Util.as(\"x\");\n    System.out.println(cast);\n")
        + maybe(20, "    Util.<Integer>as(\"y\");\n")
        + "    Leaf<String%s> leaf = new Leaf<>();\n".formatted(more ? ", Integer" : "")
        + "    leaf.hold(\"q\");\n"
        + "    String before = leaf.put(\"r\");\n    System.out.println(before + leaf.put(\"s\"));\n"
        + "    String t = leaf.take();\n    System.out.println(t + leaf.size());\n"
        + "    System.out.println(leaf.most(\"a\") + leaf.over().next() + leaf.both(\"1\", \"2\"));\n"
        + "    Base<String> base = leaf;\n    System.out.println(base.both(\"3\", \"4\"));\n"
        + "    System.out.println(new Twin().size());\n"
        + "  }\n}\n";
  }
}
