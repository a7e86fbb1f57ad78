package paredown.smell.detector;

import java.util.List;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Owned;
import paredown.smell.Smell;

/**
 * A message chain asks one object for a second one, that for a third, and so on: it knows how all
 * of them hang together.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3. Only calls that give a part count; where a call gives
 * its own kind again, as builders do, the chain is a language.
 */
public final class MessageChain implements Detector {
  private static final int LINKS = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds.methods().flatMap(owned -> chains(owned, grounds));
  }

  private static Stream<Finding> chains(Owned owned, Grounds grounds) {
    List<Traits.Chain> chains =
        owned.method().body().traits().chains().stream()
            .filter(chain -> counts(chain, grounds))
            .toList();
    return chains.isEmpty() ? Stream.empty() : Stream.of(finding(owned, chains));
  }

  private static boolean counts(Traits.Chain chain, Grounds grounds) {
    List<String> owners = chain.links().stream().map(MemberUse::type).toList();
    return owners.stream().distinct().count() == owners.size()
        && owners.size() >= LINKS
        && chain.links().stream()
            .limit(owners.size() - 1)
            .allMatch(link -> givesAPart(link, grounds));
  }

  private static boolean givesAPart(MemberUse link, Grounds grounds) {
    TypeFact owner = grounds.types().get(link.type());
    return owner.kind() == TypeFact.Kind.RECORD
        || owner.method(link.member()).filter(MethodFact::isGetter).isPresent();
  }

  private static Finding finding(Owned owned, List<Traits.Chain> chains) {
    MethodFact method = owned.method();
    int links = chains.stream().mapToInt(chain -> chain.links().size()).max().orElse(0);
    List<Evidence.Row> rows =
        chains.stream()
            .map(
                chain ->
                    new Evidence.Row(
                        method.range().file(),
                        chain.line(),
                        "",
                        chain.links().stream().map(l -> Finding.shortName(l.type())).toList()))
            .toList();
    return new Finding(
        Smell.MESSAGE_CHAIN,
        Form.METHOD,
        weight(links, chains.size()),
        owned.type().name(),
        List.of(method.signature()),
        List.of(method.signature()),
        method.range(),
        "%s reaches through %d objects".formatted(method.name(), links),
        "%s of %s reaches through %d objects for what it wants."
            .formatted(method.signature(), owned.owner(), links),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "links", links, LINKS, "%d links; %d are many".formatted(links, LINKS))),
            "It asks its way here:",
            rows));
  }

  /** 5 for each link and 2 for each chain, up to 45. */
  static int weight(int links, int chains) {
    return Math.min(45, 5 * links + 2 * chains);
  }
}
