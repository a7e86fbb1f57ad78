package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.use.OwnerClass;

/**
 * An object that is made in a place, as what its fields are given.
 *
 * @param made the creation
 * @param values what each field is given: an expression of the place, or of the constructor
 */
record MadeHere(TreePath made, Map<Element, TreePath> values) {

  /** Whether a value is an argument of the creation, and not the constructor's own. */
  boolean isGiven(TreePath value) {
    return ((NewClassTree) made.getLeaf()).getArguments().contains(value.getLeaf());
  }

  /** Works out what the fields are given. */
  static final class Reading {
    private final Cannot cannot;
    private final OwnerClass gone;
    private final UnitTrees trees;
    private final Program program;
    private final CalmCalls calm;

    /**
     * @param trees of the file that makes the object
     */
    Reading(OwnerClass gone, UnitTrees trees) {
      this.gone = gone;
      this.cannot = new Cannot("%s cannot be inlined".formatted(gone.writtenName()));
      this.trees = trees;
      this.program = gone.program();
      this.calm = new CalmCalls(program);
    }

    /**
     * What an expression makes.
     *
     * @param declared whether the object is made where its field is declared, so that what its own
     *     fields are declared with is worked out at the same moment, behind its arguments
     * @throws Refused where it is no plain creation, or the constructor does more than set fields
     */
    MadeHere of(TreePath value, boolean declared) {
      boolean plain =
          value.getLeaf() instanceof NewClassTree tree
              && tree.getClassBody() == null
              && tree.getEnclosingExpression() == null
              && gone.element().equals(trees.element(new TreePath(value, tree.getIdentifier())));
      if (!plain) {
        throw cannot.because(
            RefusalKind.OBJECT_NEEDED,
            "its object is not made there, but comes from elsewhere",
            trees.place(value.getLeaf()));
      }
      boolean kept = declared && isInert(arguments(value));
      requireInert(fields(kept));
      Element constructor = trees.element(value);
      Optional<OwnerClass.Method> written =
          gone.constructors().stream()
              .filter(each -> each.element().equals(constructor))
              .findFirst();
      Map<Element, TreePath> values = new LinkedHashMap<>();
      written.ifPresent(each -> set(each, value, values));
      return new MadeHere(value, values);
    }

    private static List<TreePath> arguments(TreePath made) {
      return ((NewClassTree) made.getLeaf())
          .getArguments().stream().map(each -> new TreePath(made, each)).toList();
    }

    private boolean isInert(List<TreePath> values) {
      return values.stream().allMatch(each -> Shift.isInert(program, calm, each));
    }

    /**
     * What fields are declared with, and is worked out at another moment then.
     *
     * @param kept whether those of the object are not
     */
    private List<TreePath> fields(boolean kept) {
      return gone.fields().stream()
          .filter(each -> each.tree().getInitializer() != null)
          .filter(each -> !kept || each.is(Modifier.STATIC))
          .map(each -> new TreePath(each.path(), each.tree().getInitializer()))
          .toList();
    }

    /** What a field is given when it is declared will be worked out at another moment. */
    private void requireInert(List<TreePath> values) {
      for (TreePath each : values) {
        if (!Shift.isInert(program, calm, each)) {
          throw cannot.because(
              RefusalKind.INITIALISATION_ORDER,
              "what its field begins with would be worked out at another time, and that could show",
              gone.trees().place(each.getLeaf()));
        }
      }
    }

    private void set(OwnerClass.Method constructor, TreePath made, Map<Element, TreePath> values) {
      List<? extends ExpressionTree> arguments = ((NewClassTree) made.getLeaf()).getArguments();
      List<? extends VariableElement> parameters = constructor.element().getParameters();
      if (constructor.element().isVarArgs() || constructor.callsAnother()) {
        throw doesMore(constructor, constructor.tree());
      }
      List<VariableElement> open = new ArrayList<>(parameters);
      TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
      for (StatementTree each : constructor.tree().getBody().getStatements()) {
        if (isImplicit(each)) {
          continue;
        }
        TreePath set = assignment(constructor, new TreePath(body, each));
        AssignmentTree tree = (AssignmentTree) set.getLeaf();
        Element field = gone.trees().element(new TreePath(set, tree.getVariable()));
        TreePath value = new TreePath(set, tree.getExpression());
        Element given = gone.trees().element(value);
        int index = parameters.indexOf(given);
        if (index >= 0) {
          requireSameType(constructor, parameters.get(index), field);
          if (!open.remove(given)) {
            throw doesMore(constructor, each);
          }
          value = new TreePath(made, arguments.get(index));
        } else {
          requireAlone(constructor, value);
        }
        if (values.put(field, value) != null || isDeclaredWithValue(field)) {
          throw doesMore(constructor, each);
        }
      }
      for (VariableElement each : open) {
        requireInert(List.of(new TreePath(made, arguments.get(parameters.indexOf(each)))));
      }
      requireOrder(arguments, values, made);
    }

    private boolean isImplicit(StatementTree statement) {
      return ConstructorCall.isSuper(statement) || statement.getKind() == Tree.Kind.EMPTY_STATEMENT;
    }

    private TreePath assignment(OwnerClass.Method constructor, TreePath statement) {
      boolean sets =
          statement.getLeaf() instanceof ExpressionStatementTree done
              && done.getExpression() instanceof AssignmentTree set
              && gone.fields().stream()
                  .anyMatch(
                      each ->
                          PassedOn.isHeld(
                              gone.trees(),
                              new TreePath(new TreePath(statement, set), set.getVariable()),
                              each.element()));
      if (!sets) {
        throw doesMore(constructor, statement.getLeaf());
      }
      return new TreePath(
          statement, ((ExpressionStatementTree) statement.getLeaf()).getExpression());
    }

    private boolean isDeclaredWithValue(Element field) {
      return gone.fields().stream()
          .anyMatch(each -> each.element().equals(field) && each.tree().getInitializer() != null);
    }

    private void requireSameType(
        OwnerClass.Method constructor, VariableElement parameter, Element field) {
      if (!program.types().isSameType(parameter.asType(), field.asType())) {
        throw cannot.because(
            RefusalKind.CONSTRUCTOR_SHAPE,
            "%s has another type than the field that it is kept in"
                .formatted(parameter.getSimpleName()),
            gone.trees().place(constructor.tree()));
      }
    }

    /** What the constructor works out itself may rest on nothing that it is given, or holds. */
    private void requireAlone(OwnerClass.Method constructor, TreePath value) {
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitIdentifier(IdentifierTree tree, Void unused) {
          Element element = gone.trees().element(getCurrentPath());
          boolean given =
              element instanceof VariableElement
                  && constructor.element().getParameters().contains(element);
          boolean own =
              element != null
                  && gone.element().equals(element.getEnclosingElement())
                  && !element.getModifiers().contains(Modifier.STATIC);
          if (given || own || tree.getName().contentEquals("this")) {
            throw doesMore(constructor, tree);
          }
          return null;
        }
      }.scan(value, null);
      requireInert(List.of(value));
    }

    /** Arguments that show when they are worked out stay in their order. */
    private void requireOrder(
        List<? extends ExpressionTree> arguments, Map<Element, TreePath> values, TreePath made) {
      int last = -1;
      for (TreePath each : values.values()) {
        int index = arguments.indexOf(each.getLeaf());
        if (index < 0 || Shift.isInert(program, calm, each)) {
          continue;
        }
        if (index < last) {
          throw cannot.because(
              RefusalKind.CALL_ORDER,
              "what it is given there would be worked out in another order",
              trees.place(made.getLeaf()));
        }
        last = index;
      }
    }

    private Refused doesMore(OwnerClass.Method constructor, Tree place) {
      return cannot.because(
          RefusalKind.DOES_MORE,
          "its constructor does more than set each field once",
          gone.trees().place(gone.trees().start(place) < 0 ? constructor.tree() : place));
    }
  }
}
