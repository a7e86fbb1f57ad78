package paredown.smell;

import java.util.Map;
import java.util.TreeMap;
import paredown.project.Nearest;
import paredown.project.ProjectUnreadable;
import paredown.project.Settings;

/**
 * Limits are the thresholds of all smells, in one place.
 *
 * <p>The defaults for god classes are those of Lanza and Marinescu, "Object-Oriented Metrics in
 * Practice", 2006: very high complexity, more than a few foreign fields, a third of all pairs. So
 * is the share of own data below which a method is envious.
 */
public final class Limits {
  private static final Map<String, Integer> DEFAULTS = defaultValues();

  private final Map<String, Integer> values;

  private Limits(Map<String, Integer> values) {
    this.values = values;
  }

  private static Map<String, Integer> defaultValues() {
    Map<String, Integer> values = new TreeMap<>();
    values.put("god-complexity", 47);
    values.put("god-foreign", 5);
    values.put("god-cohesion", 33);
    values.put("clump-fields", 3);
    values.put("clump-methods", 3);
    values.put("clump-parameters", 3);
    values.put("clump-places", 3);
    values.put("constructor-parameters", 4);
    values.put("envy-data", 3);
    values.put("envy-own-share", 33);
    values.put("question-places", 3);
    values.put("divergent-clients", 2);
    values.put("divergent-commits", 3);
    values.put("duplicate-words", 25);
    values.put("lazy-forwards", 2);
    values.put("long-lines", 60);
    values.put("kind-places", 2);
    values.put("passed-methods", 2);
    return values;
  }

  public static Limits defaults() {
    return new Limits(DEFAULTS);
  }

  /**
   * The limits that a user has set, and the defaults for the rest.
   *
   * @throws ProjectUnreadable where a name is unknown
   */
  public static Limits of(Settings settings) {
    settings.limits().keySet().forEach(name -> requireKnown(settings, name));
    return defaults().with(settings.limits());
  }

  private static void requireKnown(Settings settings, String name) {
    if (!DEFAULTS.containsKey(name)) {
      throw new ProjectUnreadable(
          Settings.FILE + settings.lineOf(name) + ": limits: there is no limit " + name + ".",
          Nearest.advice(
              name,
              DEFAULTS.keySet(),
              "The limits are " + String.join(", ", DEFAULTS.keySet()) + "."));
    }
  }

  /** These limits with some others in their place. */
  public Limits with(Map<String, Integer> others) {
    Map<String, Integer> all = new TreeMap<>(values);
    all.putAll(others);
    return new Limits(all);
  }

  private int value(String name) {
    return values.get(name);
  }

  /** From this sum of branches on a class is very complex. */
  public int godComplexity() {
    return value("god-complexity");
  }

  /** More foreign fields than this are more than a few. */
  public int godForeign() {
    return value("god-foreign");
  }

  /** Below this percentage of connected pairs a class is not cohesive. */
  public int godCohesion() {
    return value("god-cohesion");
  }

  /** From so many fields on a group is a clump. */
  public int clumpFields() {
    return value("clump-fields");
  }

  /** From so many methods that use several of them. */
  public int clumpMethods() {
    return value("clump-methods");
  }

  /** From so many parameters on a group is a clump. */
  public int clumpParameters() {
    return value("clump-parameters");
  }

  /** From so many parameter lists that hold them. */
  public int clumpPlaces() {
    return value("clump-places");
  }

  /** More parameters than this are too many for a constructor. */
  public int constructorParameters() {
    return value("constructor-parameters");
  }

  /** From so many data of one other class on a method may be envious. */
  public int envyData() {
    return value("envy-data");
  }

  /** Below this percentage of own data among all it uses, it is. */
  public int envyOwnShare() {
    return value("envy-own-share");
  }

  /** From so many methods on that ask the same, a question is in the wrong place. */
  public int questionPlaces() {
    return value("question-places");
  }

  /** From so many words on that repeat what stands elsewhere. */
  public int duplicateWords() {
    return value("duplicate-words");
  }

  /** So many clients make a group of clients. */
  public int divergentClients() {
    return value("divergent-clients");
  }

  /** So many commits make a group of commits. */
  public int divergentCommits() {
    return value("divergent-commits");
  }

  /** A method of more lines than this does not fit a screen. */
  public int longLines() {
    return value("long-lines");
  }

  /** From so many places on that tell the same kinds apart. */
  public int kindPlaces() {
    return value("kind-places");
  }

  /** From so many methods on that only hand a parameter on. */
  public int passedMethods() {
    return value("passed-methods");
  }

  /** From so many methods on that only pass calls on, a class is a mere go-between. */
  public int lazyForwards() {
    return value("lazy-forwards");
  }
}
