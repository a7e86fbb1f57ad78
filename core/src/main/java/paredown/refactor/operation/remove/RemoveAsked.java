package paredown.refactor.operation.remove;

import java.util.List;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How remove class, remove member and remove parameter are asked for. */
public final class RemoveAsked {

  public static final Operation CLASS =
      Operation.of(
              Verb.REMOVE,
              "class",
              "Takes a class away that nothing uses but itself.",
              "An interface, enum or record can go as well, and what stands within it. The file "
                  + "goes where it holds nothing else. Where the test class that is named after it "
                  + "uses it, --with-tests takes that away, too.")
          .on("TYPE", "The class, with as much of its package as leaves one meaning.")
          .flag("--with-tests", "Take the test class away, too, that is named after it.")
          .accepting(RemoveClass.acceptable())
          .examples("pare remove class TideTable --with-tests")
          .reading(
              given ->
                  new RemoveClass(given.subject(), given.has("--with-tests"), given.accepted()));

  public static final Operation MEMBER =
      Operation.of(
              Verb.REMOVE,
              "member",
              "Takes fields and methods away that nothing uses but each other.",
              "Their comments go, and the imports that only they needed. Statements that do "
                  + "nothing but set a field go with it. Where tests use a member, --with-tests "
                  + "takes these tests away, too.")
          .on(
              "TYPE#MEMBER[,MEMBER]",
              "The class and its fields and methods, with parameter types where needed.")
          .flag("--with-tests", "Take the tests away, too, that use them.")
          .accepting(RemoveMember.acceptable())
          .examples("pare remove member TideTable#size --with-tests")
          .reading(RemoveAsked::member);

  public static final Operation PARAMETER =
      Operation.of(
              Verb.REMOVE,
              "parameter",
              "Takes a parameter away that nothing uses.",
              "It goes from a method, from all that override it or are overridden by it, "
                  + "and from every call. Where it is only handed on to others that do not use "
                  + "it, it goes from these, too.")
          .on(
              "TYPE#METHOD#PARAMETER",
              "The parameter, with parameter types where the method is overloaded; the name of the class"
                  + " again for a constructor.")
          .examples("pare remove parameter YearReport#euros#payer")
          .reading(RemoveAsked::parameter);

  private static RemoveMember member(Given given) {
    MemberName name = given.member("member", "TideTable#size");
    return new RemoveMember(
        name.type(), Given.parted(name.member()), given.has("--with-tests"), given.accepted());
  }

  private static RemoveParameter parameter(Given given) {
    List<String> parts =
        MemberName.parts(given.subject(), 3, "parameter", "YearReport#euros#payer");
    return new RemoveParameter(parts.get(0), parts.get(1), parts.get(2));
  }

  private RemoveAsked() {}
}
