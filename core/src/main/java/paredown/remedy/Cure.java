package paredown.remedy;

import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.movemethod.MoveMethod;

/** A cure is what a candidate would do: a refactoring with its arguments. */
public sealed interface Cure {

  /** The command that asks for it, as it is typed. */
  String command();

  /** What it does, in words: {@code move method fits to Berth}. */
  String says();

  /** Whether Pare Down can do it. */
  default boolean isThere() {
    return !(this instanceof ByHand);
  }

  /** An extraction of a class, which can be done. */
  record Extract(ExtractClass refactoring) implements Cure {
    @Override
    public String command() {
      return refactoring.command();
    }

    @Override
    public String says() {
      return refactoring.says();
    }
  }

  /**
   * A move of a method, which can be done.
   *
   * @param effect measured on the facts
   */
  record Move(MoveMethod refactoring, Effect effect) implements Cure {
    @Override
    public String command() {
      return refactoring.command();
    }

    @Override
    public String says() {
      return refactoring.says();
    }
  }

  /**
   * An extraction of a part of a method, which moves on to another class, and can be done.
   *
   * @param effect measured on the facts
   */
  record Part(ExtractMethod refactoring, Effect effect) implements Cure {
    @Override
    public String command() {
      return refactoring.command();
    }

    @Override
    public String says() {
      return refactoring.says();
    }
  }

  /**
   * A refactoring that Pare Down cannot do yet, so that it is the user's.
   *
   * @param says what it does, in words: {@code move method fits to Berth}
   * @param effect measured on the facts
   */
  record ByHand(String command, String says, Effect effect) implements Cure {}
}
