package paredown.session;

import paredown.edit.Change;
import paredown.gate.Verdict;

/**
 * A preview is a change with what the first two gates say of it.
 *
 * @param command what was asked for, as it is typed
 */
public record Preview(String command, Change change, Verdict verdict) {}
