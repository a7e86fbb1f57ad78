package paredown.refactor.operation.movemethod;

import javax.lang.model.element.Modifier;
import paredown.program.Program;
import paredown.refactor.use.OwnerClass;

/**
 * A route is where a method goes, how it finds its new object there, and what stays.
 *
 * @param code what the method asks of the place that it leaves
 * @param delegate whether its old place goes on forwarding
 */
record Route(
    OwnerClass owner,
    OwnerClass target,
    OwnerClass.Method method,
    Through through,
    MovedCode code,
    boolean delegate) {

  Program program() {
    return owner.program();
  }

  /** The method's name with its parameters' types, as a message names it. */
  String subject() {
    return OwnerClass.signature(method);
  }

  boolean becomesStatic() {
    return through instanceof Through.Nothing;
  }

  /** Whether it is static, and stays so. */
  boolean staysStatic() {
    return becomesStatic() && method.is(Modifier.STATIC);
  }
}
