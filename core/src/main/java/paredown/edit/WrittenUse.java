package paredown.edit;

import java.util.Optional;
import paredown.program.Use;
import paredown.program.UseKind;

/**
 * A written use is a name in written text, what it is meant to bind to, and which old use it
 * replaces.
 *
 * @param offset within the written text
 * @param standsFor the use of the old text that this one stands for; empty where it is new
 */
public record WrittenUse(int offset, UseKind kind, Meaning meaning, Optional<Use.Place> standsFor) {

  WrittenUse shifted(int by) {
    return new WrittenUse(offset + by, kind, meaning, standsFor);
  }
}
