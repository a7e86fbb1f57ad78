package paredown.smell.detector;

import java.util.stream.Stream;
import paredown.smell.Finding;
import paredown.smell.Grounds;

/** A detector finds one kind of smell in the facts of a program. */
public interface Detector {
  Stream<Finding> find(Grounds grounds);
}
