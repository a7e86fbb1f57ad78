package paredown.refactor.operation.inlinevariable;

import java.util.regex.Pattern;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Place;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Rounds;

/**
 * Inline variable puts the value of a local variable wherever the variable is used, and takes its
 * declaration away.
 *
 * @param what {@code TYPE#METHOD#VARIABLE}, or the place of its declaration: {@code FILE:LINE}
 */
public record InlineVariable(String what) implements Refactoring {
  private static final Pattern NAMED = Pattern.compile("([^#]+)#([^#]+)#([^#:]+)");

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    var named = NAMED.matcher(what);
    String path =
        named.matches() ? index.type(named.group(1)).file() : Place.of(what).path(sources, index);
    return new Rounds(sources, index)
        .ofFile(path, trees -> new InlineVariablePlan(variable(trees, index)).change());
  }

  private Variable variable(UnitTrees trees, SourceIndex index) {
    var named = NAMED.matcher(what);
    return named.matches()
        ? Variable.of(trees.program(), index.type(named.group(1)), named.group(2), named.group(3))
        : Variable.at(trees, Place.of(what));
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("Its value does not mean the same where the variable is used")
        .because(
            RefusalKind.INFERRED_TYPE,
            verdict,
            "Leave the variable, or write there what its value needs.");
  }

  @Override
  public String participle() {
    return "inlined";
  }

  @Override
  public String command() {
    return "pare inline variable " + Arguments.quoted(what);
  }

  @Override
  public String says() {
    return "inline variable " + what.substring(what.lastIndexOf('#') + 1);
  }
}
