package paredown.session;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.facts.FactsReader;
import paredown.facts.TypeFact;
import paredown.program.DeclaredType;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.StepOf;
import paredown.refactor.plan.Judged;
import paredown.remedy.Candidate;
import paredown.remedy.Cure;
import paredown.remedy.Planning;
import paredown.remedy.Remedy;
import paredown.remedy.Stages;

/**
 * The changes that can be asked for, planned and judged by the first two gates; nothing is written.
 *
 * @param strict whether a change may rest on nothing that no proof can give
 */
record Previews(Sources sources, boolean strict, Progress progress) {

  Preview of(Refactoring refactoring) {
    doing();
    Judged judged = Judged.of(refactoring, sources, sources.index());
    if (strict) {
      judged.requireProved();
    }
    return new Preview(refactoring, judged.change(), judged.verdict());
  }

  /** The extraction of all stages of a method. */
  Preview stages(String type, String method) {
    DeclaredType header = sources.index().type(type);
    Set<String> file = Set.of(header.file());
    TypeFact fact = FactsReader.again(sources, List.copyOf(file), file).byName().get(header.name());
    return of(Stages.of(fact, method));
  }

  /**
   * The extraction of all groups of members of a class.
   *
   * @throws UnusableRequest where it does not fall into several
   */
  Preview groups(Survey survey, String type) {
    Candidate apart =
        survey
            .candidatesOf(sources.index().type(type).name())
            .filter(candidate -> candidate.cure() instanceof Cure.Apart)
            .findFirst()
            .orElseThrow(
                () ->
                    new UnusableRequest(
                        "The members of %s do not fall into several groups.".formatted(type),
                        "Name the members that leave: --fields and --methods, with --name."));
    doing();
    return of(planning(survey).plan(apart));
  }

  /**
   * A remedy.
   *
   * @param meant the candidates that may be meant by an id, of which one has to be left
   * @param name for the new class; empty where the proposed one will do
   * @param accepted the kinds of refusal that are accepted
   */
  Preview remedy(
      Survey survey,
      String id,
      List<Candidate> meant,
      Optional<String> name,
      Set<RefusalKind> accepted) {
    if (meant.size() != 1) {
      throw new UnusableRequest(
          (meant.isEmpty() ? "There is no remedy " : "Several remedies are meant by ") + id + ".",
          "pare why " + survey.finding(id).id() + " shows what can be done.");
    }
    Candidate candidate = meant.get(0);
    for (RefusalKind kind : accepted) {
      candidate = candidate.accepting(kind).orElse(candidate);
    }
    doing();
    return of(
        name.isEmpty()
            ? planning(survey).planProposed(candidate)
            : planning(survey).plan(candidate.named(name.get())));
  }

  private Planning planning(Survey survey) {
    return new Planning(survey.facts(), sources, sources.index());
  }

  /**
   * The first steps of what was planned.
   *
   * @throws UnusableRequest where it has not so many, or they stand for nothing by themselves
   */
  Preview first(Preview whole, int number) {
    List<Refactoring> steps =
        whole
            .refactoring()
            .steps(sources)
            .map(Refactoring.Steps::all)
            .filter(all -> all.stream().noneMatch(StepOf.class::isInstance))
            .orElse(List.of(whole.refactoring()));
    if (number < 1 || number >= steps.size()) {
      throw new UnusableRequest(
          steps.size() == 1
              ? "This remedy is one step."
              : "This remedy has %d steps.".formatted(steps.size()),
          steps.size() == 1
              ? "Leave --until out."
              : "Say --until %s, or leave it out for all."
                  .formatted(
                      steps.size() == 2 ? "1" : "with a number from 1 to " + (steps.size() - 1)));
    }
    return of(new CarriedSteps(steps.subList(0, number)));
  }

  private Preview of(Remedy remedy) {
    if (strict) {
      Judged.requireProved(remedy.change());
    }
    return new Preview(remedy.refactoring(), remedy.change(), remedy.verdict());
  }

  private void doing() {
    progress.doing("planning, and checking that every name still means the same");
  }
}
