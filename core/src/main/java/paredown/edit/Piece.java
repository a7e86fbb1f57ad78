package paredown.edit;

/** A piece is what new text is put together from. */
public sealed interface Piece permits Carried, Copied, Written {

  /** The same where the instance that its code belongs to has become another. */
  Piece as(Self self);
}
