package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.plan.Arguments;

/**
 * Extract stages makes a method of each stage of a long one, so that what remains reads like a list
 * of contents. A stage that cannot be a method stays, and is named.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param method the method's name, with parameter types where it is overloaded
 * @param stages the stages, from first to last
 */
public record ExtractStages(String type, String method, List<ExtractMethod> stages)
    implements Refactoring {

  public ExtractStages {
    stages = List.copyOf(stages);
  }

  /** The last stage goes first, so that those before it stay where they are. */
  @Override
  public Optional<Steps> steps(Sources sources) {
    if (stages.isEmpty()) {
      throw new UnusableRequest(
          "%s has no stages: blank lines or comments part them.".formatted(method),
          "Name the lines instead: pare extract method FILE:FIRST-LAST --name NAME.");
    }
    List<Refactoring> all = new ArrayList<>(stages);
    Collections.reverse(all);
    return Optional.of(
        new Steps("The stages of %s are methods of their own.".formatted(method), all, 0));
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("it is made of steps");
  }

  @Override
  public String command() {
    return "pare extract method %s --stages".formatted(Arguments.quoted(type + "#" + method));
  }

  @Override
  public String says() {
    return "extract the stages of " + method.replaceAll("\\(.*", "");
  }
}
