package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.VariableTree;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Part;
import paredown.refactor.code.Place;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Rounds;

/**
 * Extract variable gives the value of an expression to a new local variable, to a constant or to a
 * field of the class, and names it where the expression stood. A local variable can become a field,
 * too.
 *
 * @param kind what holds the value then
 * @param place where the expression stands, as it is typed
 * @param name of the variable or constant
 * @param onlyHere whether it is not named where the same expression stands again
 */
public record ExtractVariable(Kind kind, String place, String name, boolean onlyHere)
    implements Refactoring {

  /** What holds a value. */
  public enum Kind {
    VARIABLE,
    CONSTANT,
    FIELD;

    String word() {
      return name().toLowerCase();
    }
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireVariableName(name);
    Place wanted = Place.of(place);
    String path = wanted.path(sources, index);
    return new Rounds(sources, index)
        .ofFile(
            path,
            trees -> {
              Part part = wanted.part(trees);
              boolean declares =
                  part.trees().size() == 1 && part.first().getLeaf() instanceof VariableTree;
              if (kind == Kind.FIELD && declares) {
                return new LocalToFieldPlan(this, trees, part.first()).change();
              }
              Extracted extracted = Extracted.of(trees, wanted);
              return kind == Kind.CONSTANT
                  ? new ConstantPlan(this, extracted).change()
                  : new VariablePlan(this, extracted).change();
            });
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be a %s for it".formatted(name, kind.word()))
        .because(RefusalKind.NAME_TAKEN, verdict, "Choose another name, or take more or less.");
  }

  @Override
  public String command() {
    return "pare extract %s %s --name %s%s"
        .formatted(kind.word(), Arguments.quoted(place), name, onlyHere ? " --only-here" : "");
  }

  @Override
  public String says() {
    return "extract %s %s".formatted(kind.word(), name);
  }
}
