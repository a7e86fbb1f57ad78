package paredown.smell;

/** A smell is a shape of code that makes changes harder than they need be. */
public enum Smell {
  GOD_CLASS(
      "god-class",
      "god",
      "god class",
      "A god class is very complex, and either uses the data of several other classes while its"
          + " methods have little in common, or consists of groups of members that share nothing.",
      "it is a façade on purpose, and its callers profit from finding everything in one place"),
  DATA_CLUMP(
      "data-clump",
      "clump",
      "data clump",
      "A data clump is a group of fields or parameters that are always seen together, and so are a"
          + " class that nobody has named yet.",
      "they form the whole point of a small class, or a name for them would say no more than they"
          + " do"),
  FEATURE_ENVY(
      "feature-envy",
      "envy",
      "feature envy",
      "An envious method, part of a method or condition lives on the data of one other class, and"
          + " hardly on its own.",
      "the two are kept apart on purpose, as what is shown is from how it is shown"),
  DIVERGENT_CHANGE(
      "divergent-change",
      "divergent",
      "divergent change",
      "A class diverges where groups of clients, or of commits, touch members that have nothing in"
          + " common, or where it keeps rules and shows itself as text, or reaches outside, as well:"
          + " it has several reasons to change.",
      "the groups are two ends of one protocol, such as writing and reading one format"),
  DUPLICATE(
      "duplicate",
      "dup",
      "duplicate",
      "A duplicate is a run of statements that stands in several places, alike but for the names of"
          + " variables and fields, and for literals.",
      "the places are alike by chance, and will go different ways"),
  LAZY_CLASS(
      "lazy-class",
      "lazy",
      "lazy class",
      "A lazy class does too little to justify itself: it only passes calls on, adds nothing, serves"
          + " one client with one small method, or is used by nobody.",
      "it is a seam that something else will soon be put behind"),
  LONG_METHOD(
      "long-method",
      "long",
      "long method",
      "A long method runs over more than a screen, in stages that a reader could name.",
      "it is one flat list of equal steps, which reads well from top to bottom"),
  MESSAGE_CHAIN(
      "message-chain",
      "chain",
      "message chain",
      "A message chain asks one object for a second one, that for a third and that for a fourth.",
      "the chain is a language of its own, such as that of a builder"),
  TWIN_MEMBER(
      "twin-member",
      "twin",
      "twin member",
      "A twin member is a method that stands, word for word, in two classes below the same parent.",
      "the two are alike by chance and will go different ways"),
  KIND_BRANCH(
      "kind-branch",
      "kind",
      "branch on a kind",
      "A branch on a kind decides by another object's kind, far from where the kinds are defined,"
          + " where the next one will be forgotten.",
      "the kinds will never be more, or are not yours to change"),
  UNUSED_MEMBER(
      "unused-member",
      "unused",
      "unused member",
      "An unused member is a field, method or parameter that no code uses, or only its own tests.",
      "something finds it by its name, which no compiler sees"),
  PASSED_PARAMETER(
      "passed-parameter",
      "passed",
      "passed-on parameter",
      "A passed-on parameter is handed through several methods that do nothing with it.",
      "it is a context that all of them would need sooner or later");

  private final String id;
  private final String shortName;
  private final String words;
  private final String rule;
  private final String leave;

  Smell(String id, String shortName, String words, String rule, String leave) {
    this.id = id;
    this.shortName = shortName;
    this.words = words;
    this.rule = rule;
    this.leave = leave;
  }

  /** Whether it is one of the smaller smells, which lead to the six and show when asked for. */
  public boolean isSmaller() {
    return compareTo(LAZY_CLASS) > 0;
  }

  /** The rule in one sentence. */
  public String rule() {
    return rule;
  }

  /** When to leave it alone: the sentence that follows "Leave it alone where". */
  public String leave() {
    return leave;
  }

  /** The name in JSON and options: {@code god-class}. */
  public String id() {
    return id;
  }

  /** The name that findings' ids begin with: {@code god}. */
  public String shortName() {
    return shortName;
  }

  /** The name of several in sentences: {@code god classes}. */
  public String several() {
    return words.endsWith("class")
        ? words + "es"
        : this == FEATURE_ENVY
            ? "envious pieces of code"
            : this == KIND_BRANCH ? "branches on a kind" : words + "s";
  }

  /** The name in sentences: {@code god class}. */
  public String words() {
    return words;
  }
}
