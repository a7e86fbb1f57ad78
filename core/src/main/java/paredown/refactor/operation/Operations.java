package paredown.refactor.operation;

import java.util.ArrayList;
import java.util.List;
import paredown.UnusableRequest;
import paredown.refactor.Refactoring;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;
import paredown.refactor.operation.builder.ExtractBuilderAsked;
import paredown.refactor.operation.changetype.ChangeTypeAsked;
import paredown.refactor.operation.extractclass.ExtractClassAsked;
import paredown.refactor.operation.extractmethod.ExtractMethodAsked;
import paredown.refactor.operation.extractvariable.ExtractVariableAsked;
import paredown.refactor.operation.inlineclass.InlineClassAsked;
import paredown.refactor.operation.inlinefield.InlineFieldAsked;
import paredown.refactor.operation.inlinemethod.InlineMethodAsked;
import paredown.refactor.operation.inlinevariable.InlineVariableAsked;
import paredown.refactor.operation.movedown.MoveDownAsked;
import paredown.refactor.operation.movefield.MoveFieldAsked;
import paredown.refactor.operation.movemethod.MoveMethodAsked;
import paredown.refactor.operation.movetype.MoveTypeAsked;
import paredown.refactor.operation.order.OrderMembersAsked;
import paredown.refactor.operation.parameterfield.MoveParameterAsked;
import paredown.refactor.operation.parameterobject.ParameterObjectAsked;
import paredown.refactor.operation.remove.RemoveAsked;
import paredown.refactor.operation.rename.RenameAsked;
import paredown.refactor.operation.superclass.ExtractSuperclassAsked;
import paredown.refactor.operation.value.ExtractValueAsked;

/** The register of all operations, in the order in which help lists them. */
public final class Operations {
  private static final List<Operation> ALL =
      List.of(
          ExtractClassAsked.OPERATION,
          ExtractMethodAsked.OPERATION,
          ExtractVariableAsked.VARIABLE,
          ExtractVariableAsked.CONSTANT,
          ExtractVariableAsked.FIELD,
          ParameterObjectAsked.OPERATION,
          ExtractSuperclassAsked.OPERATION,
          ExtractBuilderAsked.OPERATION,
          ExtractValueAsked.OPERATION,
          InlineMethodAsked.OPERATION,
          InlineVariableAsked.OPERATION,
          InlineFieldAsked.CONSTANT,
          InlineFieldAsked.FIELD,
          InlineClassAsked.OPERATION,
          MoveMethodAsked.OPERATION,
          MoveFieldAsked.OPERATION,
          MoveTypeAsked.OPERATION,
          MoveParameterAsked.OPERATION,
          ExtractSuperclassAsked.UP,
          MoveDownAsked.OPERATION,
          RenameAsked.OPERATION,
          ChangeTypeAsked.OPERATION,
          OrderMembersAsked.OPERATION,
          RemoveAsked.CLASS,
          RemoveAsked.MEMBER,
          RemoveAsked.PARAMETER);

  private Operations() {}

  public static List<Operation> all() {
    return ALL;
  }

  /** Those of one verb. */
  public static List<Operation> of(Verb verb) {
    return ALL.stream().filter(each -> each.verb() == verb).toList();
  }

  /**
   * The refactoring that the words of a command ask for.
   *
   * @param words without the program's name
   * @throws UnusableRequest where they are none of an operation's
   */
  public static Refactoring read(List<String> words) {
    for (Operation operation : ALL) {
      List<String> own = List.of(operation.words().split(" "));
      if (words.size() > own.size() && words.subList(0, own.size()).equals(own)) {
        List<String> rest = new ArrayList<>(words.subList(own.size(), words.size()));
        return Given.of(operation, rest).refactoring();
      }
    }
    throw new UnusableRequest(
        "This asks for no operation: " + String.join(" ", words), "pare --help lists them all.");
  }
}
