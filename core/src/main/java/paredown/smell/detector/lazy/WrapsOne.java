package paredown.smell.detector.lazy;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** A class of one value, which it gets when it is made and gives as it is, with none below it. */
final class WrapsOne {
  /** What a class could wrap and be no more than; an object of the project is another matter. */
  private static final Pattern PLAIN =
      Pattern.compile(
          "boolean|byte|short|int|long|float|double|char|Boolean|Byte|Short|Integer|Long|Float"
              + "|Double|Character|String|(?:java\\.time\\.)?(?:Instant|LocalDate\\w*|Duration)"
              + "|(?:java\\.math\\.)?Big\\w+");

  private WrapsOne() {}

  static Optional<Finding> find(TypeFact type, Grounds grounds) {
    List<MethodFact> methods = LazyFinding.instanceMethods(type);
    List<MethodFact> made = type.constructors();
    boolean bare =
        type.fields().size() == 1
            && type.instanceFields().size() == 1
            && PLAIN.matcher(type.fields().get(0).type()).matches()
            && methods.size() == 1
            && methods.get(0).isAccessor()
            && type.methods().stream().noneMatch(MethodFact::isStatic)
            && made.size() == 1
            && made.get(0).parameters().size() == 1
            && made.get(0).branches() == 1
            && type.supertypes().stream().allMatch("java.lang.Object"::equals)
            && grounds.types().values().stream()
                .noneMatch(each -> type.name().equals(each.superclass()));
    if (!bare) {
      return Optional.empty();
    }
    String value = type.fields().get(0).name();
    return Optional.of(
        LazyFinding.of(
            type,
            Form.EMPTY,
            31,
            "only wraps its " + value,
            "%s only wraps one value, and neither checks it nor does anything with it.",
            "",
            List.of(
                new Evidence.Figure("members", 2, 2, "one field, and one method that gives it"),
                LazyFinding.clients(type, grounds)),
            "This is all of it:",
            List.of(LazyFinding.row(methods.get(0), List.of()))));
  }
}
