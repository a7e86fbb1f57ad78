package paredown.refactor.operation.changetype;

import com.sun.source.tree.VariableTree;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.UnitTrees;

/** What the compiler finds out of a variable: the type that it does not say, and its value. */
record KnownVariable(Program program, Exchange exchange) {

  /** The edit of its name that says so; empty where the compiler finds out nothing. */
  Optional<Replacement> edit(UnitTrees trees, VariableTree variable) {
    int at = trees.names().of(variable);
    Written.Text text = Written.text("");
    List<Replacement.Dropped> gone = new ArrayList<>();
    for (Use use : program.uses().within(trees.path(), at, at + 1)) {
      if (use.kind() == UseKind.INFERRED) {
        text.here(use.kind(), "inferred " + program.symbols().text(exchange.to()), use.place());
      } else if (use.isConstant() && exchange.maker().isEmpty()) {
        text.here(use.kind(), constant(use.key()), use.place());
      } else if (use.isConstant()) {
        gone.add(new Replacement.Dropped(use.place(), "it is an object now"));
      }
    }
    String name = variable.getName().toString();
    Written done = text.text(name).done();
    return done.uses().isEmpty() && gone.isEmpty()
        ? Optional.empty()
        : Optional.of(new Replacement(at, at + name.length(), List.of(done), gone));
  }

  /** A whole number as a constant of the new type. */
  private String constant(String key) {
    String value = key.substring("constant ".length());
    return switch (exchange.to().getKind()) {
      case DOUBLE -> "constant " + Double.parseDouble(number(value));
      case FLOAT -> "constant " + Float.parseFloat(number(value));
      case INT, LONG, SHORT -> "constant " + number(value);
      default -> key;
    };
  }

  private String number(String value) {
    return switch (exchange.from().getKind()) {
      case CHAR -> String.valueOf((int) value.charAt(0));
      default -> value;
    };
  }
}
