package paredown.facts;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import paredown.facts.MethodFact.MemberUse;

/**
 * Traits are what of a body's shape smells are told by.
 *
 * @param questions what it asks other objects to decide by
 * @param chains calls on what calls give
 * @param kindTests where it decides by another object's kind
 * @param passed variables that it hands on to methods of the project
 * @param texts how many literals of text it holds
 * @param outside what outside the program it reaches for
 */
public record Traits(
    List<Question> questions,
    List<Chain> chains,
    List<KindTest> kindTests,
    List<Passed> passed,
    int texts,
    Set<Outside> outside) {

  public Traits {
    questions = List.copyOf(questions);
    chains = List.copyOf(chains);
    kindTests = List.copyOf(kindTests);
    passed = List.copyOf(passed);
    outside = Set.copyOf(outside);
  }

  /** What is outside the program. */
  public enum Outside {
    FILES(
        "java\\.nio\\.file\\.(?!Paths?$|Invalid).*|java\\.io\\.\\w*File\\w*|java\\.util\\.zip\\..*"),
    NETWORK(
        "java\\.net\\.(?:http\\..*|\\w*Socket\\w*|\\w*Connection|InetAddress)|(?:javax|jakarta)\\.(?:mail|net)\\..*"),
    DATABASE("javax?\\.sql\\..*");

    private final Pattern types;

    Outside(String types) {
      this.types = Pattern.compile(types);
    }

    /** What a type of the platform stands for, by its canonical name; empty for most. */
    static Optional<Outside> of(String type) {
      return Arrays.stream(values()).filter(each -> each.types.matcher(type).matches()).findFirst();
    }
  }

  static final Traits NONE = new Traits(List.of(), List.of(), List.of(), List.of(), 0, Set.of());

  /**
   * A chain of calls, each on what the one before gives.
   *
   * @param links the members in the order of the calls
   */
  public record Chain(List<MemberUse> links, String text, int line) {
    public Chain {
      links = List.copyOf(links);
    }
  }

  /**
   * A place that decides by an object's kind.
   *
   * @param type the enum that a switch goes over, or the class that is tested for
   * @param root the variable that is tested; empty for a switch
   * @param cases how many kinds are told apart there
   */
  public record KindTest(String type, String root, int cases, int line) {}

  /**
   * A variable that is handed on.
   *
   * @param to the method that takes it
   * @param index which argument it is, from 0
   */
  public record Passed(String variable, MemberUse to, int index) {}
}
