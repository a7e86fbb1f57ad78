package paredown.refactor.plan;

import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Meaning;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.edit.WrittenUse;
import paredown.program.UseKind;
import paredown.refactor.code.UnitTrees;

/** The edits of a change, by files. Those within a range can be taken along when it moves. */
public final class EditList {
  private final Map<String, List<Replacement>> byFile = new TreeMap<>();

  public void add(String file, Replacement edit) {
    of(file).add(edit);
  }

  public List<Replacement> of(String file) {
    return byFile.computeIfAbsent(file, path -> new ArrayList<>());
  }

  Map<String, List<Replacement>> byFile() {
    return byFile;
  }

  /** The files in which a name is written that is meant for a symbol. */
  public List<String> writing(String key) {
    return byFile.entrySet().stream()
        .filter(entry -> entry.getValue().stream().anyMatch(edit -> writes(edit, key)))
        .map(Map.Entry::getKey)
        .toList();
  }

  private static boolean writes(Replacement edit, String key) {
    return edit.pieces().stream()
        .anyMatch(
            piece ->
                piece instanceof Written written
                    ? written.uses().stream().anyMatch(use -> names(use, key))
                    : within(piece).stream().anyMatch(inner -> writes(inner, key)));
  }

  private static boolean names(WrittenUse use, String key) {
    return use.kind() == UseKind.NAME && use.meaning().equals(new Meaning.Symbol(key));
  }

  private static List<Replacement> within(Piece piece) {
    return piece instanceof Carried carried
        ? carried.inside()
        : piece instanceof Copied copied ? copied.inside() : List.of();
  }

  /** Takes out the edits within a range, which moves and brings them along. */
  public List<Replacement> take(String file, int start, int end) {
    List<Replacement> within = of(file).stream().filter(edit -> edit.isWithin(start, end)).toList();
    of(file).removeAll(within);
    return within;
  }

  /** The code of a tree as it is after the edits within it, which are taken. */
  public Carried carried(UnitTrees trees, Tree tree) {
    int start = trees.start(tree);
    int end = trees.end(tree);
    return new Carried(trees.path(), start, end, take(trees.path(), start, end), Indent.SAME, null);
  }
}
