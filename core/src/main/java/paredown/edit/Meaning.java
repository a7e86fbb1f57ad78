package paredown.edit;

/** What a written name is meant to bind to. */
public sealed interface Meaning {

  /** The symbol with a key, as it is named after the change. */
  record Symbol(String key) implements Meaning {}

  /** A local variable or parameter that the change itself declares in the same file. */
  record Local(String name) implements Meaning {}

  /** A symbol that exists already and is named as before the change. */
  record Existing(String key) implements Meaning {}
}
