package paredown.cli;

import paredown.UnusableRequest;

/** A member as it is typed: {@code TYPE#MEMBER}. */
record MemberName(String type, String member) {

  /**
   * The two parts of a name.
   *
   * @param kind what it should name: a field, a method
   * @param example one that is well written
   * @throws UnusableRequest where it has not just two
   */
  static MemberName of(String typed, String kind, String example) {
    String[] parts = typed.split("#", -1);
    if (parts.length != 2 || parts[0].isBlank() || parts[1].isBlank()) {
      throw new UnusableRequest(
          "%s names no %s.".formatted(typed, kind),
          "Name it with its class, %s for example.".formatted(example));
    }
    return new MemberName(parts[0], parts[1]);
  }
}
