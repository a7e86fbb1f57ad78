package paredown.refactor.operation.several;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.plan.Arguments;

/**
 * Several are refactorings that are done one after the other and make one change. One that is
 * refused is left out and named.
 *
 * @param says what they do together, in words: {@code move 3 methods to Cargo}
 * @param summary one sentence of what happens in all
 * @param all at least one; code is named as it stands in the sources as they are
 */
public record Several(String says, String summary, List<Refactoring> all) implements Refactoring {
  public Several {
    all = List.copyOf(all);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    return Optional.of(
        new Steps(summary, all.stream().map(each -> findable(each, sources)).toList(), 0));
  }

  /** Code is found again by what it says, wherever the steps before have left it. */
  private static Refactoring findable(Refactoring step, Sources sources) {
    return step instanceof ExtractMethod code ? code.quoted(sources) : step;
  }

  @Override
  public Refactoring doing(List<Refactoring> done) {
    return new Several(says, summary, done);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("it is made of steps");
  }

  @Override
  public String command() {
    return all.stream().map(Refactoring::command).collect(Collectors.joining(Arguments.AND));
  }
}
