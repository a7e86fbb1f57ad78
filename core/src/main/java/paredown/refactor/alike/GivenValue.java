package paredown.refactor.alike;

import java.util.List;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.refactor.code.UnitTrees;

/** What the new method takes since the places that call it differ in it. */
public sealed interface GivenValue permits GivenLiteral, GivenField {

  /** Where it stands first in the part. */
  int start();

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
