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
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.facts.MethodFact.MemberUse;

/** Takes down the traits of a body: what it asks of whom, and what it hands on. */
final class TraitsReader {
  private final DeclaredTypes own;
  private final UnitPlaces places;
  private final List<Question> questions = new ArrayList<>();
  private final List<Traits.Chain> chains = new ArrayList<>();
  private final List<Traits.KindTest> kindTests = new ArrayList<>();
  private final List<Traits.Passed> passed = new ArrayList<>();

  private final Set<Traits.Outside> outside = EnumSet.noneOf(Traits.Outside.class);
  private int texts;

  TraitsReader(DeclaredTypes own, UnitPlaces places) {
    this.own = own;
    this.places = places;
  }

  Traits traits() {
    return new Traits(questions, chains, kindTests, passed, texts, outside);
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
    }
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
    Tree tree = path.getLeaf();
    if (tree instanceof ParenthesizedTree within) {
      ask(new TreePath(path, within.getExpression()));
      return;
    }
    if (tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      ask(new TreePath(path, ((UnaryTree) tree).getExpression()));
      return;
    }
    AskedObject asked = new AskedObject(own);
    asked.scan(path, null);
    if (asked.isOne()) {
      questions.add(asked.question((ExpressionTree) tree, places.line(tree)));
    } else if (tree instanceof BinaryTree both
        && (tree.getKind() == Tree.Kind.CONDITIONAL_AND
            || tree.getKind() == Tree.Kind.CONDITIONAL_OR)) {
      ask(new TreePath(path, both.getLeftOperand()));
      ask(new TreePath(path, both.getRightOperand()));
    }
  }
}
