package paredown.refactor;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.program.Program;
import paredown.text.Lexer;
import paredown.text.Token;

/**
 * A route is where a method goes, how it finds its new object there, and what stays.
 *
 * @param code what the method asks of the place that it leaves
 * @param delegate whether its old place goes on forwarding
 */
record Route(
    OwnerClass owner,
    OwnerClass target,
    OwnerClass.Method method,
    Through through,
    MovedCode code,
    boolean delegate) {

  Program program() {
    return owner.program();
  }

  /** The method's name with its parameters' types, as a message names it. */
  String subject() {
    return OwnerClass.signature(method);
  }

  boolean becomesStatic() {
    return through instanceof Through.Nothing;
  }

  /** Whether it is static, and stays so. */
  boolean staysStatic() {
    return becomesStatic() && method.is(Modifier.STATIC);
  }

  /** A name for a parameter that holds the old object, which the code does not know. */
  String freeOwnerName() {
    Set<String> words = new LinkedHashSet<>();
    for (Token token : owner.source().tokens()) {
      if (token.isIdentifier()
          && token.start() >= method.range().declaration()
          && token.end() <= method.range().declarationEnd()) {
        words.add(owner.source().slice(token.start(), token.end()));
      }
    }
    String plain = Words.decapitalised(owner.simpleName());
    for (String candidate : List.of(plain, "its" + owner.simpleName(), plain + "Before")) {
      if (!words.contains(candidate) && !Lexer.isKeyword(candidate)) {
        return candidate;
      }
    }
    return plain + "OfOld";
  }
}
