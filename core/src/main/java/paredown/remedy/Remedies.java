package paredown.remedy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refused;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
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
    Planning planning = new Planning(grounds.facts(), sources, index);
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
        Remedy remedy = planning.planOnCondition(candidate);
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
}
