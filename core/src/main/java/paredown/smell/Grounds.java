package paredown.smell;

import java.util.Map;
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
}
