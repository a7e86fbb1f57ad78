package paredown.facts;

import java.util.List;
import paredown.facts.MethodFact.MemberUse;

/**
 * Traits are what of a body's shape smells are told by.
 *
 * @param questions what it asks other objects to decide by
 * @param chains calls on what calls give
 * @param kindTests where it decides by another object's kind
 * @param passed variables that it hands on to methods of the project
 * @param texts how many literals of text it holds
 */
public record Traits(
    List<Question> questions,
    List<Chain> chains,
    List<KindTest> kindTests,
    List<Passed> passed,
    int texts) {

  public Traits {
    questions = List.copyOf(questions);
    chains = List.copyOf(chains);
    kindTests = List.copyOf(kindTests);
    passed = List.copyOf(passed);
  }

  static final Traits NONE = new Traits(List.of(), List.of(), List.of(), List.of(), 0);

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
