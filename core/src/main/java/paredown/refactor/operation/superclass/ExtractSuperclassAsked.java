package paredown.refactor.operation.superclass;

import java.util.List;
import java.util.Optional;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How extract superclass is asked for. */
public final class ExtractSuperclassAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.EXTRACT,
              "superclass",
              "Takes members that classes have in common up to the class that they extend.",
              "Or to a new one that is put between. The fields and methods that these need "
                  + "go with them; what each class has in its own way becomes abstract above. The "
                  + "members of the other classes may have other names for their variables and "
                  + "private fields; they are gone then.")
          .on("TYPE[,TYPE]", "The classes; the members of the first go up.")
          .requiredList(
              "--members",
              "MEMBER",
              "Fields and methods of the first: names, or names with parameter types.")
          .list(
              "--parts",
              "PLACE",
              "Places that say the same, one in each class: each becomes a method first, with the name"
                  + " that --members gives, and that goes up.")
          .value(
              "--name",
              "NAME",
              "The name of a new class between; without it the members go to the class that they"
                  + " extend.")
          .accepting(ExtractSuperclass.acceptable())
          .examples("pare extract superclass Vessel,Berth --members name,lengthM --name Hull")
          .reading(
              given ->
                  new ExtractSuperclass(
                      Given.parted(given.subject()),
                      given.list("--members"),
                      given.list("--parts"),
                      given.value("--name"),
                      given.accepted()));

  /** The same for the class that they extend already, asked for by where the members go. */
  public static final Operation UP =
      Operation.of(
              Verb.MOVE,
              "up",
              "Takes fields and methods to the class that theirs extends.",
              "The fields and methods that these need go with them. What is meant alike in several"
                  + " classes goes up from all of them with pare extract superclass.")
          .on(
              "TYPE#MEMBER[,MEMBER]",
              "The class and its fields and methods, with parameter types where needed.")
          .accepting(ExtractSuperclass.acceptable())
          .examples("pare move up Linesman#badge")
          .reading(ExtractSuperclassAsked::up);

  private static ExtractSuperclass up(Given given) {
    MemberName name = given.member("member", "Linesman#badge");
    return new ExtractSuperclass(
        List.of(name.type()),
        Given.parted(name.member()),
        List.of(),
        Optional.empty(),
        given.accepted());
  }

  private ExtractSuperclassAsked() {}
}
