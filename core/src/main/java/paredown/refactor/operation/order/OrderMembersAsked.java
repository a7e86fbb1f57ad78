package paredown.refactor.operation.order;

import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How order members is asked for. */
public final class OrderMembersAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.ORDER,
              "members",
              "Puts each method of a type above those that it calls.",
              "These stand in the order of the calls, and plain accessors last, with their "
                  + "comments. Fields, initialisers, constructors and nested types stay where "
                  + "they are, and no method passes a comment that stands alone.")
          .on("TYPE", "The type, as short as one meaning is left.")
          .examples("pare order members Sailing")
          .reading(given -> new OrderMembers(given.subject()));

  private OrderMembersAsked() {}
}
