package paredown.bench.sites;

import java.util.Set;
import paredown.project.Fingerprint;
import paredown.refactor.Refactoring;

/**
 * A site is a place where an operation could apply, with its arguments.
 *
 * @param kind what kind of site it is, so that every kind gets its share
 * @param callers the other files that use what it changes
 * @param legal whether a programmer could ask for it at all, as far as declarations and text tell,
 *     whatever becomes of it: nobody takes a method that overrides, has an annotation or is named
 *     by a file that is not Java away without a trace, makes objects of what has none, or moves a
 *     method to what it does not ask
 */
public record Site(String kind, Refactoring operation, Set<String> callers, boolean legal) {

  /** A site that a programmer could ask for. */
  public Site(String kind, Refactoring operation, Set<String> callers) {
    this(kind, operation, callers, true);
  }

  /** Eight hexadecimal digits of what would be typed. */
  public String id() {
    return new Fingerprint().add(operation.command()).hex(8);
  }
}
