package paredown.smell.detector;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import paredown.facts.Head;
import paredown.facts.MethodFact;
import paredown.facts.Range;
import paredown.facts.TypeFact;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Smell;
import paredown.text.Counted;
import paredown.text.Listed;

/**
 * An unused member is a private or package-private field or method that no code of the project
 * uses, or only tests; or a parameter of a private method or constructor that is never read.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3, "Speculative generality". What is open to others, what
 * has an annotation, what overrides, and what serialization finds by its name are used unseen.
 */
public final class UnusedMember implements Detector {
  private static final String TESTED = "only tests use it";
  private static final Set<String> FOUND_BY_NAME =
      Set.of(
          "serialVersionUID",
          "serialPersistentFields",
          "readObject",
          "writeObject",
          "readResolve",
          "writeReplace",
          "readObjectNoData",
          "finalize",
          "main");

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Set<String> used = new HashSet<>();
    for (TypeFact type : grounds.facts().types()) {
      type.initialising().uses().forEach(use -> used.add(use.type() + "#" + use.member()));
      type.methods()
          .forEach(
              method ->
                  method.uses().stream()
                      .filter(use -> !calls(use.type(), use.member(), type, method))
                      .forEach(use -> used.add(use.type() + "#" + use.member())));
    }
    return grounds
        .judged()
        .filter(type -> type.isClass() || type.kind() == TypeFact.Kind.ENUM)
        .flatMap(type -> judge(type, used, grounds));
  }

  /** A method that calls itself is not used by that. */
  private static boolean calls(String owner, String member, TypeFact type, MethodFact method) {
    return owner.equals(type.name()) && member.equals(method.signature());
  }

  private static boolean isHidden(Head head) {
    return !head.is(Modifier.PUBLIC) && !head.is(Modifier.PROTECTED) && !head.isFramed();
  }

  private static Stream<Finding> judge(TypeFact type, Set<String> used, Grounds grounds) {
    List<Evidence.Row> rows = new ArrayList<>();
    List<String> names = new ArrayList<>();
    type.fields().stream()
        .filter(field -> isHidden(field.head()) && !FOUND_BY_NAME.contains(field.name()))
        .filter(field -> !used.contains(type.name() + "#" + field.name()))
        .forEach(field -> add(field.range(), field.name(), field.name(), grounds, names, rows));
    for (MethodFact method : type.methods()) {
      boolean candidate =
          !method.isConstructor()
              && isHidden(method.head())
              && !method.overrides()
              && !method.isAbstract()
              && !FOUND_BY_NAME.contains(method.name());
      if (candidate && !used.contains(type.name() + "#" + method.signature())) {
        add(method.range(), method.signature(), method.name(), grounds, names, rows);
      } else if (method.isPrivate() && method.body().statements() > 0) {
        unread(method)
            .forEach(
                name -> {
                  names.add(name);
                  rows.add(
                      Evidence.Row.at(
                          method.range(), method.signature(), List.of("never reads " + name)));
                });
      }
    }
    return rows.isEmpty() ? Stream.empty() : Stream.of(finding(type, names, rows));
  }

  private static void add(
      Range range,
      String member,
      String name,
      Grounds grounds,
      List<String> names,
      List<Evidence.Row> rows) {
    names.add(name);
    boolean tested = grounds.facts().testWords().hold(name);
    rows.add(Evidence.Row.at(range, member, tested ? List.of(TESTED) : List.of()));
  }

  private static List<String> unread(MethodFact method) {
    return method.parameters().stream()
        .map(MethodFact.Parameter::name)
        .filter(
            name ->
                method.body().locals().stream()
                    .noneMatch(use -> use.name().equals(name) && use.isRead()))
        .toList();
  }

  private static Finding finding(TypeFact type, List<String> names, List<Evidence.Row> rows) {
    String shown = Listed.few(names.stream().distinct().toList(), Listed.SHOWN);
    boolean tested = rows.stream().allMatch(row -> row.uses().contains(TESTED));
    String users = tested ? "only tests use" : "nothing uses";
    return new Finding(
        Smell.UNUSED_MEMBER,
        Form.UNUSED,
        weight(rows.size()),
        type.name(),
        List.of(),
        rows.stream().map(Evidence.Row::member).distinct().toList(),
        type.range(),
        users + " " + shown,
        "%s has %s that %s."
            .formatted(
                Finding.shortName(type.name()),
                Counted.of(rows.size(), "member or parameter", "members or parameters"),
                users),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "unused",
                    rows.size(),
                    1,
                    Counted.of(rows.size(), "place", "places") + " without use")),
            tested ? "No other code uses these:" : "No code uses these:",
            rows));
  }

  /** 15, and up to 25 more for every further one. */
  static int weight(int unused) {
    return (int) Math.round(15 + 25 * (1 - 1.0 / unused));
  }
}
