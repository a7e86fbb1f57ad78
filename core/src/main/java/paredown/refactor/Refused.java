package paredown.refactor;

import java.util.List;
import paredown.Problem;

/** A refusal is why a refactoring cannot be done safely here, with the places it rests on. */
public final class Refused extends Problem {
  private static final long serialVersionUID = 1L;

  private final RefusalKind kind;
  private final String subject;
  private final String deed;
  private final transient List<String> places;

  private Refused(
      RefusalKind kind,
      String subject,
      String deed,
      String sentence,
      String advice,
      List<String> places) {
    super(sentence, advice);
    this.kind = kind;
    this.subject = subject;
    this.deed = deed;
    this.places = List.copyOf(places);
  }

  /** Refuses because of something with a name: "departs: it is used as a lock (…)." */
  public static Refused because(RefusalKind kind, String subject, String... places) {
    return of(kind, subject, "", places);
  }

  /** The same with more to say about this case. */
  public static Refused of(RefusalKind kind, String subject, String more, String... places) {
    String detail = more.isEmpty() ? "" : ": " + more;
    return new Refused(
        kind,
        subject,
        "moved",
        subject + " cannot be moved: " + kind.why() + detail + ".",
        "",
        List.of(places));
  }

  /** Refuses with an advice that lifts the refusal. */
  public static Refused advising(
      RefusalKind kind, String sentence, String advice, String... places) {
    return new Refused(kind, "", "", sentence, advice, List.of(places));
  }

  /** The same with an advice. */
  public Refused with(String advice) {
    return new Refused(kind, subject, deed, getMessage(), advice, places());
  }

  /** The same with other places. */
  public Refused at(List<String> others) {
    return new Refused(kind, subject, deed, getMessage(), advice(), others);
  }

  /**
   * The same in the words of an operation.
   *
   * @param other what cannot be done to its subject, a participle: {@code inlined}
   */
  public Refused saying(String other) {
    boolean named = !subject.isEmpty() && getMessage().startsWith(subjected());
    return named
        ? new Refused(
            kind,
            subject,
            other,
            "%s cannot be %s: %s".formatted(subject, other, reason()),
            advice(),
            places())
        : this;
  }

  /** The sentence without the member that it is about, which may be one of several. */
  public String reason() {
    String sentence = getMessage();
    return !subject.isEmpty() && sentence.startsWith(subjected())
        ? sentence.substring(subjected().length())
        : sentence;
  }

  private String subjected() {
    return "%s cannot be %s: ".formatted(subject, deed);
  }

  /** The member that it is about, a field's name or a method's signature; empty where none is. */
  public String subject() {
    return subject;
  }

  public RefusalKind kind() {
    return kind;
  }

  /** The places the refusal rests on, {@code path:line}; empty where it rests on none. */
  public List<String> places() {
    return places == null ? List.of() : places;
  }
}
