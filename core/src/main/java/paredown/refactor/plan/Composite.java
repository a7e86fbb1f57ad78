package paredown.refactor.plan;

import java.util.ArrayList;
import java.util.List;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.Earlier;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;

/**
 * A composite is several refactorings that make one change: each is planned on what the one before
 * it left, in memory, and judged by the first two gates by itself. A step may be made of steps.
 */
final class Composite {
  private final Refactoring whole;
  private final List<Judged> steps = new ArrayList<>();
  private final List<String> left = new ArrayList<>();
  private RuntimeException refused;
  private Sources sources;

  private Composite(Refactoring whole, Sources sources) {
    this.whole = whole;
    this.sources = sources;
  }

  /**
   * Plans steps, one after the other.
   *
   * @param whole what they are together
   * @throws Refused where one cannot be done safely; its places are those of the sources as they
   *     are, not as the steps before it left them
   */
  static Judged of(Refactoring whole, Refactoring.Steps steps, Sources sources) {
    Composite composite = new Composite(whole, sources);
    for (int i = 0; i < steps.all().size(); i++) {
      if (i < steps.needed()) {
        composite.plan(steps.all().get(i));
      } else {
        composite.planOrLeave(steps.all().get(i));
      }
    }
    if (composite.steps.isEmpty()) {
      throw composite.refused;
    }
    return composite.judged(steps.summary());
  }

  /** Plans a step, or notes why it is left out. */
  private void planOrLeave(Refactoring step) {
    int before = steps.size();
    Sources here = sources;
    try {
      plan(step);
      Judged judged = steps.get(before);
      if (!judged.verdict().passed()) {
        steps.remove(before);
        sources = here;
        left.add("Left out: %s.".formatted(step.says()));
      }
    } catch (Refused met) {
      refused = refused == null ? met : refused;
      String place = met.places().isEmpty() ? "" : " (" + met.places().get(0) + ")";
      left.add("Left out: %s. %s%s".formatted(step.says(), met.getMessage(), place));
    } catch (UnusableRequest met) {
      // What it was about is gone by a step before it.
      refused = refused == null ? met : refused;
      left.add("Left out: %s. %s".formatted(step.says(), met.getMessage()));
    }
  }

  private void plan(Refactoring step) {
    try {
      Judged judged = Judged.of(step, sources, sources.index());
      steps.add(judged);
      sources = judged.change().after(sources);
    } catch (Refused refused) {
      Earlier earlier = new Earlier(steps.stream().map(Judged::change).toList());
      throw refused.at(refused.places().stream().map(earlier::place).toList());
    }
  }

  private Judged judged(String summary) {
    Joined joined = new Joined(steps.stream().map(Joined.Part::of).toList());
    return new Judged(
        whole.doing(steps.stream().map(Judged::refactoring).toList()),
        joined.change(summary, left),
        joined.verdict(),
        steps.get(0).program());
  }
}
