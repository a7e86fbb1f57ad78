package paredown.refactor.operation.extractclass;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Arguments;
import paredown.text.Listed;

/**
 * Extract groups makes a class of each group of members of a large class, so that it holds their
 * objects and keeps what it is about. A group that cannot be taken out stays, and is named.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param groups what is taken out, one after the other
 */
public record ExtractGroups(String type, List<ExtractClass> groups) implements Refactoring {

  public ExtractGroups {
    groups = List.copyOf(groups);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    return Optional.of(
        new Steps(
            "Groups of members of %s become classes of their own: %s."
                .formatted(
                    type.substring(type.lastIndexOf('.') + 1),
                    Listed.of(groups.stream().map(ExtractClass::name).toList())),
            List.copyOf(groups),
            0));
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("it is made of steps");
  }

  @Override
  public Set<RefusalKind> accepted() {
    return groups.stream()
        .flatMap(each -> each.accepted().stream())
        .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  public String command() {
    return "pare extract class %s --groups".formatted(Arguments.quoted(type));
  }

  @Override
  public String says() {
    return groups.stream()
        .map(ExtractClass::name)
        .collect(Collectors.joining(", ", "extract classes ", ""));
  }
}
