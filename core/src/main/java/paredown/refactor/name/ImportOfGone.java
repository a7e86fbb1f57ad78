package paredown.refactor.name;

import com.sun.source.tree.ImportTree;
import java.util.ArrayList;
import java.util.List;
import paredown.edit.Replacement;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** The import of a type that goes, which goes with it. */
public final class ImportOfGone {
  private ImportOfGone() {}

  /**
   * The edits of a file's imports; none where the file goes as a whole.
   *
   * @param added the imports that it gets, which are among the edits
   */
  public static List<Replacement> edits(OwnerClass gone, UnitTrees trees, List<Replacement> added) {
    boolean own = trees.path().equals(gone.trees().path());
    if (own && TypeRemoval.isWholeFile(gone)) {
      return List.of();
    }
    List<ImportTree> useless = new ArrayList<>();
    for (ImportTree tree : trees.unit().tree().getImports()) {
      String name = tree.getQualifiedIdentifier().toString();
      if (!tree.isStatic() && name.equals(gone.element().getQualifiedName().toString())) {
        useless.add(tree);
      }
    }
    List<Replacement> edits = new ArrayList<>(added);
    for (Replacement each : UnusedImports.removals(trees, useless, "its class is gone")) {
      boolean apart =
          added.stream()
              .allMatch(next -> next.start() <= each.start() || next.start() >= each.end());
      edits.add(apart ? each : ofLine(trees, useless.get(0), each));
    }
    return edits;
  }

  /** The removal of an import without the blank lines around it. */
  private static Replacement ofLine(UnitTrees trees, ImportTree tree, Replacement wide) {
    int start = trees.source().lineStart(trees.start(tree));
    int end = trees.source().nextLine(trees.end(tree) - 1);
    return new Replacement(start, end, List.of(), wide.dropped());
  }
}
