package paredown.refactor.use;

import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.refactor.code.DocReference;
import paredown.text.SourceText;
import paredown.text.WholeWord;

/** Where references in Javadoc name a type: before a member, or among its parameters. */
public final class DocMentions {
  private final Program program;
  private final TypeElement type;
  private final String name;
  private final Pattern whole;
  private final TreeMap<String, Set<Integer>> places = new TreeMap<>();

  private DocMentions(Program program, TypeElement type) {
    this.program = program;
    this.type = type;
    this.name = type.getSimpleName().toString();
    this.whole = WholeWord.of(name);
  }

  /** The offsets of the type's simple name, by files. */
  public static TreeMap<String, Set<Integer>> of(Program program, TypeElement type) {
    DocMentions mentions = new DocMentions(program, type);
    for (Unit unit : program.units()) {
      program
          .uses()
          .in(unit.path())
          .filter(Use::isDoc)
          .forEach(use -> mentions.reference(use, unit.source()));
    }
    return mentions.places;
  }

  private void reference(Use use, SourceText source) {
    Matcher word =
        whole
            .matcher(source.text())
            .region(use.offset(), DocReference.end(source, use.offset()))
            .useTransparentBounds(true);
    while (word.find()) {
      if (isMeant(source, use, word.start())) {
        places.computeIfAbsent(source.path(), each -> new TreeSet<>()).add(word.start());
      }
    }
  }

  private boolean isMeant(SourceText source, Use use, int at) {
    int from = at;
    while (from > use.offset() && isQualifier(source.text().charAt(from - 1))) {
      from--;
    }
    String qualifier = source.slice(from, at);
    if (qualifier.isEmpty() && from > use.offset() && source.text().charAt(from - 1) == '#') {
      return use.key().startsWith("constructor " + program.symbols().binary(type) + "(");
    }
    String canonical = type.getQualifiedName().toString();
    return qualifier.isEmpty()
        ? isKnown(source.path(), canonical)
        : ("." + canonical).endsWith("." + qualifier + name);
  }

  /** Whether a sign is part of a name with its qualifiers. */
  public static boolean isQualifier(char sign) {
    return sign == '.' || Character.isJavaIdentifierPart(sign);
  }

  /** Whether no import makes the simple name mean another type in a file. */
  private boolean isKnown(String file, String canonical) {
    return program.unit(file).orElseThrow().tree().getImports().stream()
        .filter(each -> !each.isStatic())
        .map(each -> each.getQualifiedIdentifier().toString())
        .filter(each -> each.endsWith("." + name))
        .allMatch(canonical::equals);
  }
}
