package paredown.refactor.operation.condition;

/** The form in which a condition becomes a question. */
public enum ConditionForm {
  /** It answers the opposite, and the branches change places. */
  TURNED,
  /** It is one with the condition of the if that is all that stands within. */
  JOINED;

  /** The word as it is typed. */
  public String word() {
    return name().toLowerCase();
  }
}
