package paredown.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.facts.TypeFact;
import paredown.measure.WorkedOut;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractmethod.ExtractStages;
import paredown.text.NameWords;

/**
 * The stages of a long method, which blank lines and comments part, or, where there are none, the
 * runs of statements that work out a value, each under a name.
 */
public final class Stages {
  private static final int LEAST_LINES = 3;

  /** What gives several values takes as many lines to be asked for them. */
  private static final int LEAST_LINES_OF_SEVERAL = 6;

  /** More values than these are no one thing. */
  private static final int MOST_RESULTS = 3;

  private Stages() {}

  /**
   * The extraction of all stages of a method.
   *
   * @param method its name, with parameter types where it is overloaded
   * @throws UnusableRequest where the class has no such method, or several
   */
  public static ExtractStages of(TypeFact type, String method) {
    List<MethodFact> meant =
        type.methods().stream()
            .filter(
                each ->
                    each.name().equals(method)
                        || each.signature().replace(" ", "").equals(method.replace(" ", "")))
            .toList();
    if (meant.size() != 1) {
      throw new UnusableRequest(
          meant.isEmpty()
              ? "%s has no method %s.".formatted(type.simpleName(), method)
              : "%s has %d methods %s.".formatted(type.simpleName(), meant.size(), method),
          meant.isEmpty()
              ? "Name one of its methods."
              : "Say which: %s."
                  .formatted(
                      String.join(", ", meant.stream().map(MethodFact::signature).toList())));
    }
    return of(type, meant.get(0));
  }

  /** The extraction of all stages of a method. */
  static ExtractStages of(TypeFact type, MethodFact method) {
    Set<String> taken = new HashSet<>();
    type.methods().forEach(each -> taken.add(each.name()));
    List<ExtractMethod> stages = new ArrayList<>();
    List<Span> parts = parts(method);
    for (int i = 0; i < parts.size(); i++) {
      Span span = parts.get(i);
      boolean leaves = span.jumps() && i + 1 < parts.size();
      if (span.lines() >= LEAST_LINES && parts.size() > 1 && !leaves) {
        Stretch stretch = Stretch.of(method, span);
        int results = stretch.results().size();
        boolean several = results > 1 && results <= MOST_RESULTS;
        if (several && span.lines() < LEAST_LINES_OF_SEVERAL) {
          continue;
        }
        String name = free(stretch.name(), taken);
        ExtractMethod stage = new ExtractMethod(stretch.place(), name);
        stages.add(several ? stage.giving(NameWords.capitalised(name)) : stage);
      }
    }
    return new ExtractStages(type.name(), method.signature().replace(" ", ""), stages);
  }

  private static List<Span> parts(MethodFact method) {
    List<List<Span>> paragraphs = method.body().paragraphs();
    if (paragraphs.size() > 1) {
      return paragraphs.stream().map(Span::joined).toList();
    }
    List<Span> runs = new ArrayList<>();
    WorkedOut.orFilledIn(method).stream()
        .filter(run -> run.depth() == 0 && !run.jumps())
        .filter(run -> Stretch.of(method, run).isCheap())
        .sorted(Comparator.comparingInt(Span::lines).reversed())
        .filter(
            run ->
                runs.stream().noneMatch(each -> each.holds(run.start()) || run.holds(each.start())))
        .forEach(runs::add);
    runs.sort(Comparator.comparingInt(Span::start));
    return runs;
  }

  private static String free(String name, Set<String> taken) {
    String free = name;
    for (int i = 2; !taken.add(free); i++) {
      free = name + i;
    }
    return free;
  }
}
