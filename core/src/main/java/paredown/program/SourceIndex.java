package paredown.program;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.project.Nearest;
import paredown.project.SourceFile;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** The source index tells, from tokens alone, which files declare a type or hold a word. */
public final class SourceIndex {
  private static final Pattern REFERENCE =
      Pattern.compile(
          "@(?:link|linkplain|see|throws|exception|value)\\s+([\\w.$]*(?:#\\w+)?(?:\\([^)}]*\\))?)");
  private static final Pattern NO_WORD = Pattern.compile("[^\\w$]+");

  private final Map<String, Set<String>> wordsByFile = new HashMap<>();
  private final Map<String, String> packages = new HashMap<>();
  private final List<DeclaredType> types = new ArrayList<>();
  private final Map<String, Set<String>> extendedInBodies = new HashMap<>();

  public SourceIndex(Sources sources) {
    sources.files().parallelStream()
        .map(file -> read(sources.text(file.path())))
        .toList()
        .forEach(this::add);
    sort();
  }

  private SourceIndex(SourceIndex before, Collection<SourceText> changed, Set<String> gone) {
    wordsByFile.putAll(before.wordsByFile);
    packages.putAll(before.packages);
    extendedInBodies.putAll(before.extendedInBodies);
    List.of(wordsByFile, packages, extendedInBodies).forEach(map -> map.keySet().removeAll(gone));
    Set<String> paths = changed.stream().map(SourceText::path).collect(Collectors.toSet());
    paths.addAll(gone);
    before.types.stream().filter(type -> !paths.contains(type.file())).forEach(types::add);
    changed.forEach(text -> add(read(text)));
    sort();
  }

  /** The index once some files have other texts, are new, or are gone. */
  SourceIndex after(Collection<SourceText> changed, Set<String> gone) {
    return new SourceIndex(this, changed, gone);
  }

  private void sort() {
    types.sort(Comparator.comparing(DeclaredType::name).thenComparing(DeclaredType::file));
  }

  private record Entry(
      String file,
      String packageName,
      Set<String> words,
      List<DeclaredType> types,
      Set<String> extendedInBodies) {}

  private static Entry read(SourceText source) {
    Set<String> words = new HashSet<>();
    for (Token token : source.tokens()) {
      if (token.isIdentifier()) {
        words.add(source.slice(token.start(), token.end()));
      } else if (token.kind() == TokenKind.DOC_COMMENT) {
        addReferences(source.slice(token.start(), token.end()), words);
      }
    }
    List<DeclaredType> types = TypeHeaders.in(source);
    return new Entry(
        source.path(),
        TypeHeaders.packageOf(source),
        words,
        types,
        BodyTypes.extendedIn(source, types));
  }

  /** What a Javadoc comment refers to is named there as it is in code. */
  private static void addReferences(String comment, Set<String> words) {
    if (comment.indexOf('@') < 0) {
      return;
    }
    Matcher reference = REFERENCE.matcher(comment);
    while (reference.find()) {
      words.addAll(List.of(NO_WORD.split(reference.group(1))));
    }
  }

  private void add(Entry entry) {
    wordsByFile.put(entry.file(), entry.words());
    packages.put(entry.file(), entry.packageName());
    types.addAll(entry.types());
    extendedInBodies.put(entry.file(), entry.extendedInBodies());
  }

  /**
   * The files with local or anonymous classes below a type, or constants of an enum with bodies,
   * that hold a word too.
   */
  Set<String> filesWithBodiesBelow(String simpleName, String word) {
    Set<String> files = filesWithBodiesBelow(simpleName);
    files.removeIf(file -> !holds(file, word));
    return files;
  }

  /**
   * The files with local or anonymous classes below a type, or constants of an enum with bodies.
   */
  Set<String> filesWithBodiesBelow(String simpleName) {
    Set<String> names = namesOfSubtypes(simpleName);
    return extendedInBodies.entrySet().stream()
        .filter(entry -> entry.getValue().stream().anyMatch(names::contains))
        .map(Map.Entry::getKey)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** The files that hold one of these words as an identifier. Unicode escapes hold every word. */
  public Set<String> filesWith(Collection<String> words) {
    return wordsByFile.entrySet().stream()
        .filter(
            entry ->
                words.stream().anyMatch(entry.getValue()::contains)
                    || entry.getValue().stream().anyMatch(word -> word.indexOf('\\') >= 0))
        .map(Map.Entry::getKey)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** The files that hold all of these words as identifiers; all files where there is no word. */
  public Set<String> filesWithAll(Collection<String> words) {
    Set<String> files = new TreeSet<>(wordsByFile.keySet());
    words.forEach(word -> files.retainAll(filesWith(Set.of(word))));
    return files;
  }

  /** The simple names of a type and of all types that may be below it. */
  public Set<String> namesOfSubtypes(String simpleName) {
    Set<String> names = new TreeSet<>(Set.of(simpleName));
    boolean grew = true;
    while (grew) {
      grew = false;
      for (DeclaredType type : types) {
        if (type.header().stream().anyMatch(names::contains)) {
          grew |= names.add(type.simpleName());
        }
      }
    }
    return names;
  }

  public boolean holds(String file, String word) {
    return wordsByFile.getOrDefault(file, Set.of()).contains(word);
  }

  public String packageOf(String file) {
    return packages.getOrDefault(file, "");
  }

  /** The files of a package. */
  public Set<String> filesIn(String packageName) {
    return packages.entrySet().stream()
        .filter(entry -> entry.getValue().equals(packageName))
        .map(Map.Entry::getKey)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  public List<DeclaredType> types() {
    return List.copyOf(types);
  }

  /**
   * The one type that a name means: a canonical name, or any ending of one.
   *
   * @throws UnusableRequest where no type or several are meant
   */
  public DeclaredType type(String name) {
    // A name may have a $ of its own, or one in the place of the dot before a nested type.
    List<DeclaredType> asTyped = called(name, UnaryOperator.identity());
    List<DeclaredType> meant =
        asTyped.isEmpty() ? called(name, each -> each.replace('$', '.')) : asTyped;
    if (meant.isEmpty()) {
      throw new UnusableRequest(
          "There is no type " + name + " in this project.",
          Nearest.advice(
              name,
              types.stream().map(DeclaredType::name).toList(),
              "pare survey lists the classes that are worth a look."));
    }
    if (meant.size() > 1) {
      throw new UnusableRequest(
          name + " could be any of " + meant.size() + " types.",
          "Say which: "
              + meant.stream()
                  .map(type -> distinct(type, meant))
                  .limit(8)
                  .collect(Collectors.joining(", "))
              + ".");
    }
    return meant.get(0);
  }

  /** The types of a name, or else those of other packages or classes that end in it. */
  private List<DeclaredType> called(String name, UnaryOperator<String> spelling) {
    String wanted = spelling.apply(name);
    List<DeclaredType> exact =
        types.stream().filter(type -> spelling.apply(type.name()).equals(wanted)).toList();
    return exact.isEmpty()
        ? types.stream().filter(type -> spelling.apply(type.name()).endsWith("." + wanted)).toList()
        : exact;
  }

  private static String distinct(DeclaredType type, List<DeclaredType> others) {
    boolean twice = others.stream().filter(each -> each.name().equals(type.name())).count() > 1;
    return twice ? type.name() + " in " + type.file() : type.name();
  }

  /** Whether a file may be edited: it is not the build's own product. */
  public static boolean isEditable(SourceFile file) {
    return file.kind() != SourceFile.Kind.GENERATED;
  }
}
