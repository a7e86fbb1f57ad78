package paredown.remedy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.facts.TypeFact;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.text.NameWords;

/** The part of a method that sums a clump of fields up: it could go with them. */
final class SummedUp {
  private SummedUp() {}

  /** The extraction of fields with such a part first, where there is one; then as it is. */
  static List<Candidate> first(Finding finding, TypeFact type, Candidate plain) {
    ExtractClass alone = ((Cure.Extract) plain.cure()).refactoring();
    List<Candidate> all = new ArrayList<>();
    for (Evidence.Row row : finding.evidence().rows()) {
      Optional<MethodFact> method = type.method(row.member());
      boolean whole =
          method.isPresent()
              && !method.get().isConstructor()
              && row.uses().containsAll(alone.fields())
              && !alone.methods().contains(row.member());
      if (whole) {
        part(type, method.get(), new HashSet<>(alone.fields()))
            .map(span -> with(finding, alone, method.get(), span))
            .ifPresent(all::add);
      }
    }
    all.add(plain);
    return all;
  }

  private static Candidate with(Finding finding, ExtractClass alone, MethodFact method, Span span) {
    String place = "%s:%d-%d".formatted(method.range().file(), span.firstLine(), span.lastLine());
    List<String> words = NameWords.of(method.name());
    String name = words.get(words.size() - 1);
    List<String> methods = new ArrayList<>(alone.methods());
    methods.add(name);
    ExtractClass more =
        new ExtractClass(
            alone.type(),
            alone.fields(),
            methods,
            alone.name(),
            alone.wishes().parts(List.of(place)));
    return new Candidate(finding.id(), new Cure.Extract(more));
  }

  /** The statements, one behind the other, that hold every use of the fields and not all else. */
  private static Optional<Span> part(TypeFact type, MethodFact method, Set<String> fields) {
    List<Integer> uses =
        method.body().accesses().stream()
            .filter(each -> each.use().type().equals(type.name()))
            .filter(each -> fields.contains(each.use().member()))
            .map(each -> each.offset())
            .toList();
    List<Span> top = method.body().spans().stream().filter(span -> span.depth() == 0).toList();
    List<Span> holding = top.stream().filter(span -> uses.stream().anyMatch(span::holds)).toList();
    if (holding.size() < 2) {
      return Optional.empty();
    }
    int first = top.indexOf(holding.get(0));
    int last = top.indexOf(holding.get(holding.size() - 1));
    Span joined = Span.joined(top.subList(first, last + 1));
    boolean other =
        method.body().accesses().stream()
            .filter(each -> each.use().type().equals(type.name()))
            .filter(each -> joined.holds(each.offset()))
            .anyMatch(each -> !fields.contains(each.use().member()));
    boolean fits =
        last - first + 1 < top.size()
            && !joined.jumps()
            && !other
            && method.body().left(joined).size() <= 1
            && NameWords.of(method.name()).size() > 1;
    return fits ? Optional.of(joined) : Optional.empty();
  }
}
