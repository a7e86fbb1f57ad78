package paredown.measure;

import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/** The size of a class. */
public final class Size {
  private Size() {}

  /**
   * Weighted methods per class: the sum of the cyclomatic complexities of all its methods and
   * constructors; 0 for a class without bodies.
   *
   * <p>Chidamber and Kemerer, "A metrics suite for object oriented design", 1994, with the weights
   * of McCabe, "A complexity measure", 1976.
   */
  public static int weightedMethods(TypeFact type) {
    return type.methods().stream().mapToInt(MethodFact::branches).sum();
  }

  /** Methods that do more than give or set a field; constructors and bodiless ones left out. */
  public static long methodsWithLogic(TypeFact type) {
    return type.methods().stream().filter(Size::hasLogic).count();
  }

  /** Whether it is one of these. */
  public static boolean hasLogic(MethodFact method) {
    return !method.isConstructor() && !method.isAbstract() && !method.isAccessor();
  }
}
