package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.Returns;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.flow.ComesBack;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;

/** A new field, which is given its value in the body where that was worked out. */
final class FieldHolder implements Holder {
  private final OwnerClass owner;
  private final UnitTrees trees;
  private final String name;
  private final TreePath at;
  private final TreePath body;
  private final TypeMirror type;
  private final boolean writtenAgain;

  /**
   * A field for a value.
   *
   * @param at the statement that gives it the value
   * @param writtenAgain whether other statements give it others
   * @throws Refused where its class can have none, or knows the name
   */
  FieldHolder(UnitTrees trees, String name, TreePath at, TypeMirror type, boolean writtenAgain) {
    this.trees = trees;
    this.name = name;
    this.at = at;
    this.type = type;
    this.writtenAgain = writtenAgain;
    this.body = body();
    this.owner = OwnerClass.of(trees.program(), trees.classAround(at));
    requireHome();
    requireFree();
    requireType();
  }

  OwnerClass owner() {
    return owner;
  }

  /** The method, constructor or initialiser around it. */
  private TreePath body() {
    for (TreePath each = at; ; each = each.getParentPath()) {
      Tree tree = each.getLeaf();
      boolean initialiser =
          tree instanceof BlockTree && each.getParentPath().getLeaf() instanceof ClassTree;
      if (tree instanceof MethodTree || initialiser) {
        return each;
      }
      if (tree instanceof LambdaExpressionTree) {
        throw alone("it stands in a lambda, which could run when others do");
      }
    }
  }

  private Refused alone(String why) {
    return Refused.advising(
        RefusalKind.NOT_ALONE,
        "%s cannot be a field: %s.".formatted(name, why),
        "Make a variable of it.",
        trees.place(at.getLeaf()));
  }

  private void requireHome() {
    NestingKind nesting = owner.element().getNestingKind();
    if (nesting == NestingKind.ANONYMOUS || nesting == NestingKind.LOCAL) {
      throw alone("its class stands within a method");
    }
    ElementKind kind = owner.element().getKind();
    if (kind.isInterface() || kind == ElementKind.RECORD && !isStatic()) {
      throw new UnusableRequest(
          "%s is %s, whose objects have no other fields."
              .formatted(
                  owner.writtenName(), kind == ElementKind.RECORD ? "a record" : "an interface"),
          "Make a variable of it.");
    }
  }

  private void requireFree() {
    for (Element member : trees.program().elements().getAllMembers(owner.element())) {
      boolean same = member.getKind().isField() && member.getSimpleName().contentEquals(name);
      if (same) {
        throw Refused.advising(
            RefusalKind.NAME_TAKEN,
            "%s has a field %s already.".formatted(owner.writtenName(), name),
            "Choose another name.",
            trees.place(at.getLeaf()));
      }
    }
  }

  private void requireType() {
    boolean elsewhere =
        WritableType.variables(type).stream()
            .anyMatch(each -> isStatic() || each.getGenericElement() instanceof ExecutableElement);
    boolean local =
        type instanceof javax.lang.model.type.DeclaredType declared
            && declared.asElement() instanceof TypeElement element
            && element.getNestingKind() == NestingKind.LOCAL;
    if (elsewhere || local || !WritableType.is(type)) {
      throw alone("its type %s is known there only".formatted(type));
    }
  }

  private boolean isStatic() {
    return body.getLeaf() instanceof MethodTree method
        ? method.getModifiers().getFlags().contains(Modifier.STATIC)
        : ((BlockTree) body.getLeaf()).isStatic();
  }

  private boolean isConstructor() {
    return body.getLeaf() instanceof MethodTree method && method.getName().contentEquals("<init>");
  }

  /** Whether every object, or the class, gets it once: the one constructor always comes by. */
  private boolean isFinal() {
    TreePath block =
        body.getLeaf() instanceof MethodTree method ? new TreePath(body, method.getBody()) : body;
    boolean straight = at.getParentPath().getLeaf() == block.getLeaf();
    boolean once =
        body.getLeaf() instanceof BlockTree
            || isConstructor()
                && ElementFilter.constructorsIn(owner.element().getEnclosedElements()).size() == 1;
    return straight && once && !writtenAgain && Returns.in(block).isEmpty();
  }

  @Override
  public Written beginning(TypeNames names) {
    return Written.text("").all(named()).text(" = ").done();
  }

  @Override
  public Written named() {
    Written.Text text = Written.text("");
    if (!isStatic()) {
      text.here(UseKind.RECEIVER, trees.program().symbols().key(owner.element()));
    }
    return text.name(name, Symbols.fieldKey(owner.binaryName(), name)).done();
  }

  @Override
  public List<Replacement> declared(TypeNames names) {
    boolean stored = !isStatic() && owner.isA("java.io.Serializable");
    FieldPlace place = isStatic() ? FieldPlace.ofStatic(owner) : FieldPlace.ofInstance(owner);
    Written.Text text =
        Written.text(
            place.before()
                + "private "
                + (isStatic() ? "static " : "")
                + (isFinal() && !stored ? "final " : "")
                + (stored ? "transient " : ""));
    names.write(text, type, owner.element());
    return List.of(
        Replacement.of(
            place.at(), place.at(), text.text(" " + name + ";" + place.behind()).done()));
  }

  @Override
  public void requireKept(TreePath statement, List<TreePath> named, Assumptions assumptions) {
    OnlookersFromOutside.assume(owner, List.of(name));
    assumptions.addAll(owner.assumptions().all());
    if (isFinal()) {
      return;
    }
    for (TreePath each : named) {
      requireNotKeptElsewhere(each);
    }
    if (body.getLeaf() instanceof BlockTree || isConstructor()) {
      return;
    }
    ExecutableElement method = (ExecutableElement) trees.element(body);
    for (StatementTree each : until(statement, named)) {
      new ComesBack(trees.program(), method)
          .in(new TreePath(statement.getParentPath(), each))
          .ifPresent(
              call -> {
                throw Refused.advising(
                    RefusalKind.VALUE_CHANGES,
                    "%s cannot be a field: %s can be called again before it is used."
                        .formatted(name, shown(method)),
                    "Make a variable of it.",
                    trees.place(call.getLeaf()));
              });
    }
    assumptions.add(
        Assumption.Kind.AGAIN,
        "%s is not called again, by what it calls or by another thread, before it is done with %s"
            .formatted(shown(method), name),
        trees.place(statement.getLeaf()));
  }

  private String shown(ExecutableElement method) {
    return owner.methods().stream()
        .filter(each -> each.element().equals(method))
        .map(OwnerClass::signature)
        .findFirst()
        .orElse(method.getSimpleName().toString());
  }

  /** A lambda or a class within could look at it when the method has run again. */
  private void requireNotKeptElsewhere(TreePath use) {
    for (TreePath each = use; each.getLeaf() != body.getLeaf(); each = each.getParentPath()) {
      if (each.getLeaf() instanceof LambdaExpressionTree || each.getLeaf() instanceof ClassTree) {
        throw Refused.advising(
            RefusalKind.VALUE_CHANGES,
            name + " cannot be a field: what stands within the method keeps its value for later.",
            "Make a variable of it.",
            trees.place(use.getLeaf()));
      }
    }
  }

  /** The statements of its block up to the last that names it. */
  private List<? extends StatementTree> until(TreePath statement, List<TreePath> named) {
    List<? extends StatementTree> all = Blocks.statements(statement.getParentPath().getLeaf());
    int last = named.stream().mapToInt(each -> trees.start(each.getLeaf())).max().orElse(0);
    return all.subList(all.indexOf(statement.getLeaf()), all.size()).stream()
        .filter(each -> trees.start(each) <= last)
        .toList();
  }
}
