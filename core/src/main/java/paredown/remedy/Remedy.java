package paredown.remedy;

import paredown.edit.Change;
import paredown.refactor.ExtractClass;

/** A remedy is a candidate that was planned on the program and not refused, with its effect. */
public record Remedy(String id, ExtractClass refactoring, Effect effect, Change change) {

  /** The part of its id that tells it from the finding's other remedies. */
  public String shortId() {
    return id.substring(id.lastIndexOf('.') + 1);
  }
}
