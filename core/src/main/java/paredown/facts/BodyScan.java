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
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
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
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.facts.Access.Root;
import paredown.facts.MethodFact.MemberUse;

/** Reads one method's body, or what initialises a type. */
final class BodyScan extends TreePathScanner<Void, Void> {
  private final DeclaredTypes own;
  private final UnitPlaces places;
  private final Set<String> mentions;
  private final List<Access> accesses = new ArrayList<>();
  private final List<LocalUse> locals = new ArrayList<>();
  private final Map<Element, Integer> variables = new HashMap<>();
  private final OpenSpans spans;
  private final TraitsReader traits;
  private int decisions;
  private int statements;

  /**
   * @param mentions takes the names of the project's types that are named
   */
  BodyScan(DeclaredTypes own, UnitPlaces places, Set<String> mentions) {
    this.own = own;
    this.places = places;
    this.mentions = mentions;
    this.spans = new OpenSpans(places);
    this.traits = new TraitsReader(own, places);
  }

  /**
   * What was read.
   *
   * @param fields the names of the fields around it
   */
  Body body(long shape, Set<String> fields) {
    Set<String> own = new HashSet<>(fields);
    locals.forEach(local -> own.add(local.name()));
    return Body.of(
        decisions + 1, statements, accesses, locals, spans.closed(own), traits.traits(), shape);
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
      spans.within(tree, getCurrentPath().getLeaf(), () -> super.scan(tree, null));
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
    spans.leaveAll();
    value(tree.getExpression(), "");
    return super.visitReturn(tree, null);
  }

  @Override
  public Void visitBreak(BreakTree tree, Void unused) {
    spans.leave(tree.getLabel() != null);
    return super.visitBreak(tree, null);
  }

  @Override
  public Void visitContinue(ContinueTree tree, Void unused) {
    spans.leave(tree.getLabel() != null);
    return super.visitContinue(tree, null);
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    if (tree.getBodyKind() == LambdaExpressionTree.BodyKind.EXPRESSION) {
      value(tree.getBody(), "");
    }
    spans.apart(() -> super.visitLambdaExpression(tree, null));
    return null;
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    spans.apart(() -> super.visitClass(tree, null));
    return null;
  }

  @Override
  public Void visitIf(IfTree tree, Void unused) {
    traits.ask(new TreePath(getCurrentPath(), tree.getCondition()));
    return super.visitIf(tree, null);
  }

  @Override
  public Void visitWhileLoop(WhileLoopTree tree, Void unused) {
    traits.ask(new TreePath(getCurrentPath(), tree.getCondition()));
    return super.visitWhileLoop(tree, null);
  }

  @Override
  public Void visitConditionalExpression(ConditionalExpressionTree tree, Void unused) {
    traits.ask(new TreePath(getCurrentPath(), tree.getCondition()));
    return super.visitConditionalExpression(tree, null);
  }

  @Override
  public Void visitSwitch(SwitchTree tree, Void unused) {
    traits.switchOver(getCurrentPath(), tree.getExpression(), tree.getCases());
    return super.visitSwitch(tree, null);
  }

  @Override
  public Void visitSwitchExpression(SwitchExpressionTree tree, Void unused) {
    traits.switchOver(getCurrentPath(), tree.getExpression(), tree.getCases());
    return super.visitSwitchExpression(tree, null);
  }

  @Override
  public Void visitInstanceOf(InstanceOfTree tree, Void unused) {
    traits.test(getCurrentPath(), tree);
    return super.visitInstanceOf(tree, null);
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    traits.called(getCurrentPath(), tree);
    tree.getArguments().forEach(each -> value(each, ""));
    if (tree.getMethodSelect() instanceof MemberSelectTree select
        && select.getIdentifier().contentEquals("equals")
        && tree.getArguments().size() == 1) {
      TreePath asked = new TreePath(getCurrentPath(), select);
      traits.compare(asked, select.getExpression(), getCurrentPath(), tree.getArguments().get(0));
    }
    return super.visitMethodInvocation(tree, null);
  }

  @Override
  public Void visitBinary(BinaryTree tree, Void unused) {
    if (tree.getKind() == Tree.Kind.EQUAL_TO || tree.getKind() == Tree.Kind.NOT_EQUAL_TO) {
      TreePath at = getCurrentPath();
      traits.compare(at, tree.getLeftOperand(), at, tree.getRightOperand());
    }
    return super.visitBinary(tree, null);
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    Element element = own.element(getCurrentPath());
    if (element != null && isLocal(element)) {
      local(element, LocalUse.Kind.DECLARE, places.start(tree));
    }
    value(tree.getInitializer(), tree.getName().toString());
    return super.visitVariable(tree, null);
  }

  @Override
  public Void visitAssignment(AssignmentTree tree, Void unused) {
    value(tree.getExpression(), tree.getVariable().toString());
    return super.visitAssignment(tree, null);
  }

  @Override
  public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
    value(tree.getExpression(), "");
    return super.visitCompoundAssignment(tree, null);
  }

  private void value(Tree expression, String given) {
    if (expression != null) {
      traits.value(new TreePath(getCurrentPath(), expression), given);
    }
  }

  @Override
  public Void visitLiteral(LiteralTree tree, Void unused) {
    traits.text(tree);
    return super.visitLiteral(tree, null);
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
        local(element, LocalUse.Kind.WRITE, places.start(path.getLeaf()));
      }
      if (reads(path)) {
        local(element, LocalUse.Kind.READ, places.start(path.getLeaf()));
      }
    } else if (element instanceof TypeElement type) {
      if (own.holds(type)) {
        mentions.add(own.name(type));
      } else {
        traits.named(type);
      }
    } else if (own.holds(element.getEnclosingElement())) {
      member(path, element, own.name((TypeElement) element.getEnclosingElement()));
    } else {
      traits.named(element);
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
    int offset = Math.max(0, places.end(tree) - 1);
    accesses.add(
        new Access(new MemberUse(kind, owner, member), root, places.source().line(offset), offset));
  }

  private void local(Element element, LocalUse.Kind kind, int offset) {
    Integer number = variables.computeIfAbsent(element, each -> variables.size());
    locals.add(new LocalUse(number, element.getSimpleName().toString(), kind, offset));
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
}
