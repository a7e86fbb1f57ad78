package paredown.program;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.ReferenceTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.DocTreePath;
import com.sun.source.util.DocTreePathScanner;
import com.sun.source.util.DocTrees;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** Records every use in the units of a program: what each name is bound to. */
final class UseRecorder extends TreePathScanner<Void, Void> {
  private final Program program;
  private final DocTrees trees;
  private final SourcePositions positions;
  private final Symbols symbols;
  private final Uses uses = new Uses();
  private Unit unit;
  private DeclaredNames names;

  private UseRecorder(Program program) {
    this.program = program;
    this.trees = program.trees();
    this.positions = trees.getSourcePositions();
    this.symbols = program.symbols();
  }

  static Uses record(Program program) {
    UseRecorder recorder = new UseRecorder(program);
    for (Unit unit : program.units()) {
      recorder.unit = unit;
      recorder.names = new DeclaredNames(recorder.positions, unit);
      recorder.scan(unit.tree(), null);
    }
    return recorder.uses;
  }

  private int start(Tree tree) {
    return (int) positions.getStartPosition(unit.tree(), tree);
  }

  private int end(Tree tree) {
    return (int) positions.getEndPosition(unit.tree(), tree);
  }

  private void add(int offset, UseKind kind, String key, String type) {
    if (key != null && offset >= 0) {
      uses.add(new Use(new Use.Place(unit.path(), offset, kind), key, type));
    }
  }

  private String typeHere() {
    return typeText(trees.getTypeMirror(getCurrentPath()));
  }

  private String typeText(TypeMirror type) {
    if (type == null || type.getKind() == TypeKind.NONE) {
      return "";
    }
    return symbols.text(type);
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (end(tree) >= 0) {
      Element element = trees.getElement(getCurrentPath());
      add(start(tree), UseKind.NAME, symbols.key(element), typeHere());
      receiver(element, start(tree), tree.getName().toString());
    }
    return super.visitIdentifier(tree, null);
  }

  private void receiver(Element element, int offset, String name) {
    boolean member =
        element != null
            && (element.getKind() == ElementKind.FIELD || element.getKind() == ElementKind.METHOD)
            && !element.getModifiers().contains(Modifier.STATIC)
            && !name.equals("this")
            && !name.equals("super");
    if (member && element.getEnclosingElement() instanceof TypeElement owner) {
      TypeElement asked = innermostWith(owner);
      if (asked != null) {
        add(offset, UseKind.RECEIVER, symbols.key(asked), "");
      }
    }
  }

  private TypeElement innermostWith(TypeElement owner) {
    TypeMirror wanted = program.types().erasure(owner.asType());
    for (TreePath path = getCurrentPath(); path != null; path = path.getParentPath()) {
      if (path.getLeaf() instanceof ClassTree
          && trees.getElement(path) instanceof TypeElement type
          && program.types().isSubtype(program.types().erasure(type.asType()), wanted)) {
        return type;
      }
    }
    return null;
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    if (end(tree) >= 0) {
      Element element = trees.getElement(getCurrentPath());
      int offset = end(tree) - tree.getIdentifier().length();
      add(offset, UseKind.NAME, symbols.key(element), typeHere());
    }
    return super.visitMemberSelect(tree, null);
  }

  @Override
  public Void visitImport(ImportTree tree, Void unused) {
    if (tree.isStatic() && tree.getQualifiedIdentifier() instanceof MemberSelectTree select) {
      TreePath owner = new TreePath(new TreePath(getCurrentPath(), select), select.getExpression());
      String key = symbols.key(trees.getElement(owner));
      add(
          end(select) - select.getIdentifier().length(),
          UseKind.NAME,
          key == null ? null : "static member " + select.getIdentifier() + " of " + key,
          "");
      return scan(select.getExpression(), null);
    }
    return super.visitImport(tree, null);
  }

  @Override
  public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
    if (end(tree) >= 0) {
      boolean creates = tree.getMode() == MemberReferenceTree.ReferenceMode.NEW;
      int length = creates ? "new".length() : tree.getName().length();
      Element element = trees.getElement(getCurrentPath());
      add(end(tree) - length, UseKind.NAME, symbols.key(element), typeHere());
      if (creates && element != null) {
        enclosing(element.getEnclosingElement(), end(tree) - length);
      }
    }
    return super.visitMemberReference(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    if (start(tree) >= 0 && end(tree) >= 0) {
      Element element = trees.getElement(getCurrentPath());
      int offset = start(tree);
      if (tree.getEnclosingExpression() != null) {
        offset = end(tree.getEnclosingExpression());
      }
      if (tree.getEnclosingExpression() == null) {
        enclosing(trees.getElement(new TreePath(getCurrentPath(), tree.getIdentifier())), offset);
      }
      if (tree.getClassBody() == null) {
        add(offset, UseKind.CREATION, symbols.key(element), typeHere());
      }
    }
    return super.visitNewClass(tree, null);
  }

  /** An object of an inner class belongs to one of the class around it, which nobody names. */
  private void enclosing(Element made, int offset) {
    if (made instanceof TypeElement inner
        && inner.getNestingKind() == NestingKind.MEMBER
        && inner.getKind() == ElementKind.CLASS
        && !inner.getModifiers().contains(Modifier.STATIC)
        && inner.getEnclosingElement() instanceof TypeElement outer
        && !outer.getKind().isInterface()) {
      TypeElement around = innermostWith(outer);
      if (around != null) {
        add(offset, UseKind.ENCLOSING, symbols.key(around), "");
      }
    }
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    Tree select = tree.getMethodSelect();
    if (end(select) < 0 && select instanceof IdentifierTree) {
      // The compiler's own call of the superclass's constructor.
      TreePath path = new TreePath(getCurrentPath(), select);
      int offset = start(tree);
      add(offset, UseKind.IMPLICIT_SUPER, symbols.key(trees.getElement(path)), "");
    }
    return super.visitMethodInvocation(tree, null);
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    add(start(tree), UseKind.LAMBDA, "lambda " + typeHere(), "");
    return super.visitLambdaExpression(tree, null);
  }

  @Override
  public Void visitMethod(MethodTree tree, Void unused) {
    if (end(tree) >= 0 && trees.getElement(getCurrentPath()) instanceof ExecutableElement method) {
      overrides(method, names.of(tree));
      docs();
    }
    return super.visitMethod(tree, null);
  }

  private void overrides(ExecutableElement method, int offset) {
    if (method.getKind() != ElementKind.METHOD
        || method.getModifiers().contains(Modifier.STATIC)
        || method.getModifiers().contains(Modifier.PRIVATE)) {
      return;
    }
    TypeElement owner = (TypeElement) method.getEnclosingElement();
    TreeSet<String> overridden = new TreeSet<>();
    for (TypeElement supertype : program.supertypes(owner)) {
      for (ExecutableElement each : ElementFilter.methodsIn(supertype.getEnclosedElements())) {
        if (each.getSimpleName().equals(method.getSimpleName())
            && program.elements().overrides(method, each, owner)) {
          overridden.add(symbols.key(each));
        }
      }
    }
    if (!overridden.isEmpty()) {
      add(offset, UseKind.OVERRIDES, String.join(" & ", overridden), "");
    }
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    if (start(tree) >= 0
        && trees.getElement(getCurrentPath()) instanceof VariableElement variable) {
      Object value = variable.getConstantValue();
      if (value != null) {
        add(names.of(tree), UseKind.CONSTANT, "constant " + value, "");
      }
      boolean inferred = names.spells(tree) && (tree.getType() == null || end(tree.getType()) < 0);
      if (inferred && variable.getKind() != ElementKind.ENUM_CONSTANT) {
        add(names.of(tree), UseKind.INFERRED, "inferred " + typeText(variable.asType()), "");
      }
      if (variable.getKind().isField()) {
        docs();
      }
    }
    return super.visitVariable(tree, null);
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    docs();
    return super.visitClass(tree, null);
  }

  private void docs() {
    TreePath path = getCurrentPath();
    DocCommentTree comment = trees.getDocCommentTree(path);
    if (comment == null) {
      return;
    }
    new DocTreePathScanner<Void, Void>() {
      @Override
      public Void visitReference(ReferenceTree reference, Void unused) {
        DocTreePath here = getCurrentPath();
        Element element = trees.getElement(here);
        long offset = trees.getSourcePositions().getStartPosition(unit.tree(), comment, reference);
        if (element != null) {
          add((int) offset, UseKind.DOC, symbols.key(element), "");
        }
        return super.visitReference(reference, null);
      }
    }.scan(new DocTreePath(path, comment), null);
  }
}
