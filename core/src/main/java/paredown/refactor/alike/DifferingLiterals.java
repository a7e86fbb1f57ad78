package paredown.refactor.alike;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.Sources;
import paredown.refactor.code.Part;
import paredown.refactor.code.Place;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.ReadableFiles;
import paredown.text.Token;

/** The literals in which places that say the same otherwise differ. */
public final class DifferingLiterals {
  private DifferingLiterals() {}

  /**
   * Which of the literals, counted from 0, are not alike in all places; none where the places have
   * not as many, or differ in more than a few.
   *
   * @param places as they are typed
   */
  public static Set<Integer> of(List<String> places, Sources sources) {
    Set<String> paths = new LinkedHashSet<>();
    places.forEach(each -> paths.add(Place.of(each).path(sources, sources.index())));
    Program program = RecentPrograms.of(sources, paths);
    ReadableFiles.require(program, paths);
    List<List<String>> said = new ArrayList<>();
    int most = 0;
    for (String each : places) {
      Place place = Place.of(each);
      String path = place.path(sources, sources.index());
      UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
      Part part = place.part(trees);
      most = GivenLiteral.most(trees, part);
      said.add(
          in(trees, part).stream()
              .map(token -> trees.source().slice(token.start(), token.end()))
              .toList());
    }
    Set<Integer> differing = new TreeSet<>();
    List<String> first = said.get(0);
    for (List<String> other : said) {
      if (other.size() != first.size()) {
        return Set.of();
      }
      for (int i = 0; i < first.size(); i++) {
        if (!other.get(i).equals(first.get(i))) {
          differing.add(i);
        }
      }
    }
    return differing.size() > most ? Set.of() : differing;
  }

  /** The literals in some code, in the order of the text. */
  static List<Token> in(UnitTrees trees, Part part) {
    return trees.source().tokens(part.start(), part.end()).stream()
        .filter(Token::isLiteral)
        .toList();
  }
}
