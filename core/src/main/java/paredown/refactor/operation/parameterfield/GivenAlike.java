package paredown.refactor.operation.parameterfield;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.startup.Starts;
import paredown.refactor.use.Creation;
import paredown.refactor.use.OwnerClass;

/** What each place that makes an object gives for the field: what its calls gave. */
final class GivenAlike {
  private final MoveParameter arguments;
  private final OwnerClass owner;
  private final Program program;
  private final LosingMethods losing;
  private final Tracing tracing;
  private final Map<Tree, GivenValue> values = new IdentityHashMap<>();
  private final List<Giving> untraced = new ArrayList<>();

  private final Cannot cannot;

  private GivenAlike(MoveParameter arguments, OwnerClass owner, LosingMethods losing) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.losing = losing;
    this.tracing = new Tracing(program);
    this.cannot = new Cannot("%s cannot be a field".formatted(arguments.parameter()));
  }

  /**
   * The values, by what makes the objects.
   *
   * @throws Refused where one object is given several, or nobody sees which
   */
  static Map<Tree, GivenValue> of(
      MoveParameter arguments, OwnerClass owner, LosingMethods losing, List<Creation> creations) {
    GivenAlike alike = new GivenAlike(arguments, owner, losing);
    List<Giving> all = Giving.of(alike.program, losing);
    Optional<GivenValue> one = alike.everywhere(all);
    if (one.isPresent()) {
      creations.forEach(each -> alike.values.put(each.tree(), one.get()));
    } else {
      all.forEach(alike::trace);
      alike.requireTraced();
      creations.forEach(alike::fill);
    }
    return alike.values;
  }

  /** The one constant that all calls give. */
  private Optional<GivenValue> everywhere(List<Giving> all) {
    List<GivenValue> known = all.stream().map(this::value).distinct().toList();
    return known.size() == 1 && known.get(0).isEverywhere()
        ? Optional.of(known.get(0))
        : Optional.empty();
  }

  private GivenValue value(Giving giving) {
    Optional<GivenValue> value = GivenValue.of(giving.trees(), giving.given());
    if (value.isEmpty()) {
      throw cannot.because(
          RefusalKind.VALUE_CHANGES,
          "a call works it out anew, and another call could come to something else",
          "Give it to a variable first, before the object is made.",
          giving.place());
    }
    if (!Starts.in(program, giving.given()).isEmpty()) {
      throw cannot.because(
          RefusalKind.STARTED_EARLIER,
          "its constant would be worked out earlier, and that shows",
          "Leave the parameter where it is.",
          giving.place());
    }
    return value.get();
  }

  private void trace(Giving giving) {
    GivenValue value = value(giving);
    List<TreePath> makers =
        giving.asked().map(asked -> tracing.makers(giving.trees(), asked)).orElse(List.of());
    if (makers.isEmpty()) {
      untraced.add(giving);
    }
    for (TreePath maker : makers) {
      if (!tracing.isSame(value, giving.trees(), giving.asked().orElseThrow(), maker)) {
        throw cannot.because(
            RefusalKind.VALUE_HIDDEN,
            "%s is not known where the object is made, or could be another then"
                .formatted(value.shown()),
            "Make the object where the value is known.",
            giving.place());
      }
      GivenValue known = values.putIfAbsent(maker.getLeaf(), value);
      if (known != null && !known.equals(value)) {
        throw cannot.because(
            RefusalKind.VALUE_CHANGES,
            "one object is given %s and %s".formatted(known.shown(), value.shown()),
            "Leave the parameter where it is.",
            giving.place());
      }
    }
  }

  private void requireTraced() {
    if (untraced.isEmpty()) {
      return;
    }
    Giving first = untraced.get(0);
    if (!arguments.accepted().contains(RefusalKind.OBJECT_UNKNOWN)) {
      throw cannot.because(
          RefusalKind.OBJECT_UNKNOWN,
          "nobody sees which object a call asks, and so what it was made with",
          "Where each object is always given the same, say --accept object-unknown.",
          first.place());
    }
    owner
        .assumptions()
        .add(
            Assumption.Kind.ALIKE,
            "each %s is given the same %s in all its calls"
                .formatted(owner.simpleName(), arguments.parameter()),
            first.place());
  }

  /** An object of which no call is known gets the variable that is called as the parameter is. */
  private void fill(Creation creation) {
    if (values.containsKey(creation.tree())) {
      return;
    }
    Optional<GivenValue> standing =
        untraced.isEmpty()
            ? Optional.empty()
            : tracing.standing(creation, arguments.parameter(), losing.type());
    values.put(
        creation.tree(),
        standing.orElseThrow(
            () ->
                cannot.because(
                    RefusalKind.VALUE_HIDDEN,
                    "an object is made where nothing tells which %s it would be given"
                        .formatted(arguments.parameter()),
                    untraced.isEmpty()
                        ? "Leave the parameter where it is."
                        : "Have a variable %s in sight there.".formatted(arguments.parameter()),
                    creation.place())));
  }
}
