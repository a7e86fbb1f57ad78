package paredown.cli;

import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.inlinefield.InlineField;
import paredown.refactor.operation.inlinemethod.InlineMethod;
import paredown.refactor.operation.inlinevariable.InlineVariable;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The inlining operations. */
@Command(
    name = "inline",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Says what a name stands for, wherever the name is used, and takes it away.",
    footer = {
      "",
      "Examples:",
      "  pare inline variable 'Tide#depthAt#fallen'",
      "  pare inline method FerryDesk#money",
      "  pare inline class VesselDirectory"
    },
    subcommands = {
      InlineCommand.OfMethod.class,
      InlineCommand.OfVariable.class,
      InlineCommand.OfConstant.class,
      InlineCommand.OfField.class,
      InlineCommand.OfClass.class
    })
final class InlineCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest(
        "Inline what?",
        "Try --help of pare inline class, inline method, inline variable, inline constant, inline field.");
  }

  /** Puts the code of a method where the method is called. */
  @Command(
      name = "method",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts a method's code where it is called, and takes the method away.",
        "What the calls give stands where the code names its parameters, or gets a variable where",
        "that would not mean the same. The method must not be overridden, and return at its end."
      },
      footer = {
        "",
        "Examples:",
        "  pare inline method FerryDesk#money",
        "  pare inline method Sailing#leastWater --at Sailing:82",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfMethod extends ChangeCommand {
    @Parameters(
        paramLabel = "TYPE#METHOD",
        description =
            "The method, with its class as short as one meaning is left, "
                + "and with its parameter types where it is overloaded.")
    private String what;

    @Option(
        names = "--at",
        paramLabel = "PLACE",
        description = "Only the calls in this place, FILE:LINE; the method stays.")
    private String at;

    @Option(names = "--keep", description = "Leave the method where it is.")
    private boolean keep;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: mapped-field, "
                + "reflected, started-earlier.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      MemberName name = MemberName.of(what, "method", "FerryDesk#money");
      return session.preview(
          new InlineMethod(
              name.type(),
              name.member(),
              Optional.ofNullable(at),
              keep,
              Accepted.of(accepted, InlineMethod.acceptable())));
    }
  }

  /** Puts the value of a local variable where the variable is used. */
  @Command(
      name = "variable",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts a variable's value where it is used, and takes the variable away.",
        "The value must be the same there, and must not be worked out more often where that shows."
      },
      footer = {
        "",
        "Examples:",
        "  pare inline variable 'Tide#depthAt#fallen'",
        "  pare inline variable FerryDesk:64",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfVariable extends ChangeCommand {
    @Parameters(
        paramLabel = "VARIABLE",
        description =
            "TYPE#METHOD#VARIABLE, or FILE:LINE where it is declared. A "
                + "type may stand for its file.")
    private String what;

    @Override
    Preview preview(Session session) {
      return session.preview(new InlineVariable(what));
    }
  }

  /** The arguments of what inlines a field. */
  abstract static class Field extends ChangeCommand {
    @Parameters(
        paramLabel = "TYPE#FIELD",
        description = "The field, with its class as short as one meaning is left.")
    private String what;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: mapped-field, "
                + "reflected, serialized, started-earlier.")
    private List<String> accepted = List.of();

    abstract boolean isConstant();

    @Override
    Preview preview(Session session) {
      MemberName name = MemberName.of(what, "field", "DuesClerk#CENTS_A_METRE");
      return session.preview(
          new InlineField(
              name.type(),
              name.member(),
              isConstant(),
              Accepted.of(accepted, InlineField.acceptable())));
    }
  }

  /** Puts the value of a constant where the constant is named. */
  @Command(
      name = "constant",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts a constant's value where it is named, and takes the constant away.",
        "All files follow; names that the value needs are written as they are known there."
      },
      footer = {
        "",
        "Example:",
        "  pare inline constant DuesClerk#CENTS_A_METRE",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfConstant extends Field {
    @Override
    boolean isConstant() {
      return true;
    }
  }

  /** Puts the value of a field where the field is read. */
  @Command(
      name = "field",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts a field's one value where it is read, and takes the field away.",
        "The field must be declared with its value and set nowhere else, and the value must be the",
        "same for each object."
      },
      footer = {
        "",
        "Example:",
        "  pare inline field DuesClerk#CENTS_A_METRE",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfField extends Field {
    @Override
    boolean isConstant() {
      return false;
    }
  }

  /** Puts what a class has where it is used. */
  @Command(
      name = "class",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts what a class has where it is used, and takes the class away with its file.",
        "A subclass that adds nothing becomes its superclass; of a class that only passes on, callers",
        "ask what is behind it; the members of a class whose one object another class holds become",
        "members of that."
      },
      footer = {
        "",
        "Examples:",
        "  pare inline class VesselDirectory",
        "  pare inline class VesselDirectory --into Fleet",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfClass extends ChangeCommand {
    @Parameters(
        paramLabel = "TYPE",
        description = "The class, with as much of its package as leaves one meaning.")
    private String type;

    @Option(
        names = "--into",
        paramLabel = "TYPE",
        description = "The class that takes its place, where there is a choice.")
    private String into;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: serialized, "
                + "mapped-class, reflected, named-elsewhere.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      return session.preview(
          new InlineClass(
              type, Optional.ofNullable(into), Accepted.of(accepted, InlineClass.acceptable())));
    }
  }
}
