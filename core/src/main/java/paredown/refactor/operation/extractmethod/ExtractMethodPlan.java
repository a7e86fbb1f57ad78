package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Part;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;
import paredown.text.SourceText;

/** Works out the new method and its call, or why there can be none. */
final class ExtractMethodPlan {
  private final ExtractMethod arguments;
  private final UnitTrees trees;
  private final Program program;
  private final SourceText source;
  private final Part part;
  private final Extraction extraction;
  private final OwnerClass owner;
  private final Locals locals;
  private final List<GivenLiteral> literals = new ArrayList<>();

  ExtractMethodPlan(ExtractMethod arguments, UnitTrees trees, Part part) {
    this.arguments = arguments;
    this.trees = trees;
    this.program = trees.program();
    this.source = trees.source();
    this.part = part;
    this.extraction = new Extraction(trees, part);
    this.owner = extraction.owner();
    this.locals = extraction.locals();
  }

  Change change() {
    new ExtractMethodChecks(trees, part, extraction.method(), owner, locals, arguments.name())
        .require();
    Shape shape = extraction.shape();
    List<VariableElement> parameters = extraction.parameters(shape);
    parameters.forEach(each -> ExtractMethodChecks.requireWritable(trees, part, each.asType()));
    ExtractMethodChecks.requireWritable(trees, part, shape.type());
    List<TypeMirror> thrown = Thrown.of(trees, part.trees());
    thrown.forEach(each -> ExtractMethodChecks.requireWritable(trees, part, each));

    // A private method is no part of the version that the compiler works out.
    OnlookersFromOutside.assume(owner, List.of());

    List<Callee> twins = Callee.of(extraction, shape, parameters);
    if (arguments.duplicates() && twins.isEmpty()) {
      throw new UnusableRequest(
          "No other place of %s says the same and could call it.".formatted(owner.writtenName()),
          "Leave --duplicates out.");
    }
    if (arguments.duplicates()) {
      literals.addAll(GivenLiteral.of(trees, part, twins.stream().map(Callee::twin).toList()));
    }
    TypeNames names = new TypeNames(trees, program.symbols()::key);
    EditList edits = new EditList();
    String file = trees.path();
    edits.add(
        file,
        new Replacement(
            part.start(), part.end(), call(part, null, shape, parameters, names), List.of()));
    declareLater(locals, shape, edits);
    if (arguments.duplicates()) {
      twins.forEach(each -> replace(each, parameters, names, edits));
    }
    edits.add(file, declaration(shape, parameters, thrown, names));
    names.imports().forEach(each -> edits.add(file, each));
    return new Change(
        "%s becomes %s of %s."
            .formatted(
                part.isExpression()
                    ? "An expression in line " + source.line(part.start())
                    : lines(),
                arguments.name()
                    + parameters.stream()
                        .map(each -> each.getSimpleName().toString())
                        .collect(Collectors.joining(", ", "(", ")")),
                owner.writtenName()),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        Set.of(file),
        new Change.Report(List.of(), List.of(), List.of(), notes(parameters, twins))
            .assuming(owner.assumptions().all()));
  }

  private String lines() {
    int first = source.line(part.start());
    int last = source.line(part.end() - 1);
    return first == last ? "Line " + first : "What stands in lines " + first + " to " + last;
  }

  private List<String> notes(List<VariableElement> parameters, List<Callee> twins) {
    List<String> notes = new ArrayList<>();
    int values = parameters.size() + literals.size();
    if (values > 4) {
      notes.add(
          "It takes %d values; less code, or code around it, may need fewer.".formatted(values));
    }
    if (!twins.isEmpty()) {
      List<String> lines =
          twins.stream()
              .map(each -> String.valueOf(source.line(each.twin().part().start())))
              .toList();
      String places = (lines.size() == 1 ? "line " : "lines ") + Listed.of(lines);
      notes.add(
          arguments.duplicates()
              ? "The same stood in %s, too, and is a call now.".formatted(places)
              : "The same stands in %s, too; --duplicates all makes calls of that as well."
                  .formatted(places));
    }
    return notes;
  }

  private void replace(
      Callee each, List<VariableElement> parameters, TypeNames names, EditList edits) {
    List<VariableElement> given =
        parameters.stream().map(other -> each.standing(other, program)).toList();
    String why = "it is what " + arguments.name() + " does";
    Part other = each.twin().part();
    List<Piece> call = call(other, each.twin(), each.shape(), given, names);
    edits.add(
        trees.path(),
        Rewriting.of(trees, other.start(), other.end(), why, call, List.of()).proving(why));
    declareLater(each.at().locals(), each.shape(), edits);
  }

  /** The uses behind the part of a variable that the call declares. */
  private void declareLater(Locals there, Shape shape, EditList edits) {
    if (shape.result() == Shape.Result.DECLARES) {
      for (Locals.Named use : there.later(shape.variable())) {
        edits.add(trees.path(), local(use));
      }
    }
  }

  private String key(List<VariableElement> parameters) {
    List<String> types = new ArrayList<>();
    parameters.forEach(each -> types.add(program.types().erasure(each.asType()).toString()));
    literals.forEach(each -> types.add(each.type().toString()));
    return Symbols.methodKey(owner.binaryName(), arguments.name(), types);
  }

  /**
   * The call in the place of a part.
   *
   * @param twin that part as a twin; null for the one that becomes the method
   */
  private List<Piece> call(
      Part at, Twin twin, Shape shape, List<VariableElement> parameters, TypeNames names) {
    Written.Text text = Written.text("");
    switch (shape.result()) {
      case DECLARES -> {
        boolean isFinal = shape.variable().getModifiers().contains(Modifier.FINAL);
        text.text(isFinal ? "final " : "");
        names.write(text, shape.type(), owner.element());
        text.text(" " + shape.variable().getSimpleName() + " = ");
      }
      case SETS -> {
        named(text, shape.variable());
        text.text(" = ");
      }
      case RETURNS -> text.text(shape.type().getKind() == TypeKind.VOID ? "" : "return ");
      default -> {
        // The call stands alone.
      }
    }
    if (!extraction.isStatic()) {
      text.here(UseKind.RECEIVER, program.symbols().key(owner.element()));
    }
    text.name(arguments.name(), key(parameters)).text("(");
    String separator = "";
    for (VariableElement each : parameters) {
      named(text.text(separator), each);
      separator = ", ";
    }
    List<Piece> pieces = new ArrayList<>();
    for (GivenLiteral each : literals) {
      pieces.add(text.text(separator).done());
      pieces.add(each.given(trees, twin));
      text = Written.text("");
      separator = ", ";
    }
    text.text(part.isExpression() ? ")" : ");");
    boolean ends =
        shape.result() == Shape.Result.RETURNS && shape.type().getKind() == TypeKind.VOID;
    if (ends) {
      text.text(source.lineEnd() + source.indentAt(at.start()) + "return;");
    }
    pieces.add(text.done());
    return pieces;
  }

  /** Names a local variable that stays where it is. */
  private void named(Written.Text text, VariableElement variable) {
    text.hereStill(UseKind.NAME, program.symbols().key(variable), null);
    text.text(variable.getSimpleName().toString());
  }

  /** A use of a variable that the change declares, in the place of one that was declared before. */
  private Replacement local(Locals.Named use) {
    String name = use.variable().getSimpleName().toString();
    Use.Place place = new Use.Place(trees.path(), use.offset(), UseKind.NAME);
    return Replacement.of(
        use.offset(), use.offset() + name.length(), Written.text("").local(name, place).done());
  }

  private Replacement declaration(
      Shape shape, List<VariableElement> parameters, List<TypeMirror> thrown, TypeNames names) {
    Layout layout = Layout.of(owner);
    String end = source.lineEnd();
    Written.Text head = Written.text(end + end + layout.member() + "private ");
    head.text(extraction.isStatic() ? "static " : "");
    write(head, shape.type(), names);
    head.text(" " + arguments.name() + "(");
    String separator = "";
    for (VariableElement each : parameters) {
      write(head.text(separator), each.asType(), names);
      head.text(" " + each.getSimpleName());
      separator = ", ";
    }
    for (GivenLiteral each : literals) {
      write(head.text(separator), each.type(), names);
      head.text(" " + each.name());
      separator = ", ";
    }
    head.text(")");
    separator = " throws ";
    for (TypeMirror each : thrown) {
      write(head.text(separator), each, names);
      separator = ", ";
    }
    head.text(" {" + end + layout.body());
    boolean declares =
        shape.result() == Shape.Result.SETS && !parameters.contains(shape.variable());
    if (declares) {
      write(head, shape.type(), names);
      head.text(" " + shape.variable().getSimpleName() + ";" + end + layout.body());
    }
    head.text(part.isExpression() ? "return " : "");
    Written.Text tail = Written.text(part.isExpression() ? ";" : "");
    if (shape.result() == Shape.Result.DECLARES || shape.result() == Shape.Result.SETS) {
      tail.text(end + layout.body() + "return ");
      if (shape.result() == Shape.Result.DECLARES) {
        named(tail, shape.variable());
      } else {
        tail.local(shape.variable().getSimpleName().toString());
      }
      tail.text(";");
    }
    tail.text(end + layout.member() + "}");
    int at = behindMethod();
    return Replacement.of(at, at, head.done(), body(shape, parameters, layout), tail.done());
  }

  private Carried body(Shape shape, List<VariableElement> parameters, Layout layout) {
    List<Replacement> inside = new ArrayList<>();
    for (Locals.Named use : locals.taken()) {
      boolean here = parameters.contains(use.variable()) || use.variable().equals(shape.variable());
      if (here) {
        inside.add(local(use));
      }
    }
    literals.forEach(each -> inside.add(each.taken(trees)));
    Indent indent = new Indent(source.indentAt(part.start()), layout.body());
    return new Carried(trees.path(), part.start(), part.end(), inside, indent, null);
  }

  private void write(Written.Text text, TypeMirror type, TypeNames names) {
    if (type.getKind() == TypeKind.VOID) {
      text.text("void");
    } else {
      names.write(text, type, owner.element());
    }
  }

  /** Behind the method, with a comment that stands behind it in its line. */
  private int behindMethod() {
    int end = trees.end(extraction.method().getLeaf());
    String rest = source.slice(end, source.nextLine(end - 1)).stripTrailing();
    boolean comment = rest.strip().startsWith("//");
    return comment ? end + rest.length() : end;
  }
}
