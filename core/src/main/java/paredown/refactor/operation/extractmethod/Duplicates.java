package paredown.refactor.operation.extractmethod;

/** Which other places that say the same call the new method, too. */
public enum Duplicates {
  NONE,
  /** Those of the class, if there are any. */
  ANY,
  /** All of the class. */
  ALL,
  /** Those of the class that somebody says yes to when asked. */
  ASK,
  /** All of the project; the method belongs to the class then, and needs no object. */
  PROJECT;

  /** The word as it is typed. */
  public String word() {
    return name().toLowerCase();
  }
}
