package paredown.bench.differential;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.operation.builder.ExtractBuilder;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractvariable.ExtractVariable;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.inlinemethod.InlineMethod;
import paredown.refactor.operation.inlinevariable.InlineVariable;
import paredown.refactor.operation.movefield.MoveField;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.order.OrderMembers;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.refactor.operation.rename.Rename;
import paredown.refactor.operation.rename.RenameType;
import paredown.refactor.operation.superclass.ExtractSuperclass;

/** A typed command as the operation that it asks for. */
final class Typed {
  private final List<String> words;

  private Typed(String command) {
    this.words = Arrays.asList(command.split(" "));
  }

  static Refactoring refactoring(String command) {
    return new Typed(command).refactoring();
  }

  private Optional<String> option(String name) {
    int at = words.indexOf(name);
    return at < 0 ? Optional.empty() : Optional.of(words.get(at + 1));
  }

  private List<String> list(String name) {
    return option(name).map(all -> List.of(all.split(";|,(?![^(]*\\))"))).orElse(List.of());
  }

  private Refactoring refactoring() {
    Optional<Boolean> delegate = option("--delegate").map("keep"::equals);
    Set<RefusalKind> accepted = EnumSet.noneOf(RefusalKind.class);
    list("--accept")
        .forEach(kind -> accepted.add(RefusalKind.valueOf(kind.toUpperCase().replace('-', '_'))));
    if (words.get(0).equals("inline") && words.get(1).equals("class")) {
      return new InlineClass(words.get(2), option("--into"), accepted);
    }
    if (words.get(0).equals("extract") && words.get(1).equals("method")) {
      return new ExtractMethod(
          words.get(2),
          option("--name").orElseThrow(),
          Optional.empty(),
          option("--duplicates")
              .map(word -> Duplicates.valueOf(word.toUpperCase()))
              .orElse(Duplicates.NONE),
          accepted);
    }
    if (words.get(0).equals("extract") && words.get(1).equals("parameter-object")) {
      String[] named = words.get(2).split("#");
      return new ExtractParameterObject(
          named[0],
          named[1],
          list("--parameters"),
          option("--name").orElseThrow(),
          words.contains("--everywhere"));
    }
    if (words.get(0).equals("remove")) {
      String[] named = words.get(2).split("#");
      return words.get(1).equals("parameter")
          ? new RemoveParameter(named[0], named[1], named[2])
          : new RemoveMember(named[0], List.of(named[1].split(";")), false, accepted);
    }
    if (words.get(0).equals("extract") && words.get(1).equals("builder")) {
      return new ExtractBuilder(words.get(2), ExtractBuilder.USUAL, accepted);
    }
    if (words.get(0).equals("extract") && words.get(1).equals("superclass")) {
      return new ExtractSuperclass(
          List.of(words.get(2).split(",")),
          list("--members"),
          list("--parts"),
          option("--name"),
          accepted);
    }
    if (words.get(0).equals("extract") && !words.get(1).equals("class")) {
      return new ExtractVariable(
          ExtractVariable.Kind.valueOf(words.get(1).toUpperCase()),
          words.get(2),
          option("--name").orElseThrow(),
          words.contains("--only-here"));
    }
    if (words.get(0).equals("extract")) {
      return new ExtractClass(
          words.get(2),
          list("--fields"),
          list("--methods"),
          option("--name").orElseThrow(),
          new ExtractClass.Wishes(
              delegate,
              accepted,
              words.contains("--nested"),
              option("--package"),
              option("--held-as"),
              option("--pass").map(way -> ExtractClass.Pass.valueOf(way.toUpperCase())),
              option("--pass-in").map(way -> ExtractClass.PassIn.valueOf(way.toUpperCase()))));
    }
    if (words.get(0).equals("inline") && words.get(1).equals("method")) {
      String[] named = words.get(2).split("#");
      return new InlineMethod(
          named[0], named[1], option("--at"), words.contains("--keep"), accepted);
    }
    if (words.get(0).equals("inline")) {
      return new InlineVariable(words.get(2));
    }
    if (words.get(0).equals("order")) {
      return new OrderMembers(words.get(2));
    }
    if (words.get(0).equals("rename")) {
      String[] named = words.get(1).split("#");
      if (named.length == 1) {
        return new RenameType(named[0], option("--name").orElseThrow(), accepted);
      }
      return new Rename(
          named[0],
          named[1],
          named.length > 2 ? named[2] : "",
          option("--name").orElseThrow(),
          words.contains("--accessors"),
          accepted);
    }
    String[] member = words.get(2).split("#");
    if (words.get(1).equals("field")) {
      return new MoveField(
          member[0], member[1], option("--to").orElseThrow(), option("--through"), accepted);
    }
    return new MoveMethod(
        member[0],
        member[1],
        option("--to").orElseThrow(),
        new MoveMethod.Wishes(
            option("--through"),
            delegate,
            option("--pass").filter("owner"::equals).isPresent(),
            option("--name"),
            accepted));
  }
}
