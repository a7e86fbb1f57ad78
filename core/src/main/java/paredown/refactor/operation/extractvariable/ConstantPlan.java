package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Constants;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;

/** Works out where a new constant is declared and named, or why it cannot be. */
final class ConstantPlan {
  private final ExtractVariable arguments;
  private final Extracted extracted;
  private final UnitTrees trees;
  private final OwnerClass owner;
  private final EditList edits = new EditList();

  ConstantPlan(ExtractVariable arguments, Extracted extracted) {
    this.arguments = arguments;
    this.extracted = extracted;
    this.trees = extracted.trees();
    this.owner = OwnerClass.of(extracted.program(), home());
  }

  /** The class around the expression that can have constants. */
  private TypeElement home() {
    TypeElement type = trees.classAround(extracted.path());
    while (type.getNestingKind() == NestingKind.ANONYMOUS
        || type.getNestingKind() == NestingKind.LOCAL
        || type.getNestingKind() == NestingKind.MEMBER
            && !type.getModifiers().contains(Modifier.STATIC)) {
      TreePath path = extracted.program().trees().getPath(type);
      type = trees.classAround(path.getParentPath());
    }
    return type;
  }

  Change change() {
    requireConstant();
    TypeNames names = new TypeNames(trees, extracted.program().symbols()::key);
    List<TreePath> named = places();
    String file = trees.path();
    edits.add(file, declaration(names, named));
    for (TreePath each : named) {
      edits.add(file, extracted.named(each, name(each)));
    }
    names.imports().forEach(each -> edits.add(file, each));
    OnlookersFromOutside.assume(owner, List.of());
    return new Change(
        "%s of %s is %s%s."
            .formatted(
                arguments.name(),
                owner.writtenName(),
                extracted.text().replaceAll("\\s+", " "),
                named.size() == 1 ? "" : ", named in %d places".formatted(named.size())),
        new EditedFiles(extracted.program()).of(edits),
        Map.of(),
        Map.of(),
        Set.of(file),
        new Change.Report(api(), List.of(), List.of(), List.of())
            .assuming(owner.assumptions().all()));
  }

  private boolean isInterface() {
    ElementKind kind = owner.element().getKind();
    return kind == ElementKind.INTERFACE || kind == ElementKind.ANNOTATION_TYPE;
  }

  private List<String> api() {
    return isInterface()
        ? List.of("%s.%s is new".formatted(owner.writtenName(), arguments.name()))
        : List.of();
  }

  /** Its name; what is given to a constant of an enum is worked out in front of all fields. */
  private Written name(TreePath place) {
    Written.Text text = Written.text("");
    if (isGivenToConstant(place)) {
      text.name(owner.simpleName(), Symbols.typeKey(owner.binaryName())).text(".");
    }
    return text.name(arguments.name(), Symbols.fieldKey(owner.binaryName(), arguments.name()))
        .done();
  }

  private boolean isGivenToConstant(TreePath place) {
    TreePath at = place;
    while (!(at.getParentPath().getLeaf() instanceof ClassTree)) {
      at = at.getParentPath();
    }
    Element member = trees.element(at);
    return member != null
        && member.getKind() == ElementKind.ENUM_CONSTANT
        && member.getEnclosingElement().equals(owner.element());
  }

  /** Where it is named: all equal places of its class, but those that have a name already. */
  private List<TreePath> places() {
    List<TreePath> places = new ArrayList<>(List.of(extracted.path()));
    if (!arguments.onlyHere()) {
      new Equals(trees, extracted.path())
          .in(owner.path()).stream()
              .filter(each -> each.getLeaf() != extracted.tree())
              .filter(each -> isWithinBody(each) && !isOfConstant(each))
              .forEach(places::add);
    }
    return places;
  }

  /** Whether a place is within the braces of the class, where its members are known. */
  private boolean isWithinBody(TreePath place) {
    return trees.start(place.getLeaf()) > owner.opening();
  }

  private boolean isOfConstant(TreePath place) {
    for (TreePath at = place; at.getLeaf() != owner.tree(); at = at.getParentPath()) {
      boolean constant =
          at.getLeaf() instanceof VariableTree
              && trees.element(at) instanceof VariableElement field
              && field.getKind() == ElementKind.FIELD
              && field.getModifiers().contains(Modifier.STATIC);
      if (constant || at.getLeaf() instanceof ClassTree && isNamedInside(at)) {
        return true;
      }
    }
    return false;
  }

  /** Whether a class within knows another variable by the name. */
  private boolean isNamedInside(TreePath type) {
    return trees.element(type) instanceof TypeElement element
        && extracted.program().elements().getAllMembers(element).stream()
            .anyMatch(each -> each.getSimpleName().contentEquals(arguments.name()));
  }

  /** Requires that the compiler knows the value, so that when it is made never shows. */
  private void requireConstant() {
    Constants.unknown(trees, extracted.path())
        .ifPresent(
            part -> {
              throw Refused.advising(
                  RefusalKind.NO_VALUE,
                  "It is no constant: the compiler does not know its value.",
                  "Make a variable or a method of it, or take a part that is constant.",
                  trees.place(part.getLeaf()));
            });
  }

  /** The constant stands behind those that are there, or first. */
  private Replacement declaration(TypeNames names, List<TreePath> named) {
    Written.Text text = Written.text(isInterface() ? "" : "private static final ");
    names.write(text, extracted.type(), owner.element());
    text.text(" " + arguments.name() + " = ");
    Piece value = value();
    FieldPlace place = place(named);
    return Rewriting.of(
        trees,
        place.at(),
        place.at(),
        "",
        Written.text(place.before()).all(text.done()).done(),
        value,
        Written.plain(";" + place.behind()));
  }

  /** Behind the constants that are there, but in front of the first field whose value names it. */
  private FieldPlace place(List<TreePath> named) {
    FieldPlace usual = FieldPlace.ofStatic(owner);
    return owner.fields().stream()
        .filter(each -> each.range().start() < usual.at())
        .filter(each -> named.stream().anyMatch(place -> isWithin(place, each)))
        .findFirst()
        .map(first -> FieldPlace.inFront(owner, first))
        .orElse(usual);
  }

  private boolean isWithin(TreePath place, OwnerClass.Field field) {
    int at = trees.start(place.getLeaf());
    return field.range().declaration() <= at && at < field.range().declarationEnd();
  }

  private Piece value() {
    String from = trees.source().indentAt(trees.start(extracted.tree()));
    String to = Layout.of(owner).member();
    Indent indent = new Indent(from, to);
    var carried = extracted.carried();
    return new Carried(
        carried.file(), carried.start(), carried.end(), carried.inside(), indent, null);
  }
}
