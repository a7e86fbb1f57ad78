package paredown.smell;

/** A smell is a shape of code that makes changes harder than they need be. */
public enum Smell {
  GOD_CLASS("god-class", "god", "god class"),
  DATA_CLUMP("data-clump", "clump", "data clump"),
  FEATURE_ENVY("feature-envy", "envy", "feature envy"),
  DIVERGENT_CHANGE("divergent-change", "divergent", "divergent change"),
  LAZY_CLASS("lazy-class", "lazy", "lazy class");

  private final String id;
  private final String shortName;
  private final String words;

  Smell(String id, String shortName, String words) {
    this.id = id;
    this.shortName = shortName;
    this.words = words;
  }

  /** The name in JSON and options: {@code god-class}. */
  public String id() {
    return id;
  }

  /** The name that findings' ids begin with: {@code god}. */
  public String shortName() {
    return shortName;
  }

  /** The name in sentences: {@code god class}. */
  public String words() {
    return words;
  }
}
