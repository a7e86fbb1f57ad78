package paredown.measure;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.TypeFact;
import paredown.text.NameWords;

/**
 * A representation is what a class shows of itself as text, beside the rules that it keeps: methods
 * that only read its object and make text, and the private methods that only they call; and what it
 * has to do with files, the network or a database.
 *
 * <p>Martin, "The single responsibility principle", 2002: how a thing is shown is a reason to
 * change of its own.
 *
 * @param texts the signatures of the methods that make text
 * @param helpers of the private methods that only these call
 * @param outside of those that reach for files, the network or a database
 * @param rules of the other methods that decide or change something
 * @param atLength whether two of the texts at least are put together of several pieces each
 */
public record Representation(
    List<String> texts,
    List<String> helpers,
    List<String> outside,
    List<String> rules,
    boolean atLength) {
  private static final int LITERALS = 2;
  private static final int WAYS = 2;
  private static final int PIECES = 3;
  private static final int HELPED = 3;

  /** Classes that are there to show something, by their names. */
  private static final Pattern SHOWING =
      Pattern.compile(
          ".*(?:Writer|Printer|Format|Formatter|Formats|View|Screen|Report|Page|Table|Text|Letter|Label"
              + "|Renderer|Builder|Encoder|Codec|Exporter|Board|Statement|Poster|Utils?|Message"
              + "|Messages|Console|Display|Template|Generator|Path|Name|Token|Node|Style|Parser)");

  /** Classes that are there to reach outside, by their names. */
  private static final Pattern REACHING =
      Pattern.compile(
          ".*(?:Reader|Writer|Loader|Saver|Store|Storage|Repository|Connection|Client|Server|Factory|Main"
              + "|Command|Application|File|Files|Http|Url|Digest|Dao|Gateway|Importer|Exporter|Archive"
              + "|Mailer|Sender|Download|Upload|Cache|Log|Logger|Utils?).*");

  /** What says in a few words what an object is is part of it. */
  private static final Pattern DESCRIBING = Pattern.compile("toString|.*[dD]esc(?:ription)?");

  private static final Set<String> GIVES = Set.of("String", "StringBuilder", "CharSequence");
  private static final Set<String> TAKES =
      Set.of("StringBuilder", "PrintStream", "PrintWriter", "Writer", "Appendable", "Formatter");

  private static final Set<String> COMMON = Set.of("to", "get", "as", "text", "string", "write");

  /** What is given text makes other text of that, and not of its object. */
  private static final Set<String> MADE_OF = Set.of("String", "CharSequence", "char[]", "byte[]");

  public Representation {
    texts = List.copyOf(texts);
    helpers = List.copyOf(helpers);
    outside = List.copyOf(outside);
    rules = List.copyOf(rules);
  }

  /** Whether there are several ways to show it, two at length, or one with several helpers. */
  public boolean isMuch() {
    int all = making().size();
    return texts.size() >= WAYS ? all >= HELPED || atLength : texts.size() == 1 && all > HELPED;
  }

  /** What makes text: the methods that show the object, and their helpers. */
  public List<String> making() {
    return Stream.concat(texts.stream(), helpers.stream()).toList();
  }

  /** What a class shows; empty where it shows nothing much, or does nothing else. */
  public static Optional<Representation> of(TypeFact type) {
    if (SHOWING.matcher(type.simpleName()).matches()) {
      return Optional.empty();
    }
    Set<String> changing = changing(type);
    Set<String> texts = new LinkedHashSet<>();
    List<String> reaching = new ArrayList<>();
    for (MethodFact method : type.methods()) {
      if (!method.isConstructor() && !method.body().traits().outside().isEmpty()) {
        reaching.add(method.signature());
        continue;
      }
      boolean reads = isReadOf(type, method);
      if (reads || makesText(method) && !changing.contains(method.signature())) {
        texts.add(method.signature());
      }
    }
    Set<String> helpers = helpers(type, texts);
    helpers.addAll(headings(type, texts));
    List<String> rules =
        type.methods().stream()
            .filter(method -> !texts.contains(method.signature()))
            .filter(method -> !reaching.contains(method.signature()))
            .filter(method -> !helpers.contains(method.signature()))
            .filter(method -> isRule(type, method, changing))
            .map(MethodFact::signature)
            .toList();
    boolean byTrade = REACHING.matcher(type.name().replaceAll("^[a-z_0-9.]+", "")).matches();
    List<String> outside = byTrade ? List.of() : reaching;
    return Optional.of(
        new Representation(
            List.copyOf(texts), List.copyOf(helpers), outside, rules, atLength(type, texts)));
  }

  /**
   * Whether a method shows objects of other classes by trade: it makes text, or is given what text
   * is written to, in a class that is named for that.
   */
  public static boolean isByTrade(TypeFact type, MethodFact method) {
    return SHOWING.matcher(type.simpleName()).matches()
        && !type.simpleName().matches(".*Utils?")
        && (method.result().contains("String") || takesText(method));
  }

  private static boolean atLength(TypeFact type, Set<String> texts) {
    return texts.stream()
            .flatMap(signature -> type.method(signature).stream())
            .filter(method -> !DESCRIBING.matcher(method.name()).matches())
            .filter(method -> method.branches() > 1 && method.body().traits().texts() >= PIECES)
            .count()
        >= WAYS;
  }

  private static boolean makesText(MethodFact method) {
    return !method.isConstructor()
        && !method.isPrivate()
        && !method.isStatic()
        && !method.overrides()
        && !method.isOfAnyObject()
        && (GIVES.contains(method.result()) || takesText(method))
        && method.parameters().size() <= 2
        && method.parameters().stream().noneMatch(each -> MADE_OF.contains(each.type()))
        && method.body().traits().texts() >= LITERALS;
  }

  /** Whether a method makes an object of what a text says. */
  private static boolean isReadOf(TypeFact type, MethodFact method) {
    return method.isStatic()
        && method.result().equals(type.simpleName())
        && method.parameters().size() == 1
        && method.parameters().get(0).type().equals("String")
        && method.body().traits().texts() > 0
        && method.branches() > 1;
  }

  /** Whether a method is given what text is written to. */
  private static boolean takesText(MethodFact method) {
    return method.parameters().stream().anyMatch(each -> TAKES.contains(each.type()));
  }

  /** The methods that set fields of the object, themselves or through others of it. */
  private static Set<String> changing(TypeFact type) {
    Set<String> changing = new HashSet<>();
    boolean more = true;
    while (more) {
      more = false;
      for (MethodFact method : type.methods()) {
        boolean changes =
            method.uses().stream()
                .filter(use -> use.type().equals(type.name()))
                .anyMatch(
                    use -> use.kind() == MemberUse.Kind.WRITE || changing.contains(use.member()));
        more |= changes && changing.add(method.signature());
      }
    }
    return changing;
  }

  private static Set<String> helpers(TypeFact type, Set<String> texts) {
    Set<String> helpers = new LinkedHashSet<>();
    boolean more = true;
    while (more) {
      more = false;
      for (MethodFact method : type.methods()) {
        if (method.isPrivate() && !method.isConstructor()) {
          List<String> callers = callers(type, method);
          boolean only =
              !callers.isEmpty()
                  && callers.stream()
                      .allMatch(each -> texts.contains(each) || helpers.contains(each));
          more |= only && helpers.add(method.signature());
        }
      }
    }
    return helpers;
  }

  /** Static methods that give a text of their own, named like one that shows the object. */
  private static List<String> headings(TypeFact type, Set<String> texts) {
    Set<String> words = new HashSet<>();
    for (MethodFact method : type.methods()) {
      if (texts.contains(method.signature())) {
        words.addAll(NameWords.of(method.name()));
      }
    }
    words.removeAll(COMMON);
    return type.methods().stream()
        .filter(method -> method.isStatic() && method.result().equals("String"))
        .filter(method -> method.parameters().isEmpty() && method.body().traits().texts() > 0)
        .filter(method -> NameWords.of(method.name()).stream().anyMatch(words::contains))
        .map(MethodFact::signature)
        .toList();
  }

  private static List<String> callers(TypeFact type, MethodFact method) {
    List<String> callers = new ArrayList<>();
    for (MethodFact each : type.methods()) {
      if (each != method && each.callsOf(type.name()).contains(method.signature())) {
        callers.add(each.signature());
      }
    }
    return callers;
  }

  /**
   * Whether a method decides or changes something; what a list holds is changed by a call of it.
   */
  private static boolean isRule(TypeFact type, MethodFact method, Set<String> changing) {
    boolean answers = method.result().equals("boolean") || method.result().equals("void");
    return !method.isConstructor()
        && !method.isAccessor()
        && !method.isOfAnyObject()
        && !method.isAbstract()
        && (method.branches() > 1
            || changing.contains(method.signature())
            || answers && !method.fieldsOf(type.name()).isEmpty());
  }
}
