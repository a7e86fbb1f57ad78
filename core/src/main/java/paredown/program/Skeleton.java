package paredown.program;

import java.util.List;

/**
 * A skeleton is what other files can see of a source file: its declarations, without the bodies of
 * methods and constructors, initialiser blocks, and initialisers that are no constants.
 *
 * <p>The compiler understands it many times faster than the whole, and every name that is used from
 * elsewhere means the same.
 *
 * @param types the simple names of the top-level types that it declares
 */
record Skeleton(String text, List<String> types) {

  Skeleton {
    types = List.copyOf(types);
  }

  static Skeleton of(String text) {
    return SkeletonReader.read(text);
  }
}
