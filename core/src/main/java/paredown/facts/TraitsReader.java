package paredown.facts;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.facts.MethodFact.MemberUse;

/** Takes down the traits of a body: what it asks of whom, and what it hands on. */
final class TraitsReader {
  /** Fewer constants of an enum than these are told apart anywhere. */
  private static final int KINDS = 3;

  /** A comparison with one code tells nothing apart. */
  private static final int CODES = 2;

  private final DeclaredTypes own;
  private final UnitPlaces places;
  private final List<Question> questions = new ArrayList<>();
  private final List<Traits.Chain> chains = new ArrayList<>();
  private final List<Traits.KindTest> kindTests = new ArrayList<>();
  private final List<Traits.Passed> passed = new ArrayList<>();

  /** What is compared with codes, and the codes of one class that it is compared with. */
  private final Map<Compared, Set<String>> compared = new LinkedHashMap<>();

  private final Map<Compared, Integer> lines = new HashMap<>();

  private final Set<Traits.Outside> outside = EnumSet.noneOf(Traits.Outside.class);
  private int texts;

  /**
   * What is compared with codes.
   *
   * @param type the class that declares the codes
   * @param what the expression, as it is written
   * @param kind whether they are constants of an enum
   */
  private record Compared(String type, String what, boolean kind) {}

  TraitsReader(DeclaredTypes own, UnitPlaces places) {
    this.own = own;
    this.places = places;
  }

  Traits traits() {
    List<Traits.KindTest> all = new ArrayList<>(kindTests);
    compared.forEach(
        (each, codes) -> {
          if (codes.size() >= (each.kind() ? KINDS : CODES)) {
            all.add(new Traits.KindTest(each.type(), "", codes.size(), lines.get(each)));
          }
        });
    return new Traits(questions, chains, all, passed, texts, outside);
  }

  /** Takes down a name, where it is that of something outside the program. */
  void named(Element element) {
    Element type = element;
    while (type != null && !(type instanceof TypeElement)) {
      type = type.getEnclosingElement();
    }
    if (type instanceof TypeElement named) {
      Traits.Outside.of(named.getQualifiedName().toString()).ifPresent(outside::add);
    }
  }

  /** Takes down a literal, where it is text. */
  void text(LiteralTree tree) {
    texts += tree.getValue() instanceof String || tree.getValue() instanceof Character ? 1 : 0;
  }

  /** Takes down how many cases of a type a switch tells apart. */
  void switchOver(TreePath at, ExpressionTree over, List<? extends CaseTree> cases) {
    String type = own.typeOf(new TreePath(at, over));
    int told = cases.stream().mapToInt(each -> each.getExpressions().size()).sum();
    if (!type.isEmpty()) {
      kindTests.add(new Traits.KindTest(type, "", told, places.line(over)));
      return;
    }
    for (CaseTree each : cases) {
      for (ExpressionTree label : each.getExpressions()) {
        code(new TreePath(new TreePath(at, each), label), over);
      }
    }
  }

  /** Takes down that something is compared with something else, if that is a code of a class. */
  void compare(TreePath at, ExpressionTree one, TreePath atOther, ExpressionTree other) {
    code(new TreePath(at, one), other);
    code(new TreePath(atOther, other), one);
  }

  /**
   * Takes down a code: a constant number or text of a class of the project, but no sign, or a
   * constant of an enum.
   */
  private void code(TreePath at, ExpressionTree what) {
    if (own.element(at) instanceof VariableElement constant
        && (isCode(constant) || constant.getKind() == ElementKind.ENUM_CONSTANT)
        && own.holds(constant.getEnclosingElement())) {
      Compared with =
          new Compared(
              own.name((TypeElement) constant.getEnclosingElement()),
              what.toString(),
              constant.getKind() == ElementKind.ENUM_CONSTANT);
      compared
          .computeIfAbsent(with, each -> new LinkedHashSet<>())
          .add(constant.getSimpleName().toString());
      lines.putIfAbsent(with, places.line(what));
    }
  }

  private static boolean isCode(VariableElement constant) {
    return constant.getModifiers().contains(Modifier.STATIC)
        && constant.getConstantValue() != null
        && !(constant.getConstantValue() instanceof Character);
  }

  /** Takes down a test of what a variable is. */
  void test(TreePath at, InstanceOfTree tree) {
    if (tree.getExpression() instanceof IdentifierTree tested
        && tree.getType() != null
        && own.element(new TreePath(at, tree.getType())) instanceof TypeElement type
        && own.holds(type)) {
      kindTests.add(
          new Traits.KindTest(own.name(type), tested.getName().toString(), 1, places.line(tree)));
    }
  }

  /** Takes down a call of a method of the project. */
  void called(TreePath at, MethodInvocationTree tree) {
    TreePath select = new TreePath(at, tree.getMethodSelect());
    if (own.element(select) instanceof ExecutableElement called
        && own.holds(called.getEnclosingElement())) {
      passOn(at, tree, called);
      if (!(at.getParentPath().getLeaf() instanceof MemberSelectTree)) {
        chain(at, tree);
      }
    }
  }

  private void passOn(TreePath at, MethodInvocationTree tree, ExecutableElement called) {
    for (int i = 0; i < tree.getArguments().size(); i++) {
      if (tree.getArguments().get(i) instanceof IdentifierTree given && isParameter(at, given)) {
        passed.add(new Traits.Passed(given.getName().toString(), call(called), i));
      }
    }
  }

  private boolean isParameter(TreePath at, IdentifierTree name) {
    Element element = own.element(new TreePath(at, name));
    return element != null && element.getKind() == ElementKind.PARAMETER;
  }

  private MemberUse call(ExecutableElement called) {
    return new MemberUse(
        MemberUse.Kind.CALL,
        own.name((TypeElement) called.getEnclosingElement()),
        own.signature(called));
  }

  /** Takes down a call on what a call gives on what a call gives. */
  private void chain(TreePath call, MethodInvocationTree last) {
    List<MemberUse> links = new ArrayList<>();
    TreePath at = call;
    while (at.getLeaf() instanceof MethodInvocationTree asked && asked.getArguments().isEmpty()) {
      TreePath select = new TreePath(at, asked.getMethodSelect());
      if (!(own.element(select) instanceof ExecutableElement called)
          || !own.holds(called.getEnclosingElement())) {
        break;
      }
      links.add(0, call(called));
      if (!(select.getLeaf() instanceof MemberSelectTree next)) {
        break;
      }
      at = new TreePath(select, next.getExpression());
    }
    if (links.size() > 2) {
      chains.add(new Traits.Chain(links, last.toString(), places.line(last)));
    }
  }

  /** Takes down the largest parts of a condition that ask one object only. */
  void ask(TreePath path) {
    ask(path, "");
  }

  private void ask(TreePath path, String given) {
    Tree tree = path.getLeaf();
    if (tree instanceof ParenthesizedTree within) {
      ask(new TreePath(path, within.getExpression()), given);
      return;
    }
    if (tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      ask(new TreePath(path, ((UnaryTree) tree).getExpression()), "");
      return;
    }
    AskedObject asked = asked(path);
    if (asked.isOne()) {
      questions.add(asked.question((ExpressionTree) tree, given, places.line(tree)));
    } else if (tree instanceof BinaryTree both
        && (tree.getKind() == Tree.Kind.CONDITIONAL_AND
            || tree.getKind() == Tree.Kind.CONDITIONAL_OR)) {
      ask(new TreePath(path, both.getLeftOperand()), "");
      ask(new TreePath(path, both.getRightOperand()), "");
    }
  }

  /**
   * Takes down what asks one object, or works a number out of it: the largest parts of the value
   * that a variable, a method or a caller is given.
   *
   * @param given the variable that takes it; empty where it is none
   */
  void value(TreePath path, String given) {
    Tree tree = path.getLeaf();
    if (tree instanceof ParenthesizedTree within) {
      value(new TreePath(path, within.getExpression()), given);
    } else if (isCondition(tree)) {
      ask(path, given);
    } else if (mayWorkOut(tree)) {
      AskedObject asked = asked(path);
      boolean whole = asked.isOne() && asked.asksSeveral() && own.isNumber(path);
      if (whole && !(asked.hasOthers() && isSettledWithin(path))) {
        questions.add(asked.question((ExpressionTree) tree, given, places.line(tree)));
      } else if (tree instanceof BinaryTree both) {
        value(new TreePath(path, both.getLeftOperand()), "");
        value(new TreePath(path, both.getRightOperand()), "");
      }
    }
  }

  private AskedObject asked(TreePath path) {
    AskedObject asked = new AskedObject(own);
    asked.scan(path, null);
    return asked;
  }

  /** Whether one operand asks all that, and the other only adds to it. */
  private boolean isSettledWithin(TreePath path) {
    return path.getLeaf() instanceof BinaryTree both
        && (asksSeveral(new TreePath(path, both.getLeftOperand()))
            || asksSeveral(new TreePath(path, both.getRightOperand())));
  }

  private boolean asksSeveral(TreePath path) {
    AskedObject asked = asked(path);
    return asked.isOne() && asked.asksSeveral();
  }

  private static boolean isCondition(Tree tree) {
    return switch (tree.getKind()) {
      case CONDITIONAL_AND, CONDITIONAL_OR, LOGICAL_COMPLEMENT -> true;
      case EQUAL_TO, NOT_EQUAL_TO, LESS_THAN, GREATER_THAN -> true;
      case LESS_THAN_EQUAL, GREATER_THAN_EQUAL -> true;
      default -> false;
    };
  }

  /** Arithmetic, and a call of what a call gives. */
  private static boolean mayWorkOut(Tree tree) {
    return switch (tree.getKind()) {
      case PLUS, MINUS, MULTIPLY, DIVIDE, REMAINDER -> true;
      case METHOD_INVOCATION ->
          ((MethodInvocationTree) tree).getMethodSelect() instanceof MemberSelectTree select
              && select.getExpression() instanceof MethodInvocationTree;
      default -> false;
    };
  }
}
