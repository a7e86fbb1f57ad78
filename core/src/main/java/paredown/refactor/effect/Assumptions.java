package paredown.refactor.effect;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.edit.Assumption;
import paredown.refactor.code.UnitTrees;

/** The assumptions that a change rests on, gathered while it is planned. */
public final class Assumptions {
  /** Deeds that are assumed to change nothing, and as what. */
  private static final Map<Deed, Assumption.Kind> HARMLESS =
      Map.of(
          Deed.MAKES_TEXT, Assumption.Kind.TEXT,
          Deed.COMPARES, Assumption.Kind.COMPARISON,
          Deed.GOES_THROUGH, Assumption.Kind.COLLECTION);

  private final Set<Assumption> all = new LinkedHashSet<>();

  public void add(Assumption.Kind kind, String sentence, String place) {
    all.add(new Assumption(kind, sentence, place));
  }

  public void addAll(Collection<Assumption> more) {
    all.addAll(more);
  }

  /** In the order of their kinds and places, each sentence once. */
  public List<Assumption> all() {
    List<Assumption> sorted = new ArrayList<>();
    Set<String> sentences = new LinkedHashSet<>();
    all.stream()
        .sorted(
            java.util.Comparator.comparing(Assumption::kind)
                .thenComparing(Assumption::place)
                .thenComparing(Assumption::sentence))
        .filter(each -> sentences.add(each.sentence()))
        .forEach(sorted::add);
    return sorted;
  }

  /** What has to be assumed of deeds so that they change nothing of an object. */
  public static List<Assumption> of(Deeds deeds, UnitTrees trees, TreePath code, String type) {
    List<Assumption> found = new ArrayList<>();
    String place = trees.place(code.getLeaf());
    HARMLESS.forEach(
        (deed, kind) -> {
          if (deeds.has(deed)) {
            found.add(new Assumption(kind, sentence(kind, type), place));
          }
        });
    return found;
  }

  private static String sentence(Assumption.Kind kind, String type) {
    String what =
        switch (kind) {
          case TEXT -> "toString of other objects changes";
          case COMPARISON -> "equals, hashCode and compareTo of other objects change";
          default -> "the collections and iterators used here change";
        };
    return what + " nothing of " + type;
  }
}
