package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.Question;
import paredown.facts.TypeFact;
import paredown.measure.ForeignData;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Smell;

/**
 * A repeated question is a condition on one object's data, or a number worked out of them, that
 * stands in several methods of other classes, each free to get it wrong. It belongs to the object
 * as a method of its own.
 *
 * <p>Hunt and Thomas, "Tell, don't ask", 1998. A call of one method that answers yes or no is no
 * question of this kind: the object answers it already.
 */
public final class RepeatedQuestion implements Detector {

  /** What compares or joins; the arrow of a lambda does neither. */
  private static final Pattern DECIDES = Pattern.compile("==|!=|<|(?<!-)>|&&|\\|\\|");

  private record Asked(String type, String form) {}

  private record Place(TypeFact type, MethodFact method, Question question) {}

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Map<Asked, List<Place>> places = new LinkedHashMap<>();
    for (TypeFact type : grounds.judged().toList()) {
      for (MethodFact method : type.methods()) {
        for (Question question : method.body().traits().questions()) {
          TypeFact asked = grounds.types().get(question.type());
          if (asked != null && counts(type, asked, question)) {
            places
                .computeIfAbsent(
                    new Asked(asked.name(), question.form()), each -> new ArrayList<>())
                .add(new Place(type, method, question));
          }
        }
      }
    }
    return places.entrySet().stream()
        .filter(entry -> methods(entry.getValue()) >= needed(entry.getValue(), grounds.limits()))
        .map(entry -> finding(entry.getKey(), entry.getValue(), grounds));
  }

  private static boolean counts(TypeFact type, TypeFact asked, Question question) {
    boolean decides = decides(question.text());
    boolean worksOut = question.members().size() > 1;
    boolean isNullCheck = question.text().matches("\\(?it[\\w.()]* [!=]= null\\)?");
    boolean asksData =
        question.members().stream()
            .allMatch(
                member ->
                    member.contains("#")
                        || asked.field(member).isPresent()
                        || asked.method(member).filter(MethodFact::isAccessor).isPresent()
                        || asked.kind() == TypeFact.Kind.RECORD);
    return (decides || worksOut) && !isNullCheck && asksData && ForeignData.isForeign(type, asked);
  }

  private static long methods(List<Place> places) {
    return places.stream()
        .map(place -> place.type().name() + place.method().signature())
        .distinct()
        .count();
  }

  /** Whether a finding is of a number that is worked out, and not of a condition. */
  public static boolean isOfNumber(Finding finding) {
    return !decides(finding.identity().get(0));
  }

  /** Whether an expression is a condition; else it works out a number. */
  private static boolean decides(String text) {
    return DECIDES.matcher(text).find();
  }

  /** A question about two data is telling enough where two classes ask it. */
  private static int needed(List<Place> places, Limits limits) {
    int members = places.get(0).question().members().size();
    long classes = places.stream().map(Place::type).distinct().count();
    return members > 1 && classes > 1 ? limits.questionPlaces() - 1 : limits.questionPlaces();
  }

  private static Finding finding(Asked asked, List<Place> places, Grounds grounds) {
    TypeFact type = grounds.types().get(asked.type());
    Map<String, Long> turns =
        places.stream()
            .collect(Collectors.groupingBy(RepeatedQuestion::signs, Collectors.counting()));
    // What has a name already comes first, then the fewest denials, and how most places ask. Of
    // these, what is open to all, as it could give the question to all.
    places.sort(
        Comparator.comparing((Place place) -> place.question().given().isEmpty())
            .thenComparing(place -> denials(place.question().text()))
            .thenComparing(place -> -turns.get(signs(place)))
            .thenComparing(place -> !place.type().isPublic()));
    String text = places.get(0).question().text();
    List<String> members = places.get(0).question().members().stream().sorted().toList();
    int methods = (int) methods(places);
    String asks = decides(text) ? "ask it" : "work it out";
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "places",
                methods,
                needed(places, grounds.limits()),
                "%d methods %s; from %d on it belongs to %s"
                    .formatted(
                        methods,
                        asks,
                        needed(places, grounds.limits()),
                        Finding.shortName(type.name()))));
    List<Evidence.Row> rows = places.stream().map(RepeatedQuestion::row).toList();
    return new Finding(
        Smell.FEATURE_ENVY,
        Form.QUESTION,
        weight(methods, members.size()),
        type.name(),
        List.of(text),
        members,
        type.range(),
        "%d methods %s: %s".formatted(methods, asks, text),
        "%d methods of other classes %s a %s: %s"
            .formatted(
                methods,
                decides(text) ? "ask" : "work this out from",
                Finding.shortName(type.name()),
                text),
        Evidence.of(figures, "It is asked here:", rows));
  }

  private static Evidence.Row row(Place place) {
    List<String> uses = new ArrayList<>();
    uses.add("in %s#%s".formatted(Finding.shortName(place.type().name()), place.method().name()));
    if (!place.question().given().isEmpty()) {
      uses.add("as " + place.question().given());
    }
    return new Evidence.Row(
        place.type().range().file(), place.question().line(), place.method().signature(), uses);
  }

  /** The signs of an expression, which tell whether it asks straight or for the opposite. */
  private static String signs(Place place) {
    return place.question().text().replaceAll("[\\w.()$ ]+", " ");
  }

  private static long denials(String text) {
    return text.chars().filter(sign -> sign == '!').count();
  }

  /** 15, and more for every method that asks and every datum that is asked: up to 30 and 20. */
  public static int weight(int methods, int members) {
    return (int) Math.round(15 + 30 * (1 - 1.0 / methods) + 20 * (1 - 1.0 / members));
  }
}
