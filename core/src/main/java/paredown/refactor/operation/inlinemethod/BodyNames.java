package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.TypeVariable;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** The names in the body of a method, by what they would need where the body goes. */
final class BodyNames extends TreePathScanner<Void, Void> {
  /**
   * A place where the code asks its own object.
   *
   * @param member what is asked for; null for the object itself
   */
  record Self(TreePath path, Element member) {}

  private final UnitTrees trees;
  private final OwnerClass owner;
  private final ExecutableElement method;
  private final Tree body;

  /** The uses of each parameter, and of each variable that the body declares. */
  private final Map<Element, List<TreePath>> variables = new LinkedHashMap<>();

  private final Map<Element, TreePath> declared = new LinkedHashMap<>();
  private final Set<String> words = new HashSet<>();
  private final Set<Tree> seen = Collections.newSetFromMap(new IdentityHashMap<>());
  private final List<Self> selves = new ArrayList<>();
  private final List<TreePath> statics = new ArrayList<>();
  private final List<TreePath> types = new ArrayList<>();
  private final List<TreePath> typeVariables = new ArrayList<>();
  private final List<TreePath> askedOfVariables = new ArrayList<>();

  /** Everything with a declaration that is named, wherever it is seen from. */
  private final Set<Element> named = new LinkedHashSet<>();

  BodyNames(OwnerClass owner, OwnerClass.Method method) {
    this.trees = owner.trees();
    this.owner = owner;
    this.method = method.element();
    this.body = method.tree().getBody();
    method.element().getParameters().forEach(each -> variables.put(each, new ArrayList<>()));
    scan(new TreePath(method.path(), method.tree().getBody()), null);
  }

  /** The block of the method. */
  Tree body() {
    return body;
  }

  List<TreePath> uses(Element variable) {
    return variables.getOrDefault(variable, List.of());
  }

  /** The variables that the body declares, each with its declaration. */
  Map<Element, TreePath> declared() {
    return declared;
  }

  List<Self> selves() {
    return selves;
  }

  /** The static members without a qualifier. */
  List<TreePath> statics() {
    return statics;
  }

  /** The types by their simple names. */
  List<TreePath> types() {
    return types;
  }

  /** The type variables of the method, and of its class. */
  List<TreePath> typeVariables() {
    return typeVariables;
  }

  /** The methods behind a dot that an object is asked for whose type is a variable. */
  List<TreePath> askedOfVariables() {
    return askedOfVariables;
  }

  /** All words that the code says. */
  Set<String> words() {
    return words;
  }

  Set<Element> named() {
    return named;
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    Element element = trees.element(getCurrentPath());
    if (element != null && Symbols.isLocal(element)) {
      declared.put(element, getCurrentPath());
      words.add(tree.getName().toString());
      variables.putIfAbsent(element, new ArrayList<>());
    }
    return super.visitVariable(tree, null);
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    Element element = trees.element(getCurrentPath());
    String word = tree.getName().toString();
    words.add(word);
    // What a class without a name extends is the same tree as what it is made of.
    if (element == null || trees.end(tree) < 0 || !seen.add(tree)) {
      return null;
    }
    if (word.equals("this")) {
      if (isOwn()) {
        selves.add(new Self(getCurrentPath(), null));
      }
    } else if (word.equals("super")) {
      if (isOwn()) {
        throw refused(RefusalKind.SUPER_CALL, "it asks its superclass", tree);
      }
    } else if (variables.containsKey(element)) {
      variables.get(element).add(getCurrentPath());
    } else if (element instanceof TypeParameterElement variable) {
      if (Set.of(method, owner.element()).contains(variable.getGenericElement())) {
        typeVariables.add(getCurrentPath());
      }
    } else if (element instanceof TypeElement) {
      types.add(getCurrentPath());
      named.add(element);
    } else {
      member(element, tree);
    }
    return null;
  }

  private void member(Element element, IdentifierTree tree) {
    boolean isMember = element.getKind().isField() || element.getKind() == ElementKind.METHOD;
    if (!isMember || !(element.getEnclosingElement() instanceof TypeElement declaring)) {
      return;
    }
    if (element.equals(method)) {
      throw refused(RefusalKind.CALL_SHAPE, "it calls itself", tree);
    }
    if (element.getModifiers().contains(Modifier.STATIC)) {
      if (!CodeElsewhere.isLabel(element, getCurrentPath())) {
        statics.add(getCurrentPath());
      }
      named.add(element);
      return;
    }
    TypeElement asked = asked(declaring);
    if (asked == null) {
      return;
    }
    if (!asked.equals(owner.element())) {
      throw refused(RefusalKind.INNER_OBJECT, "it asks the object around its own", tree);
    }
    selves.add(new Self(getCurrentPath(), element));
    named.add(element);
  }

  /** The class around a place whose object has a member; null for one within the body. */
  private TypeElement asked(TypeElement declaring) {
    for (TreePath at = getCurrentPath(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree && trees.element(at) instanceof TypeElement type) {
        if (trees.program().isOrIsBelow(type, declaring)) {
          return isWithinBody(at) ? null : type;
        }
      }
    }
    return null;
  }

  private boolean isWithinBody(TreePath type) {
    return trees.start(type.getLeaf()) > trees.start(owner.tree());
  }

  /** Whether the innermost class around a place is the owner. */
  private boolean isOwn() {
    return owner.element().equals(trees.classAround(getCurrentPath()));
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    Element element = trees.element(getCurrentPath());
    boolean around = tree.getIdentifier().contentEquals("this");
    if (around && element != null) {
      boolean own =
          trees
              .element(new TreePath(getCurrentPath(), tree.getExpression()))
              .equals(owner.element());
      if (!own) {
        throw refused(RefusalKind.INNER_OBJECT, "it asks the object around its own", tree);
      }
      selves.add(new Self(getCurrentPath(), null));
      return null;
    }
    if (element != null && element.equals(method)) {
      throw refused(RefusalKind.CALL_SHAPE, "it calls itself", tree);
    }
    if (element instanceof ExecutableElement
        && trees
                .program()
                .trees()
                .getTypeMirror(new TreePath(getCurrentPath(), tree.getExpression()))
            instanceof TypeVariable) {
      askedOfVariables.add(getCurrentPath());
    }
    if (element != null && !(element instanceof PackageElement)) {
      named.add(element);
    }
    return super.visitMemberSelect(tree, null);
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    if (!tree.getSimpleName().isEmpty()) {
      throw refused(RefusalKind.CALL_SHAPE, "it declares a class", tree);
    }
    return super.visitClass(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    Element made = trees.element(getCurrentPath());
    // A class without a name comes along; what it extends is looked at as a name.
    if (made != null && tree.getClassBody() == null) {
      named.add(made);
    }
    return super.visitNewClass(tree, null);
  }

  private Refused refused(RefusalKind kind, String why, Tree place) {
    return Refused.advising(
        kind,
        "%s cannot be inlined: %s.".formatted(method.getSimpleName(), why),
        "Leave it, or change what it needs first.",
        trees.place(place));
  }
}
