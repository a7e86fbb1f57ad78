package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;

/** The objects of a go-between, in whose place stands what they were made of. */
final class Unwrapped {
  private static final String WHY = "the object behind it is asked itself";

  /** Methods that compare what they are given, or make text of it. */
  private static final Set<String> COMPARING =
      Set.of(
          "equals",
          "hash",
          "hashCode",
          "identityHashCode",
          "contains",
          "containsKey",
          "containsValue",
          "indexOf",
          "lastIndexOf",
          "remove",
          "toString",
          "valueOf",
          "format",
          "formatted",
          "append",
          "print",
          "println",
          "printf",
          "assertEquals",
          "assertNotEquals",
          "assertSame",
          "assertNotSame");

  private final OwnerClass gone;
  private final OwnerClass.Field field;
  private final Map<ExecutableElement, ExecutableElement> asked;
  private final StandIn standIn;
  private final EditList edits;
  private final Program program;
  private final List<Unwrap> unwraps = new ArrayList<>();

  /** An expression in whose place a part of it stands, or what the field begins with for null. */
  private record Unwrap(UnitTrees trees, TreePath whole, ExpressionTree part) {
    int length() {
      return trees.end(whole.getLeaf()) - trees.start(whole.getLeaf());
    }
  }

  private final Cannot cannot;

  Unwrapped(
      OwnerClass gone,
      OwnerClass.Field field,
      Map<ExecutableElement, ExecutableElement> asked,
      StandIn standIn,
      EditList edits) {
    this.gone = gone;
    this.field = field;
    this.asked = asked;
    this.standIn = standIn;
    this.edits = edits;
    this.program = gone.program();
    this.cannot = new Cannot("%s cannot be inlined".formatted(gone.writtenName()));
  }

  /** Whether a mention is in the creation of an object, which goes as a whole. */
  boolean isMade(UnitTrees trees, TreePath mention) {
    Tree around = mention.getParentPath().getLeaf();
    if (around instanceof NewClassTree made && made.getIdentifier() == mention.getLeaf()) {
      if (made.getClassBody() != null) {
        throw cannot.because(
            RefusalKind.OBJECT_NEEDED,
            "a class without a name extends it there",
            trees.place(around));
      }
      return true;
    }
    boolean reference = around instanceof MemberReferenceTree;
    boolean extended =
        around instanceof ClassTree
            || around instanceof MemberReferenceTree made
                && made.getMode() == MemberReferenceTree.ReferenceMode.NEW;
    if (extended) {
      throw cannot.because(
          RefusalKind.OBJECT_NEEDED,
          reference ? "its constructor is handed on there" : "a class extends it there",
          trees.place(around));
    }
    return false;
  }

  /** Collects the edits of the objects themselves, inner ones before those around them. */
  void collect() {
    for (Unit unit : program.units()) {
      look(new UnitTrees(program, unit));
    }
    unwraps.sort(Comparator.comparingInt(Unwrap::length));
    unwraps.forEach(this::unwrap);
  }

  private void look(UnitTrees trees) {
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree == gone.tree()) {
          return null;
        }
        return super.scan(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        if (isOfGone(getCurrentPath())) {
          unwraps.add(new Unwrap(trees, getCurrentPath(), made(tree)));
          used(trees, getCurrentPath());
        }
        return super.visitNewClass(tree, null);
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        value(tree);
        return super.visitIdentifier(tree, null);
      }

      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        value(tree);
        member(tree, tree.getExpression());
        return super.visitMemberSelect(tree, null);
      }

      @Override
      public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
        member(tree, tree.getQualifierExpression());
        return super.visitMemberReference(tree, null);
      }

      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        if (isOfGone(getCurrentPath())) {
          used(trees, getCurrentPath());
        }
        return super.visitMethodInvocation(tree, null);
      }

      private void value(ExpressionTree tree) {
        Element element = trees.element(getCurrentPath());
        if (element instanceof VariableElement
            && isOfGone(getCurrentPath())
            && trees.end(tree) >= 0) {
          used(trees, getCurrentPath());
        }
      }

      private void member(ExpressionTree tree, ExpressionTree object) {
        if (trees.element(getCurrentPath()) instanceof ExecutableElement method
            && asked.containsKey(method)) {
          ask(trees, getCurrentPath(), method, object);
        }
      }
    }.scan(trees.unit().tree(), null);
  }

  private static ExpressionTree made(NewClassTree tree) {
    return tree.getArguments().isEmpty() ? null : tree.getArguments().get(0);
  }

  private boolean isOfGone(TreePath path) {
    TypeMirror type = program.trees().getTypeMirror(path);
    return type != null && gone.element().equals(program.types().asElement(type));
  }

  /** A method of the go-between is asked for: the same of the other object, or that itself. */
  private void ask(
      UnitTrees trees, TreePath path, ExecutableElement method, ExpressionTree object) {
    ExecutableElement called = asked.get(method);
    TreePath around = path.getParentPath();
    if (called != null) {
      boolean same = called.getSimpleName().equals(method.getSimpleName());
      int end = trees.end(path.getLeaf());
      int start = end - method.getSimpleName().length();
      standIn.open(called, trees, path);
      if (!same) {
        Written text =
            Written.text("")
                .name(
                    called.getSimpleName().toString(),
                    program.symbols().key(called),
                    Rewriting.name(trees, start))
                .done();
        edits.add(trees.path(), Rewriting.of(trees, start, end, WHY, text));
      }
    } else if (around.getLeaf() instanceof MethodInvocationTree) {
      unwraps.add(new Unwrap(trees, around, object));
    } else {
      throw cannot.because(
          RefusalKind.CALL_SHAPE,
          method.getSimpleName() + " is handed on there",
          trees.place(path.getLeaf()));
    }
  }

  private void unwrap(Unwrap each) {
    UnitTrees trees = each.trees();
    boolean begins = each.part() == null;
    ExpressionTree part = begins ? field.tree().getInitializer() : each.part();
    boolean alone = each.whole().getParentPath().getLeaf() instanceof ExpressionStatementTree;
    if (alone && !Values.isStatement(part)) {
      throw cannot.because(
          RefusalKind.CALL_SHAPE,
          "it is made there for nothing",
          trees.place(each.whole().getLeaf()));
    }
    List<Piece> pieces =
        new ArrayList<>(
            List.of(begins ? begun(trees, each.whole(), part) : edits.carried(trees, part)));
    if (Brackets.areNeeded(part, each.whole())) {
      pieces.add(0, Written.plain("("));
      pieces.add(Written.plain(")"));
    }
    edits.add(
        trees.path(),
        Rewriting.of(
                trees,
                trees.start(each.whole().getLeaf()),
                trees.end(each.whole().getLeaf()),
                WHY,
                pieces,
                List.of())
            .proving(begins ? WHY : ""));
  }

  /** What the field begins with, said where an object is made. */
  private Piece begun(UnitTrees trees, TreePath whole, ExpressionTree value) {
    UnitTrees from = gone.trees();
    CodeElsewhere code =
        new CodeElsewhere(from, standIn.names(trees), trees.classAround(whole), false);
    return new Copied(
        from.path(),
        from.start(value),
        from.end(value),
        code.edits(new TreePath(field.path(), value)));
  }

  /** Looks at what is done with an object of the go-between, beside asking it for something. */
  private void used(UnitTrees trees, TreePath path) {
    TreePath part = path;
    TreePath around = path.getParentPath();
    while (around.getLeaf() instanceof ParenthesizedTree
            && !(around.getParentPath().getLeaf() instanceof SynchronizedTree)
        || around.getLeaf() instanceof ConditionalExpressionTree) {
      part = around;
      around = around.getParentPath();
    }
    Tree here = part.getLeaf();
    Tree outer = around.getLeaf();
    if (outer instanceof BinaryTree binary) {
      compared(trees, binary);
    } else if (outer instanceof ParenthesizedTree) {
      throw cannot.because(
          RefusalKind.VALUE_CHANGES, "it is used as a lock there", trees.place(here));
    } else if (outer instanceof MemberSelectTree || outer instanceof MemberReferenceTree) {
      Element member = trees.element(around);
      if (member instanceof ExecutableElement && !asked.containsKey(member)) {
        throw cannot.because(
            RefusalKind.OBJECT_NEEDED,
            "its object is asked for " + member.getSimpleName() + " there",
            trees.place(outer));
      }
    } else if (asksForEquality(around.getLeaf(), here)) {
      throw cannot.because(
          RefusalKind.VALUE_CHANGES, "its object is compared or shown there", trees.place(here));
    } else if (!keepsType(trees, around, here)) {
      gone.assumptions()
          .add(
              Assumption.Kind.COMPARISON,
              "nothing compares, shows or asks objects of %s as objects of any class"
                  .formatted(gone.simpleName()),
              trees.place(here));
    }
  }

  /** Whether an object is given to a method that compares it, or makes text of it, by its name. */
  private static boolean asksForEquality(Tree around, Tree here) {
    return around instanceof MethodInvocationTree call
        && call.getArguments().contains(here)
        && COMPARING.contains(
            call.getMethodSelect() instanceof MemberSelectTree select
                ? select.getIdentifier().toString()
                : call.getMethodSelect().toString());
  }

  private void compared(UnitTrees trees, BinaryTree binary) {
    boolean withNull =
        binary.getLeftOperand().getKind() == Tree.Kind.NULL_LITERAL
            || binary.getRightOperand().getKind() == Tree.Kind.NULL_LITERAL;
    if (!withNull) {
      throw cannot.because(
          RefusalKind.VALUE_CHANGES, "its object is compared or shown there", trees.place(binary));
    }
    gone.assumptions()
        .add(
            Assumption.Kind.NULL,
            "no object of %s is made of null".formatted(gone.simpleName()),
            trees.place(binary));
  }

  /** Whether a place takes an object of the go-between as just that. */
  private boolean keepsType(UnitTrees trees, TreePath around, Tree here) {
    Tree outer = around.getLeaf();
    if (outer instanceof ExpressionStatementTree) {
      return true;
    }
    if (outer instanceof VariableTree
        || outer instanceof AssignmentTree set && set.getVariable() == here) {
      return outer instanceof AssignmentTree || isOfGone(around) || isOf(trees.element(around));
    }
    if (outer instanceof AssignmentTree set) {
      return isOfGone(new TreePath(around, set.getVariable()));
    }
    if (outer instanceof ReturnTree) {
      TreePath at = around;
      while (!(at.getLeaf() instanceof MethodTree)
          && !(at.getLeaf() instanceof LambdaExpressionTree)) {
        at = at.getParentPath();
      }
      return trees.element(at) instanceof ExecutableElement method
          && isGone(method.getReturnType());
    }
    List<? extends ExpressionTree> arguments =
        outer instanceof MethodInvocationTree call
            ? call.getArguments()
            : outer instanceof NewClassTree made ? made.getArguments() : List.of();
    int index = arguments.indexOf(here);
    return index >= 0
        && trees.element(around) instanceof ExecutableElement called
        && index < called.getParameters().size()
        && isGone(called.getParameters().get(index).asType());
  }

  private boolean isOf(Element element) {
    return element instanceof VariableElement && isGone(element.asType());
  }

  private boolean isGone(TypeMirror type) {
    return gone.element().equals(program.types().asElement(type));
  }
}
