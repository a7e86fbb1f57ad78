package paredown.refactor.operation.extractmethod;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.plan.Arguments;
import paredown.text.Counted;

/**
 * Extract pieces makes a method of each of several pieces of code that stand elsewhere, too. A
 * piece that cannot be a method stays, and is named.
 *
 * @param pieces at least one; their places are those of the sources as they are
 */
public record ExtractPieces(List<ExtractMethod> pieces) implements Refactoring {

  public ExtractPieces {
    pieces = List.copyOf(pieces);
  }

  /** A piece is found again by what it says, wherever those before it have left it. */
  @Override
  public Optional<Steps> steps(Sources sources) {
    return Optional.of(
        new Steps(
            "%s become methods that all their places call."
                .formatted(Counted.of(pieces.size(), "piece of code", "pieces of code")),
            pieces.stream().map(each -> (Refactoring) each.quoted(sources)).toList(),
            0));
  }

  @Override
  public Refactoring doing(List<Refactoring> done) {
    Set<String> names =
        done.stream()
            .filter(ExtractMethod.class::isInstance)
            .map(each -> ((ExtractMethod) each).name())
            .collect(Collectors.toSet());
    return new ExtractPieces(pieces.stream().filter(each -> names.contains(each.name())).toList());
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("it is made of steps");
  }

  @Override
  public String command() {
    return pieces.stream().map(ExtractMethod::command).collect(Collectors.joining(Arguments.AND));
  }

  @Override
  public String says() {
    return pieces.stream()
        .map(ExtractMethod::name)
        .collect(Collectors.joining(", ", "extract methods ", ""));
  }
}
