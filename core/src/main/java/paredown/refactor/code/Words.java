package paredown.refactor.code;

import java.util.Locale;
import java.util.Set;
import javax.lang.model.SourceVersion;
import paredown.UnusableRequest;
import paredown.text.Lexer;

/** The words of names: proposing them, joining them, and checking that they may be names at all. */
public final class Words {
  private static final Set<String> CONTEXTUAL =
      Set.of("var", "record", "yield", "sealed", "permits", "when");

  private Words() {}

  public static String capitalised(String name) {
    return name.isEmpty() ? name : Character.toUpperCase(name.charAt(0)) + name.substring(1);
  }

  /** A type's name as that of a variable; letters that begin it together stay alike: urlReader. */
  public static String decapitalised(String name) {
    int capitals = 1;
    while (capitals < name.length() && Character.isUpperCase(name.charAt(capitals))) {
      capitals++;
    }
    boolean another =
        capitals > 1 && capitals < name.length() && Character.isLowerCase(name.charAt(capitals));
    int small = another ? capitals - 1 : capitals;
    return name.substring(0, small).toLowerCase(Locale.ROOT) + name.substring(small);
  }

  /** A name for a variable of a type, which no keyword is: {@code berth}, {@code itsDefault}. */
  public static String variable(String type) {
    String plain = decapitalised(type);
    return Lexer.isKeyword(plain) ? "its" + type : plain;
  }

  /**
   * Requires that a method may have a name.
   *
   * @throws UnusableRequest where it may not
   */
  public static void requireMethodName(String name) {
    requireName("method", name, "with --name, fits");
  }

  /**
   * Requires that a field may have a name.
   *
   * @throws UnusableRequest where it may not
   */
  public static void requireFieldName(String name) {
    requireName("field", name, "with --held-as, passage");
  }

  /**
   * Requires that a field, a method or a variable may have a name.
   *
   * @throws UnusableRequest where it may not
   */
  public static void requireVariableName(String name) {
    requireName("field, method or variable", name, "with --name, fits");
  }

  private static void requireName(String what, String name, String advice) {
    if (!SourceVersion.isIdentifier(name) || Lexer.isKeyword(name)) {
      throw new UnusableRequest(
          "No " + what + " can be named " + name + ".",
          "Give a Java identifier " + advice + " for example.");
    }
  }

  /**
   * Requires that a package may have a name.
   *
   * @throws UnusableRequest where it may not
   */
  public static void requirePackageName(String name, String option) {
    if (!SourceVersion.isName(name)) {
      throw new UnusableRequest(
          "No package can be named " + (name.isEmpty() ? "with nothing" : name) + ".",
          "Give names with dots between them with " + option + ", ferry.berths for example.");
    }
  }

  /**
   * Requires that a class may have a name.
   *
   * @throws UnusableRequest where it may not
   */
  public static void requireClassName(String name) {
    if (!SourceVersion.isIdentifier(name) || Lexer.isKeyword(name) || CONTEXTUAL.contains(name)) {
      throw new UnusableRequest(
          "No class can be named " + name + ".",
          "Give a Java identifier with --name, Passage for example.");
    }
  }
}
