package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.VariableElement;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.refactor.Refused;

/** A place that says the same as a part, and could call the same method. */
record Callee(Twin twin, Extraction at, Shape shape) {

  /** The places of the class. */
  static List<Callee> of(Extraction part, Shape shape, List<VariableElement> parameters) {
    List<Callee> callees = new ArrayList<>();
    for (Twin twin : Twins.of(part.trees(), part.owner(), part.part())) {
      try {
        Extraction other = new Extraction(part.trees(), twin.part());
        Callee callee = new Callee(twin, other, other.shape());
        if (callee.fits(part, shape, parameters)
            && GivenLiteral.fit(part.trees(), part.part(), twin)) {
          callees.add(callee);
        }
      } catch (Refused | UnusableRequest other) {
        // It leaves by another way than the part, so that it cannot call the same method.
      }
    }
    return callees;
  }

  private boolean fits(Extraction part, Shape other, List<VariableElement> parameters) {
    Program program = part.trees().program();
    boolean sameResult =
        shape.result() == other.result()
            && program.types().isSameType(shape.type(), other.type())
            && (other.variable() == null
                || twin.stands(shape.variable(), other.variable(), program));
    return sameResult
        && at.owner().element().equals(part.owner().element())
        && (part.isStatic() || !at.isStatic())
        && !(other.result() == Shape.Result.SETS
            && at.locals().isUnset(shape.variable()) != part.locals().isUnset(other.variable()))
        && parameters.stream().allMatch(each -> standing(each, program) != null)
        && at.locals().inputs().stream().noneMatch(each -> isMixed(each, program));
  }

  /** Whether it sets a variable that stands for several. */
  private boolean isMixed(VariableElement variable, Program program) {
    return at.locals().isWritten(variable)
        && twin.shared().contains(program.symbols().key(variable));
  }

  /** The variable that stands here for one of the part; null where there is none. */
  VariableElement standing(VariableElement other, Program program) {
    return at.locals().inputs().stream()
        .filter(each -> twin.stands(each, other, program))
        .findFirst()
        .orElse(null);
  }
}
