package paredown.refactor.use;

import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.TypeElement;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * Who could make objects of a class without saying {@code new}: what is handed the class itself or
 * its name, and a list of services.
 */
public final class MadeFromOutside {
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

  private static final Set<String> LOOKUPS = Set.of("forName", "loadClass", "findClass");
  private static final Set<String> LOGGERS = Set.of("getLogger", "getLog");

  private MadeFromOutside() {}

  /** Notes that nobody is assumed to do so, where a constructor takes other values than before. */
  public static void assume(OwnerClass type) {
    place(type.program(), type.element())
        .ifPresent(
            place ->
                type.assumptions()
                    .add(
                        Assumption.Kind.ENUMERATION,
                        "nobody makes a %s by reflection".formatted(type.simpleName()),
                        place));
  }

  /** Where somebody has the class, or its name; empty where nobody has. */
  private static Optional<String> place(Program program, TypeElement type) {
    String name = type.getQualifiedName().toString();
    Stream<String> handed =
        program.uses().of(program.symbols().key(type)).stream()
            .filter(use -> use.isName() && !use.isDoc())
            .flatMap(use -> handed(program, use).stream());
    Stream<String> named =
        program.units().stream()
            .map(Unit::source)
            .filter(source -> LOOKUPS.stream().anyMatch(source.text()::contains))
            .flatMap(source -> spelt(source, name).stream());
    Set<String> simple = Set.of(type.getSimpleName().toString());
    Stream<String> listed = program.sources().others().naming(name, simple).stream();
    return Stream.of(handed, named, listed).flatMap(each -> each).findFirst();
  }

  private static Optional<String> spelt(SourceText source, String name) {
    int at = source.text().indexOf('"' + name + '"');
    return at < 0 ? Optional.empty() : Optional.of(source.place(at));
  }

  /** The place of a class literal whose class could be used to make an object. */
  private static Optional<String> handed(Program program, Use use) {
    Optional<Unit> unit = program.unit(use.file());
    if (unit.isEmpty()) {
      return Optional.empty();
    }
    SourceText source = unit.get().source();
    int at = source.tokenAt(use.offset());
    boolean literal = word(source, at + 1).equals(".") && word(source, at + 2).equals("class");
    boolean asked = word(source, at + 3).equals(".") && ASKED.contains(word(source, at + 4));
    boolean logs = word(source, at - 1).equals("(") && LOGGERS.contains(word(source, at - 2));
    return literal && !asked && !logs ? Optional.of(source.place(use.offset())) : Optional.empty();
  }

  private static String word(SourceText source, int index) {
    if (index < 0 || index >= source.tokens().size()) {
      return "";
    }
    Token token = source.tokens().get(index);
    return source.slice(token.start(), token.end());
  }
}
