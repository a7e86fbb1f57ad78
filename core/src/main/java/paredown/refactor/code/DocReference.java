package paredown.refactor.code;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.text.SourceText;

/** A reference in a Javadoc comment: a type, a member of it, and the types of its parameters. */
public final class DocReference {
  private static final Pattern REFERENCE =
      Pattern.compile("\\G[\\w.$]*(?:#[\\w$]+)?(?:\\([^)}]*\\))?");

  private DocReference() {}

  /** Behind the last sign of the reference that begins at an offset. */
  public static int end(SourceText source, int start) {
    Matcher reference = REFERENCE.matcher(source.text());
    return reference.find(start) ? reference.end() : start;
  }
}
