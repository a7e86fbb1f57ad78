package paredown.edit;

/** A piece is what new text is put together from. */
public sealed interface Piece permits Carried, Copied, Written {}
