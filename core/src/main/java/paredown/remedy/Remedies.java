package paredown.remedy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Size;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.refactor.plan.Judged;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.text.Counted;
import paredown.text.NameWords;

/**
 * Remedies are the candidates of a finding, planned on the program.
 *
 * @param found those that can be done, best first
 * @param dropped those that cannot be done safely
 * @param untried those that were left when enough were found, or time was up
 */
public record Remedies(List<Remedy> found, List<Dropped> dropped, List<Candidate> untried) {

  public Remedies {
    found = List.copyOf(found);
    dropped = List.copyOf(dropped);
    untried = List.copyOf(untried);
  }

  /** How many remedies are enough, and how long it may take to find them. One at least is tried. */
  public record Patience(int enough, Duration most) {
    /** For somebody who waits for an answer. */
    public static final Patience SHORT = new Patience(4, Duration.ofSeconds(12));

    /** Until all are tried. */
    public static final Patience ENDLESS = new Patience(Integer.MAX_VALUE, Duration.ofDays(1));
  }

  /**
   * Plans candidates; those that are refused, or that a gate stops, are dropped. What is refused
   * only for a reason that a person may overrule is found on that condition, behind the others.
   * What leaves the finding as heavy as it is, or makes it heavier, is no remedy.
   *
   * @param candidates the best first
   */
  public static Remedies plan(
      Finding finding,
      List<Candidate> candidates,
      Grounds grounds,
      Sources sources,
      SourceIndex index,
      Patience patience) {
    long begin = System.nanoTime();
    Facts facts = grounds.facts();
    Aftermath aftermath = new Aftermath(grounds, sources);
    List<Remedy> found = new ArrayList<>();
    List<Dropped> dropped = new ArrayList<>();
    List<Candidate> untried = new ArrayList<>();
    for (Candidate candidate : candidates) {
      if (found.stream().anyMatch(remedy -> remedy.covers(candidate))) {
        continue;
      }
      boolean late = System.nanoTime() - begin > patience.most().toNanos();
      if (found.size() >= patience.enough() || late && found.size() + dropped.size() > 0) {
        untried.add(candidate);
        continue;
      }
      try {
        Remedy remedy = planOnCondition(candidate, facts, sources, index);
        if (!remedy.verdict().passed()) {
          dropped.add(
              new Dropped(candidate.cure().says(), "a name would not mean what it means now."));
          continue;
        }
        if (finding.form() == Form.FIELDS && isBag(candidate)) {
          dropped.add(
              new Dropped(
                  candidate.cure().says(),
                  "no method would go with its fields, so that it would only hold them. Give it one"
                      + " first: extract the code that lives on them alone."));
          continue;
        }
        Optional<Finding> after = aftermath.of(finding, remedy.change());
        if (after.filter(each -> !Aftermath.isLighter(each, finding)).isEmpty()) {
          found.add(remedy.weighing(finding.weight(), after.map(Finding::weight).orElse(0)));
        } else {
          dropped.add(
              new Dropped(candidate.cure().says(), "the finding would weigh no less by it."));
        }
      } catch (Refused refused) {
        // What keeps several together from being done is said of each of them already.
        if (!(candidate.cure() instanceof Cure.Apart)) {
          dropped.add(Dropped.refused(candidate, refused));
        }
      } catch (UnusableRequest taken) {
        dropped.add(new Dropped(candidate.cure().says(), taken.getMessage()));
      }
    }
    found.sort(
        Comparator.comparing((Remedy remedy) -> remedy.conditions().size())
            .thenComparing(remedy -> remedy.effect().figures().get(0).after()));
    return new Remedies(found, dropped, untried);
  }

  /**
   * Whether a class would be taken out that does nothing, and whose fields do not say what it is.
   */
  private static boolean isBag(Candidate candidate) {
    return candidate.cure() instanceof Cure.Extract extract
        && extract.refactoring().methods().isEmpty()
        && NameWords.shared(extract.refactoring().fields()).isEmpty();
  }

  /** Plans a candidate, accepting what a person may accept. */
  private static Remedy planOnCondition(
      Candidate candidate, Facts facts, Sources sources, SourceIndex index) {
    try {
      return planProposed(candidate, facts, sources, index);
    } catch (Refused refused) {
      Candidate accepting = candidate.accepting(refused.kind()).orElseThrow(() -> refused);
      return planOnCondition(accepting, facts, sources, index);
    }
  }

  /** Plans an extraction under the name that was proposed, or a longer one where that is taken. */
  private static Remedy planProposed(
      Candidate candidate, Cure.Extract cure, Facts facts, Sources sources, SourceIndex index) {
    ExtractClass refactoring = cure.refactoring();
    try {
      return plan(candidate, refactoring, facts, sources, index);
    } catch (Refused refused) {
      String owner = facts.type(refactoring.type()).orElseThrow().simpleName();
      if (refused.kind() != RefusalKind.NAME_TAKEN || refactoring.name().startsWith(owner)) {
        throw refused;
      }
      ExtractClass longer = refactoring.named(owner + refactoring.name());
      return plan(candidate, longer, facts, sources, index);
    }
  }

  /** Plans a candidate under its proposed name, or a longer one where that is taken. */
  public static Remedy planProposed(
      Candidate candidate, Facts facts, Sources sources, SourceIndex index) {
    return candidate.cure() instanceof Cure.Extract extract
        ? planProposed(candidate, extract, facts, sources, index)
        : plan(candidate, facts, sources, index);
  }

  /**
   * Plans one candidate.
   *
   * @throws Refused where it cannot be done safely
   */
  public static Remedy plan(Candidate candidate, Facts facts, Sources sources, SourceIndex index) {
    if (candidate.cure() instanceof Cure.Extract extract) {
      return plan(candidate, extract.refactoring(), facts, sources, index);
    }
    if (candidate.cure() instanceof Cure.Apart apart) {
      return plan(candidate, apart, facts, sources, index);
    }
    if (candidate.cure() instanceof Cure.Pieces pieces) {
      Judged judged = Judged.of(pieces.refactoring(), sources, index);
      Effect effect = effect(pieces, judged.change());
      return new Remedy(
          candidate.id(), judged.refactoring(), effect, judged.change(), judged.verdict());
    }
    return plan(candidate, (Cure.Measured) candidate.cure(), sources, index);
  }

  private static Remedy plan(
      Candidate candidate, Cure.Measured cure, Sources sources, SourceIndex index) {
    Judged judged = judged(cure, sources, index);
    List<String> price = new ArrayList<>(cure.effect().price());
    price.addAll(price(judged.change(), 2));
    return new Remedy(
        candidate.id(),
        judged.refactoring(),
        new Effect(cure.effect().figures(), price),
        judged.change(),
        judged.verdict());
  }

  /** What becomes of pieces of code of which some may have been left out. */
  private static Effect effect(Cure.Pieces cure, Change change) {
    int all = cure.refactoring().pieces().size();
    int left =
        (int) change.report().notes().stream().filter(note -> note.startsWith("Left out")).count();
    List<String> price =
        new ArrayList<>(List.of(Counted.of(all - left, "method more", "methods more")));
    price.addAll(price(change, 2));
    return new Effect(
        List.of(new Effect.Figure("pieces that stand in several places", all, left)), price);
  }

  /**
   * Plans what a cure does. A part that cannot move on may have an expression that can: one that
   * asks the object what the part lives on.
   */
  private static Judged judged(Cure.Measured cure, Sources sources, SourceIndex index) {
    if (cure instanceof Cure.Part part && part.asks().isPresent()) {
      String place =
          AskedExpression.asking(part.asks().get(), part.refactoring().place(), sources)
              .orElse(part.refactoring().place());
      return Judged.of(part.refactoring().at(place), sources, index);
    }
    try {
      return Judged.of(cure.refactoring(), sources, index);
    } catch (Refused | UnusableRequest refused) {
      if (cure instanceof Cure.Part part && part.refactoring().target().isPresent()) {
        String target = part.refactoring().target().get();
        String place =
            AskedExpression.in(part.refactoring().place(), target, sources)
                .orElseThrow(() -> refused);
        return Judged.of(part.refactoring().at(place), sources, index);
      }
      throw refused;
    }
  }

  /** Plans an extraction. A method that cannot come along stays, and so do those that call it. */
  private static Remedy plan(
      Candidate original,
      ExtractClass refactoring,
      Facts facts,
      Sources sources,
      SourceIndex index) {
    try {
      Judged judged = Judged.of(refactoring, sources, index);
      Change change = judged.change();
      return new Remedy(
          original.id(), refactoring, effect(refactoring, change, facts), change, judged.verdict());
    } catch (Refused refused) {
      Set<String> staying = callers(refused.subject(), refactoring, facts);
      if (staying.isEmpty()) {
        throw refused;
      }
      return plan(original, without(refactoring, staying), facts, sources, index);
    }
  }

  /** Plans an extraction of several groups, each in the first way that it can go. */
  private static Remedy plan(
      Candidate original, Cure.Apart cure, Facts facts, Sources sources, SourceIndex index) {
    List<ExtractClass> groups = new ArrayList<>();
    Refused met = null;
    for (List<ExtractClass> ways : cure.ways()) {
      for (ExtractClass way : ways) {
        try {
          Remedy one = planProposed(original, new Cure.Extract(way), facts, sources, index);
          groups.add((ExtractClass) one.refactoring());
          break;
        } catch (Refused refused) {
          met = refused;
        }
      }
    }
    if (groups.size() < 2) {
      throw met;
    }
    ExtractGroups planned = new ExtractGroups(cure.type(), groups);
    Judged judged = Judged.of(planned, sources, index);
    TypeFact type = facts.type(cure.type()).orElseThrow();
    int fields = type.instanceFields().size();
    int going = groups.stream().mapToInt(each -> fewer(type, each)).sum();
    List<String> price = new ArrayList<>(List.of(groups.size() + " classes more"));
    price.addAll(price(judged.change(), 2));
    return new Remedy(
        original.id(),
        planned,
        new Effect(List.of(new Effect.Figure("fields", fields, fields - going)), price),
        judged.change(),
        judged.verdict());
  }

  private static ExtractClass without(ExtractClass extraction, Set<String> methods) {
    return extraction.withMethods(
        extraction.methods().stream().filter(method -> !methods.contains(method)).toList());
  }

  private static Set<String> callers(String subject, ExtractClass refactoring, Facts facts) {
    String wanted = subject.replace(" ", "");
    Set<String> staying = new HashSet<>();
    refactoring.methods().stream()
        .filter(method -> method.replace(" ", "").equals(wanted))
        .forEach(staying::add);
    TypeFact type = facts.type(refactoring.type()).orElseThrow();
    boolean grew = !staying.isEmpty();
    while (grew) {
      grew = false;
      for (MethodFact method : type.methods()) {
        boolean calls = method.callsOf(type.name()).stream().anyMatch(staying::contains);
        grew |=
            calls
                && refactoring.methods().contains(method.signature())
                && staying.add(method.signature());
      }
    }
    return staying;
  }

  /** How many fields objects have less, with the one for the new object. */
  private static int fewer(TypeFact type, ExtractClass refactoring) {
    int going =
        (int)
            type.instanceFields().stream()
                .filter(field -> refactoring.fields().contains(field.name()))
                .count();
    return going == 0 ? 0 : going - 1;
  }

  private static Effect effect(ExtractClass refactoring, Change change, Facts facts) {
    TypeFact type = facts.type(refactoring.type()).orElseThrow();
    int fields = type.instanceFields().size();
    int logic = (int) Size.methodsWithLogic(type);
    int branches = Size.weightedMethods(type);
    Set<String> going = new HashSet<>(refactoring.methods());
    Set<String> delegates = new HashSet<>();
    change.report().delegates().forEach(each -> delegates.add(each.replace(" ", "")));
    int movedBranches = 0;
    int movedLogic = 0;
    for (MethodFact method : type.methods()) {
      if (going.contains(method.signature())) {
        movedLogic += Size.hasLogic(method) ? 1 : 0;
        boolean stays = delegates.contains(method.signature().replace(" ", ""));
        movedBranches += method.branches() - (stays ? 1 : 0);
      }
    }
    List<Effect.Figure> figures = new ArrayList<>();
    figures.add(new Effect.Figure("fields", fields, fields - fewer(type, refactoring)));
    figures.add(new Effect.Figure("methods with logic", logic, logic - movedLogic));
    figures.add(new Effect.Figure("ways through its methods", branches, branches - movedBranches));
    figures.removeIf(each -> each.before() == each.after());
    return new Effect(figures, price(change, 1));
  }

  /**
   * The price of a change.
   *
   * @param meant how many files that are there already are meant to change
   */
  private static List<String> price(Change change, int meant) {
    List<String> price = new ArrayList<>();
    Change.Report report = change.report();
    int others = (int) change.files().stream().filter(file -> !file.isNew()).count() - meant;
    add(price, report.delegates().size(), "delegate", "delegates");
    add(price, report.wider().size(), "member more visible", "members more visible");
    add(price, report.api().size(), "change of the API", "changes of the API");
    add(price, Math.max(0, others), "other file changes", "other files change");
    return price;
  }

  private static void add(List<String> price, int number, String one, String several) {
    if (number > 0) {
      price.add(Counted.of(number, one, several));
    }
  }
}
