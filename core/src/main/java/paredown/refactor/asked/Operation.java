package paredown.refactor.asked;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;

/**
 * An operation as it is asked for: its words, what it is done to, its options, its help, and how
 * these become a refactoring.
 *
 * @param noun what it is done to, the second word of its command; empty where the verb is enough
 * @param summary one short sentence of what it does
 * @param more what else its help says
 * @param label what stands for its subject in the help: {@code TYPE#METHOD}
 * @param subject a sentence of how the subject is written
 * @param examples commands that work on the sample project; a line may go on in the next
 * @param acceptable the kinds of refusal that it can be told to accept
 */
public record Operation(
    Verb verb,
    String noun,
    String summary,
    String more,
    String label,
    String subject,
    List<Choice> choices,
    List<String> examples,
    List<RefusalKind> acceptable,
    Function<Given, Refactoring> reader) {

  /** The option that asks extract class for all groups of members at once. */
  public static final String GROUPS = "--groups";

  /** The option that asks extract method for all stages of a method at once. */
  public static final String STAGES = "--stages";

  /** The option that overrules refusals. */
  static final String ACCEPT = "--accept";

  /** The option that says whether old places go on forwarding. */
  static final String DELEGATE = "--delegate";

  public Operation {
    choices = List.copyOf(choices);
    examples = List.copyOf(examples);
    acceptable = List.copyOf(acceptable);
  }

  /** The words that it begins with, as they are typed: {@code extract class}. */
  public String words() {
    return noun.isEmpty() ? verb.word() : verb.word() + " " + noun;
  }

  /** Its first example, on one line. */
  public String example() {
    return examples.get(0).replaceAll("\\s*\\\\?\\R\\s*", " ");
  }

  /** An option by its name. */
  public Optional<Choice> choice(String name) {
    return choices.stream().filter(each -> each.name().equals(name)).findFirst();
  }

  /** Begins a declaration. */
  public static Declaring of(Verb verb, String noun, String summary, String more) {
    return new Declaring(verb, noun, summary, more);
  }

  /** A declaration that is being made. */
  public static final class Declaring {
    private final Verb verb;
    private final String noun;
    private final String summary;
    private final String more;
    private final List<Choice> choices = new ArrayList<>();
    private final List<String> examples = new ArrayList<>();
    private List<RefusalKind> acceptable = List.of();
    private String label = "";
    private String subject = "";

    private Declaring(Verb verb, String noun, String summary, String more) {
      this.verb = verb;
      this.noun = noun;
      this.summary = summary;
      this.more = more;
    }

    /** What it is done to. */
    public Declaring on(String label, String says) {
      this.label = label;
      this.subject = says;
      return this;
    }

    public Declaring flag(String name, String says) {
      return add(name, Choice.Kind.FLAG, "", List.of(), says);
    }

    public Declaring value(String name, String label, String says) {
      return add(name, Choice.Kind.VALUE, label, List.of(), says);
    }

    public Declaring required(String name, String label, String says) {
      return add(name, Choice.Kind.REQUIRED, label, List.of(), says);
    }

    public Declaring list(String name, String label, String says) {
      return add(name, Choice.Kind.LIST, label, List.of(), says);
    }

    public Declaring requiredList(String name, String label, String says) {
      return add(name, Choice.Kind.REQUIRED_LIST, label, List.of(), says);
    }

    /** An option that has one of some words. */
    public Declaring oneOf(String name, List<String> words, String says) {
      return add(name, Choice.Kind.VALUE, String.join("|", words), words, says);
    }

    /** The option that says whether old places go on forwarding. */
    public Declaring delegating() {
      return oneOf(
          DELEGATE,
          List.of("keep", "none"),
          "Whether a method stays that forwards, or every caller asks the new place. By default"
              + " only private methods leave none.");
    }

    /** The option that overrules refusals of some kinds. */
    public Declaring accepting(List<RefusalKind> kinds) {
      return accepting(kinds, "Refusals to overrule, since you know better: ");
    }

    /**
     * The same with other help.
     *
     * @param says goes on with the words for the kinds where it ends with a space
     */
    public Declaring accepting(List<RefusalKind> kinds, String says) {
      acceptable = kinds;
      String known = kinds.stream().map(RefusalKind::id).collect(Collectors.joining(", ")) + ".";
      return add(
          ACCEPT, Choice.Kind.LIST, "REFUSAL", List.of(), says.endsWith(" ") ? says + known : says);
    }

    /** Commands that work on the sample project. */
    public Declaring examples(String... commands) {
      examples.addAll(List.of(commands));
      return this;
    }

    /** Ends the declaration with how what is given becomes a refactoring. */
    public Operation reading(Function<Given, Refactoring> reader) {
      return new Operation(
          verb, noun, summary, more, label, subject, choices, examples, acceptable, reader);
    }

    private Declaring add(
        String name, Choice.Kind kind, String label, List<String> words, String says) {
      choices.add(new Choice(name, kind, label, words, says));
      return this;
    }
  }
}
