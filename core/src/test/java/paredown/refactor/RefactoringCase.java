package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assertions.fail;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import paredown.Fixture;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.operation.builder.ExtractBuilder;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractvariable.ExtractVariable;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.inlinefield.InlineField;
import paredown.refactor.operation.inlinemethod.InlineMethod;
import paredown.refactor.operation.inlinevariable.InlineVariable;
import paredown.refactor.operation.movefield.MoveField;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.movetype.MoveType;
import paredown.refactor.operation.order.OrderMembers;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.refactor.operation.rename.Rename;
import paredown.refactor.operation.rename.RenameType;
import paredown.refactor.operation.superclass.ExtractSuperclass;
import paredown.refactor.plan.Judged;

/**
 * A case is a pair of sources before and after a refactoring, or the refusal that it meets.
 *
 * <p>Its file begins with {@code #} and a sentence, then the operation as it would be typed; then
 * files behind {@code --- before PATH} and {@code --- after PATH}, or {@code --- refused KIND
 * PLACE}. A case that is refused may go on with what would come of it, {@code --- assumes KIND
 * PLACE}: an assumption that the change rests on; and {@code --- shows BEFORE -> AFTER}: what
 * {@code ferry.Probe.run()} gives then. A line {@code lines end with CRLF} says that all of its
 * files do.
 */
record RefactoringCase(
    String sentence,
    List<String> operation,
    Map<String, String> before,
    Map<String, String> after,
    String refused,
    List<String> assumed,
    String shows) {

  static List<RefactoringCase> all(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      List<RefactoringCase> cases = new ArrayList<>();
      for (Path file : files.filter(f -> f.toString().endsWith(".case")).sorted().toList()) {
        cases.add(parse(Files.readString(file)));
      }
      return cases;
    }
  }

  private static RefactoringCase parse(String text) {
    List<String> lines = text.lines().toList();
    String sentence = lines.get(0).substring(2);
    List<String> operation = List.of(lines.get(1).split(" "));
    String end = lines.contains("lines end with CRLF") ? "\r\n" : "\n";
    Map<String, String> before = new TreeMap<>();
    Map<String, String> after = new TreeMap<>();
    String refused = "";
    List<String> assumed = new ArrayList<>();
    String shows = "";
    Map<String, String> into = null;
    String path = "";
    for (String line : lines.subList(2, lines.size())) {
      if (line.startsWith("--- before ") || line.startsWith("--- after ")) {
        into = line.startsWith("--- before ") ? before : after;
        path = line.substring(line.lastIndexOf(' ') + 1);
        into.put(path, "");
      } else if (line.startsWith("--- refused ")) {
        refused = line.substring("--- refused ".length());
        into = null;
      } else if (line.startsWith("--- assumes ")) {
        assumed.add(line.substring("--- assumes ".length()));
        into = null;
      } else if (line.startsWith("--- shows ")) {
        shows = line.substring("--- shows ".length());
        into = null;
      } else if (into != null) {
        into.merge(path, line + end, String::concat);
      }
    }
    return new RefactoringCase(sentence, operation, before, after, refused, assumed, shows);
  }

  /** The value of an option of the operation; empty where it is not given. */
  String option(String name) {
    int at = operation.indexOf(name);
    return at < 0 ? "" : operation.get(at + 1);
  }

  private Optional<String> optional(String name) {
    return Optional.of(option(name)).filter(value -> !value.isEmpty());
  }

  private static Duplicates duplicates(String word) {
    return word.isEmpty() ? Duplicates.NONE : Duplicates.valueOf(word.toUpperCase());
  }

  /** The operation with its arguments. */
  Refactoring refactoring() {
    if (operation.get(0).equals("extract") && operation.get(1).equals("method")) {
      return new ExtractMethod(
          operation.get(2),
          option("--name"),
          optional("--to"),
          duplicates(option("--duplicates")),
          accepted());
    }
    if (operation.get(0).equals("extract") && operation.get(1).equals("parameter-object")) {
      String[] named = operation.get(2).split("#");
      return new ExtractParameterObject(
          named[0],
          named[1],
          List.of(option("--parameters").split(",")),
          option("--name"),
          operation.contains("--everywhere"));
    }
    if (operation.get(0).equals("extract") && operation.get(1).equals("builder")) {
      return new ExtractBuilder(
          operation.get(2), optional("--name").orElse(ExtractBuilder.USUAL), accepted());
    }
    if (operation.get(0).equals("extract") && operation.get(1).equals("superclass")) {
      return new ExtractSuperclass(
          List.of(operation.get(2).split(",")),
          List.of(option("--members").split(",(?![^(]*\\))")),
          optional("--parts").map(parts -> List.of(parts.split(","))).orElse(List.of()),
          optional("--name"),
          accepted());
    }
    if (operation.get(0).equals("extract") && !operation.get(1).equals("class")) {
      return new ExtractVariable(
          ExtractVariable.Kind.valueOf(operation.get(1).toUpperCase()),
          operation.get(2),
          option("--name"),
          operation.contains("--only-here"));
    }
    if (operation.get(0).equals("extract")) {
      return new ExtractClass(
          operation.get(2),
          optional("--fields").map(fields -> List.of(fields.split(","))).orElse(List.of()),
          optional("--methods").map(methods -> List.of(methods.split(";"))).orElse(List.of()),
          option("--name"),
          new ExtractClass.Wishes(
              delegate(),
              accepted(),
              operation.contains("--nested"),
              optional("--package"),
              optional("--held-as"),
              optional("--pass").map(way -> ExtractClass.Pass.valueOf(way.toUpperCase())),
              optional("--pass-in").map(way -> ExtractClass.PassIn.valueOf(way.toUpperCase()))));
    }
    if (operation.get(0).equals("inline") && operation.get(1).equals("method")) {
      String[] member = operation.get(2).split("#");
      return new InlineMethod(
          member[0], member[1], optional("--at"), operation.contains("--keep"), accepted());
    }
    if (operation.get(0).equals("inline") && operation.get(1).equals("class")) {
      return new InlineClass(operation.get(2), optional("--into"), accepted());
    }
    if (operation.get(0).equals("inline") && !operation.get(1).equals("variable")) {
      String[] member = operation.get(2).split("#");
      return new InlineField(member[0], member[1], operation.get(1).equals("constant"), accepted());
    }
    if (operation.get(0).equals("inline")) {
      return new InlineVariable(operation.get(2));
    }
    if (operation.get(0).equals("remove")) {
      String[] named = operation.get(2).split("#");
      return operation.get(1).equals("parameter")
          ? new RemoveParameter(named[0], named[1], named[2])
          : new RemoveMember(
              named[0],
              List.of(named[1].split(",(?![^(]*\\))")),
              operation.contains("--with-tests"),
              accepted());
    }
    if (operation.get(0).equals("order")) {
      return new OrderMembers(operation.get(2));
    }
    if (operation.get(0).equals("rename")) {
      String[] named = operation.get(1).split("#");
      if (named.length == 1) {
        return new RenameType(
            named[0], option("--name"), operation.contains("--in-strings"), accepted());
      }
      return new Rename(
          named[0],
          named[1],
          named.length > 2 ? named[2] : "",
          option("--name"),
          operation.contains("--accessors"),
          operation.contains("--in-strings"),
          accepted());
    }
    if (operation.get(1).equals("field")) {
      String[] named = operation.get(2).split("#");
      return new MoveField(named[0], named[1], option("--to"), optional("--through"), accepted());
    }
    if (operation.get(1).equals("class")) {
      return new MoveType(
          operation.get(2), option("--to"), operation.contains("--in-strings"), accepted());
    }
    String[] member = operation.get(2).split("#");
    return new MoveMethod(
        member[0],
        member[1],
        option("--to"),
        new MoveMethod.Wishes(
            optional("--through"),
            delegate(),
            option("--pass").equals("owner"),
            optional("--name"),
            accepted()));
  }

  private Optional<Boolean> delegate() {
    return optional("--delegate").map("keep"::equals);
  }

  private Set<RefusalKind> accepted() {
    return optional("--accept")
        .map(kind -> Set.of(RefusalKind.valueOf(kind.toUpperCase().replace('-', '_'))))
        .orElse(Set.of());
  }

  /** Does the operation in a folder and compares what comes of it. */
  void check(Path root) throws IOException {
    Sources sources = new Fixture(root).withAll(before).sources();
    SourceIndex index = sources.index();
    if (!refused.isEmpty()) {
      Refused met =
          assertThrows(
              Refused.class,
              () -> {
                Judged judged = Judged.of(refactoring(), sources, index);
                fail("not refused: " + sentence + " " + judged.change().report().assumptions());
              });
      String place = met.places().isEmpty() ? "" : " " + met.places().get(0);
      assertEquals(refused, met.kind().id() + place, met.getMessage());
      return;
    }
    Judged planned = Judged.of(refactoring(), sources, index);
    assertTrue(planned.verdict().passed(), planned.verdict().toString());
    assertEquals(
        assumed,
        planned.change().report().assumptions().stream()
            .map(each -> (each.kind().id() + " " + each.place()).strip())
            .toList(),
        planned.change().report().assumptions().toString());
    Map<String, String> texts = new TreeMap<>();
    planned.change().files().forEach(file -> texts.put(file.path(), file.after().text()));
    assertEquals(after, texts);
  }
}
