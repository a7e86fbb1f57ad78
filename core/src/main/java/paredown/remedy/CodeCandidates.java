package paredown.remedy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.SourceVersion;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractmethod.ExtractStages;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.detector.RepeatedQuestion;
import paredown.text.NameWords;

/** The candidates that take code of a finding out of its method, or the method to another class. */
record CodeCandidates(Finding finding, TypeFact type) {
  private static final Pattern CONSTANT =
      Pattern.compile("it\\.\\w+(?:\\(\\))? == (?:\\w+\\.)*([A-Z][A-Z_]+)");

  /** Names of variables that say nothing of what they hold. */
  private static final Set<String> PLAIN =
      Set.of("result", "value", "ret", "temp", "tmp", "number", "x", "y", "n", "i");

  List<Candidate> moveMethod() {
    String signature = finding.members().get(0);
    String target = provider();
    int own = finding.evidence().figure("ownShare").map(share -> ownUsed(signature)).orElse(0);
    List<String> price =
        own == 0 ? List.of() : List.of(own == 1 ? "1 parameter more" : own + " parameters more");
    Effect effect =
        new Effect(
            List.of(
                new Effect.Figure(
                    "foreign data it uses",
                    finding.evidence().figure("data").orElseThrow().value(),
                    own)),
            price);
    List<Candidate> found = new ArrayList<>();
    ways(signature, target).stream()
        .map(wishes -> new MoveMethod(type.name(), signature, target, wishes))
        .map(move -> new Candidate(finding.id(), new Cure.Move(move, effect)))
        .forEach(found::add);
    found.add(askedPart(signature, target));
    return found;
  }

  /** A method that stays may have an expression that the other class could work out. */
  private Candidate askedPart(String signature, String target) {
    String place =
        "%s:%d-%d"
            .formatted(
                finding.range().file(),
                finding.range().start().line(),
                finding.range().end().line());
    String name = signature.replaceAll("\\(.*", "") + "Part";
    ExtractMethod extract = new ExtractMethod(place, name).with(Duplicates.ANY).to(target);
    Effect effect = new Effect(List.of(), List.of("1 method more"));
    return new Candidate(finding.id(), new Cure.Part(extract, effect));
  }

  /** Where a method takes several of the class, each of them could be asked. */
  private List<MoveMethod.Wishes> ways(String signature, String target) {
    String simple = Finding.shortName(target);
    List<String> taken =
        type.method(signature).orElseThrow().parameters().stream()
            .filter(each -> each.type().equals(simple) || each.type().equals(target))
            .map(MethodFact.Parameter::name)
            .toList();
    return taken.size() < 2
        ? List.of(MoveMethod.Wishes.NONE)
        : taken.stream().map(MoveMethod.Wishes.NONE::through).toList();
  }

  private int ownUsed(String signature) {
    MethodFact method = type.method(signature).orElseThrow();
    Set<String> own = new HashSet<>(method.fieldsOf(type.name()));
    own.addAll(method.callsOf(type.name()));
    return own.size();
  }

  /** What could be taken out of a long method. */
  List<Candidate> stretches() {
    MethodFact method = type.method(finding.members().get(0)).orElseThrow();
    List<Candidate> found = new ArrayList<>();
    ExtractStages stages = Stages.of(type, method);
    if (stages.stages().size() > 1) {
      Effect effect =
          new Effect(List.of(), List.of("up to %d methods more".formatted(stages.stages().size())));
      found.add(new Candidate(finding.id(), new Cure.Staged(stages, effect)));
    }
    for (Stretch stretch : Stretch.of(method)) {
      found.add(
          new Candidate(
              finding.id(),
              new Cure.Part(new ExtractMethod(stretch.place(), stretch.name()), stretch.effect())));
    }
    return found;
  }

  Candidate extractPart() {
    String target = provider();
    String place =
        "%s:%d-%d"
            .formatted(
                finding.range().file(),
                finding.range().start().line(),
                finding.range().end().line() - 1);
    Effect effect =
        new Effect(
            List.of(
                new Effect.Figure(
                    "foreign data in place",
                    finding.evidence().figure("data").orElseThrow().value(),
                    0)),
            List.of("1 method more"));
    ExtractMethod extract = new ExtractMethod(place, partName(target)).to(target);
    return new Candidate(finding.id(), new Cure.Part(extract, effect));
  }

  /**
   * The name of the value that the part gives, or else of the method and the class: {@code
   * deckForPassenger}, until there is a better one.
   */
  private String partName(String target) {
    Optional<String> given =
        type.method(finding.members().get(0)).stream()
            .flatMap(method -> method.body().left(found(method)).stream())
            .findFirst();
    if (given.isPresent()) {
      return given.get();
    }
    String method = finding.members().get(0).replaceAll("\\(.*", "");
    return method + NameWords.capitalised(Finding.shortName(target).replaceAll(".*\\.", ""));
  }

  /** The outermost statements that stand in the lines of the finding. */
  private Span found(MethodFact method) {
    List<Span> within =
        method.body().spans().stream()
            .filter(span -> span.firstLine() >= finding.range().start().line())
            .filter(span -> span.lastLine() < finding.range().end().line())
            .toList();
    int depth = within.stream().mapToInt(Span::depth).min().orElseThrow();
    return Span.joined(within.stream().filter(span -> span.depth() == depth).toList());
  }

  /**
   * The first object of a chain asks its way itself: it gets a method that gives the last but one.
   */
  List<Candidate> hideTheWay() {
    MethodFact method = type.method(finding.members().get(0)).orElseThrow();
    Map<String, Candidate> found = new LinkedHashMap<>();
    for (Traits.Chain chain : method.body().traits().chains()) {
      List<String> asked = chain.links().stream().map(MethodFact.MemberUse::member).toList();
      List<String> way = asked.subList(0, asked.size() - 1);
      String name = way.get(way.size() - 1).replace("()", "");
      ExtractMethod extract =
          new ExtractMethod("%s:%d".formatted(finding.range().file(), chain.line()), name)
              .to(chain.links().get(0).type())
              .with(Duplicates.ANY);
      Effect effect =
          new Effect(
              List.of(new Effect.Figure("links of the chain", asked.size(), 2)),
              List.of("1 method more"));
      String text = "it." + String.join(".", way);
      found.putIfAbsent(
          text, new Candidate(finding.id(), new Cure.Part(extract, effect, Optional.of(text))));
    }
    return List.copyOf(found.values());
  }

  /** The object that is asked works the answer out, and all places ask it for that. */
  Candidate askTheObject() {
    Evidence.Row first = finding.evidence().rows().get(0);
    String place = "%s:%d".formatted(first.file(), first.line());
    long classes =
        finding.evidence().rows().stream().map(row -> row.uses().get(0)).distinct().count();
    return new Candidate(
        finding.id(),
        new Cure.Part(
            new ExtractMethod(place, questionName())
                .to(type.name())
                .with(classes > 1 ? Duplicates.PROJECT : Duplicates.ALL),
            new Effect(List.of(), List.of("1 method more")),
            Optional.of(finding.identity().get(0))));
  }

  /**
   * A question after the constant that is asked for, {@code isLate}, or after the shortest name of
   * the methods that ask it.
   */
  private String questionName() {
    if (RepeatedQuestion.isOfNumber(finding)) {
      return valueName();
    }
    Matcher constant = CONSTANT.matcher(finding.identity().get(0));
    if (constant.matches()) {
      return "is"
          + Arrays.stream(constant.group(1).split("_"))
              .map(word -> NameWords.capitalised(word.toLowerCase()))
              .collect(Collectors.joining());
    }
    String shortest = given().findFirst().orElseGet(this::shortestName);
    return shortest.matches("(?:is|has|can|may|must|needs)\\p{Lu}.*")
        ? shortest
        : "is" + NameWords.capitalised(shortest);
  }

  private String shortestName() {
    return finding.evidence().rows().stream()
        .map(row -> row.member().replaceAll("\\(.*", ""))
        .min(Comparator.comparingInt(String::length))
        .orElseThrow();
  }

  /** The variables that take the answer, those of the first place first. */
  private Stream<String> given() {
    return finding.evidence().rows().stream()
        .flatMap(row -> row.uses().stream())
        .filter(use -> use.startsWith("as "))
        .map(use -> use.substring("as ".length()))
        .filter(SourceVersion::isName);
  }

  /** A value after the variables that take it, or else after the data that it is made of. */
  private String valueName() {
    return given().filter(each -> !PLAIN.contains(each)).findFirst().orElseGet(this::ofData);
  }

  private String ofData() {
    List<String> data =
        finding.members().stream()
            .filter(each -> !each.contains("#"))
            .map(each -> each.replaceAll("\\(.*", "").replaceAll("^get(?=\\p{Lu})", ""))
            .toList();
    String first = data.get(0).substring(0, 1).toLowerCase() + data.get(0).substring(1);
    return data.size() == 2 ? first + "And" + NameWords.capitalised(data.get(1)) : first + "InAll";
  }

  private String provider() {
    String first = finding.evidence().foreign().get(0);
    return first.substring(0, first.indexOf('#'));
  }
}
