package paredown.refactor.operation.extractclass;

import java.util.List;
import paredown.UnusableRequest;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How extract class is asked for. */
public final class ExtractClassAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.EXTRACT,
              "class",
              "Takes fields of a class, and methods that need only them, into a class of "
                  + "their own.",
              "The new class stands beside the old one or within it, which holds it in a "
                  + "field. Methods that others call leave a delegate.")
          .on("TYPE", "The class, as short as one meaning is left.")
          .list("--fields", "FIELD", "The fields that leave, static ones among them.")
          .list(
              "--methods",
              "METHOD",
              "The methods that leave with them: names, or names with parameter types.")
          .value("--name", "NAME", "The name of the new class.")
          .flag(
              Operation.GROUPS,
              "Every group of members that pare why shows becomes a class, named after the word that"
                  + " its members share; those that cannot leave stay, and are named.")
          .flag("--nested", "Put the new class within the old one, instead of beside it.")
          .value("--package", "PACKAGE", "Put the new class in another package than the old one's.")
          .value(
              "--held-as",
              "FIELD",
              "The field that holds the new object; by default after the class's name.")
          .oneOf(
              "--pass-in",
              List.of("constructor", "setter"),
              "A way for another object to come into that field.")
          .oneOf(
              "--pass",
              List.of("owner", "values"),
              "What methods that need what stays receive: their old object, or its values.")
          .list(
              "--parts",
              "PLACE",
              "Places of code in methods of the class: each becomes a method first, with the last names"
                  + " that --methods gives, and leaves, too.")
          .delegating()
          .accepting(
              ExtractClass.acceptable(),
              "Refusals to overrule, since you know better; the last two where methods leave alone,"
                  + " without a delegate: ")
          .examples(
              """
              pare extract class Sailing --fields departs,arrives,tide \\
                    --methods 'crossing,leastWater()' --name Passage""")
          .reading(ExtractClassAsked::of);

  private static ExtractClass of(Given given) {
    if (!given.has("--name")) {
      throw new UnusableRequest(
          "The new class has no name.", "Say --name NAME, or --groups for all groups of members.");
    }
    return new ExtractClass(
        given.subject(),
        given.list("--fields"),
        given.list("--methods"),
        given.required("--name"),
        new ExtractClass.Wishes(
            given.delegate(),
            given.accepted(),
            given.has("--nested"),
            given.value("--package"),
            given.value("--held-as"),
            given.oneOf("--pass").map(way -> ExtractClass.Pass.valueOf(way.toUpperCase())),
            given.oneOf("--pass-in").map(way -> ExtractClass.PassIn.valueOf(way.toUpperCase())),
            given.list("--parts")));
  }

  private ExtractClassAsked() {}
}
