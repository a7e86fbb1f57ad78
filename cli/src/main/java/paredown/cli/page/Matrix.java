package paredown.cli.page;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.facts.TypeFact;
import paredown.history.Commit;
import paredown.measure.ChangeGroups;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Grounds;

/**
 * A matrix shows who touches which members of a class: clients or commits down, members across.
 *
 * @param says what it shows
 * @param members their names, those of a group side by side
 * @param groups the number of each member's group, 0 for none
 */
public record Matrix(String says, List<String> members, List<Integer> groups, List<Row> rows) {
  private static final int MEMBERS = 40;
  private static final int ROWS = 30;

  /** A client or commit, and which of the members it touches. */
  public record Row(String name, List<Boolean> touches) {}

  static List<Matrix> of(Finding finding, Grounds grounds) {
    TypeFact type = grounds.types().get(finding.type());
    List<Matrix> found = new ArrayList<>();
    Map<String, Set<String>> byClient = new LinkedHashMap<>();
    grounds
        .clients()
        .ofMembers(type)
        .forEach(
            (member, clients) ->
                clients.forEach(
                    client ->
                        byClient
                            .computeIfAbsent(Finding.shortName(client), c -> new LinkedHashSet<>())
                            .add(member)));
    Map<String, Set<String>> byCommit = new LinkedHashMap<>();
    ChangeGroups.touchedBy(type, grounds.history())
        .forEach((commit, members) -> byCommit.put(label(commit), signatures(type, members)));
    add(found, "Who uses what: clients down, members across", finding, byClient);
    add(found, "What changed together: commits down, members across", finding, byCommit);
    return found;
  }

  private static String label(Commit commit) {
    return commit.id() + " " + commit.subject();
  }

  private static Set<String> signatures(TypeFact type, Set<String> names) {
    Set<String> all = new LinkedHashSet<>(names);
    type.methods().stream()
        .filter(method -> names.contains(method.name()))
        .forEach(method -> all.add(method.signature()));
    return all;
  }

  private static void add(
      List<Matrix> found, String says, Finding finding, Map<String, Set<String>> touched) {
    Map<String, Integer> members = new LinkedHashMap<>();
    List<Evidence.Group> groups = finding.evidence().groups();
    for (int i = 0; i < groups.size(); i++) {
      for (String member : all(groups.get(i))) {
        members.putIfAbsent(member, i + 1);
      }
    }
    List<String> used =
        members.keySet().stream()
            .filter(member -> touched.values().stream().anyMatch(each -> each.contains(member)))
            .limit(MEMBERS)
            .toList();
    List<Row> rows =
        touched.entrySet().stream()
            .map(
                each ->
                    new Row(each.getKey(), used.stream().map(each.getValue()::contains).toList()))
            .filter(row -> row.touches().contains(true))
            .sorted((one, other) -> first(one) - first(other))
            .limit(ROWS)
            .toList();
    if (rows.size() > 1 && used.size() > 1) {
      found.add(
          new Matrix(
              says,
              used.stream().map(member -> member.replaceAll("\\(.+\\)", "(…)")).toList(),
              used.stream().map(members::get).toList(),
              rows));
    }
  }

  private static int first(Row row) {
    return row.touches().indexOf(true);
  }

  private static List<String> all(Evidence.Group group) {
    List<String> all = new ArrayList<>(group.fields());
    all.addAll(group.methods());
    return all;
  }
}
