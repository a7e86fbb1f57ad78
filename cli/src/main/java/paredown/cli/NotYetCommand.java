package paredown.cli;

import java.util.ArrayList;
import java.util.List;
import paredown.UnusableRequest;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Unmatched;

/** A command that is planned and says so, instead of pretending. */
abstract class NotYetCommand extends PareCommand {
  @Unmatched private List<String> rest = new ArrayList<>();
  @Spec private CommandSpec spec;

  @Override
  int run() {
    throw new UnusableRequest(
        spec.qualifiedName() + " is not there yet.",
        "What there is: pare survey, why, mend, extract class, extract method, extract variable, extract constant, extract field, extract parameter-object, inline class, inline method, inline variable, inline constant, inline field, move method, move field, move class, rename, order members, accept, steps, undo, test, demo.");
  }

  @Command(name = "superclass", hidden = true, description = "Not there yet.")
  static final class Extract extends NotYetCommand {}
}
