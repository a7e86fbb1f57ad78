package paredown.refactor.operation.superclass;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Below;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;
import paredown.refactor.use.OwnerClass;

/**
 * What constructors give to final fields that go up is passed on: they give it to the constructor
 * above, which takes as many parameters more and sets the fields.
 */
final class PassedOn {
  private static final String WHY = "the constructor above sets it";

  private final CommonMembers common;
  private final OwnerClass parent;
  private final Program program;
  private final FileNames names;
  private final EditList edits;
  private final List<OwnerClass.Field> fields;
  private final List<GivenUp> all;
  private final Map<String, String> became = new LinkedHashMap<>();

  PassedOn(CommonMembers common, FileNames names, EditList edits) {
    this.common = common;
    this.parent = common.parent();
    this.program = parent.program();
    this.names = names;
    this.edits = edits;
    this.fields = GivenUp.fields(common);
    this.all = GivenUp.all(common);
  }

  /** Whether a use stands in a statement that is gone, since the constructor above does it. */
  boolean isGone(String file, int offset) {
    return all.stream()
        .filter(each -> each.owner().trees().path().equals(file))
        .flatMap(each -> each.given().values().stream().map(set -> range(each, set)))
        .anyMatch(range -> range[0] <= offset && offset < range[1]);
  }

  private static int[] range(GivenUp each, GivenUp.Setting set) {
    UnitTrees trees = each.owner().trees();
    return new int[] {trees.start(set.statement().getLeaf()), trees.start(set.value().getLeaf())};
  }

  /** The keys of the constructors above, and those that they have then. */
  Map<String, String> became() {
    return became;
  }

  void add() {
    Set<ExecutableElement> called =
        all.stream().map(GivenUp::called).collect(Collectors.toCollection(LinkedHashSet::new));
    requireOwn(called);
    for (ExecutableElement each : called) {
      became.put(program.symbols().key(each), key(each));
      constructor(each);
    }
    all.forEach(this::given);
  }

  private String key(ExecutableElement constructor) {
    List<String> types = new ArrayList<>();
    constructor.getParameters().forEach(each -> types.add(erased(each)));
    fields.forEach(each -> types.add(erased(each.element())));
    return Symbols.constructorKey(parent.binaryName(), types);
  }

  private String erased(VariableElement variable) {
    return program.types().erasure(variable.asType()).toString();
  }

  private Refused refused(String why, String place) {
    return Refused.advising(
        RefusalKind.CONSTRUCTOR_SHAPE,
        "%s cannot go up: %s.".formatted(fields.get(0).name(), why),
        "Put a new class between: --name NAME.",
        place);
  }

  /** Only the constructors below, of these classes, may call those above. */
  private void requireOwn(Set<ExecutableElement> called) {
    if (called.isEmpty()) {
      return;
    }
    Set<TypeElement> own = new LinkedHashSet<>();
    common.owners().forEach(each -> own.add(each.element()));
    for (TypeElement each : Below.of(program, List.of(parent.element()))) {
      boolean direct =
          parent.element().equals(program.types().asElement(each.getSuperclass()))
              && !own.contains(each);
      if (direct) {
        throw refused(
            "%s extends %s, too, and has nothing to give it"
                .formatted(
                    each.getSimpleName().length() == 0
                        ? "a class without a name"
                        : each.getSimpleName(),
                    parent.writtenName()),
            UnitTrees.place(program, each).orElse(parent.trees().place(parent.tree())));
      }
    }
    Set<String> keys = new LinkedHashSet<>();
    called.forEach(each -> keys.add(program.symbols().key(each)));
    for (ExecutableElement each : called) {
      boolean another = parent.constructors().stream().anyMatch(OwnerClass.Method::callsAnother);
      if (each.isVarArgs() || another) {
        throw refused(
            "the constructor above cannot take more", parent.trees().place(parent.tree()));
      }
    }
    program
        .uses()
        .all()
        .filter(use -> keys.contains(use.key()) && use.kind() != UseKind.IMPLICIT_SUPER)
        .filter(use -> !isCall(use))
        .findFirst()
        .ifPresent(
            use -> {
              throw refused(
                  "the constructor above is named there",
                  program.unit(use.file()).orElseThrow().source().place(use.offset()));
            });
  }

  private boolean isCall(Use use) {
    return all.stream()
        .filter(each -> each.call() != null && use.file().equals(each.owner().trees().path()))
        .anyMatch(
            each -> each.owner().trees().start(each.call().getMethodSelect()) == use.offset());
  }

  /** Gives to the constructor above what the fields were given. */
  private void given(GivenUp each) {
    UnitTrees trees = each.owner().trees();
    List<Piece> values = new ArrayList<>();
    String separator = each.call() == null || each.call().getArguments().isEmpty() ? "" : ", ";
    for (OwnerClass.Field field : fields) {
      GivenUp.Setting setting = each.given().get(field);
      Carried value =
          Carried.range(
              trees.path(),
              trees.start(setting.value().getLeaf()),
              trees.end(setting.value().getLeaf()));
      values.add(Written.plain(separator));
      values.add(value);
      separator = ", ";
      int[] gone = trees.leaving(setting.statement().getLeaf());
      edits.add(
          trees.path(),
          Rewriting.of(trees, gone[0], gone[1], WHY, List.of(), List.of(value)).proving(WHY));
    }
    if (each.call() != null) {
      int word = trees.start(each.call().getMethodSelect());
      Written.Text called = Written.text("");
      called.name("super", key(each.called()), Rewriting.name(trees, word));
      edits.add(trees.path(), Replacement.of(word, word + "super".length(), called.done()));
      int at = trees.end(each.call()) - 1;
      edits.add(trees.path(), new Replacement(at, at, values, List.of(), WHY));
      return;
    }
    Tree body = each.constructor().tree().getBody();
    int at = trees.start(body) + 1;
    Layout layout = Layout.of(each.owner());
    String key = program.symbols().key(each.called());
    Use.Place place = implicit(trees, each.constructor().tree(), key).place();
    values.add(
        0,
        Written.text(layout.lineEnd() + layout.body())
            .name("super", key(each.called()), place)
            .text("(")
            .done());
    values.add(Written.plain(");"));
    edits.add(trees.path(), new Replacement(at, at, values, List.of(), WHY));
  }

  /** Where the compiler calls a constructor above for a declaration that does not say so. */
  private Use implicit(UnitTrees trees, Tree tree, String key) {
    return program.uses().within(trees.path(), trees.start(tree), trees.end(tree)).stream()
        .filter(use -> use.kind() == UseKind.IMPLICIT_SUPER && use.key().contains(key))
        .findFirst()
        .orElseThrow();
  }

  /** A constructor above takes what it sets. */
  private void constructor(ExecutableElement constructor) {
    Optional<OwnerClass.Method> declared =
        parent.constructors().stream()
            .filter(each -> each.element().equals(constructor))
            .findFirst();
    if (declared.isEmpty()) {
      created();
      return;
    }
    UnitTrees trees = parent.trees();
    MethodTree tree = declared.get().tree();
    List<? extends VariableTree> present = tree.getParameters();
    int at =
        present.isEmpty()
            ? trees.behindBracket(trees.names().of(tree))
            : trees.end(present.get(present.size() - 1));
    Written.Text text = Written.text(present.isEmpty() ? "" : ", ");
    parameters(text, present);
    edits.add(trees.path(), Replacement.of(at, at, text.done()));
    int closing = trees.end(tree.getBody()) - 1;
    Layout layout = Layout.of(parent);
    boolean line = parent.source().startsLine(closing);
    String end = layout.lineEnd();
    int behind = parent.source().tokens().get(parent.source().tokenAt(closing) - 1).end();
    Written.Text set = Written.text(line ? "" : end);
    settings(set, layout, present);
    set.text(line ? "" : layout.member());
    int start = line ? parent.source().lineStart(closing) : behind;
    edits.add(
        trees.path(),
        Replacement.of(
            start, line ? start : closing, set.done().proving("the classes below give it")));
  }

  private void parameters(Written.Text text, List<? extends VariableTree> present) {
    String separator = "";
    for (OwnerClass.Field field : fields) {
      TypeMirror type = common.variables().in(field.element().asType());
      names.of(parent.trees()).write(text.text(separator), type, parent.element());
      text.text(" " + name(field, present));
      separator = ", ";
    }
  }

  private static String name(OwnerClass.Field field, List<? extends VariableTree> present) {
    boolean taken = present.stream().anyMatch(each -> each.getName().contentEquals(field.name()));
    return taken ? field.name() + "Given" : field.name();
  }

  private void settings(Written.Text text, Layout layout, List<? extends VariableTree> present) {
    for (OwnerClass.Field field : fields) {
      text.text(layout.body())
          .name("this", "this of " + parent.binaryName())
          .text(".")
          .name(field.name(), MoveUp.above(common, field.key()))
          .text(" = ")
          .local(name(field, present))
          .text(";" + layout.lineEnd());
    }
  }

  /** The constructor of a class that has none. */
  private void created() {
    Layout layout = Layout.of(parent, Layout.of(common.first()).unit());
    boolean open = AccessLevel.isApi(parent.element());
    Written.Text text =
        Written.text(parent.fields().isEmpty() ? "" : layout.lineEnd())
            .text(layout.member() + (open ? "protected " : "") + parent.simpleName() + "(");
    parameters(text, List.of());
    Use above = implicit(parent.trees(), parent.tree(), "constructor ");
    text.text(") ").here(UseKind.IMPLICIT_SUPER, above.key(), above.place());
    text.text("{" + layout.lineEnd());
    settings(text, layout, List.of());
    text.text(layout.member() + "}" + layout.lineEnd());
    int at = FieldPlace.ofInstance(parent, layout).at();
    boolean below = !parent.fields().isEmpty();
    boolean methods = !below && !(parent.methods().isEmpty() && common.methods().isEmpty());
    text.text(methods ? layout.lineEnd() : "");
    edits.add(
        parent.trees().path(),
        Replacement.of(at, at, text.done().proving("the classes below give it")));
  }
}
