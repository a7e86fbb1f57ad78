package paredown.refactor.use;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.AnnotationStrings;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * Refuses where a string spells a member's name in a file that looks members up by their names,
 * itself or through a class of the project that does, or in an annotation.
 */
public final class ReflectionCheck {
  private static final Set<String> LOOKUPS =
      Set.of(
          "getDeclaredField",
          "getField",
          "getDeclaredMethod",
          "getMethod",
          "readField",
          "readDeclaredField",
          "writeField",
          "writeDeclaredField",
          "removeFinalModifier",
          "newUpdater",
          "findVarHandle",
          "findGetter",
          "findSetter",
          "objectFieldOffset",
          "setInternalState",
          "getInternalState");
  private static final String ASKED_OF_CLASS = "method java.lang.Class#";
  private static final Set<String> SHAPES =
      Set.of(
          "reflectionEquals",
          "reflectionHashCode",
          "reflectionToString",
          "reflectionCompare",
          "reflectionAppend",
          "ReflectionToStringBuilder",
          "getDeclaredFields",
          "getFields");

  private final OwnerClass owner;
  private final Set<String> names;
  private BiPredicate<SourceText, Token> changing = (source, literal) -> false;
  private Set<String> handing;

  public ReflectionCheck(OwnerClass owner, Map<Element, String> moved) {
    this.owner = owner;
    this.names =
        moved.keySet().stream()
            .map(element -> element.getSimpleName().toString())
            .collect(Collectors.toSet());
  }

  /** The same, which passes over strings that change with the name. */
  public ReflectionCheck passingOver(BiPredicate<SourceText, Token> strings) {
    changing = strings;
    return this;
  }

  /** Refuses where a string spells the name, whoever says that it does not matter. */
  public void require() {
    try {
      requireUnspelt();
    } catch (Refused refused) {
      throw refused.with("");
    }
  }

  /** Refuses where a string spells the name, unless that does not matter. */
  public void requireUnless(boolean harmless) {
    if (!harmless) {
      requireUnspelt();
    }
  }

  /** Refuses where a member is looked up by its name, or all of a class's fields are. */
  public void requireUnless(Overruled overruled) {
    try {
      requireUnseen();
    } catch (Refused refused) {
      if (!overruled.overrules(refused.kind())) {
        throw refused;
      }
    }
  }

  private void requireUnseen() {
    SourceText own = owner.source();
    for (Token token : own.tokens()) {
      if (token.isIdentifier() && SHAPES.contains(word(own, token)) && isOfOthers(token)) {
        throw Refused.advising(
            RefusalKind.REFLECTED,
            "The fields of %s cannot be changed: %s looks at all of an object's fields by reflection."
                .formatted(owner.writtenName(), word(own, token)),
            "",
            own.place(token.start()));
      }
    }
    requireUnspelt();
  }

  /** Whether a word is not a member that the project has itself under that name. */
  private boolean isOfOthers(Token token) {
    boolean ofClass = word(owner.source(), token).matches("get(?:Declared)?Fields");
    Optional<Use> use =
        owner.program().uses().at(owner.source().path(), token.start(), UseKind.NAME);
    return !ofClass || use.filter(each -> each.key().startsWith(ASKED_OF_CLASS)).isPresent();
  }

  private void requireUnspelt() {
    owner.program().units().stream()
        .map(Unit::source)
        .filter(this::spellsOne)
        .filter(ReflectionCheck::looksUp)
        .forEach(this::require);
    owner.program().sources().files().stream()
        .map(file -> owner.program().sources().text(file.path()))
        .filter(this::mentionsOwner)
        .forEach(
            source -> {
              if (spellsOne(source)) {
                require(source);
              }
              requireUnannotated(source);
            });
  }

  /** Refuses where an annotation names a member, alone or behind its class. */
  private void requireUnannotated(SourceText source) {
    if (names.stream().noneMatch(source.text()::contains)) {
      return;
    }
    for (Token token : AnnotationStrings.in(source)) {
      String spelt = word(source, token).replace("\"", "");
      String name = spelt.substring(spelt.indexOf('#') + 1).replaceAll("\\(.*", "");
      if (names.contains(name) && !changing.test(source, token)) {
        throw Refused.because(RefusalKind.REFLECTED, name, source.place(token.start()));
      }
    }
  }

  private boolean spellsOne(SourceText source) {
    return names.stream().anyMatch(name -> source.text().contains("\"" + name + "\""));
  }

  private boolean mentionsOwner(SourceText source) {
    return source.text().contains(owner.simpleName());
  }

  /** Whether a file looks members up by their names itself. */
  private static boolean looksUp(SourceText source) {
    return lookups(source).findAny().isPresent();
  }

  /** The words of a file that look members up. */
  private static Stream<Token> lookups(SourceText source) {
    return LOOKUPS.stream().anyMatch(source.text()::contains)
        ? source.tokens().stream()
            .filter(token -> token.isIdentifier() && LOOKUPS.contains(word(source, token)))
        : Stream.empty();
  }

  /** The classes of the project that look up what others name. */
  private Set<String> handing() {
    if (handing == null) {
      handing = new TreeSet<>();
      for (SourceFile file : owner.program().sources().files()) {
        SourceText source = owner.program().sources().text(file.path());
        if (lookups(source).anyMatch(token -> isOfVariable(source, token))) {
          handing.add(file.path().replaceAll(".*/|\\.java$", ""));
        }
      }
    }
    return handing;
  }

  /** Whether no string stands in the brackets behind a word. */
  private static boolean isOfVariable(SourceText source, Token word) {
    int depth = 0;
    for (int i = source.tokenAt(word.end()); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      String text = word(source, token);
      depth += text.equals("(") ? 1 : text.equals(")") ? -1 : 0;
      if (text.startsWith("\"")) {
        return false;
      }
      if (depth == 0 && !token.kind().isComment()) {
        return text.equals(")");
      }
    }
    return false;
  }

  /** Refuses where a string names a member, in a file that looks up, or for a class that does. */
  private void require(SourceText source) {
    boolean looksUp = looksUp(source);
    Set<String> handed = looksUp ? Set.of() : handed(source);
    for (int i = 0; i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      if (token.isLiteral()
          && source.text().charAt(token.start()) == '"'
          && names.contains(word(source, token).replace("\"", ""))
          && (looksUp || isHanded(source, i, handed))
          && !changing.test(source, token)) {
        String spelt = word(source, token).replace("\"", "");
        throw Refused.because(RefusalKind.REFLECTED, spelt, source.place(token.start()))
            .with(
                "If it means something else, or that does not matter here, say --accept reflected.");
      }
    }
  }

  /** The classes that look up what others name, and the variables of a file that hold one. */
  private Set<String> handed(SourceText source) {
    Set<String> handed = new TreeSet<>();
    if (handing().stream().noneMatch(source.text()::contains)) {
      return handed;
    }
    List<Token> tokens = source.tokens();
    for (int i = 0; i < tokens.size(); i++) {
      if (tokens.get(i).isIdentifier() && handing().contains(word(source, tokens.get(i)))) {
        handed.add(word(source, tokens.get(i)));
        if (i + 1 < tokens.size() && tokens.get(i + 1).isIdentifier()) {
          handed.add(word(source, tokens.get(i + 1)));
        }
      }
    }
    return handed;
  }

  /** Whether one of these is named before a string in its statement. */
  private static boolean isHanded(SourceText source, int literal, Set<String> handed) {
    for (int i = literal - 1; i >= 0 && !handed.isEmpty(); i--) {
      String word = word(source, source.tokens().get(i));
      if (word.matches("[;{}]")) {
        return false;
      }
      if (handed.contains(word)) {
        return true;
      }
    }
    return false;
  }

  private static String word(SourceText source, Token token) {
    return source.slice(token.start(), token.end());
  }
}
