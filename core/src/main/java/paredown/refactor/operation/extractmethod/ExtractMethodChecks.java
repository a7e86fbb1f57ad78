package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.BindingPatternTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.code.Writes;
import paredown.refactor.use.OwnerClass;

/** What must hold before a part can stand in a method of its own. */
final class ExtractMethodChecks {
  private final UnitTrees trees;
  private final Part part;
  private final TreePath method;
  private final OwnerClass owner;
  private final Locals locals;
  private final String name;

  ExtractMethodChecks(
      UnitTrees trees, Part part, TreePath method, OwnerClass owner, Locals locals, String name) {
    this.trees = trees;
    this.part = part;
    this.method = method;
    this.owner = owner;
    this.locals = locals;
    this.name = name;
  }

  static Refused leaves(UnitTrees trees, Part part) {
    return Refused.advising(
        RefusalKind.LEAVES_EARLY,
        "Some ways through the part return, and others go on behind it.",
        "Take all up to the end of the method, or only what surely returns.",
        trees.source().place(part.start()));
  }

  static Refused several(UnitTrees trees, Part part, List<VariableElement> results) {
    return Refused.advising(
        RefusalKind.SEVERAL_RESULTS,
        "What follows needs %d values of the part: %s."
            .formatted(
                results.size(),
                results.stream()
                    .map(each -> each.getSimpleName().toString())
                    .collect(Collectors.joining(", "))),
        "Say --result NAME for a record of them; or take less, or more, so that one comes out of it.",
        trees.source().place(part.start()));
  }

  static Refused alone(UnitTrees trees, Part part, String why) {
    return Refused.advising(
        RefusalKind.NOT_ALONE,
        "The part cannot stand alone: %s.".formatted(why),
        "Take more, or less.",
        trees.source().place(part.start()));
  }

  private Refused alone(String why) {
    return alone(trees, part, why);
  }

  void require() {
    requireNamedHome();
    requireFree();
    requireBody();
    if (part.isExpression()) {
      requireValue();
    }
    requireNoConstants();
    for (TreePath path : part.trees()) {
      new Needs().scan(path, null);
    }
    requireNoFinalFields();
  }

  private void requireNamedHome() {
    if (owner.element().getKind() == ElementKind.ANNOTATION_TYPE) {
      throw alone("an annotation has no methods with bodies");
    }
  }

  /** A method of the name, in a class above or around, could be meant by other calls. */
  private void requireFree() {
    for (Element at = owner.element(); at != null; at = at.getEnclosingElement()) {
      boolean taken =
          at instanceof TypeElement type
              && ElementFilter.methodsIn(trees.program().elements().getAllMembers(type)).stream()
                  .anyMatch(each -> each.getSimpleName().contentEquals(name));
      if (taken) {
        throw Refused.advising(
            RefusalKind.NAME_TAKEN,
            "%s has a method %s already.".formatted(word(at), name),
            "Choose another with --name.",
            trees.source().place(part.start()));
      }
    }
  }

  private static String word(Element type) {
    return type.getSimpleName().length() == 0
        ? "The class without a name"
        : type.getSimpleName().toString();
  }

  /** The call of another constructor comes first, and what is given to it has no object yet. */
  private void requireBody() {
    MethodTree tree = (MethodTree) method.getLeaf();
    boolean compact =
        owner.element().getKind() == ElementKind.RECORD
            && tree.getReturnType() == null
            && tree.getParameters().stream().allMatch(each -> trees.end(each) < 0);
    if (tree.getBody() == null || compact && !tree.getParameters().isEmpty()) {
      throw alone("its constructor takes its parameters without saying so");
    }
    if (part.start() < trees.start(tree.getBody())) {
      throw alone("it is no code of a body");
    }
    for (TreePath at = part.first(); at != method; at = at.getParentPath()) {
      if (at.getLeaf() instanceof StatementTree statement
          && (ConstructorCall.isThis(statement) || ConstructorCall.isSuper(statement))) {
        throw alone("there is no object yet where another constructor is called");
      }
    }
  }

  private void requireValue() {
    if (!Values.isOne(trees, part.first())) {
      throw alone("it is no value by itself");
    }
    boolean sets = locals.inputs().stream().anyMatch(locals::isWritten);
    if (sets) {
      throw alone("it sets a variable that stays");
    }
  }

  /** A constant that comes as a parameter is none any more. */
  private void requireNoConstants() {
    for (VariableElement input : locals.inputs()) {
      if (input.getConstantValue() != null) {
        throw alone("%s is a constant".formatted(input.getSimpleName()));
      }
    }
  }

  /** Only a constructor sets final fields. */
  private void requireNoFinalFields() {
    for (TreePath path : part.trees()) {
      for (Element written : Writes.in(trees, path)) {
        if (written.getKind() == ElementKind.FIELD
            && written.getModifiers().contains(Modifier.FINAL)) {
          throw alone("it sets the final field %s".formatted(written.getSimpleName()));
        }
      }
    }
  }

  /** Refuses what is known only around the part, and what only it knows and others need. */
  private final class Needs extends TreePathScanner<Void, Void> {
    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      Element element = trees.element(getCurrentPath());
      boolean local =
          element instanceof TypeElement type && type.getNestingKind() == NestingKind.LOCAL;
      int at = local ? declaredAt(element) : -1;
      boolean ofMethod = trees.start(method.getLeaf()) <= at && at < trees.end(method.getLeaf());
      if (local && ofMethod && !part.holds(at)) {
        throw alone("it uses the class %s of its method".formatted(tree.getName()));
      }
      return super.visitIdentifier(tree, null);
    }

    private int declaredAt(Element element) {
      TreePath path = trees.program().trees().getPath(element);
      return path == null ? -1 : trees.start(path.getLeaf());
    }

    @Override
    public Void visitClass(ClassTree tree, Void unused) {
      Element declared = trees.element(getCurrentPath());
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitIdentifier(IdentifierTree name, Void none) {
          if (!part.holds(trees.start(name))
              && declared != null
              && declared.equals(trees.element(getCurrentPath()))) {
            throw alone("what follows uses %s, which it declares".formatted(name.getName()));
          }
          return null;
        }
      }.scan(method, null);
      return super.visitClass(tree, null);
    }

    @Override
    public Void visitBindingPattern(BindingPatternTree tree, Void unused) {
      TreePath path = new TreePath(getCurrentPath(), tree.getVariable());
      if (trees.element(path) instanceof VariableElement bound && !locals.later(bound).isEmpty()) {
        throw alone("what follows uses %s, which it binds".formatted(bound.getSimpleName()));
      }
      return super.visitBindingPattern(tree, null);
    }
  }
}
