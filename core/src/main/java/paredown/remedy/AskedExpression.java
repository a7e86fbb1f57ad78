package paredown.remedy;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import paredown.facts.Question;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.Sources;
import paredown.program.Symbols;
import paredown.refactor.code.Place;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.text.SourceText;

/**
 * The longest expression in some lines that asks one object of a type several things, and needs
 * hardly anything else that is known there only: that object could work it out.
 */
final class AskedExpression extends TreePathScanner<Void, Void> {
  private static final int QUESTIONS = 2;

  /** How many other values the object could be given to work it out. */
  private static final int OTHERS = 1;

  private final UnitTrees trees;
  private final Place lines;
  private final boolean beginning;
  private final Predicate<TreePath> wanted;
  private Tree longest;

  /**
   * A search.
   *
   * @param beginning whether it is enough that the expression begins in the lines
   */
  private AskedExpression(
      UnitTrees trees, Place lines, boolean beginning, Predicate<TreePath> wanted) {
    this.trees = trees;
    this.lines = lines;
    this.beginning = beginning;
    this.wanted = wanted;
  }

  /** Its place as extract method takes it; empty where there is none. */
  static Optional<String> in(String place, String type, Sources sources) {
    return longest(place, false, sources, trees -> path -> new AskedOf(trees, type).asksOne(path));
  }

  /**
   * The place of an expression that asks a question, and begins somewhere.
   *
   * @param question as it is said, with {@code it} for the object that is asked
   */
  static Optional<String> asking(String question, String place, Sources sources) {
    return longest(place, true, sources, trees -> path -> asks(trees, path, question));
  }

  private static boolean asks(UnitTrees trees, TreePath path, String question) {
    Set<String> names = new HashSet<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = trees.element(getCurrentPath());
        if (element != null
            && (Symbols.isLocal(element) || element.getKind() == ElementKind.FIELD)) {
          names.add(tree.getName().toString());
        }
        return null;
      }
    }.scan(path, null);
    String said = Question.written(path.getLeaf().toString());
    return names.stream()
        .anyMatch(
            name ->
                said.replaceAll("(?<![.\\w])" + Pattern.quote(name) + "\\b", "it")
                    .equals(question));
  }

  private static Optional<String> longest(
      String place,
      boolean beginning,
      Sources sources,
      Function<UnitTrees, Predicate<TreePath>> wanted) {
    Place lines = Place.of(place);
    if (sources.file(lines.file()).isEmpty()) {
      return Optional.empty();
    }
    Program program = RecentPrograms.of(sources, Set.of(lines.file()));
    UnitTrees trees = new UnitTrees(program, program.unit(lines.file()).orElseThrow());
    AskedExpression search = new AskedExpression(trees, lines, beginning, wanted.apply(trees));
    search.scan(trees.unit().tree(), null);
    return Optional.ofNullable(search.longest).map(search::shown);
  }

  private String shown(Tree tree) {
    SourceText source = trees.source();
    int last = trees.end(tree) - 1;
    return "%s:%d:%d-%d:%d"
        .formatted(
            source.path(),
            source.line(trees.start(tree)),
            source.column(trees.start(tree)),
            source.line(last),
            source.column(last));
  }

  @Override
  public Void scan(Tree tree, Void unused) {
    if (tree instanceof ExpressionTree && isWithin(tree)) {
      TreePath path = new TreePath(getCurrentPath(), tree);
      boolean longer = longest == null || length(tree) > length(longest);
      boolean used = !(getCurrentPath().getLeaf() instanceof ExpressionStatementTree);
      if (longer && used && Values.isOne(trees, path) && wanted.test(path)) {
        longest = tree;
      }
    }
    return super.scan(tree, null);
  }

  private int length(Tree tree) {
    return trees.end(tree) - trees.start(tree);
  }

  private boolean isWithin(Tree tree) {
    int start = trees.start(tree);
    int end = trees.end(tree);
    return start >= 0
        && end > start
        && trees.source().line(start) >= lines.firstLine()
        && trees.source().line(beginning ? start : end - 1) <= lines.lastLine();
  }

  /** What asks one object of a type several things, and needs little else. */
  private record AskedOf(UnitTrees trees, String type) {
    private boolean asksOne(TreePath path) {
      List<Element> named = new ArrayList<>();
      boolean[] bound = {false};
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitIdentifier(IdentifierTree tree, Void unused) {
          Element element = trees.element(getCurrentPath());
          boolean local = element != null && Symbols.isLocal(element);
          boolean word = tree.getName().contentEquals("this");
          boolean own =
              element != null
                  && (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
                  && !element.getModifiers().contains(Modifier.STATIC);
          bound[0] |= word || own && element.getKind() == ElementKind.METHOD;
          if (local || own && !word) {
            named.add(element);
          }
          return null;
        }
      }.scan(path, null);
      List<Element> asked = named.stream().filter(this::isOfType).toList();
      long others = named.stream().filter(each -> !asked.contains(each)).distinct().count();
      return !bound[0]
          && asked.size() >= QUESTIONS
          && asked.stream().distinct().count() == 1
          && Symbols.isLocal(asked.get(0))
          && others <= OTHERS;
    }

    private boolean isOfType(Element variable) {
      return variable.asType() instanceof DeclaredType declared
          && ((TypeElement) declared.asElement()).getQualifiedName().contentEquals(type);
    }
  }
}
