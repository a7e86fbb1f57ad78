package paredown.facts;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.CompileError;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.text.SourceText;

/** Draws facts from an attributed program. */
public final class FactsDrawer extends TreePathScanner<Void, Void> {
  private final Program program;
  private final Set<String> faulty;
  private final List<TypeFact> types = new ArrayList<>();
  private Unit unit;

  private FactsDrawer(Program program) {
    this.program = program;
    this.faulty = program.errors().stream().map(CompileError::file).collect(Collectors.toSet());
  }

  public static Facts draw(Program program) {
    FactsDrawer drawer = new FactsDrawer(program);
    for (Unit unit : program.units()) {
      drawer.unit = unit;
      drawer.scan(unit.tree(), null);
    }
    List<CompileError> errors = program.errors();
    return new Facts(
        drawer.types,
        program.units().size(),
        (int) errors.stream().filter(CompileError::isUnresolved).count(),
        errors.stream().filter(CompileError::isSyntax).toList());
  }

  private int start(Tree tree) {
    return (int) program.trees().getSourcePositions().getStartPosition(unit.tree(), tree);
  }

  private int end(Tree tree) {
    return (int) program.trees().getSourcePositions().getEndPosition(unit.tree(), tree);
  }

  private Range range(Tree tree) {
    SourceText source = unit.source();
    int start = Math.max(0, start(tree));
    int end = Math.max(start, end(tree));
    return new Range(
        source.path(),
        new Range.Position(source.line(start), source.column(start)),
        new Range.Position(source.line(end), source.column(end)));
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    Element element = program.trees().getElement(getCurrentPath());
    if (element instanceof TypeElement type && isNamed(type)) {
      types.add(type(tree, type));
    }
    return super.visitClass(tree, null);
  }

  private static boolean isNamed(TypeElement type) {
    return type.getNestingKind() == NestingKind.TOP_LEVEL
        || type.getNestingKind() == NestingKind.MEMBER
            && isNamed((TypeElement) type.getEnclosingElement());
  }

  private TypeFact type(ClassTree tree, TypeElement type) {
    List<FieldFact> fields = new ArrayList<>();
    List<MethodFact> methods = new ArrayList<>();
    for (Tree member : tree.getMembers()) {
      TreePath path = new TreePath(getCurrentPath(), member);
      Element element = program.trees().getElement(path);
      if (end(member) < 0) {
        continue;
      }
      if (member instanceof VariableTree variable
          && element instanceof VariableElement field
          && element.getKind() == ElementKind.FIELD) {
        fields.add(field(variable, field));
      } else if (member instanceof MethodTree method && element instanceof ExecutableElement own) {
        methods.add(method(path, method, own));
      }
    }
    Set<String> supertypes = new LinkedHashSet<>();
    program.supertypes(type).forEach(each -> supertypes.add(each.getQualifiedName().toString()));
    return new TypeFact(
        type.getQualifiedName().toString(),
        kind(type),
        range(tree),
        supertypes,
        fields,
        methods,
        faulty.contains(unit.path()));
  }

  private static TypeFact.Kind kind(TypeElement type) {
    return switch (type.getKind()) {
      case INTERFACE -> TypeFact.Kind.INTERFACE;
      case ENUM -> TypeFact.Kind.ENUM;
      case RECORD -> TypeFact.Kind.RECORD;
      case ANNOTATION_TYPE -> TypeFact.Kind.ANNOTATION;
      default -> TypeFact.Kind.CLASS;
    };
  }

  private FieldFact field(VariableTree tree, VariableElement field) {
    Set<Modifier> modifiers = field.getModifiers();
    return new FieldFact(
        tree.getName().toString(),
        String.valueOf(tree.getType()),
        modifiers.contains(Modifier.STATIC),
        modifiers.contains(Modifier.FINAL),
        modifiers.contains(Modifier.PRIVATE),
        range(tree));
  }

  private MethodFact method(TreePath path, MethodTree tree, ExecutableElement method) {
    Set<Modifier> modifiers = method.getModifiers();
    BodyScan body = new BodyScan(program);
    body.scan(path, null);
    return new MethodFact(
        method.getKind() == ElementKind.CONSTRUCTOR
            ? method.getEnclosingElement().getSimpleName().toString()
            : tree.getName().toString(),
        signature(method),
        method.getKind() == ElementKind.CONSTRUCTOR,
        modifiers.contains(Modifier.STATIC),
        modifiers.contains(Modifier.PRIVATE),
        tree.getBody() == null,
        overrides(method),
        tree.getBody() == null ? 0 : body.branches(),
        tree.getBody() == null ? 0 : body.statements(),
        returned(path, tree),
        assigns(path, tree),
        body.uses(),
        range(tree));
  }

  /** A method's name with the simple names of its parameters' types. */
  static String signature(ExecutableElement method) {
    String name =
        method.getKind() == ElementKind.CONSTRUCTOR
            ? method.getEnclosingElement().getSimpleName().toString()
            : method.getSimpleName().toString();
    return name
        + method.getParameters().stream()
            .map(parameter -> simple(parameter.asType().toString()))
            .collect(Collectors.joining(", ", "(", ")"));
  }

  private static String simple(String type) {
    String erased = type;
    while (erased.contains("<")) {
      String next = erased.replaceAll("<[^<>]*>", "");
      if (next.equals(erased)) {
        break;
      }
      erased = next;
    }
    return erased.substring(erased.lastIndexOf('.') + 1).strip();
  }

  private boolean overrides(ExecutableElement method) {
    if (method.getKind() != ElementKind.METHOD
        || method.getModifiers().contains(Modifier.STATIC)
        || method.getModifiers().contains(Modifier.PRIVATE)) {
      return false;
    }
    TypeElement owner = (TypeElement) method.getEnclosingElement();
    return program.supertypes(owner).stream()
        .flatMap(type -> ElementFilter.methodsIn(type.getEnclosedElements()).stream())
        .anyMatch(
            each ->
                each.getSimpleName().equals(method.getSimpleName())
                    && program.elements().overrides(method, each, owner));
  }

  private static StatementTree only(MethodTree tree) {
    return tree.getBody() != null && tree.getBody().getStatements().size() == 1
        ? tree.getBody().getStatements().get(0)
        : null;
  }

  /** The own field that a method only returns; empty where it does more. */
  private String returned(TreePath path, MethodTree tree) {
    if (only(tree) instanceof ReturnTree statement && statement.getExpression() != null) {
      TreePath at = new TreePath(new TreePath(path, tree.getBody()), statement);
      return ownField(new TreePath(at, statement.getExpression()));
    }
    return "";
  }

  /** Whether a method only sets a field of its own to a parameter. */
  private boolean assigns(TreePath path, MethodTree tree) {
    if (only(tree) instanceof ExpressionStatementTree statement
        && statement.getExpression() instanceof AssignmentTree assignment
        && assignment.getExpression() instanceof IdentifierTree
        && tree.getParameters().size() == 1) {
      TreePath at = new TreePath(new TreePath(path, tree.getBody()), statement);
      TreePath target = new TreePath(new TreePath(at, assignment), assignment.getVariable());
      return !ownField(target).isEmpty();
    }
    return false;
  }

  private String ownField(TreePath path) {
    ExpressionTree tree = (ExpressionTree) path.getLeaf();
    boolean plain =
        tree instanceof IdentifierTree
            || tree instanceof MemberSelectTree select
                && select.getExpression() instanceof IdentifierTree self
                && self.getName().contentEquals("this");
    Element element = plain ? program.trees().getElement(path) : null;
    return element != null
            && element.getKind() == ElementKind.FIELD
            && !element.getModifiers().contains(Modifier.STATIC)
        ? element.getSimpleName().toString()
        : "";
  }
}
