package paredown.refactor.asked;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.project.Nearest;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;

/**
 * What is given to an operation that is asked for.
 *
 * @param subject what it is done to, as it was typed
 * @param values the options that were said, with what was given to each; nothing to a flag
 */
public record Given(Operation operation, String subject, Map<String, List<String>> values) {

  public Given {
    values = Map.copyOf(values);
  }

  /**
   * Reads words that stand behind those of an operation. Of options with a hyphen too many, or
   * without their values, nothing is said that would help a person: a command line says that.
   *
   * @throws UnusableRequest where a word is none that the operation knows
   */
  public static Given of(Operation operation, List<String> words) {
    String subject = "";
    Map<String, List<String>> values = new LinkedHashMap<>();
    for (int i = 0; i < words.size(); i++) {
      String word = words.get(i);
      Optional<Choice> choice = operation.choice(word);
      if (choice.isEmpty() && (word.startsWith("--") || !subject.isEmpty())) {
        throw new UnusableRequest(
            "pare %s does not know %s.".formatted(operation.words(), word), "Leave it out.");
      }
      if (choice.isEmpty()) {
        subject = word;
      } else if (choice.get().isFlag()) {
        values.put(word, List.of());
      } else {
        i++;
        if (i == words.size()) {
          throw new UnusableRequest(
              "%s says nothing.".formatted(word),
              "Say %s %s, or leave it out.".formatted(word, choice.get().label()));
        }
        values.computeIfAbsent(word, each -> new ArrayList<>()).add(words.get(i));
      }
    }
    return new Given(operation, subject, values);
  }

  /**
   * The refactoring that is asked for.
   *
   * @throws UnusableRequest where nothing is said that it is done to
   */
  public Refactoring refactoring() {
    requireSubject();
    return operation.reader().apply(this);
  }

  /**
   * Requires that something is said that it is done to.
   *
   * @throws UnusableRequest where nothing is
   */
  public void requireSubject() {
    if (subject == null || subject.isBlank()) {
      throw new UnusableRequest(
          "pare %s needs %s.".formatted(operation.words(), operation.label()),
          "For example: %s".formatted(operation.example()));
    }
  }

  /** Whether an option was said. */
  public boolean has(String name) {
    return values.containsKey(name);
  }

  /** What was given to an option; empty where it was not said. */
  public Optional<String> value(String name) {
    return Optional.ofNullable(values.get(name)).map(all -> all.get(all.size() - 1));
  }

  /** What was given to an option that must be said. */
  public String required(String name) {
    return value(name)
        .orElseThrow(
            () ->
                new UnusableRequest(
                    "pare %s needs %s.".formatted(operation.words(), name),
                    "Try pare %s --help.".formatted(operation.words())));
  }

  /** The values that were given to an option, as they are parted by commas. */
  public List<String> list(String name) {
    return parted(String.join(",", values.getOrDefault(name, List.of())));
  }

  /** The parts of a text between its commas, but not within brackets. */
  public static List<String> parted(String text) {
    Set<String> found = new LinkedHashSet<>();
    for (String part : text.split(",(?![^(]*\\))")) {
      if (!part.isBlank()) {
        found.add(part.strip());
      }
    }
    return List.copyOf(found);
  }

  /**
   * Which of its words was given to an option.
   *
   * @throws UnusableRequest where it is none of them
   */
  public Optional<String> oneOf(String name) {
    List<String> words = operation.choice(name).orElseThrow().words();
    return value(name)
        .map(
            typed ->
                words.stream()
                    .filter(word -> word.equalsIgnoreCase(typed))
                    .findFirst()
                    .orElseThrow(() -> unknown(name, typed, words)));
  }

  private static UnusableRequest unknown(String name, String typed, List<String> words) {
    String all =
        String.join(", ", words.subList(0, words.size() - 1))
            + " or "
            + words.get(words.size() - 1);
    return new UnusableRequest(
        "%s is %s, not %s.".formatted(name, all, typed),
        "Say %s %s, or leave it out.".formatted(name, words.get(0)));
  }

  /** Whether old places go on forwarding; empty where nothing was said. */
  public Optional<Boolean> delegate() {
    return oneOf(Operation.DELEGATE).map("keep"::equals);
  }

  /**
   * The kinds of refusal that are overruled.
   *
   * @throws UnusableRequest where a word names none that can be
   */
  public Set<RefusalKind> accepted() {
    return accepted(list(Operation.ACCEPT), operation.acceptable());
  }

  /**
   * The kinds that words name.
   *
   * @throws UnusableRequest where one is none of those that can be overruled
   */
  public static Set<RefusalKind> accepted(List<String> words, List<RefusalKind> acceptable) {
    Set<RefusalKind> kinds = new LinkedHashSet<>();
    List<String> known = acceptable.stream().map(RefusalKind::id).toList();
    for (String word : words) {
      kinds.add(
          acceptable.stream()
              .filter(kind -> kind.id().equals(word.strip()))
              .findFirst()
              .orElseThrow(
                  () ->
                      new UnusableRequest(
                          "--accept " + word + " is not something that can be overruled.",
                          Nearest.advice(
                              word, known, "There are " + String.join(", ", known) + "."))));
    }
    return kinds;
  }

  /** The subject as a member with its class; {@code kind} is what it should name. */
  public MemberName member(String kind, String example) {
    return MemberName.of(subject, kind, example);
  }
}
