package paredown.facts;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.facts.Access.Root;
import paredown.facts.MethodFact.MemberUse;
import paredown.program.Unit;

/** Reads one method's body, or what initialises a type. */
final class BodyScan extends TreePathScanner<Void, Void> {
  private final DeclaredTypes own;
  private final Unit unit;
  private final Set<String> mentions;
  private final List<Access> accesses = new ArrayList<>();
  private final List<LocalUse> locals = new ArrayList<>();
  private final Map<Element, Integer> variables = new HashMap<>();
  private final List<OpenSpan> spans = new ArrayList<>();
  private final Deque<OpenSpan> open = new ArrayDeque<>();
  private final List<Question> questions = new ArrayList<>();
  private final List<Traits.Chain> chains = new ArrayList<>();
  private final List<Traits.KindTest> kindTests = new ArrayList<>();
  private final List<Traits.Passed> passed = new ArrayList<>();
  private int decisions;
  private int statements;

  /**
   * @param mentions takes the names of the project's types that are named
   */
  BodyScan(DeclaredTypes own, Unit unit, Set<String> mentions) {
    this.own = own;
    this.unit = unit;
    this.mentions = mentions;
  }

  /** A statement that is being read. */
  private static final class OpenSpan {
    private final Tree tree;
    private final int depth;
    private boolean jumps;

    OpenSpan(Tree tree, int depth) {
      this.tree = tree;
      this.depth = depth;
    }

    boolean isLoopOrSwitch() {
      return switch (tree.getKind()) {
        case FOR_LOOP, ENHANCED_FOR_LOOP, WHILE_LOOP, DO_WHILE_LOOP, SWITCH -> true;
        default -> false;
      };
    }
  }

  /** What was read. */
  Body body(long shape) {
    return Body.of(
        decisions + 1,
        statements,
        accesses,
        locals,
        spans.stream().map(this::closed).toList(),
        new Traits(questions, chains, kindTests, passed),
        shape);
  }

  private Span closed(OpenSpan span) {
    int start = own.start(unit, span.tree);
    int end = Math.max(start, own.end(unit, span.tree));
    int line = unit.source().line(start);
    String before = line > 1 ? unit.source().lineText(line - 1).strip() : "";
    String comment = before.startsWith("//") ? before.substring(2).strip() : "";
    return new Span(
        start,
        end,
        line,
        unit.source().line(Math.max(start, end - 1)),
        span.depth,
        span.jumps,
        comment,
        before.isEmpty() || before.startsWith("//") || before.endsWith("*/"));
  }

  @Override
  public Void scan(Tree tree, Void unused) {
    boolean statement =
        tree instanceof StatementTree && !(tree instanceof BlockTree) && !isDeclaredElsewhere(tree);
    if (statement) {
      statements++;
    }
    decisions += tree != null && decides(tree) ? 1 : 0;
    if (statement && standsAlone(tree)) {
      OpenSpan span = new OpenSpan(tree, open.size());
      spans.add(span);
      open.push(span);
      super.scan(tree, null);
      open.pop();
      return null;
    }
    return super.scan(tree, unused);
  }

  /** Parameters, fields and what a loop or a catch declares are no statements of their own. */
  private boolean isDeclaredElsewhere(Tree tree) {
    return tree instanceof VariableTree && !standsAlone(tree);
  }

  private boolean standsAlone(Tree tree) {
    Tree parent = getCurrentPath().getLeaf();
    return parent instanceof BlockTree && !(tree instanceof ClassTree);
  }

  private static boolean decides(Tree tree) {
    return switch (tree.getKind()) {
      case IF, FOR_LOOP, ENHANCED_FOR_LOOP, WHILE_LOOP, DO_WHILE_LOOP, CATCH -> true;
      case CONDITIONAL_EXPRESSION, CONDITIONAL_AND, CONDITIONAL_OR -> true;
      case CASE -> !((CaseTree) tree).getExpressions().isEmpty();
      default -> false;
    };
  }

  @Override
  public Void visitReturn(ReturnTree tree, Void unused) {
    open.forEach(span -> span.jumps = true);
    return super.visitReturn(tree, null);
  }

  @Override
  public Void visitBreak(BreakTree tree, Void unused) {
    leave(tree.getLabel() != null);
    return super.visitBreak(tree, null);
  }

  @Override
  public Void visitContinue(ContinueTree tree, Void unused) {
    leave(tree.getLabel() != null);
    return super.visitContinue(tree, null);
  }

  private void leave(boolean labelled) {
    for (OpenSpan span : open) {
      if (span.isLoopOrSwitch() && !labelled) {
        break;
      }
      span.jumps = true;
    }
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    return apart(() -> super.visitLambdaExpression(tree, null));
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    return apart(() -> super.visitClass(tree, null));
  }

  /** What stands in a lambda or a class does not leave the statement around it. */
  private Void apart(Runnable visit) {
    List<OpenSpan> around = new ArrayList<>(open);
    List<Boolean> jumped = around.stream().map(span -> span.jumps).toList();
    visit.run();
    for (int i = 0; i < around.size(); i++) {
      around.get(i).jumps = jumped.get(i);
    }
    return null;
  }

  @Override
  public Void visitIf(IfTree tree, Void unused) {
    ask(new TreePath(getCurrentPath(), tree.getCondition()));
    return super.visitIf(tree, null);
  }

  @Override
  public Void visitWhileLoop(WhileLoopTree tree, Void unused) {
    ask(new TreePath(getCurrentPath(), tree.getCondition()));
    return super.visitWhileLoop(tree, null);
  }

  @Override
  public Void visitConditionalExpression(ConditionalExpressionTree tree, Void unused) {
    ask(new TreePath(getCurrentPath(), tree.getCondition()));
    return super.visitConditionalExpression(tree, null);
  }

  @Override
  public Void visitSwitch(SwitchTree tree, Void unused) {
    switchOver(tree.getExpression(), tree.getCases());
    return super.visitSwitch(tree, null);
  }

  @Override
  public Void visitSwitchExpression(SwitchExpressionTree tree, Void unused) {
    switchOver(tree.getExpression(), tree.getCases());
    return super.visitSwitchExpression(tree, null);
  }

  private void switchOver(ExpressionTree over, List<? extends CaseTree> cases) {
    String type = own.typeOf(new TreePath(getCurrentPath(), over));
    int told = cases.stream().mapToInt(each -> each.getExpressions().size()).sum();
    if (!type.isEmpty()) {
      kindTests.add(new Traits.KindTest(type, "", told, line(over)));
    }
  }

  @Override
  public Void visitInstanceOf(InstanceOfTree tree, Void unused) {
    if (tree.getExpression() instanceof IdentifierTree tested
        && tree.getType() != null
        && own.element(new TreePath(getCurrentPath(), tree.getType())) instanceof TypeElement type
        && own.holds(type)) {
      kindTests.add(
          new Traits.KindTest(own.name(type), tested.getName().toString(), 1, line(tree)));
    }
    return super.visitInstanceOf(tree, null);
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    TreePath select = new TreePath(getCurrentPath(), tree.getMethodSelect());
    if (own.element(select) instanceof ExecutableElement called
        && own.holds(called.getEnclosingElement())) {
      passOn(tree, called);
      if (!(getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree)) {
        chain(tree);
      }
    }
    return super.visitMethodInvocation(tree, null);
  }

  private void passOn(MethodInvocationTree tree, ExecutableElement called) {
    for (int i = 0; i < tree.getArguments().size(); i++) {
      if (tree.getArguments().get(i) instanceof IdentifierTree given && isParameter(given)) {
        passed.add(new Traits.Passed(given.getName().toString(), call(called), i));
      }
    }
  }

  private boolean isParameter(IdentifierTree name) {
    Element element = own.element(new TreePath(getCurrentPath(), name));
    return element != null && element.getKind() == ElementKind.PARAMETER;
  }

  private MemberUse call(ExecutableElement called) {
    return new MemberUse(
        MemberUse.Kind.CALL,
        own.name((TypeElement) called.getEnclosingElement()),
        own.signature(called));
  }

  /** Takes down a call on what a call gives on what a call gives. */
  private void chain(MethodInvocationTree last) {
    List<MemberUse> links = new ArrayList<>();
    TreePath at = getCurrentPath();
    while (at.getLeaf() instanceof MethodInvocationTree call && call.getArguments().isEmpty()) {
      TreePath select = new TreePath(at, call.getMethodSelect());
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
      chains.add(new Traits.Chain(links, last.toString(), line(last)));
    }
  }

  /** Takes down the largest parts of a condition that ask one object only. */
  private void ask(TreePath path) {
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
      questions.add(asked.question((ExpressionTree) tree, line(tree)));
    } else if (tree instanceof BinaryTree both
        && (tree.getKind() == Tree.Kind.CONDITIONAL_AND
            || tree.getKind() == Tree.Kind.CONDITIONAL_OR)) {
      ask(new TreePath(path, both.getLeftOperand()));
      ask(new TreePath(path, both.getRightOperand()));
    }
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    Element element = own.element(getCurrentPath());
    if (element != null && isLocal(element)) {
      local(element, LocalUse.Kind.DECLARE, own.start(unit, tree));
    }
    return super.visitVariable(tree, null);
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    use(getCurrentPath());
    return null;
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    use(getCurrentPath());
    return super.visitMemberSelect(tree, null);
  }

  @Override
  public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
    use(getCurrentPath());
    return super.visitMemberReference(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    if (own.element(getCurrentPath()) instanceof ExecutableElement constructor
        && own.holds(constructor.getEnclosingElement())) {
      String type = own.name((TypeElement) constructor.getEnclosingElement());
      mentions.add(type);
      access(MemberUse.Kind.CREATE, type, own.signature(constructor), Root.CLASS, tree);
    }
    return super.visitNewClass(tree, null);
  }

  private void use(TreePath path) {
    Element element = own.element(path);
    if (element == null) {
      return;
    }
    if (isLocal(element)) {
      if (changes(path)) {
        local(element, LocalUse.Kind.WRITE, own.start(unit, path.getLeaf()));
      }
      if (reads(path)) {
        local(element, LocalUse.Kind.READ, own.start(unit, path.getLeaf()));
      }
    } else if (element instanceof TypeElement type) {
      if (own.holds(type)) {
        mentions.add(own.name(type));
      }
    } else if (own.holds(element.getEnclosingElement())) {
      member(path, element, own.name((TypeElement) element.getEnclosingElement()));
    }
  }

  private void member(TreePath path, Element element, String owner) {
    Tree leaf = path.getLeaf();
    Root root = element.getModifiers().contains(Modifier.STATIC) ? Root.CLASS : own.root(path);
    if (element.getKind() == ElementKind.METHOD) {
      access(MemberUse.Kind.CALL, owner, own.signature((ExecutableElement) element), root, leaf);
    } else if (element.getKind() == ElementKind.FIELD || isConstantOfEnum(element)) {
      String name = element.getSimpleName().toString();
      if (!name.equals("this") && !name.equals("super")) {
        if (changes(path)) {
          access(MemberUse.Kind.WRITE, owner, name, root, leaf);
        }
        if (reads(path)) {
          access(MemberUse.Kind.READ, owner, name, root, leaf);
        }
      }
    }
    mentions.add(owner);
  }

  private static boolean isConstantOfEnum(Element element) {
    return element.getKind() == ElementKind.ENUM_CONSTANT;
  }

  private void access(MemberUse.Kind kind, String owner, String member, Root root, Tree tree) {
    int offset = Math.max(0, own.end(unit, tree) - 1);
    accesses.add(
        new Access(new MemberUse(kind, owner, member), root, unit.source().line(offset), offset));
  }

  private void local(Element element, LocalUse.Kind kind, int offset) {
    Integer number = variables.computeIfAbsent(element, each -> variables.size());
    locals.add(new LocalUse(number, element.getSimpleName().toString(), kind, offset));
  }

  private int line(Tree tree) {
    return unit.source().line(Math.max(0, own.start(unit, tree)));
  }

  static boolean isLocal(Element element) {
    return switch (element.getKind()) {
      case LOCAL_VARIABLE, PARAMETER, EXCEPTION_PARAMETER, RESOURCE_VARIABLE, BINDING_VARIABLE ->
          true;
      default -> false;
    };
  }

  private static boolean changes(TreePath path) {
    Tree parent = path.getParentPath().getLeaf();
    Tree leaf = path.getLeaf();
    return parent instanceof AssignmentTree assignment && assignment.getVariable() == leaf
        || parent instanceof CompoundAssignmentTree update && update.getVariable() == leaf
        || parent instanceof UnaryTree unary && changes(unary);
  }

  private static boolean reads(TreePath path) {
    return !(path.getParentPath().getLeaf() instanceof AssignmentTree assignment
        && assignment.getVariable() == path.getLeaf());
  }

  private static boolean changes(UnaryTree tree) {
    return switch (tree.getKind()) {
      case PREFIX_INCREMENT, PREFIX_DECREMENT, POSTFIX_INCREMENT, POSTFIX_DECREMENT -> true;
      default -> false;
    };
  }

  /** Finds the one object that a condition asks, if it asks one only. */
  private static final class AskedObject extends TreePathScanner<Void, Void> {
    private final DeclaredTypes own;
    private final Set<String> members = new TreeSet<>();
    private final Set<String> roots = new TreeSet<>();
    private String type = "";
    private boolean mixed;

    AskedObject(DeclaredTypes own) {
      this.own = own;
    }

    boolean isOne() {
      return !mixed && roots.size() == 1 && !members.isEmpty();
    }

    Question question(ExpressionTree tree, int line) {
      String root = roots.iterator().next();
      String text = tree.toString().replaceAll("(?<![.\\w])" + root + "\\b", "it");
      return new Question(type, text, members, line);
    }

    @Override
    public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
      mixed = true;
      return null;
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      Element element = own.element(getCurrentPath());
      boolean constant =
          element == null
              || element instanceof TypeElement
              || element.getModifiers().contains(Modifier.STATIC);
      boolean asked =
          getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree
              && element != null
              && (isLocal(element) || element.getKind() == ElementKind.FIELD)
              && !tree.getName().contentEquals("this");
      mixed |= !constant && !asked;
      if (asked && !constant) {
        roots.add(tree.getName().toString());
      }
      return null;
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      Element element = own.element(getCurrentPath());
      if (element != null
          && tree.getExpression() instanceof IdentifierTree
          && !element.getModifiers().contains(Modifier.STATIC)
          && !(element instanceof TypeElement)) {
        if (own.holds(element.getEnclosingElement())) {
          type = own.name((TypeElement) element.getEnclosingElement());
          members.add(
              element instanceof ExecutableElement method
                  ? own.signature(method)
                  : element.getSimpleName().toString());
        } else {
          mixed = true;
        }
      }
      return super.visitMemberSelect(tree, null);
    }
  }
}
