package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.List;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.text.Listed;

/** Code that becomes methods first, which then leave with the fields. */
final class PartsFirst {
  private PartsFirst() {}

  /** The extractions of the parts, and then that of the class. */
  static Refactoring.Steps steps(ExtractClass whole, Sources sources) {
    List<String> parts = whole.wishes().parts();
    List<String> methods = whole.methods();
    if (methods.size() < parts.size()) {
      throw new UnusableRequest(
          "A part has no name for its method.", "Say one at the end of --methods for each.");
    }
    List<String> names = methods.subList(methods.size() - parts.size(), methods.size());
    List<Refactoring> all = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      all.add(new ExtractMethod(parts.get(i), names.get(i)));
    }
    ExtractClass rest =
        new ExtractClass(
            whole.type(), whole.fields(), methods, whole.name(), whole.wishes().parts(List.of()));
    all.addAll(rest.steps(sources).map(Refactoring.Steps::all).orElse(List.of(rest)));
    return new Refactoring.Steps(
        "%s leave %s as %s, with %s, which %s before."
            .formatted(
                Listed.of(whole.fields()),
                whole.type().substring(whole.type().lastIndexOf('.') + 1),
                whole.name(),
                Listed.of(names),
                parts.size() == 1 ? "was a part of a method" : "were parts of methods"),
        all);
  }
}
