package paredown.refactor.operation.parameterfield;

import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How move parameter is asked for. */
public final class MoveParameterAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.MOVE,
              "parameter",
              "Makes a field of a parameter that every caller passes alike.",
              "The constructor takes the value then and keeps it. All methods of the class with a "
                  + "parameter of that name and type lose it, and every call; each place that makes "
                  + "an object gives what its calls gave.")
          .on(
              "TYPE#PARAMETER",
              "The class and the parameter; TYPE#METHOD#PARAMETER for one method only.")
          .value("--name", "NAME", "The name of the field, where it is to have another.")
          .accepting(MoveParameter.acceptable())
          .examples("pare move parameter LineHandler#vessel")
          .reading(MoveParameterAsked::of);

  private static MoveParameter of(Given given) {
    List<String> parts = List.of(given.subject().split("#", -1));
    boolean named = parts.size() == 2 || parts.size() == 3;
    if (!named || parts.stream().anyMatch(String::isBlank)) {
      throw new UnusableRequest(
          given.subject() + " names no parameter.",
          "Name it with its class, LineHandler#vessel for example.");
    }
    return new MoveParameter(
        parts.get(0),
        parts.size() == 3 ? Optional.of(parts.get(1)) : Optional.empty(),
        parts.get(parts.size() - 1),
        given.value("--name"),
        given.accepted());
  }

  private MoveParameterAsked() {}
}
