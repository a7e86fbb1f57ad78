package paredown.remedy;

import paredown.refactor.ExtractClass;

/**
 * A candidate is a refactoring with its arguments that, on the facts, would cure a finding.
 *
 * @param finding the finding's id
 */
public record Candidate(String finding, ExtractClass refactoring) {

  /** The finding's id and two hexadecimal digits of the arguments, the name left out. */
  public String id() {
    return finding
        + "."
        + new paredown.project.Fingerprint()
            .add(String.join(",", refactoring.fields()))
            .add(String.join(",", refactoring.methods()))
            .hex(2);
  }

  /** The same refactoring, with another name for the new class. */
  public Candidate named(String name) {
    return new Candidate(
        finding,
        new ExtractClass(refactoring.type(), refactoring.fields(), refactoring.methods(), name));
  }

  /** The same refactoring without one of its methods, and without those that call it. */
  Candidate without(java.util.Set<String> methods) {
    return new Candidate(
        finding,
        new ExtractClass(
            refactoring.type(),
            refactoring.fields(),
            refactoring.methods().stream().filter(method -> !methods.contains(method)).toList(),
            refactoring.name()));
  }
}
