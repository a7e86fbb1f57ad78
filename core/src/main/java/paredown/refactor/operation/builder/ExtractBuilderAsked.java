package paredown.refactor.operation.builder;

import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How extract builder is asked for. */
public final class ExtractBuilderAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.EXTRACT,
              "builder",
              "Puts a builder in the place of constructors that grow by a parameter at a "
                  + "time.",
              "The builder is within the class. It takes what all constructors take; a "
                  + "method each gives the rest, and what is not given is as the shorter "
                  + "constructors have it. Who called a constructor asks the builder, in all "
                  + "files, tests among them. Shorter constructors that nobody calls then are "
                  + "gone; the longest one stays, and is private on request.")
          .on("TYPE", "The class, as short as one meaning is left.")
          .value("--name", "NAME", "The name of the builder; Builder where nothing is said.")
          .flag(
              "--private",
              "Make the longest constructor private, so that only the builder calls it.")
          .accepting(ExtractBuilder.acceptable())
          .examples("pare extract builder Ticket")
          .reading(
              given ->
                  new ExtractBuilder(
                      given.subject(),
                      given.value("--name").orElse(ExtractBuilder.USUAL),
                      given.has("--private"),
                      given.accepted()));

  private ExtractBuilderAsked() {}
}
