package paredown.refactor.use;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.UnusableRequest;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Unit;
import paredown.project.Nearest;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.effect.Assumptions;
import paredown.text.Lexer;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * The owner is a type that members are taken from or given to, with its members in the order of the
 * text.
 */
public final class OwnerClass {
  /**
   * A field of the owner.
   *
   * @param range of its declaration, which others can share
   * @param declared where its name stands
   */
  public record Field(
      VariableTree tree,
      TreePath path,
      VariableElement element,
      String key,
      MemberRange range,
      int declared) {
    public String name() {
      return tree.getName().toString();
    }

    public boolean is(Modifier modifier) {
      return element.getModifiers().contains(modifier);
    }

    /** Whether its value is worked out whenever an object is made. */
    public boolean startsWithObject() {
      return !is(Modifier.STATIC) && tree.getInitializer() != null;
    }
  }

  /** A method or constructor of the owner. */
  public record Method(
      MethodTree tree, TreePath path, ExecutableElement element, String key, MemberRange range) {
    public String name() {
      return tree.getName().toString();
    }

    public boolean is(Modifier modifier) {
      return element.getModifiers().contains(modifier);
    }

    boolean isConstructor() {
      return element.getKind() == ElementKind.CONSTRUCTOR;
    }

    /** Whether a constructor begins with the call of another of its class. */
    public boolean callsAnother() {
      List<? extends StatementTree> statements = tree.getBody().getStatements();
      return !statements.isEmpty() && ConstructorCall.isThis(statements.get(0));
    }
  }

  /** An initialiser block of the owner. */
  public record Initialiser(BlockTree tree, TreePath path) {}

  private final UnitTrees trees;
  private final Assumptions assumptions = new Assumptions();
  private final TreePath path;
  private final TypeElement element;
  private final List<Field> fields = new ArrayList<>();
  private final List<Method> methods = new ArrayList<>();
  private final List<Initialiser> initialisers = new ArrayList<>();

  private OwnerClass(UnitTrees trees, TreePath path) {
    this.trees = trees;
    this.path = path;
    this.element = (TypeElement) trees.element(path);
    for (Tree member : tree().getMembers()) {
      add(new TreePath(path, member));
    }
    fields.replaceAll(this::withWholeDeclaration);
  }

  /** What a change of this class rests on, as it is found while it is planned. */
  public Assumptions assumptions() {
    return assumptions;
  }

  /** Fields that are declared together have one range, up to the semicolon. */
  private Field withWholeDeclaration(Field field) {
    int start = trees.start(field.tree());
    int end =
        fields.stream()
            .filter(each -> trees.start(each.tree()) == start)
            .mapToInt(each -> trees.end(each.tree()))
            .max()
            .orElseThrow();
    return new Field(
        field.tree(),
        field.path(),
        field.element(),
        field.key(),
        MemberRange.of(trees.source(), start, end),
        field.declared());
  }

  /** Finds the class that a header announces. */
  public static OwnerClass of(Program program, DeclaredType type) {
    Unit unit = program.unit(type.file()).orElseThrow();
    UnitTrees trees = new UnitTrees(program, unit);
    TreePath[] found = new TreePath[1];
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitClass(ClassTree tree, Void unused) {
        if (trees.names().of(tree) == type.offset()) {
          found[0] = getCurrentPath();
        }
        return super.visitClass(tree, null);
      }
    }.scan(unit.tree(), null);
    if (found[0] == null || !(trees.element(found[0]) instanceof TypeElement)) {
      throw Refused.advising(
          RefusalKind.DOES_NOT_PARSE,
          "The class " + type.name() + " cannot be read.",
          "Mend the compile errors in " + type.file() + " first.",
          type.file());
    }
    return new OwnerClass(trees, found[0]);
  }

  /**
   * Finds a class of the sources; null where it is none.
   *
   * @throws paredown.program.OnlySkeleton where its file is none of the program's
   */
  public static OwnerClass of(Program program, TypeElement type) {
    TreePath path = program.declaration(type);
    return path == null
        ? null
        : new OwnerClass(new UnitTrees(program, program.unit(path).orElseThrow()), path);
  }

  private void add(TreePath member) {
    int start = trees.start(member.getLeaf());
    int end = trees.end(member.getLeaf());
    if (start < 0 || end < 0) {
      return;
    }
    Symbols symbols = trees.program().symbols();
    MemberRange range = MemberRange.of(trees.source(), start, end);
    if (member.getLeaf() instanceof VariableTree tree
        && trees.element(member) instanceof VariableElement field
        && field.getKind() == ElementKind.FIELD) {
      int declared = trees.names().of(tree);
      fields.add(new Field(tree, member, field, symbols.key(field), range, declared));
    } else if (member.getLeaf() instanceof MethodTree tree
        && trees.element(member) instanceof ExecutableElement method) {
      methods.add(new Method(tree, member, method, symbols.key(method), range));
    } else if (member.getLeaf() instanceof BlockTree block) {
      initialisers.add(new Initialiser(block, member));
    }
  }

  public UnitTrees trees() {
    return trees;
  }

  public Program program() {
    return trees.program();
  }

  public SourceText source() {
    return trees.source();
  }

  public TreePath path() {
    return path;
  }

  public ClassTree tree() {
    return (ClassTree) path.getLeaf();
  }

  public TypeElement element() {
    return element;
  }

  public String simpleName() {
    return element.getSimpleName().toString();
  }

  /**
   * Its name as code in the same package writes it: {@code Sailing.Leg}; words where it has none.
   */
  public String writtenName() {
    String name = element.getQualifiedName().toString();
    if (name.isEmpty()) {
      return simpleName().isEmpty() ? "the class without a name" : simpleName();
    }
    String packageName = packageName();
    return packageName.isEmpty() ? name : name.substring(packageName.length() + 1);
  }

  /** Whether its objects are those of a type of the platform, by its canonical name. */
  public boolean isA(String type) {
    var platform = program().elements().getTypeElement(type);
    return program().types().isAssignable(element.asType(), platform.asType());
  }

  public String binaryName() {
    return trees.program().symbols().binary(element);
  }

  public String packageName() {
    return program().elements().getPackageOf(element).getQualifiedName().toString();
  }

  public List<Field> fields() {
    return fields;
  }

  public List<Method> methods() {
    return methods.stream().filter(method -> !method.isConstructor()).toList();
  }

  /** The method of its own that an element is; empty where it is another's. */
  public Optional<Method> method(ExecutableElement element) {
    return methods().stream().filter(method -> method.element().equals(element)).findFirst();
  }

  public List<Method> constructors() {
    return methods.stream().filter(Method::isConstructor).toList();
  }

  public List<Initialiser> initialisers() {
    return initialisers;
  }

  /** A name for a parameter that holds the old object, which the code does not know. */
  public String freeName(Method method) {
    Set<String> words = new LinkedHashSet<>();
    for (Token token : source().tokens()) {
      if (token.isIdentifier()
          && token.start() >= method.range().declaration()
          && token.end() <= method.range().declarationEnd()) {
        words.add(source().slice(token.start(), token.end()));
      }
    }
    String plain = Words.decapitalised(simpleName());
    for (String candidate : List.of(plain, "its" + simpleName(), plain + "Before")) {
      if (!words.contains(candidate) && !Lexer.isKeyword(candidate)) {
        return candidate;
      }
    }
    return plain + "OfOld";
  }

  /** Where the declarations of its fields begin, and then those of its methods. */
  public Stream<Integer> memberStarts() {
    int opening = opening();
    return Stream.concat(
            fields.stream().map(field -> field.range().declaration()),
            methods.stream().map(method -> method.range().declaration()))
        // Components of a record stand in its head.
        .filter(start -> start > opening);
  }

  /** The type that has no other around it: everything private in there sees each other. */
  public static Element outermost(Element element) {
    Element at = element;
    while (at.getEnclosingElement() != null
        && at.getEnclosingElement().getKind() != ElementKind.PACKAGE) {
      at = at.getEnclosingElement();
    }
    return at;
  }

  /** Where the brace stands that opens its body. */
  public int opening() {
    int brackets = 0;
    for (int i = source().tokenAt(trees.names().of(tree())); ; i++) {
      char sign = source().text().charAt(source().tokens().get(i).start());
      brackets += sign == '(' ? 1 : sign == ')' ? -1 : 0;
      if (sign == '{' && brackets == 0) {
        return source().tokens().get(i).start();
      }
    }
  }

  /** Its last method or constructor in the text; empty where it has none of its own. */
  public Optional<Method> lastMethod() {
    int opening = opening();
    return methods.stream()
        .filter(method -> method.range().declaration() > opening)
        .max(Comparator.comparingInt(method -> method.range().end()));
  }

  /** Whether a use stands within the declaration of a member. */
  public boolean holds(MemberRange member, MemberUses.MemberUse use) {
    return use.file().equals(trees.path())
        && member.declaration() <= use.offset()
        && use.offset() < member.declarationEnd();
  }

  /**
   * The fields with these names, in the order of the text.
   *
   * @throws UnusableRequest where one is not there
   */
  public List<Field> fields(List<String> names) {
    List<String> known = fields.stream().map(Field::name).toList();
    for (String name : names) {
      if (!known.contains(name)) {
        throw new UnusableRequest(
            writtenName() + " has no field " + name + ".",
            Nearest.advice(name, known, listed("field", known)));
      }
    }
    return fields.stream().filter(field -> names.contains(field.name())).toList();
  }

  /**
   * The methods that these words select: {@code name}, or {@code name(Type,Type)}.
   *
   * @throws UnusableRequest where a word selects nothing
   */
  public List<Method> methods(List<String> selectors) {
    List<Method> selected = new ArrayList<>();
    List<String> known = methods().stream().map(Method::name).distinct().toList();
    for (String selector : selectors) {
      List<Method> meant = methods().stream().filter(method -> selects(selector, method)).toList();
      if (meant.isEmpty()) {
        throw new UnusableRequest(
            writtenName() + " has no method " + selector + ".",
            Nearest.advice(selector.replaceAll("\\(.*", ""), known, listed("method", known)));
      }
      selected.addAll(meant);
    }
    return methods().stream().filter(selected::contains).toList();
  }

  /** What there is of a kind; broken code has members without a name, of which nothing is said. */
  private static String listed(String kind, List<String> names) {
    List<String> named = names.stream().filter(SourceVersion::isIdentifier).toList();
    return named.isEmpty()
        ? "It has no " + kind + "s."
        : "Its " + kind + "s are " + String.join(", ", named) + ".";
  }

  private static boolean selects(String selector, Method method) {
    int bracket = selector.indexOf('(');
    if (bracket < 0) {
      return selector.equals(method.name());
    }
    return selector.replace(" ", "").replace("...", "[]").equals(signature(method));
  }

  /** A method's name with the simple names of its parameters' types: {@code depart(Instant)}. */
  public static String signature(Method method) {
    List<String> types =
        method.tree().getParameters().stream()
            .map(parameter -> parameter.getType().toString().replaceAll("<.*>", ""))
            .map(type -> type.substring(type.lastIndexOf('.') + 1).replace(" ", ""))
            .toList();
    return method.name() + "(" + String.join(",", types) + ")";
  }

  /** Whether making an object of a class does nothing so far. */
  public boolean doesNothing() {
    return constructors().isEmpty()
        && fields().isEmpty()
        && initialisers().isEmpty()
        && element().getSuperclass().toString().equals("java.lang.Object");
  }
}
