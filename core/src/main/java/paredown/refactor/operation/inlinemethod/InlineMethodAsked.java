package paredown.refactor.operation.inlinemethod;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How inline method is asked for. */
public final class InlineMethodAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.INLINE,
              "method",
              "Puts a method's code where it is called, and takes the method away.",
              "What the calls give stands where the code names its parameters, or gets a "
                  + "variable where that would not mean the same. The method must not be "
                  + "overridden. Code that returns in its middle becomes branches, and what is "
                  + "private is opened to the package where a class of it calls the method.")
          .on(
              "TYPE#METHOD",
              "The method, with its class as short as one meaning is left, and with its parameter"
                  + " types where it is overloaded.")
          .value("--at", "PLACE", "Only the calls in this place, FILE:LINE; the method stays.")
          .flag("--keep", "Leave the method where it is.")
          .accepting(InlineMethod.acceptable())
          .examples(
              "pare inline method FerryDesk#money",
              "pare inline method Sailing#leastWater --at Sailing:82")
          .reading(InlineMethodAsked::of);

  private static InlineMethod of(Given given) {
    MemberName name = given.member("method", "FerryDesk#money");
    return new InlineMethod(
        name.type(), name.member(), given.value("--at"), given.has("--keep"), given.accepted());
  }

  private InlineMethodAsked() {}
}
