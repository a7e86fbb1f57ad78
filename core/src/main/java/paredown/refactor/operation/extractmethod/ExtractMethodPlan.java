package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.lang.model.element.Element;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.program.Program;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;
import paredown.refactor.alike.GivenValue;
import paredown.refactor.alike.Twin;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
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
  private final Overruled overruled;
  private final List<GivenValue> values = new ArrayList<>();
  private Optional<Refused> bound = Optional.empty();

  /**
   * A plan of an extraction.
   *
   * @param looked the files in which the same may be said; empty where only its class counts
   */
  ExtractMethodPlan(ExtractMethod arguments, UnitTrees trees, Part part, Set<String> looked) {
    this.looked = looked;
    this.overruled = new Overruled(arguments.accepted());
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
    List<VariableElement> parameters = extraction.parameters(shape, isApart());
    List<TypeMirror> thrown = Thrown.of(trees, part.trees());
    List<TypeMirror> given = parameters.stream().map(VariableElement::asType).toList();
    List<TypeMirror> named = new ArrayList<>(thrown);
    named.add(shape.type());
    shape.variables().forEach(each -> named.add(each.asType()));
    MethodVariables variables = MethodVariables.of(extraction, given, named);
    given.forEach(each -> requireWritable(each, variables));
    named.forEach(each -> requireWritable(each, variables));
    Optional<ResultClass> several = several(shape);
    if (arguments.form().isStatic() && !extraction.isStatic()) {
      extraction.requireStatic(shape, parameters);
    }

    // A private method is no part of the version that the compiler works out.
    OnlookersFromOutside.assume(owner, List.of());

    List<Callee> twins = twins(shape, parameters);
    List<Callee> calling = arguments.others().isAny() ? twins : List.of();
    List<Twin> others = calling.stream().map(Callee::twin).toList();
    values.addAll(GivenValue.of(trees, part, others, isEverywhere(), arguments.given()));
    values.forEach(each -> requireWritable(each.type(), variables));
    values.forEach(each -> assumeSteady(each.assumed(), source.place(each.start())));
    calling.forEach(each -> assumeSteady(each.assumedFields(parameters, program), each.place()));
    AccessLevel visibility = visibility(twins);
    NewMethod method =
        new NewMethod(
            extraction,
            arguments.name(),
            parameters,
            values,
            isEverywhere() || arguments.form().isStatic() || extraction.isStatic(),
            several,
            general(parameters, calling));
    DeclaredMethod declared =
        new DeclaredMethod(method, shape, thrown, variables, several, visibility);
    Set<String> touched = new TreeSet<>(Set.of(trees.path()));
    calling.forEach(each -> touched.add(each.twin().trees().path()));
    return new Change(
        summary(parameters),
        new EditedFiles(program).of(calls(shape, method, declared, calling)),
        Map.of(),
        declared.becameWithin(),
        isEverywhere() ? ReadableFiles.paths(program) : touched,
        new Change.Report(api(visibility), List.of(), List.of(), notes(parameters, twins))
            .assuming(owner.assumptions().all()));
  }

  private String summary(List<VariableElement> parameters) {
    return "%s becomes %s of %s."
        .formatted(
            part.isExpression() ? "An expression in line " + source.line(part.start()) : lines(),
            arguments.name()
                + parameters.stream()
                    .map(each -> each.getSimpleName().toString())
                    .collect(Collectors.joining(", ", "(", ")")),
            owner.writtenName());
  }

  /** The other places that could call the method, but for those that are to stay as they are. */
  private List<Callee> twins(Shape shape, List<VariableElement> parameters) {
    List<Callee> all = callees(shape, parameters);
    List<Callee> twins = all.stream().filter(each -> !isLeft(each)).toList();
    requireEach(arguments.others().left(), all);
    if (arguments.others().isAny() && twins.isEmpty() && arguments.duplicates() != Duplicates.ANY) {
      throw new UnusableRequest(
          "No other place of %s says the same and could call it%s."
              .formatted(
                  isEverywhere() ? "the project" : owner.writtenName(),
                  Callee.nearest(extraction, shape, parameters).map(": "::concat).orElse("")),
          "Leave --duplicates out.");
    }
    return twins;
  }

  /** The calls, here and in other places, and the method. */
  private EditList calls(
      Shape shape, NewMethod method, DeclaredMethod declared, List<Callee> calling) {
    return new CallsInstead(extraction, arguments.name(), shape, method).edits(declared, calling);
  }

  private void assumeSteady(Set<String> fields, String place) {
    if (!fields.isEmpty()) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.STEADY,
              "nothing that is called here sets " + String.join(" or ", fields),
              place);
    }
  }

  /** Each place that could call the method, too, as a question. */
  List<Refactoring.Question> questions() {
    Shape shape = extraction.shape();
    return callees(shape, extraction.parameters(shape, isApart())).stream()
        .map(
            each ->
                new Refactoring.Question(
                    place(each),
                    "Shall %s call %s, too?".formatted(shown(each), arguments.name()),
                    code(each)))
        .toList();
  }

  /** Where it stands, {@code FILE:LINE}. */
  private static String place(Callee each) {
    UnitTrees there = each.twin().trees();
    return there.path() + ":" + there.source().line(each.twin().part().start());
  }

  private static List<String> code(Callee each) {
    SourceText there = each.twin().trees().source();
    Part other = each.twin().part();
    return IntStream.rangeClosed(there.line(other.start()), there.line(other.end() - 1))
        .mapToObj(there::lineText)
        .toList();
  }

  private boolean isLeft(Callee each) {
    return arguments.others().left().contains(place(each));
  }

  private static void requireEach(Set<String> left, List<Callee> all) {
    List<String> places = all.stream().map(ExtractMethodPlan::place).toList();
    for (String each : left) {
      if (!places.contains(each)) {
        throw new UnusableRequest(
            "Nothing at %s could call the method, so that there is nothing to leave."
                .formatted(each),
            places.isEmpty()
                ? "Leave --leave out."
                : "Name one of these: %s.".formatted(Listed.of(places)));
      }
    }
  }

  /** The types of the parameters that some of the places give a value of another type for. */
  private Map<VariableElement, TypeMirror> general(
      List<VariableElement> parameters, List<Callee> twins) {
    Map<VariableElement, TypeMirror> general = new LinkedHashMap<>();
    for (VariableElement each : parameters) {
      if (twins.stream().anyMatch(twin -> twin.isOtherType(each, program))) {
        GeneralType.of(extraction, each).ifPresent(type -> general.put(each, type));
      }
    }
    return general;
  }

  private AccessLevel visibility(List<Callee> callees) {
    boolean far = isEverywhere() && callees.stream().anyMatch(each -> !isNear(each));
    AccessLevel needed =
        far ? AccessLevel.PUBLIC : isEverywhere() ? AccessLevel.PACKAGE : AccessLevel.PRIVATE;
    AccessLevel wanted = arguments.form().visibility().orElse(needed);
    boolean impossible =
        owner.element().getKind().isInterface()
            && Set.of(AccessLevel.PACKAGE, AccessLevel.PROTECTED).contains(wanted);
    if (impossible || wanted.compareTo(needed) < 0) {
      throw new UnusableRequest(
          impossible
              ? "A method of an interface is public or private."
              : "Other classes could not call a private method.",
          "Say --visibility public, or leave it out.");
    }
    return wanted;
  }

  private List<String> api(AccessLevel visibility) {
    boolean isNew =
        !arguments.form().isOnItsWay()
            && visibility.compareTo(AccessLevel.PROTECTED) >= 0
            && AccessLevel.isApi(owner.element());
    return isNew
        ? List.of("%s.%s is new".formatted(owner.writtenName(), arguments.name()))
        : List.of();
  }

  private void requireWritable(TypeMirror type, MethodVariables variables) {
    extraction.requireWritable(type, variables.all());
  }

  /** The class of what comes out, where that is more than one value. */
  private Optional<ResultClass> several(Shape shape) {
    if (shape.result() != Shape.Result.SEVERAL) {
      return Optional.empty();
    }
    String name =
        arguments
            .result()
            .orElseThrow(() -> ExtractMethodChecks.several(trees, part, shape.variables()));
    ResultClass several = new ResultClass(name, extraction, shape.variables(), isEverywhere());
    several.require();
    return Optional.of(several);
  }

  private String lines() {
    int first = source.line(part.start());
    int last = source.line(part.end() - 1);
    return first == last ? "Line " + first : "What stands in lines " + first + " to " + last;
  }

  private List<String> notes(List<VariableElement> parameters, List<Callee> twins) {
    List<String> notes = new ArrayList<>();
    if (arguments.result().isPresent() && extraction.shape().result() != Shape.Result.SEVERAL) {
      notes.add("At most one value comes out of the part, so that it needs no class for them.");
    }
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
    bound.map(Refused::getMessage).ifPresent(notes::add);
    notes.addAll(overruled.notes());
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

  private boolean isApart() {
    return arguments.form().isStatic()
        || arguments.form().isOnItsWay()
        || arguments.duplicates() == Duplicates.PROJECT;
  }

  private boolean isEverywhere() {
    return arguments.duplicates() == Duplicates.PROJECT && bound.isEmpty();
  }

  /** The places that can call it; those of its class alone where others cannot. */
  private List<Callee> callees(Shape shape, List<VariableElement> parameters) {
    if (arguments.duplicates() == Duplicates.PROJECT) {
      bound = extraction.bound(shape, parameters);
    }
    if (isEverywhere()) {
      return new Repeats(extraction, arguments.form())
          .callees(shape, parameters, looked, overruled);
    }
    List<Callee> own = Callee.of(extraction, shape, parameters);
    if (own.isEmpty() && bound.isPresent()) {
      throw bound.get();
    }
    return own;
  }

  private boolean isNear(Callee callee) {
    return callee.at().owner().packageName().equals(owner.packageName());
  }
}
