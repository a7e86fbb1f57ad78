package paredown.smell.detector.lazy;

import java.util.List;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** A class that no other uses, or only tests. */
final class Unused {
  private Unused() {}

  static Finding find(TypeFact type, Grounds grounds) {
    boolean tested = grounds.facts().testWords().hold(type.simpleName());
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "clients",
                0,
                -1,
                tested ? "no class uses it but tests" : "no class uses it, and no test"));
    return LazyFinding.of(
        type,
        Form.UNUSED,
        tested ? 40 : 45,
        tested ? "only tests use it" : "nobody uses it",
        "Nobody uses %s any more" + (tested ? " but tests." : "."),
        "",
        figures,
        "",
        List.of());
  }
}
