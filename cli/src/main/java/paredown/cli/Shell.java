package paredown.cli;

/** How words are written so that they can be pasted into a shell. */
final class Shell {
  private Shell() {}

  static String quoted(String word) {
    return word.matches("[\\w./,:=+-]+") ? word : "'" + word.replace("'", "'\\''") + "'";
  }
}
