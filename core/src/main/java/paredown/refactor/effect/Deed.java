package paredown.refactor.effect;

/** A deed is a kind of thing that running code can do and other code could notice. */
public enum Deed {
  /** It reads what others may change. */
  READS,
  /** It sets a local variable. */
  SETS_LOCAL,
  /** It changes an object of the platform: a list, a text in the making, an element of an array. */
  CHANGES,
  /** It sets a field of the project. */
  SETS,
  /** It throws on purpose. */
  THROWS,
  /** It prints, or asks the machine: files, properties, time, chance, threads. */
  OUTSIDE,
  /** It makes text of an object whose class nobody can tell. */
  MAKES_TEXT,
  /** It compares objects whose class nobody can tell, or asks for their hash codes. */
  COMPARES,
  /** It goes through or looks into a collection whose class nobody can tell. */
  GOES_THROUGH,
  /** It calls code that nobody can tell. */
  UNKNOWN
}
