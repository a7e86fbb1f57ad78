package paredown.refactor.use;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import javax.lang.model.element.TypeElement;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * Who could make objects of a class without saying {@code new}: what is handed the class itself or
 * its name, and a list of services.
 */
public final class MadeFromOutside {
  /** Words that look for classes by their names. */
  public static final List<String> LOOKING = List.of("forName", "loadClass", "findClass");

  /** What a class is asked that makes no object. */
  private static final Set<String> ASKED =
      Set.of(
          "getName",
          "getSimpleName",
          "getTypeName",
          "getPackage",
          "getPackageName",
          "getResource",
          "getResourceAsStream",
          "getClassLoader",
          "desiredAssertionStatus",
          "isInstance",
          "cast",
          "equals",
          "hashCode");

  private static final Set<String> LOGGERS = Set.of("getLogger", "getLog");

  private MadeFromOutside() {}

  /**
   * Notes that nobody is assumed to do so, where a constructor takes other values than before.
   *
   * @param owner takes the assumption
   * @param made the class of the constructor
   */
  public static void assume(OwnerClass owner, TypeElement made) {
    place(owner.program(), made)
        .ifPresent(
            place ->
                owner
                    .assumptions()
                    .add(
                        Assumption.Kind.ENUMERATION,
                        "nobody makes a %s by reflection".formatted(made.getSimpleName()),
                        place));
  }

  /** Where somebody has the class, or its name; empty where nobody has. */
  private static Optional<String> place(Program program, TypeElement made) {
    SourceIndex index = program.sources().index();
    String simple = made.getSimpleName().toString();
    String whole = made.getQualifiedName().toString();
    Stream<String> handed =
        texts(program, index.filesWith(Set.of(simple)))
            .flatMap(source -> handed(source, simple).stream());
    Stream<String> named =
        texts(program, index.filesWith(LOOKING)).flatMap(source -> spelt(source, whole).stream());
    Stream<String> listed = program.sources().others().naming(whole, Set.of(simple)).stream();
    return Stream.of(handed, named, listed).flatMap(each -> each).findFirst();
  }

  private static Stream<SourceText> texts(Program program, Set<String> files) {
    return new TreeSet<>(files).stream().map(program.sources()::text);
  }

  private static Optional<String> spelt(SourceText source, String name) {
    int at = source.text().indexOf('"' + name + '"');
    return at < 0 ? Optional.empty() : Optional.of(source.place(at));
  }

  /** The place of a class literal whose class could be used to make an object. */
  private static Optional<String> handed(SourceText source, String simple) {
    if (!source.text().contains(".class")) {
      return Optional.empty();
    }
    List<Token> tokens = source.tokens();
    for (int i = 0; i < tokens.size(); i++) {
      boolean literal =
          word(source, i).equals(simple)
              && word(source, i + 1).equals(".")
              && word(source, i + 2).equals("class");
      boolean asked = word(source, i + 3).equals(".") && ASKED.contains(word(source, i + 4));
      boolean logs = word(source, i - 1).equals("(") && LOGGERS.contains(word(source, i - 2));
      if (literal && !asked && !logs) {
        return Optional.of(source.place(tokens.get(i).start()));
      }
    }
    return Optional.empty();
  }

  private static String word(SourceText source, int index) {
    if (index < 0 || index >= source.tokens().size()) {
      return "";
    }
    Token token = source.tokens().get(index);
    return source.slice(token.start(), token.end());
  }
}
