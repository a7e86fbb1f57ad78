package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.text.Listed;

/**
 * A twin member is a method that stands, word for word, in two classes or more below the same
 * parent of the project.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3, "Duplicated code". Bodies of fewer than three
 * statements are alike without meaning anything by it.
 */
public final class TwinMember implements Detector {

  private record Key(String parent, String signature, long shape) {}

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Map<Key, List<Owned>> places = new LinkedHashMap<>();
    grounds
        .judged()
        .filter(type -> grounds.types().containsKey(type.superclass()))
        .forEach(
            type ->
                type.methods().stream()
                    .filter(method -> method.body().shape() != 0 && !method.isConstructor())
                    .forEach(
                        method ->
                            places
                                .computeIfAbsent(
                                    new Key(
                                        type.superclass(),
                                        method.signature(),
                                        method.body().shape()),
                                    key -> new ArrayList<>())
                                .add(new Owned(type, method))));
    return places.entrySet().stream()
        .filter(entry -> entry.getValue().size() > 1)
        .map(entry -> finding(entry.getKey(), entry.getValue()));
  }

  private static Finding finding(Key key, List<Owned> places) {
    Owned first = places.get(0);
    List<String> classes = places.stream().map(p -> Finding.shortName(p.type().name())).toList();
    int statements = first.method().body().statements();
    return new Finding(
        Smell.TWIN_MEMBER,
        Form.TWINS,
        weight(statements, places.size()),
        first.type().name(),
        List.of(key.signature(), key.parent()),
        List.of(key.signature()),
        first.method().range(),
        "%s stands in %s word for word".formatted(first.method().name(), Listed.of(classes)),
        "%s is the same in %s, which have %s above them."
            .formatted(key.signature(), Listed.of(classes), Finding.shortName(key.parent())),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "statements", statements, 3, statements + " statements, word for word"),
                new Evidence.Figure(
                    "classes", places.size(), 2, "in %d classes".formatted(places.size()))),
            "It stands here:",
            places.stream()
                .map(p -> Evidence.Row.at(p.method().range(), p.method().signature(), List.of()))
                .toList()));
  }

  /** 15, and more for every statement and every class: up to 15 for each. */
  static int weight(int statements, int classes) {
    return (int) Math.round(15 + 15 * (1 - 2.0 / statements) + 15 * (1 - 1.0 / classes));
  }
}
