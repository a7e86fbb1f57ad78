package paredown.refactor.alike;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.text.SourceText;

/** What the new method takes since the places that call it differ in it. */
public sealed interface GivenValue permits GivenLiteral, GivenField {

  /**
   * What is given to the method of a part, in the order of the text.
   *
   * @param twins the places that call it, too
   * @param fields whether every field of the object is given; else only those in which they differ
   * @param literals those, counted from 0, that are given in any case
   */
  static List<GivenValue> of(
      UnitTrees trees, Part part, List<Twin> twins, boolean fields, Set<Integer> literals) {
    SourceText source = trees.source();
    Set<String> words =
        source.tokens(part.start(), part.end()).stream()
            .filter(token -> !source.isBehindDot(token.start()))
            .map(token -> source.slice(token.start(), token.end()))
            .collect(Collectors.toCollection(TreeSet::new));
    List<GivenValue> values = new ArrayList<>();
    Set<Integer> constants = GivenLiteral.constants(trees, part, twins);
    values.addAll(GivenField.of(trees, part, twins, fields, constants, words));
    values.addAll(GivenLiteral.of(trees, part, twins, literals, words));
    values.sort(Comparator.comparingInt(GivenValue::start));
    return values;
  }

  /** Where it stands first in the part. */
  int start();

  /** The names of fields that are assumed to have one value all through; none for a literal. */
  Set<String> assumed();

  TypeMirror type();

  /** The name of the parameter. */
  String name();

  /** The parameter in its places in the new method. */
  List<Replacement> taken(UnitTrees trees);

  /**
   * What a call gives.
   *
   * @param trees of the part
   * @param twin the place that calls; null for that of the part
   */
  Piece given(UnitTrees trees, Twin twin);
}
