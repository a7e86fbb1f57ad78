package paredown.facts;

import java.util.Set;

/**
 * A question is an expression that asks one object of another class: a condition, which decides by
 * the answer, or one that works a number out of several answers.
 *
 * @param type the class that is asked
 * @param text the expression, with {@code it} for the object
 * @param form the same for a condition that asks the same, or the opposite, of an object of another
 *     name, with other values of other names
 * @param given the variable that takes the answer; empty where none does
 * @param members what of it is asked, fields by name and methods by signature
 */
public record Question(
    String type, String text, String form, String given, Set<String> members, int line) {
  public Question {
    members = Ordered.copy(members);
  }

  /** Code as the compiler writes it, its lambdas as people do. */
  public static String written(String code) {
    return code.replaceAll("\\((\\w+)\\)->", "$1 -> ");
  }
}
