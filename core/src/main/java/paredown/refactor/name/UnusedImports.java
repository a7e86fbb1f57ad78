package paredown.refactor.name;

import com.sun.source.tree.ImportTree;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import paredown.edit.Replacement;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** Finds the imports that a change leaves without a use; those that never had one stay. */
public final class UnusedImports {
  private UnusedImports() {}

  public static List<Replacement> removals(UnitTrees trees, SourceText after) {
    Set<String> before = words(trees.source());
    Set<String> now = words(after);
    List<ImportTree> freed = new ArrayList<>();
    for (ImportTree tree : trees.unit().tree().getImports()) {
      String name = tree.getQualifiedIdentifier().toString();
      String member = name.substring(name.lastIndexOf('.') + 1);
      if (before.contains(member) && !now.contains(member)) {
        freed.add(tree);
      }
    }
    return removals(trees, freed, "nothing needs this import now");
  }

  /** The edits that take imports away, for a reason. */
  public static List<Replacement> removals(
      UnitTrees trees, List<ImportTree> imports, String reason) {
    List<MemberRange> ranges = new ArrayList<>();
    for (ImportTree tree : imports) {
      int start = trees.source().lineStart(trees.start(tree));
      int end = trees.source().nextLine(trees.end(tree) - 1);
      ranges.add(new MemberRange(start, trees.start(tree), trees.end(tree), end));
    }
    List<Replacement> removals = new ArrayList<>();
    for (int[] range : MemberRange.merged(trees.source(), ranges)) {
      int[] wide = MemberRange.withGap(trees.source(), range);
      List<Replacement.Dropped> dropped =
          trees.program().uses().within(trees.path(), wide[0], wide[1]).stream()
              .map(use -> new Replacement.Dropped(use.place(), reason))
              .toList();
      removals.add(new Replacement(wide[0], wide[1], List.of(), dropped));
    }
    return removals;
  }

  /** All words of a text but those of its imports, the words of its comments among them. */
  private static Set<String> words(SourceText source) {
    Set<String> words = new HashSet<>();
    boolean importing = false;
    for (Token token : source.tokens()) {
      String text = source.slice(token.start(), token.end());
      if (token.kind() == TokenKind.KEYWORD && text.equals("import")) {
        importing = true;
      } else if (importing) {
        importing = !text.equals(";");
      } else if (token.isIdentifier()) {
        words.add(text);
      } else if (token.kind().isComment()) {
        words.addAll(List.of(text.split("[^\\p{javaJavaIdentifierPart}]+")));
      }
    }
    return words;
  }
}
