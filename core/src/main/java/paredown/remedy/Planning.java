package paredown.remedy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.refactor.plan.Judged;
import paredown.smell.Finding;
import paredown.text.Counted;

/** Planning makes remedies of candidates, on the program as it is. */
public final class Planning {
  private final Facts facts;
  private final Sources sources;
  private final SourceIndex index;
  private final Map<ExtractClass, Judged> extracted = new HashMap<>();

  public Planning(Facts facts, Sources sources, SourceIndex index) {
    this.facts = facts;
    this.sources = sources;
    this.index = index;
  }

  /** Plans a candidate, accepting what a person may accept. */
  Remedy planOnCondition(Candidate candidate) {
    try {
      return planProposed(candidate);
    } catch (Refused refused) {
      Candidate accepting = candidate.accepting(refused.kind()).orElseThrow(() -> refused);
      return planOnCondition(accepting);
    }
  }

  /** Plans an extraction under the name that was proposed, or a longer one where that is taken. */
  private Remedy planProposed(Candidate candidate, Cure.Extract cure) {
    ExtractClass refactoring = cure.refactoring();
    try {
      return plan(candidate, refactoring);
    } catch (Refused refused) {
      String owner = facts.type(refactoring.type()).orElseThrow().simpleName();
      if (refused.kind() != RefusalKind.NAME_TAKEN || refactoring.name().startsWith(owner)) {
        throw refused;
      }
      ExtractClass longer = refactoring.named(owner + refactoring.name());
      return plan(candidate, longer);
    }
  }

  /** Plans a candidate under its proposed name, or a longer one where that is taken. */
  public Remedy planProposed(Candidate candidate) {
    if (candidate.cure() instanceof Cure.Extract extract) {
      return planProposed(candidate, extract);
    }
    try {
      return plan(candidate);
    } catch (Refused refused) {
      if (refused.kind() == RefusalKind.NAME_TAKEN
          && candidate.cure() instanceof Cure.Together together) {
        return plan(candidate.named(together.refactoring().name() + "Values"));
      }
      throw refused;
    }
  }

  /**
   * Plans one candidate.
   *
   * @throws Refused where it cannot be done safely
   */
  public Remedy plan(Candidate candidate) {
    if (candidate.cure() instanceof Cure.Extract extract) {
      return plan(candidate, extract.refactoring());
    }
    if (candidate.cure() instanceof Cure.Apart apart) {
      return plan(candidate, apart);
    }
    if (candidate.cure() instanceof Cure.Pieces pieces) {
      Judged judged = Judged.of(pieces.refactoring(), sources, index);
      Effect effect = effect(pieces, judged.change());
      return new Remedy(
          candidate.id(), judged.refactoring(), effect, judged.change(), judged.verdict());
    }
    return plan(candidate, (Cure.Measured) candidate.cure());
  }

  private Remedy plan(Candidate candidate, Cure.Measured cure) {
    Judged judged = judged(cure);
    List<String> price = new ArrayList<>(cure.effect().price());
    price.addAll(Price.of(judged.change(), 2));
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
    price.addAll(Price.of(change, 2));
    return new Effect(
        List.of(new Effect.Figure("pieces that stand in several places", all, left)), price);
  }

  /**
   * Plans what a cure does. A part that cannot move on may have an expression that can: one that
   * asks the object what the part lives on.
   */
  private Judged judged(Cure.Measured cure) {
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
                .orElseThrow(() -> refused instanceof Refused ? refused : nothingAsked(target));
        return Judged.of(part.refactoring().at(place), sources, index);
      }
      throw refused;
    }
  }

  private static UnusableRequest nothingAsked(String target) {
    return new UnusableRequest(
        "No expression there asks one %s for several things and needs little else."
            .formatted(Finding.shortName(target)),
        "");
  }

  /** Plans an extraction. A method that cannot come along stays, and so do those that call it. */
  private Remedy plan(Candidate original, ExtractClass refactoring) {
    try {
      Judged judged = extracted(refactoring);
      Change change = judged.change();
      TypeFact type = facts.type(refactoring.type()).orElseThrow();
      return new Remedy(
          original.id(),
          refactoring,
          ExtractEffect.of(type, refactoring, change),
          change,
          judged.verdict());
    } catch (Refused refused) {
      Set<String> staying = callers(refused.subject(), refactoring);
      if (staying.isEmpty()) {
        throw refused;
      }
      return plan(original, without(refactoring, staying));
    }
  }

  /** What is taken out with others and then alone is planned once. */
  private Judged extracted(ExtractClass refactoring) {
    Judged known = extracted.get(refactoring);
    if (known == null) {
      known = Judged.of(refactoring, sources, index);
      extracted.put(refactoring, known);
    }
    return known;
  }

  /**
   * Plans an extraction of several groups, each in the first way that it can go.
   *
   * @throws Refused where fewer than two can; for what a person may accept, if one of them could go
   *     so
   */
  private Remedy plan(Candidate original, Cure.Apart cure) {
    List<ExtractClass> groups = new ArrayList<>();
    Refused met = null;
    for (List<ExtractClass> ways : cure.ways()) {
      for (ExtractClass way : ways) {
        try {
          Remedy one = planProposed(original, new Cure.Extract(way));
          groups.add((ExtractClass) one.refactoring());
          break;
        } catch (Refused refused) {
          boolean known = met != null && cure.accepting(met.kind()).isPresent();
          met = known ? met : refused;
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
    int going = groups.stream().mapToInt(each -> ExtractEffect.fewerFields(type, each)).sum();
    List<String> price = new ArrayList<>(List.of(groups.size() + " classes more"));
    price.addAll(Price.of(judged.change(), 2));
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

  private Set<String> callers(String subject, ExtractClass refactoring) {
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
}
