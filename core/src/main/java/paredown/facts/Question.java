package paredown.facts;

import java.util.Set;

/**
 * A question is a condition that asks one object of another class and decides by the answer.
 *
 * @param type the class that is asked
 * @param text the condition, with {@code it} for the object
 * @param form the same for a condition that asks the same, or the opposite, of an object of another
 *     name, with other values of other names
 * @param members what of it is asked, fields by name and methods by signature
 */
public record Question(String type, String text, String form, Set<String> members, int line) {
  public Question {
    members = Ordered.copy(members);
  }
}
