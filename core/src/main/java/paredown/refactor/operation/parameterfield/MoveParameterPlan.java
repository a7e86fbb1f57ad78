package paredown.refactor.operation.parameterfield;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.VariableElement;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.edit.Written;
import paredown.program.Below;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.KeptValue;
import paredown.refactor.code.LocalUses;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.operation.remove.WithoutParameters;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Creation;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.MadeFromOutside;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Remarks;
import paredown.text.Counted;

/** Works out the field, its constructors, and what makes objects. */
final class MoveParameterPlan {
  private static final String WHY = "the object has it";

  private final MoveParameter arguments;
  private final OwnerClass owner;
  private final Program program;
  private final LosingMethods losing;
  private final EditList edits = new EditList();
  private final FileNames names;

  private final Cannot cannot;

  MoveParameterPlan(MoveParameter arguments, OwnerClass owner, LosingMethods losing) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.losing = losing;
    this.names = new FileNames(program, edits);
    this.cannot = new Cannot("%s cannot be a field".formatted(arguments.parameter()));
  }

  Change change() {
    requireHome();
    requireFree();
    requireNoneBelow();
    owner.constructors().forEach(this::requireOpenHead);
    requireMadeHere();
    List<Creation> creations = Creation.of(owner);
    if (creations.isEmpty()) {
      throw cannot.because(
          RefusalKind.CALL_SHAPE,
          "nobody here makes a " + owner.simpleName() + ", so that who does could not give it",
          "Leave the parameter where it is.",
          owner.trees().place(owner.tree()));
    }
    Map<Tree, GivenValue> values = GivenAlike.of(arguments, owner, losing, creations);
    WithoutParameters without =
        new WithoutParameters(arguments.parameter(), WHY, losing.going(), edits);
    without.add();
    losing.going().all().keySet().forEach(this::body);
    KeptValue kept = new KeptValue(arguments.field(), losing.type(), owner, false, names, edits);
    kept.add();
    creations.forEach(each -> give(each, values.get(each.tree())));
    MadeFromOutside.assume(owner, owner.element());
    names.addImports();
    Map<String, String> became = new LinkedHashMap<>(without.became());
    became.putAll(kept.became());
    List<String> api = new ArrayList<>(without.api());
    if (AccessLevel.isApi(owner.element())) {
      api.add("a constructor of %s takes one parameter more".formatted(owner.simpleName()));
    }
    return new Change(
        "%s is a field of %s, and no parameter of %s any more."
            .formatted(
                arguments.parameter(),
                owner.writtenName(),
                Counted.of(losing.going().all().size(), "method", "methods")),
        new EditedFiles(program).of(edits),
        became,
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api, List.of(), List.of(), losing.notes())
            .assuming(owner.assumptions().all()));
  }

  private void requireHome() {
    NestingKind nesting = owner.element().getNestingKind();
    boolean plain =
        owner.element().getKind() == ElementKind.CLASS
            && (nesting == NestingKind.TOP_LEVEL || nesting == NestingKind.MEMBER);
    if (!plain) {
      throw new UnusableRequest(
          "%s is no class whose constructor could take more.".formatted(owner.writtenName()),
          "Name a class that has a constructor, and stands within no method.");
    }
    if (owner.isA("java.io.Serializable") || owner.isA("java.lang.Cloneable")) {
      throw cannot.because(
          RefusalKind.SERIALIZED,
          "objects of %s are made without a constructor, too".formatted(owner.simpleName()),
          "Leave the parameter where it is.",
          owner.trees().place(owner.tree()));
    }
  }

  /** A framework that finds a class by its annotations, or those of its methods, makes objects. */
  private void requireMadeHere() {
    requireMadeHere(owner.path(), owner.tree().getModifiers());
    owner.methods().forEach(each -> requireMadeHere(each.path(), each.tree().getModifiers()));
  }

  private void requireMadeHere(TreePath declaration, ModifiersTree modifiers) {
    Remarks.telling(owner, declaration, modifiers, "java.lang.Override"::equals)
        .findFirst()
        .ifPresent(
            annotation -> {
              throw cannot.because(
                  RefusalKind.MAPPED_CLASS,
                  "an annotation says that something outside makes its objects",
                  "Leave the parameter where it is.",
                  owner.trees().place(annotation));
            });
  }

  private void requireFree() {
    for (Element member : program.elements().getAllMembers(owner.element())) {
      if (member.getKind().isField() && member.getSimpleName().contentEquals(arguments.field())) {
        throw Refused.advising(
            RefusalKind.NAME_TAKEN,
            "%s has a field %s already.".formatted(owner.writtenName(), arguments.field()),
            "Give the new one another name: --name NAME.",
            owner.trees().place(owner.tree()));
      }
    }
  }

  private void requireNoneBelow() {
    Below.of(program, List.of(owner.element())).stream()
        .findFirst()
        .ifPresent(
            below -> {
              throw cannot.because(
                  RefusalKind.CONSTRUCTOR_SHAPE,
                  "%s extends %s, and its constructor would have to give it"
                      .formatted(below.getSimpleName(), owner.simpleName()),
                  "Leave the parameter where it is.",
                  UnitTrees.place(program, below).orElse(owner.trees().place(owner.tree())));
            });
  }

  private void requireOpenHead(OwnerClass.Method constructor) {
    boolean varies = constructor.element().isVarArgs();
    if (varies) {
      throw cannot.because(
          RefusalKind.CONSTRUCTOR_SHAPE,
          "a constructor takes its last parameter in pieces",
          "Leave the parameter where it is.",
          owner.trees().place(constructor.tree()));
    }
    new FixedHead(program, owner.trees().place(owner.tree()))
        .of(constructor.element(), List.of())
        .ifPresent(
            met -> {
              throw cannot.because(
                  met.kind(),
                  "of its constructor, " + met.why(),
                  "Leave the parameter where it is.",
                  met.place());
            });
  }

  private void body(ExecutableElement method) {
    VariableElement parameter = losing.parameter(method).orElseThrow();
    MethodTree tree = (MethodTree) program.declaration(method).getLeaf();
    TreePath path = program.declaration(method);
    UnitTrees trees = owner.trees();
    TreePath declared =
        new TreePath(path, tree.getParameters().get(method.getParameters().indexOf(parameter)));
    for (TreePath use : LocalUses.of(trees, declared)) {
      int start = trees.start(use.getLeaf());
      if (!isGone(trees, start)) {
        edits.add(
            trees.path(),
            Rewriting.of(trees, start, trees.end(use.getLeaf()), WHY, named())
                .proving("the object was made with the value that this parameter has"));
      }
    }
  }

  /** Whether a place stands within what is not given any more. */
  private boolean isGone(UnitTrees trees, int at) {
    return edits.of(trees.path()).stream()
        .anyMatch(each -> each.pieces().isEmpty() && each.start() <= at && at < each.end());
  }

  private Written named() {
    return Written.text("")
        .here(UseKind.RECEIVER, program.symbols().key(owner.element()))
        .name(arguments.field(), Symbols.fieldKey(owner.binaryName(), arguments.field()))
        .done();
  }

  private void give(Creation creation, GivenValue value) {
    UnitTrees trees = creation.trees();
    NewClassTree tree = creation.tree();
    int at = trees.end(tree) - 1;
    Written given = value.written(program, names.of(trees), creation.around());
    Written.Text text = Written.text(tree.getArguments().isEmpty() ? "" : ", ").all(given);
    edits.add(
        trees.path(),
        Rewriting.of(trees, at, at, WHY, text.done())
            .proving("the calls gave this value to the object"));
  }
}
