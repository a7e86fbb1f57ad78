package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
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
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Part;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
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
  private final Set<String> looked;
  private final List<GivenValue> values = new ArrayList<>();

  /**
   * A plan of an extraction.
   *
   * @param looked the files in which the same may be said; empty where only its class counts
   */
  ExtractMethodPlan(ExtractMethod arguments, UnitTrees trees, Part part, Set<String> looked) {
    this.looked = looked;
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

    List<Callee> twins = callees(shape, parameters);
    boolean asked = arguments.duplicates() != Duplicates.NONE;
    if (asked && twins.isEmpty() && arguments.duplicates() != Duplicates.ANY) {
      throw new UnusableRequest(
          "No other place of %s says the same and could call it."
              .formatted(isEverywhere() ? "the project" : owner.writtenName()),
          "Leave --duplicates out.");
    }
    if (asked || !arguments.given().isEmpty()) {
      List<Twin> all = asked ? twins.stream().map(Callee::twin).toList() : List.of();
      Set<String> words =
          source.tokens(part.start(), part.end()).stream()
              .map(token -> source.slice(token.start(), token.end()))
              .collect(Collectors.toCollection(TreeSet::new));
      values.addAll(GivenField.of(trees, part, all, isEverywhere(), words));
      values.addAll(GivenLiteral.of(trees, part, all, arguments.given(), words));
      values.sort(Comparator.comparingInt(GivenValue::start));
      values.forEach(each -> ExtractMethodChecks.requireWritable(trees, part, each.type()));
    }
    NewMethod method =
        new NewMethod(
            extraction,
            arguments.name(),
            parameters,
            values,
            isEverywhere() || extraction.isStatic());
    EditList edits = new EditList();
    FileNames files = new FileNames(program, edits);
    TypeNames names = files.of(trees);
    String file = trees.path();
    edits.add(
        file, new Replacement(part.start(), part.end(), method.call(shape, names), List.of()));
    declareLater(extraction, shape, edits);
    if (asked) {
      twins.forEach(each -> replace(each, method, files, edits));
    }
    edits.add(file, declaration(shape, parameters, thrown, names));
    files.addImports();
    Set<String> touched = new TreeSet<>(Set.of(file));
    if (asked) {
      twins.forEach(each -> touched.add(each.twin().trees().path()));
    }
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
        isEverywhere() ? ReadableFiles.paths(program) : touched,
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
    int count = parameters.size() + values.size();
    if (count > 4) {
      notes.add(
          "%s takes %d values; less code, or code around it, may need fewer."
              .formatted(arguments.name(), count));
    }
    if (!twins.isEmpty()) {
      String places = Listed.of(twins.stream().map(this::shown).distinct().toList());
      notes.add(
          arguments.duplicates() == Duplicates.NONE
              ? "The same stands in %s, too; --duplicates all makes calls of that as well."
                  .formatted(places)
              : "The same stood in %s, too, and is a call now.".formatted(places));
    }
    return notes;
  }

  private String shown(Callee each) {
    UnitTrees there = each.twin().trees();
    String line = "line " + there.source().line(each.twin().part().start());
    boolean here = each.at().owner().element().equals(owner.element());
    Element named = each.at().owner().element();
    while (named.getSimpleName().length() == 0) {
      named = named.getEnclosingElement();
    }
    return here ? line : line + " of " + named.getSimpleName();
  }

  private boolean isEverywhere() {
    return arguments.duplicates() == Duplicates.PROJECT;
  }

  private List<Callee> callees(Shape shape, List<VariableElement> parameters) {
    return isEverywhere()
        ? new Repeats(extraction).callees(shape, parameters, looked)
        : Callee.of(extraction, shape, parameters);
  }

  private void replace(Callee each, NewMethod method, FileNames names, EditList edits) {
    String why = "it is what " + arguments.name() + " does";
    Part other = each.twin().part();
    UnitTrees there = each.twin().trees();
    List<Piece> call = method.call(each, names.of(there));
    edits.add(
        there.path(),
        Rewriting.ofSaidElsewhere(there, other.start(), other.end(), why, call).proving(why));
    declareLater(each.at(), each.shape(), edits);
  }

  /** The uses behind the part of a variable that the call declares. */
  private static void declareLater(Extraction there, Shape shape, EditList edits) {
    if (shape.result() == Shape.Result.DECLARES) {
      for (Locals.Named use : there.locals().later(shape.variable())) {
        edits.add(there.trees().path(), local(there.trees(), use));
      }
    }
  }

  /** A use of a variable that the change declares, in the place of one that was declared before. */
  private static Replacement local(UnitTrees trees, Locals.Named use) {
    String name = use.variable().getSimpleName().toString();
    Use.Place place = new Use.Place(trees.path(), use.offset(), UseKind.NAME);
    return Replacement.of(
        use.offset(), use.offset() + name.length(), Written.text("").local(name, place).done());
  }

  private Replacement declaration(
      Shape shape, List<VariableElement> parameters, List<TypeMirror> thrown, TypeNames names) {
    Layout layout = Layout.of(owner);
    String end = source.lineEnd();
    Written.Text head =
        Written.text(end + end + layout.member() + (isEverywhere() ? "" : "private "));
    head.text(isEverywhere() || extraction.isStatic() ? "static " : "");
    write(head, shape.type(), names);
    head.text(" " + arguments.name() + "(");
    String separator = "";
    for (VariableElement each : parameters) {
      write(head.text(separator), each.asType(), names);
      head.text(" " + each.getSimpleName());
      separator = ", ";
    }
    for (GivenValue each : values) {
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
        tail.hereStill(UseKind.NAME, program.symbols().key(shape.variable()), null);
        tail.text(shape.variable().getSimpleName().toString());
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
        inside.add(local(trees, use));
      }
    }
    values.forEach(each -> inside.addAll(each.taken(trees)));
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
