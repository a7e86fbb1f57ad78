package paredown.refactor.operation.movemethod;

import javax.lang.model.element.VariableElement;

/** How a method finds the object that it moves to. */
sealed interface Through {

  /** The variable that holds the target; null where none does. */
  default VariableElement variable() {
    return null;
  }

  /** What it is called in a sentence and for {@code --through}. */
  String word();

  /** A parameter of the method. */
  record Parameter(int index, VariableElement variable) implements Through {
    @Override
    public String word() {
      return variable.getSimpleName().toString();
    }
  }

  /** A field of its class. */
  record Field(VariableElement variable) implements Through {
    @Override
    public String word() {
      return variable.getSimpleName().toString();
    }
  }

  /** The object around the one it is asked of. */
  record Around() implements Through {
    @Override
    public String word() {
      return "outer";
    }
  }

  /**
   * A new object.
   *
   * @param kept whether each object of the old class keeps one in a new field; made for each call
   *     where not
   */
  record Fresh(boolean kept) implements Through {
    @Override
    public String word() {
      return kept ? "new-field" : "new";
    }
  }

  /** An object that each caller has, or makes. */
  record Callers() implements Through {
    @Override
    public String word() {
      return "callers";
    }
  }

  /** No object: the method is static. */
  record Nothing() implements Through {
    @Override
    public String word() {
      return "static";
    }
  }
}
