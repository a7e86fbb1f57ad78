package paredown.facts;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePathScanner;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/**
 * Finds the one object that a condition asks, if it asks one only. One that is asked several things
 * may be asked them with a value or two that only the place knows.
 */
final class AskedObject extends TreePathScanner<Void, Void> {
  private static final int OTHERS = 2;

  private final DeclaredTypes own;
  private final Set<String> members = new TreeSet<>();
  private final Set<String> roots = new TreeSet<>();
  private final Set<String> others = new LinkedHashSet<>();

  /** The parameters of lambdas within, and what is asked of the objects that they stand for. */
  private final Set<String> bound = new LinkedHashSet<>();

  private final Set<String> within = new TreeSet<>();
  private String type = "";
  private boolean mixed;

  AskedObject(DeclaredTypes own) {
    this.own = own;
  }

  boolean isOne() {
    return !mixed
        && roots.size() == 1
        && !members.isEmpty()
        && (others.isEmpty() || asksSeveral() && others.size() <= OTHERS);
  }

  /** Whether it is asked with values that only the place knows. */
  boolean hasOthers() {
    return !others.isEmpty();
  }

  /** Whether it is asked two things or more, those among them that lambdas ask of its parts. */
  boolean asksSeveral() {
    return members.size() + within.size() > 1;
  }

  /**
   * The question.
   *
   * @param given the variable that takes the answer; empty where none does
   */
  Question question(ExpressionTree tree, String given, int line) {
    String root = roots.iterator().next();
    String text = Question.written(named(tree.toString(), root, "it"));
    String form = QuestionForm.of(tree, part -> placed(part, root));
    Set<String> asked = new TreeSet<>(members);
    asked.addAll(within);
    return new Question(type, text, form, given, asked, line);
  }

  /** The other values by their order, whatever they are called. */
  private String placed(String part, String root) {
    String placed = named(part, root, "it");
    int i = 0;
    for (String other : others) {
      placed = named(placed, other, "$" + i++);
    }
    for (String parameter : bound) {
      placed = named(placed, parameter, "%" + i++);
    }
    return placed;
  }

  private static String named(String text, String name, String instead) {
    return text.replaceAll(
        "(?<![.\\w])" + Pattern.quote(name) + "\\b", Matcher.quoteReplacement(instead));
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    tree.getParameters().forEach(each -> bound.add(each.getName().toString()));
    mixed |= tree.getBodyKind() != LambdaExpressionTree.BodyKind.EXPRESSION;
    return scan(tree.getBody(), null);
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (bound.contains(tree.getName().toString())) {
      return null;
    }
    Element element = own.element(getCurrentPath());
    boolean constant =
        element == null
            || element instanceof TypeElement
            || element.getModifiers().contains(Modifier.STATIC);
    boolean asked =
        getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree
            && element != null
            && (BodyScan.isLocal(element) || element.getKind() == ElementKind.FIELD)
            && !tree.getName().contentEquals("this");
    boolean selected = getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree;
    boolean other =
        !constant
            && !selected
            && (BodyScan.isLocal(element) || element.getKind() == ElementKind.FIELD);
    mixed |= !constant && !asked && !other;
    if (other) {
      others.add(tree.getName().toString());
    } else if (asked && !constant) {
      roots.add(tree.getName().toString());
    }
    return null;
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    Element element = own.element(getCurrentPath());
    if (element != null
        && tree.getExpression() instanceof IdentifierTree asked
        && !element.getModifiers().contains(Modifier.STATIC)
        && !(element instanceof TypeElement)) {
      if (bound.contains(asked.getName().toString())) {
        within.add("%s#%s".formatted(element.getEnclosingElement(), element.getSimpleName()));
      } else if (own.holds(element.getEnclosingElement())) {
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
