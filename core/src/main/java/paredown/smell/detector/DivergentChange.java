package paredown.smell.detector;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.ChangeGroups;
import paredown.measure.ClientGroups;
import paredown.measure.Representation;
import paredown.measure.Size;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Smell;
import paredown.text.Counted;
import paredown.text.Listed;

/**
 * A class diverges where it has several reasons to change: groups of clients that use members which
 * share nothing with those of the other groups, or commits that touch members which no commit of
 * the other groups touches. Either is enough; both weigh more. So does a class that keeps rules and
 * shows itself as text in several ways.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3; Martin, "The single responsibility principle", 2002.
 */
public final class DivergentChange implements Detector {

  /** The name of the group of what makes text. */
  static final String TEXT = "shown as text";

  private static final int TEXTS = 2;
  private static final int RULES = 3;
  private static final int WORKING = 3;
  private static final int BRANCHES = 6;

  /** What groups that work as much as classes weigh more. */
  private static final int WHOLE = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .judged()
        .filter(TypeFact::isClass)
        .filter(type -> !type.isException())
        .flatMap(type -> judge(type, grounds));
  }

  private static Stream<Finding> judge(TypeFact type, Grounds grounds) {
    List<ClientGroups.Group> byClients = byClients(type, grounds);
    List<ChangeGroups.Group> byCommits =
        ChangeGroups.of(type, grounds.history(), grounds.limits().divergentCommits());
    return byClients.size() > 1 || byCommits.size() > 1
        ? Stream.of(finding(type, byClients, byCommits, grounds.limits()))
        : Representation.of(type)
            .filter(shown -> shown.rules().size() >= RULES || isMore(type, shown))
            .filter(shown -> shown.isMuch() || reachesOutside(shown))
            .map(shown -> shows(type, shown))
            .stream();
  }

  /** One client each is enough for groups that work as much as a class, where no god class is. */
  private static List<ClientGroups.Group> byClients(TypeFact type, Grounds grounds) {
    List<ClientGroups.Group> all = ClientGroups.of(type, grounds.clients(), 1);
    if (all.size() < 2) {
      return List.of();
    }
    int fewest = grounds.limits().divergentClients();
    List<ClientGroups.Group> groups = ClientGroups.of(type, grounds.clients(), fewest);
    boolean complex = Size.weightedMethods(type) >= grounds.limits().godComplexity();
    return groups.size() > 1 || complex
        ? groups
        : all.stream()
            .filter(group -> group.clients().size() >= fewest || isWhole(type, group))
            .toList();
  }

  private static boolean isWhole(TypeFact type, ClientGroups.Group group) {
    List<MethodFact> methods =
        group.methods().stream().flatMap(signature -> type.method(signature).stream()).toList();
    return methods.stream().filter(MethodFact::works).count() >= WORKING
        && methods.stream().mapToInt(MethodFact::branches).sum() >= BRANCHES;
  }

  /** Whether a finding rests on what a class shows of itself. */
  public static boolean isOfText(Finding finding) {
    return finding.smell() == Smell.DIVERGENT_CHANGE
        && finding.evidence().figures().get(0).name().equals("texts");
  }

  /** Some of a class that is mostly about other things reaches outside the program. */
  private static boolean reachesOutside(Representation shown) {
    int outside = shown.outside().size();
    return outside >= TEXTS && outside <= shown.rules().size();
  }

  /** Two rules weigh as much where they have helpers of their own, more than what is shown has. */
  private static boolean isMore(TypeFact type, Representation shown) {
    long others =
        Size.methodsWithLogic(type)
            - shown.texts().size()
            - shown.helpers().size()
            - shown.outside().size();
    return shown.rules().size() == RULES - 1 && others > RULES + 1;
  }

  /** A class that keeps rules, and shows itself as text, or reaches outside, as well. */
  private static Finding shows(TypeFact type, Representation shown) {
    List<Evidence.Group> groups = sides(shown);
    List<String> members = groups.stream().flatMap(each -> each.methods().stream()).toList();
    int others = members.size() - shown.rules().size();
    boolean text = groups.get(0).name().equals(TEXT);
    boolean three = groups.size() > 2;
    String does =
        three
            ? "show it as text or reach outside"
            : text ? "show it as text" : "reach for files, network or database";
    String reasons =
        three
            ? "three reasons to change: its rules, how it is shown, and what it reaches outside"
            : text
                ? "two reasons to change: its rules, and how it is shown"
                : "two reasons to change: its rules, and what it reaches outside";
    return new Finding(
        Smell.DIVERGENT_CHANGE,
        Form.WHOLE,
        weight(others, shown.rules().size()),
        type.name(),
        List.of(),
        members,
        type.range(),
        "%d methods %s, beside %d that keep its rules"
            .formatted(others, does, shown.rules().size()),
        "%s has %s.".formatted(Finding.shortName(type.name()), reasons),
        new Evidence(
            List.of(
                new Evidence.Figure(
                    "texts", others, RULES, "%d methods %s".formatted(others, does)),
                new Evidence.Figure(
                    "rules",
                    shown.rules().size(),
                    RULES,
                    "%d methods decide something, or change it".formatted(shown.rules().size()))),
            "Its sides:",
            groups,
            rows(type, members),
            List.of()));
  }

  private static List<Evidence.Group> sides(Representation shown) {
    List<Evidence.Group> groups = new ArrayList<>();
    if (shown.isMuch()) {
      groups.add(new Evidence.Group(TEXT, List.of(), shown.making(), List.of()));
    }
    if (shown.outside().size() >= TEXTS) {
      groups.add(new Evidence.Group("outside", List.of(), shown.outside(), List.of()));
    }
    groups.add(new Evidence.Group("rules", List.of(), shown.rules(), List.of()));
    return groups;
  }

  private static Finding finding(
      TypeFact type,
      List<ClientGroups.Group> byClients,
      List<ChangeGroups.Group> byCommits,
      Limits limits) {
    List<Evidence.Figure> figures = new ArrayList<>();
    List<Evidence.Group> groups = new ArrayList<>();
    int clients = byClients.stream().mapToInt(group -> group.clients().size()).sum();
    int commits = byCommits.stream().mapToInt(group -> group.commits().size()).sum();
    if (byClients.size() > 1) {
      figures.add(
          new Evidence.Figure(
              "clientGroups",
              byClients.size(),
              2,
              "%d clients in %d groups, each of %d or more, that use members with nothing in common"
                  .formatted(clients, byClients.size(), fewest(byClients))));
      byClients.forEach(
          group ->
              groups.add(
                  new Evidence.Group(
                      group.name(),
                      group.fields(),
                      group.methods(),
                      List.copyOf(group.clients()))));
    }
    if (byCommits.size() > 1) {
      figures.add(
          new Evidence.Figure(
              "commitGroups",
              byCommits.size(),
              2,
              "%d commits in %d groups, each of %d or more, that touch members no other group does"
                  .formatted(commits, byCommits.size(), limits.divergentCommits())));
      byCommits.forEach(
          group ->
              groups.add(
                  new Evidence.Group(
                      "changed by " + Counted.of(group.commits().size(), "commit", "commits"),
                      group.fields(),
                      group.methods(),
                      group.files())));
    }
    String name = Finding.shortName(type.name());
    List<String> members = new ArrayList<>();
    groups.forEach(group -> members.addAll(group.fields()));
    groups.forEach(group -> members.addAll(group.methods()));
    return new Finding(
        Smell.DIVERGENT_CHANGE,
        Form.WHOLE,
        weight(byClients.size(), clients, byCommits.size(), commits)
            + (byClients.size() > 1 && fewest(byClients) == 1 ? WHOLE : 0),
        type.name(),
        List.of(),
        members.stream().distinct().toList(),
        type.range(),
        byClients.size() > 1
            ? "%d groups of clients use members with nothing in common".formatted(byClients.size())
            : "%d groups of commits touch members apart from each other"
                .formatted(byCommits.size()),
        "%s has several reasons to change: %s."
            .formatted(
                name,
                byClients.size() > 1
                    ? Listed.of(said(groups.subList(0, byClients.size())))
                    : apart(byCommits)),
        new Evidence(
            figures,
            byClients.size() > 1 ? "Who uses what:" : "What changes together:",
            groups,
            rows(type, members),
            List.of()));
  }

  private static int fewest(List<ClientGroups.Group> groups) {
    return groups.stream().mapToInt(group -> group.clients().size()).min().orElse(0);
  }

  private static List<String> said(List<Evidence.Group> groups) {
    return groups.stream()
        .map(group -> group.name().isEmpty() ? first(group.methods()) : group.name())
        .toList();
  }

  private static String apart(List<ChangeGroups.Group> groups) {
    List<String> each =
        groups.stream()
            .map(group -> group.methods().isEmpty() ? group.fields() : group.methods())
            .map(DivergentChange::first)
            .toList();
    return "commits touch %s, each without the %s"
        .formatted(String.join(" or ", each), each.size() > 2 ? "others" : "other");
  }

  private static String first(List<String> members) {
    return members.get(0).replaceAll("\\(.*", "");
  }

  private static List<Evidence.Row> rows(TypeFact type, List<String> members) {
    List<Evidence.Row> rows = new ArrayList<>();
    for (MethodFact method : type.methods()) {
      if (members.contains(method.signature())) {
        rows.add(Evidence.Row.at(method.range(), method.signature(), List.of()));
      }
    }
    return rows;
  }

  /** 30 for what is shown beside rules, and more for each of both: up to 5 for each. */
  static int weight(int texts, int rules) {
    return (int)
        Math.round(30 + Math.max(0, 5 * (1 - 3.0 / texts)) + Math.max(0, 5 * (1 - 3.0 / rules)));
  }

  /** 20; for each kind of evidence up to 15 for its groups and 15 for its clients or commits. */
  public static int weight(int clientGroups, int clients, int commitGroups, int commits) {
    return (int) Math.round(20 + evidence(clientGroups, clients) + evidence(commitGroups, commits));
  }

  private static double evidence(int groups, int witnesses) {
    return groups < 2 ? 0 : 15 * (1 - 1.0 / groups) + 15 * (1 - 2.0 / witnesses);
  }
}
