package paredown.smell;

import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import paredown.project.Nearest;
import paredown.project.ProjectUnreadable;
import paredown.project.Settings;

/**
 * Limits are the thresholds of all smells, in one place.
 *
 * <p>The defaults for god classes are those of Lanza and Marinescu, "Object-Oriented Metrics in
 * Practice", 2006: very high complexity, more than a few foreign fields, a third of all pairs.
 *
 * @param godComplexity from this sum of branches on a class is very complex
 * @param godForeign more foreign fields than this are more than a few
 * @param godCohesion below this percentage of connected pairs a class is not cohesive
 * @param clumpFields from so many fields on a group is a clump
 * @param clumpMethods from so many methods that use several of them
 */
public record Limits(
    int godComplexity, int godForeign, int godCohesion, int clumpFields, int clumpMethods) {
  private static final Limits DEFAULTS = new Limits(47, 5, 33, 3, 3);
  private static final Set<String> NAMES =
      Set.of("god-complexity", "god-foreign", "god-cohesion", "clump-fields", "clump-methods");

  public static Limits defaults() {
    return DEFAULTS;
  }

  /**
   * The limits that a user has set, and the defaults for the rest.
   *
   * @throws ProjectUnreadable where a name is unknown
   */
  public static Limits of(Settings settings) {
    Map<String, Integer> set = settings.limits();
    for (String name : set.keySet()) {
      if (!NAMES.contains(name)) {
        throw new ProjectUnreadable(
            Settings.FILE + ": limits: there is no limit " + name + ".",
            Nearest.advice(
                name, NAMES, "The limits are " + String.join(", ", new TreeSet<>(NAMES)) + "."));
      }
    }
    return new Limits(
        set.getOrDefault("god-complexity", DEFAULTS.godComplexity),
        set.getOrDefault("god-foreign", DEFAULTS.godForeign),
        set.getOrDefault("god-cohesion", DEFAULTS.godCohesion),
        set.getOrDefault("clump-fields", DEFAULTS.clumpFields),
        set.getOrDefault("clump-methods", DEFAULTS.clumpMethods));
  }
}
