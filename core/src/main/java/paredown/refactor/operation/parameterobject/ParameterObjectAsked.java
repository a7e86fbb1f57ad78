package paredown.refactor.operation.parameterobject;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How extract parameter-object is asked for. */
public final class ParameterObjectAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.EXTRACT,
              "parameter-object",
              "Passes one object in the place of parameters that are passed together.",
              "They become a class: in the method, in all that override it or are "
                  + "overridden by it, and in every call. A caller that was given the same values "
                  + "passes its object on. Where a class of that name holds just these values "
                  + "already, its objects are passed.")
          .on(
              "TYPE#METHOD",
              "The method, with parameter types where it is overloaded; the name of the class again for"
                  + " a constructor.")
          .requiredList("--parameters", "PARAMETER", "The parameters that become one object.")
          .required("--name", "NAME", "The name of the object's class.")
          .flag(
              "--everywhere",
              "Wherever the project passes parameters of these names and types together.")
          .flag(
              "--with-methods",
              "Let private methods follow that take these values and need nothing of their own class.")
          .accepting(ExtractParameterObject.acceptable())
          .examples(
              """
              pare extract parameter-object Sailing#Sailing \\
                    --parameters departs,arrives,tide --name Passage --everywhere""")
          .reading(ParameterObjectAsked::of);

  private static ExtractParameterObject of(Given given) {
    MemberName name = given.member("method", "DeckPlan#deckFor");
    return new ExtractParameterObject(
        name.type(),
        name.member(),
        given.list("--parameters"),
        given.required("--name"),
        given.has("--everywhere"),
        given.has("--with-methods"),
        given.accepted());
  }

  private ParameterObjectAsked() {}
}
