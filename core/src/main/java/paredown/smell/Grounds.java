package paredown.smell;

import java.util.Map;
import java.util.stream.Stream;
import paredown.facts.Facts;
import paredown.facts.TypeFact;
import paredown.history.History;
import paredown.measure.Clients;
import paredown.measure.Divisions;
import paredown.measure.PackageUses;

/**
 * Grounds are what findings rest on.
 *
 * @param types the facts' types by their canonical names
 * @param clients who uses what
 * @param packages which packages use which
 * @param history what the commits changed; empty where there is none
 * @param divisions of large classes, as far as they are known
 */
public record Grounds(
    Facts facts,
    Map<String, TypeFact> types,
    Clients clients,
    PackageUses packages,
    History history,
    Limits limits,
    Divisions divisions) {

  /** Grounds of which no division is known. */
  public static Grounds of(Facts facts, History history, Limits limits) {
    return of(facts, history, limits, Divisions.none());
  }

  public static Grounds of(Facts facts, History history, Limits limits, Divisions divisions) {
    return new Grounds(
        facts,
        facts.byName(),
        Clients.of(facts),
        PackageUses.of(facts),
        history,
        limits,
        divisions);
  }

  /** The same on other facts of the same project. */
  public Grounds on(Facts other) {
    return of(other, history, limits, divisions);
  }

  /** The same under other limits. */
  public Grounds under(Limits others) {
    return new Grounds(facts, types, clients, packages, history, others, divisions);
  }

  /**
   * The types that are judged: not those in files with errors, whose names mean nobody knows what,
   * nor what is deprecated and so on its way out, nor what a generator wrote.
   */
  public Stream<TypeFact> judged() {
    return facts.types().stream().filter(type -> !type.hasErrors() && !isLeftAlone(type));
  }

  /** The methods and constructors of the types that are judged. */
  public Stream<Owned> methods() {
    return judged().flatMap(type -> type.methods().stream().map(each -> new Owned(type, each)));
  }

  private boolean isLeftAlone(TypeFact type) {
    TypeFact outer = types.get(type.outer());
    return type.head().isDeprecated()
        || type.head().annotations().contains("Generated")
        || outer != null && isLeftAlone(outer);
  }
}
