package paredown.refactor.operation.movedown;

import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;

/** How move down is asked for. */
public final class MoveDownAsked {

  public static final Operation OPERATION =
      Operation.of(
              Verb.MOVE,
              "down",
              "Takes fields and methods to a class below theirs that alone is asked for them.",
              "What they need of their old class they have from above; what is private there becomes"
                  + " visible to them. Every object that is asked for them must be one of the class"
                  + " below, and nothing else may override them.")
          .on(
              "TYPE#MEMBER[,MEMBER]",
              "The class and its fields and methods, with parameter types where needed.")
          .required("--to", "TYPE", "The class below that gets them.")
          .accepting(MoveDown.acceptable())
          .examples("pare move down QuayHand#throwM --to Linesman")
          .reading(MoveDownAsked::of);

  private static MoveDown of(Given given) {
    MemberName name = given.member("member", "QuayHand#throwM");
    return new MoveDown(
        name.type(), Given.parted(name.member()), given.required("--to"), given.accepted());
  }

  private MoveDownAsked() {}
}
