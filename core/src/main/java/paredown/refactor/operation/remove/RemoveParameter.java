package paredown.refactor.operation.remove;

import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * Remove parameter takes a parameter that nothing uses away from a method, with all that dispatch
 * together with it, and from every call. Where it is only handed on, it goes from there, too.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param method a method's name, with parameter types where it is overloaded; the name of the class
 *     for a constructor
 * @param parameter the name of the parameter
 */
public record RemoveParameter(String type, String method, String parameter) implements Refactoring {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    return new Rounds(sources, index)
        .ofClass(
            type,
            Set.of(),
            owner -> {
              ExecutableElement meant = meant(owner);
              GoingParameters going = new GoingParameters(owner);
              going.add(meant, position(meant));
              return new Rounds.Outcome(
                  index.filesWith(going.names()),
                  new RemoveParameterPlan(this, owner, going)::change);
            });
  }

  private ExecutableElement meant(OwnerClass owner) {
    boolean constructor = method.replaceAll("\\(.*", "").equals(owner.simpleName());
    List<OwnerClass.Method> found =
        constructor ? NamedVariable.constructors(owner, method) : owner.methods(List.of(method));
    List<OwnerClass.Method> taking =
        found.stream()
            .filter(
                each ->
                    each.element().getParameters().stream()
                        .anyMatch(one -> one.getSimpleName().contentEquals(parameter)))
            .toList();
    if (taking.isEmpty()) {
      throw new UnusableRequest(
          "%s has no parameter %s.".formatted(method, parameter),
          found.isEmpty()
              ? "Name a method, or the class for a constructor."
              : "It takes %s."
                  .formatted(
                      Listed.of(
                          found.get(0).element().getParameters().stream()
                              .map(each -> each.getSimpleName().toString())
                              .toList())));
    }
    if (taking.size() > 1) {
      throw new UnusableRequest(
          "%d methods %s of %s take it.".formatted(taking.size(), method, owner.writtenName()),
          "Say which: %s."
              .formatted(
                  String.join(
                      ", ",
                      taking.stream().map(each -> NamedVariable.said(owner, each)).toList())));
    }
    return taking.get(0).element();
  }

  private int position(ExecutableElement of) {
    List<? extends VariableElement> all = of.getParameters();
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).getSimpleName().contentEquals(parameter)) {
        return i;
      }
    }
    throw new IllegalStateException(parameter);
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be removed: a call would mean something else".formatted(parameter))
        .because(RefusalKind.NAME_TAKEN, verdict, "Rename the method first: pare rename --help.");
  }

  @Override
  public String participle() {
    return "removed";
  }

  @Override
  public String command() {
    return "pare remove parameter %s"
        .formatted(Arguments.quoted(type + "#" + method + "#" + parameter));
  }

  @Override
  public String says() {
    return "remove parameter %s of %s".formatted(parameter, method.replaceAll("\\(.*", ""));
  }
}
