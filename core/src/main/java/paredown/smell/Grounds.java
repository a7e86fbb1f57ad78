package paredown.smell;

import java.util.Map;
import java.util.stream.Stream;
import paredown.facts.Facts;
import paredown.facts.TypeFact;
import paredown.history.History;
import paredown.measure.Clients;
import paredown.measure.PackageUses;

/**
 * Grounds are what findings rest on.
 *
 * @param types the facts' types by their canonical names
 * @param clients who uses what
 * @param packages which packages use which
 * @param history what the commits changed; empty where there is none
 */
public record Grounds(
    Facts facts,
    Map<String, TypeFact> types,
    Clients clients,
    PackageUses packages,
    History history,
    Limits limits) {

  public static Grounds of(Facts facts, History history, Limits limits) {
    return new Grounds(
        facts, facts.byName(), Clients.of(facts), PackageUses.of(facts), history, limits);
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
