package paredown.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jgrapht.alg.util.UnionFind;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.history.Commit;
import paredown.history.History;

/**
 * The groups of members of a class that the same commits touch, where no commit touches two groups.
 *
 * <p>Gall, Hajek and Jazayeri, "Detection of logical coupling based on product release history",
 * 1998, on the members of one class. A commit that touches half of the members or more, or that
 * touches one member only, says nothing of what belongs together and is left out of joining; the
 * latter still counts for the group that its member is in.
 */
public final class ChangeGroups {
  private ChangeGroups() {}

  /**
   * Members that change together.
   *
   * @param commits the short names of the commits that touched them, newest first
   * @param files other files that changed with them in two commits or more, commonest first
   */
  public record Group(
      List<String> fields, List<String> methods, List<String> commits, List<String> files) {
    int size() {
      return fields.size() + methods.size();
    }
  }

  /** The groups with at least so many commits, largest first; empty without history. */
  public static List<Group> of(TypeFact type, History history, int fewest) {
    Map<Commit, Set<String>> touched = touchedBy(type, history);
    Set<String> members = new LinkedHashSet<>();
    touched.values().forEach(members::addAll);
    int all = type.fields().size() + type.methods().size();
    touched.values().removeIf(names -> names.size() * 2 >= all);
    UnionFind<String> groups = new UnionFind<>(members);
    touched.values().forEach(names -> names.forEach(n -> groups.union(names.iterator().next(), n)));
    Map<String, List<Commit>> commits = new LinkedHashMap<>();
    touched.forEach(
        (commit, names) ->
            commits
                .computeIfAbsent(groups.find(names.iterator().next()), n -> new ArrayList<>())
                .add(commit));
    return commits.entrySet().stream()
        .filter(entry -> entry.getValue().size() >= fewest)
        .map(entry -> group(type, members, groups, entry.getKey(), entry.getValue()))
        .filter(group -> group.size() > 1)
        .sorted(Comparator.comparingInt(Group::size).reversed())
        .toList();
  }

  /** The names of the type's own members that each commit touched, newest first. */
  public static Map<Commit, Set<String>> touchedBy(TypeFact type, History history) {
    Set<String> names = new LinkedHashSet<>();
    type.fields().forEach(field -> names.add(field.name()));
    type.methods().stream().filter(m -> !m.isConstructor()).forEach(m -> names.add(m.name()));
    String owner = "." + type.name();
    Map<Commit, Set<String>> touched = new LinkedHashMap<>();
    for (Commit commit : history.commits()) {
      Set<String> own = new LinkedHashSet<>();
      for (Commit.Touched file : commit.touched()) {
        if (file.file().equals(type.range().file())) {
          file.members().stream()
              .filter(member -> owner.endsWith("." + member.substring(0, member.indexOf('#'))))
              .map(member -> member.substring(member.indexOf('#') + 1))
              .filter(names::contains)
              .forEach(own::add);
        }
      }
      if (!own.isEmpty()) {
        touched.put(commit, own);
      }
    }
    return touched;
  }

  private static Group group(
      TypeFact type,
      Set<String> members,
      UnionFind<String> groups,
      String root,
      List<Commit> commits) {
    List<String> own = members.stream().filter(name -> groups.find(name).equals(root)).toList();
    return new Group(
        type.fields().stream().map(FieldFact::name).filter(own::contains).toList(),
        type.methods().stream()
            .filter(method -> own.contains(method.name()))
            .map(MethodFact::signature)
            .toList(),
        commits.stream().map(Commit::id).toList(),
        companions(type, commits));
  }

  private static List<String> companions(TypeFact type, List<Commit> commits) {
    Map<String, Long> counts = new HashMap<>();
    commits.stream()
        .flatMap(commit -> commit.touched().stream())
        .map(Commit.Touched::file)
        .filter(file -> !file.equals(type.range().file()))
        .forEach(file -> counts.merge(file, 1L, Long::sum));
    Stream<Map.Entry<String, Long>> often =
        counts.entrySet().stream().filter(entry -> entry.getValue() > 1);
    return often
        .sorted(
            Map.Entry.<String, Long>comparingByValue()
                .reversed()
                .thenComparing(Map.Entry.comparingByKey()))
        .limit(5)
        .map(Map.Entry::getKey)
        .toList();
  }
}
