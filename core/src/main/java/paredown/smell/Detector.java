package paredown.smell;

import java.util.stream.Stream;

/** A detector finds one kind of smell in the facts of a program. */
public interface Detector {
  Stream<Finding> find(Grounds grounds);
}
