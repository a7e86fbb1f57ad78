package paredown.refactor.operation.inlineclass;

import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How inline class is asked for. */
public final class InlineClassAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.INLINE,
              "class",
              "Puts what a class has where it is used, and takes the class away with its "
                  + "file.",
              "A subclass that adds nothing becomes its superclass; of a class that only "
                  + "passes on, callers ask what is behind it; the members of a class whose one "
                  + "object another class holds become members of that.")
          .on("TYPE", "The class, with as much of its package as leaves one meaning.")
          .value("--into", "TYPE", "The class that takes its place, where there is a choice.")
          .accepting(InlineClass.acceptable())
          .examples(
              "pare inline class VesselDirectory", "pare inline class VesselDirectory --into Fleet")
          .reading(
              given -> new InlineClass(given.subject(), given.value("--into"), given.accepted()));

  private InlineClassAsked() {}
}
