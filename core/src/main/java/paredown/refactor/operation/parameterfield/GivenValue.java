package paredown.refactor.operation.parameterfield;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;

/** A value that is the same wherever and whenever it is asked for, as far as its kind tells. */
sealed interface GivenValue {

  /** A literal, by its text. */
  record Literal(String text) implements GivenValue {}

  /** A constant of a class. */
  record Constant(Element field) implements GivenValue {}

  /** A local variable or parameter. */
  record Local(Element variable) implements GivenValue {}

  /** A field of the object around. */
  record OwnField(Element field) implements GivenValue {}

  /** The value that an expression gives; empty where it is none of these. */
  static Optional<GivenValue> of(UnitTrees trees, TreePath expression) {
    Tree tree = expression.getLeaf();
    if (isLiteral(tree)) {
      return Optional.of(new Literal(trees.source().slice(trees.start(tree), trees.end(tree))));
    }
    boolean plain =
        tree instanceof IdentifierTree
            || tree instanceof MemberSelectTree select
                && select.getExpression().toString().equals("this");
    Element element = trees.element(expression);
    if (element == null || !(plain || tree instanceof MemberSelectTree)) {
      return Optional.empty();
    }
    boolean isStatic = element.getModifiers().contains(Modifier.STATIC);
    if (element.getKind().isField() && isStatic) {
      boolean constant =
          element.getModifiers().contains(Modifier.FINAL)
              || element.getKind() == ElementKind.ENUM_CONSTANT;
      return constant ? Optional.of(new Constant(element)) : Optional.empty();
    }
    if (plain && element.getKind() == ElementKind.FIELD) {
      return Optional.of(new OwnField(element));
    }
    boolean local = tree instanceof IdentifierTree && Symbols.isLocal(element);
    return local ? Optional.of(new Local(element)) : Optional.empty();
  }

  private static boolean isLiteral(Tree tree) {
    return tree instanceof LiteralTree
        || tree.getKind() == Tree.Kind.UNARY_MINUS
            && ((UnaryTree) tree).getExpression() instanceof LiteralTree;
  }

  /** Whether it is the same in every place of the program. */
  default boolean isEverywhere() {
    return this instanceof Literal || this instanceof Constant;
  }

  /** The expression that gives it in a place of some class. */
  default Written written(Program program, TypeNames names, TypeElement around) {
    Written.Text text = Written.text("");
    if (this instanceof Literal literal) {
      text.text(literal.text());
    } else if (this instanceof Constant constant) {
      if (!constant.field().getEnclosingElement().equals(around)) {
        names.write(text, (TypeElement) constant.field().getEnclosingElement(), around);
        text.text(".");
      }
      text.name(name(constant.field()), program.symbols().key(constant.field()));
    } else if (this instanceof OwnField own) {
      text.here(UseKind.RECEIVER, program.symbols().key(own.field().getEnclosingElement()));
      text.name(name(own.field()), program.symbols().key(own.field()));
    } else if (this instanceof Local local) {
      text.local(name(local.variable()));
    }
    return text.done();
  }

  /** How it is called. */
  default String shown() {
    return this instanceof Literal literal
        ? literal.text()
        : this instanceof Constant constant
            ? name(constant.field())
            : this instanceof OwnField own ? name(own.field()) : name(((Local) this).variable());
  }

  private static String name(Element element) {
    return element.getSimpleName().toString();
  }
}
