package paredown.refactor.asked;

import java.util.List;
import paredown.UnusableRequest;

/** A member as it is typed: {@code TYPE#MEMBER}. */
public record MemberName(String type, String member) {

  /**
   * The two parts of a name.
   *
   * @param kind what it should name: a field, a method
   * @param example one that is well written
   * @throws UnusableRequest where it has not just two
   */
  public static MemberName of(String typed, String kind, String example) {
    List<String> parts = parts(typed, 2, kind, example);
    return new MemberName(parts.get(0), parts.get(1));
  }

  /**
   * The parts of a name between its signs {@code #}.
   *
   * @throws UnusableRequest where there are not so many, or one is empty
   */
  public static List<String> parts(String typed, int count, String kind, String example) {
    List<String> parts = List.of(typed.split("#", -1));
    if (parts.size() != count || parts.stream().anyMatch(String::isBlank)) {
      throw new UnusableRequest(
          "%s names no %s.".formatted(typed, kind),
          "Name it with its %s, %s for example."
              .formatted(count == 2 ? "class" : "class and method", example));
    }
    return parts;
  }
}
