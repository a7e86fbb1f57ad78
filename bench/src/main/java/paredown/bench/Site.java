package paredown.bench;

import java.util.Set;
import paredown.project.Fingerprint;
import paredown.refactor.Refactoring;

/**
 * A site is a place where an operation could apply, with its arguments.
 *
 * @param kind what kind of site it is, so that every kind gets its share
 * @param callers the other files that use what it changes
 */
record Site(String kind, Refactoring operation, Set<String> callers) {

  /** Eight hexadecimal digits of what would be typed. */
  String id() {
    return new Fingerprint().add(operation.command()).hex(8);
  }
}
