package paredown.cli;

import java.util.List;
import paredown.UnusableRequest;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The operations that take away what nothing uses. */
@Command(
    name = "remove",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Takes away members and parameters that nothing uses.",
    footer = {
      "",
      "Examples:",
      "  pare remove member TideTable#size --with-tests",
      "  pare remove parameter YearReport#euros#payer"
    },
    subcommands = {RemoveCommand.OfMember.class, RemoveCommand.OfParameter.class})
final class RemoveCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest(
        "Remove what?", "Try --help of pare remove member, remove parameter.");
  }

  /** Takes members away that nothing uses but each other. */
  @Command(
      name = "member",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Takes fields and methods away that nothing uses but each other, with their comments and the",
        "imports that only they needed. Statements that do nothing but set a field go with it. Where",
        "tests use a member, --with-tests takes these tests away, too."
      },
      footer = {
        "",
        "Example:",
        "  pare remove member TideTable#size --with-tests",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfMember extends ChangeCommand {
    @Parameters(
        paramLabel = "TYPE#MEMBER[,MEMBER]",
        description = "The class and its fields and methods, with parameter types where needed.")
    private String what;

    @Option(names = "--with-tests", description = "Take the tests away, too, that use them.")
    private boolean withTests;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: mapped-field, reflected, serialized,"
                + " named-elsewhere.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      MemberName name = MemberName.of(what, "member", "TideTable#size");
      return session.preview(
          new RemoveMember(
              name.type(),
              ExtractClassCommand.selectors(name.member()),
              withTests,
              Accepted.of(accepted, RemoveMember.acceptable())));
    }
  }

  /** Takes a parameter away that nothing uses. */
  @Command(
      name = "parameter",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Takes a parameter away that nothing uses: from a method, from all that override it or are",
        "overridden by it, and from every call. Where it is only handed on to others that do not use",
        "it, it goes from these, too."
      },
      footer = {
        "",
        "Example:",
        "  pare remove parameter YearReport#euros#payer",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfParameter extends ChangeCommand {
    @Parameters(
        paramLabel = "TYPE#METHOD#PARAMETER",
        description =
            "The parameter, with parameter types where the method is overloaded; the name of the"
                + " class again for a constructor.")
    private String what;

    @Override
    Preview preview(Session session) {
      String[] parts = what.split("#", -1);
      if (parts.length != 3 || List.of(parts).contains("")) {
        throw new UnusableRequest(
            what + " names no parameter.",
            "Name it with its class and method, YearReport#euros#payer for example.");
      }
      return session.preview(new RemoveParameter(parts[0], parts[1], parts[2]));
    }
  }
}
