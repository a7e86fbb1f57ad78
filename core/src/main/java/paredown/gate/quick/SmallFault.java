package paredown.gate.quick;

/**
 * A small fault is one word of a program that is another, as a slip of the hand would make it.
 *
 * @param path the file
 * @param start where the word begins
 * @param end behind its last character
 * @param text what stands there then
 * @param place {@code path:line}
 * @param says what it is: {@code < for <=}
 */
public record SmallFault(String path, int start, int end, String text, String place, String says) {}
