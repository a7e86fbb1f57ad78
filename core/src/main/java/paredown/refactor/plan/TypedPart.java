package paredown.refactor.plan;

import java.util.Set;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.Sources;
import paredown.refactor.code.Part;
import paredown.refactor.code.Place;
import paredown.refactor.code.UnitTrees;

/**
 * A part of some code as it is typed, found in its file alone.
 *
 * @param trees of its file
 */
public record TypedPart(UnitTrees trees, Part part) {

  /**
   * Finds a part.
   *
   * @throws paredown.UnusableRequest where the place is none
   * @throws paredown.refactor.Refused where its file cannot be read
   */
  public static TypedPart at(String place, Sources sources) {
    Place wanted = Place.of(place);
    String path = wanted.path(sources, sources.index());
    Program program = RecentPrograms.of(sources, Set.of(path));
    ReadableFiles.require(program, Set.of(path));
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    return new TypedPart(trees, wanted.part(trees));
  }
}
