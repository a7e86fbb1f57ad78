package paredown.refactor.operation.inlinemethod;

import javax.lang.model.element.Element;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.Sight;
import paredown.refactor.name.Widening;
import paredown.refactor.use.OwnerClass;

/**
 * Whether the code of a method sees what it names where it is called: what its package does not see
 * yet is opened for that, and no further.
 */
record SeenThere(OwnerClass owner, OwnerClass.Method method, BodyNames names, Widening widening) {

  void require(Call call, Given values) {
    Program program = owner.program();
    boolean below = program.isOrIsBelow(call.type(), owner.element());
    if (!call.isWithin(owner.element())) {
      Sight sight = new Sight(call.type(), program);
      boolean inherited = below && (values.object() == null || isOf(values.object(), call));
      for (Element element : names.named()) {
        boolean own = element instanceof VariableElement && !element.getKind().isField();
        boolean given = values.object() != null && isGiven(element);
        if (!own && !given && sight.hides(element) && !(inherited && Sight.isSeenBelow(element))) {
          open(element, sight, call);
        }
      }
    }
    boolean inner = values.object() == null && !below;
    if (inner && names.selves().stream().anyMatch(self -> self.member() == null)) {
      throw Refused.advising(
          RefusalKind.INNER_OBJECT,
          "The code hands out its object, which is another one where it is called.",
          "Inline the other calls with --at, or leave the method.",
          call.place());
    }
  }

  /** Whether a record gives a component to all who see it. */
  private boolean isGiven(Element element) {
    return Accessors.unwritten(owner.program(), element).isPresent();
  }

  /** Whether an object is of the class around the call, which may then ask it as its own. */
  private boolean isOf(Value object, Call call) {
    var types = owner.program().types();
    return types.isSubtype(types.erasure(object.type()), types.erasure(call.type().asType()));
  }

  private void open(Element element, Sight sight, Call call) {
    if (!sight.isNear(element)) {
      throw Refused.advising(
          RefusalKind.HIDDEN_FROM_OUTSIDE,
          "%s cannot be seen where it is called."
              .formatted(element.getSimpleName().toString().replace("<init>", "What it makes")),
          "Inline the calls that can see it with --at, or leave the method.",
          call.place());
    }
    widening.open(element, sight, method.name(), call.place());
  }
}
