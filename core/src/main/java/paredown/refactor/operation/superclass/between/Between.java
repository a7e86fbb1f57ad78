package paredown.refactor.operation.superclass.between;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** The new class with the heads of those below it. */
public final class Between {
  private final String name;
  private final List<OwnerClass> owners;
  private final OwnerClass first;
  private final Program program;
  private final String home;
  private final String binary;
  private final BetweenVariables variables;
  private final EditList edits = new EditList();
  private final Map<String, ExecutableElement> constructors = new LinkedHashMap<>();

  /**
   * A new class above others.
   *
   * @param members names of what it will have, which the first of them has
   */
  public Between(String name, List<OwnerClass> owners, List<String> members) {
    this.name = name;
    this.owners = owners;
    this.first = owners.get(0);
    this.program = first.program();
    this.home = first.packageName();
    this.binary = new NewTypeName(program, home, name).qualified();
    this.variables = new BetweenVariables(first, members);
  }

  private boolean extendsNothing() {
    return isObject(above());
  }

  /** Whether a class is the one at the top of all. */
  static boolean isObject(TypeElement type) {
    return type.getQualifiedName().contentEquals("java.lang.Object");
  }

  private TypeElement above() {
    return (TypeElement) program.types().asElement(first.element().getSuperclass());
  }

  /**
   * What changes.
   *
   * @throws Refused where one of them cannot extend another class
   */
  public Change change() {
    owners.forEach(this::requirePlain);
    new NewTypeName(program, home, name)
        .requireFree(
            use -> false, "Choose another with --name.", first.trees().place(first.tree()));
    owners.forEach(this::header);
    owners.forEach(this::constructors);
    List<Piece> pieces =
        new BetweenText(name, binary, owners, variables).pieces(constructors.values());
    ChangedFile file =
        new NewFileHead(first, home).file(name, pieces, new EditedFiles(program)::source);
    List<ChangedFile> files = new ArrayList<>(new EditedFiles(program).of(edits));
    files.add(file);
    Set<String> affected = new TreeSet<>(ReadableFiles.paths(program));
    affected.add(file.path());
    return new Change(
        "%s stands above %s."
            .formatted(name, Listed.of(owners.stream().map(OwnerClass::writtenName).toList())),
        files,
        Map.of(),
        Map.of(),
        affected,
        new Change.Report(List.of(), List.of(), List.of(), List.of())
            .assuming(first.assumptions().all()));
  }

  private static Cannot cannot(OwnerClass owner) {
    return new Cannot("%s cannot get a new superclass".formatted(owner.writtenName()));
  }

  private void requirePlain(OwnerClass owner) {
    TypeElement type = owner.element();
    if (type.getKind() != ElementKind.CLASS) {
      throw cannot(owner)
          .because(
              RefusalKind.NOT_A_CLASS,
              "only a plain class can extend another",
              "",
              owner.trees().place(owner.tree()));
    }
    TypeMirror extended =
        VariablesElsewhere.beside(program.types(), type, first.element()).in(type.getSuperclass());
    if (!program.types().isSameType(extended, first.element().getSuperclass())) {
      throw new UnusableRequest(
          "%s and %s do not extend the same class."
              .formatted(first.writtenName(), owner.writtenName()),
          "Name classes that do.");
    }
    if (!variables.areAlsoOf(owner)) {
      throw cannot(owner)
          .because(
              RefusalKind.OWNER_TYPE_VARIABLE,
              "it does not have the type variables of " + first.writtenName(),
              "",
              owner.trees().place(owner.tree()));
    }
    if (!owner.packageName().equals(home)) {
      throw cannot(owner)
          .because(
              RefusalKind.OTHER_PACKAGE,
              "it is in another package than " + first.writtenName(),
              "Move one of them first: pare move class --help.",
              owner.trees().place(owner.tree()));
    }
    if (above().getModifiers().contains(Modifier.SEALED)) {
      throw cannot(owner)
          .because(
              RefusalKind.TARGET_ELSEWHERE,
              above().getSimpleName() + " is sealed, and permits only the classes that it names",
              "Leave --name out, so that the members go up to it.",
              owner.trees().place(owner.tree()));
    }
    boolean stored =
        !extendsNothing()
            && owner.isA("java.io.Serializable")
            && !program
                .types()
                .isAssignable(
                    above().asType(),
                    program.elements().getTypeElement("java.io.Serializable").asType());
    if (stored) {
      throw cannot(owner)
          .because(
              RefusalKind.SERIALIZED,
              "it is serializable, and what it extends is not",
              "",
              owner.trees().place(owner.tree()));
    }
  }

  /** Says in the head of a class that it extends the new one. */
  private void header(OwnerClass owner) {
    ClassTree tree = owner.tree();
    Written.Text text = Written.text("");
    Tree old = tree.getExtendsClause();
    if (old != null) {
      text.name(name, Symbols.typeKey(binary));
      variables.give(text, owner);
      edits.add(
          owner.trees().path(),
          Rewriting.of(
              owner.trees(),
              owner.trees().start(old),
              owner.trees().end(old),
              "the class between extends it",
              text.done()));
      return;
    }
    int at = owner.trees().names().of(tree) + owner.simpleName().length();
    for (Tree each : tree.getTypeParameters()) {
      at = owner.trees().end(each);
    }
    if (!tree.getTypeParameters().isEmpty()) {
      at = owner.source().text().indexOf('>', at) + 1;
    }
    text.text(" extends ").name(name, Symbols.typeKey(binary));
    variables.give(text, owner);
    edits.add(owner.trees().path(), Replacement.of(at, at, text.done()));
  }

  /** Calls the constructor of the new class where that of the old superclass was called. */
  private void constructors(OwnerClass owner) {
    String prefix = "constructor " + program.symbols().binary(above()) + "(";
    int start = owner.trees().start(owner.tree());
    List<Tree> within = within(owner);
    for (Use use :
        program.uses().within(owner.trees().path(), start, owner.trees().end(owner.tree()))) {
      boolean calls =
          use.key().startsWith(prefix)
              && (use.kind() == UseKind.IMPLICIT_SUPER
                  || use.isName() && owner.source().text().startsWith("super", use.offset()));
      if (calls && within.stream().noneMatch(each -> isIn(owner, each, use))) {
        called(owner, use);
      }
    }
  }

  /** The classes that stand within one, those without a name among them. */
  private static List<Tree> within(OwnerClass owner) {
    List<Tree> within = new ArrayList<>();
    new TreeScanner<Void, Void>() {
      @Override
      public Void visitClass(ClassTree tree, Void unused) {
        if (tree != owner.tree()) {
          within.add(tree);
        }
        return super.visitClass(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        if (tree.getClassBody() != null) {
          within.add(tree);
        }
        return super.visitNewClass(tree, null);
      }
    }.scan(owner.tree(), null);
    return within;
  }

  private static boolean isIn(OwnerClass owner, Tree tree, Use use) {
    return owner.trees().start(tree) <= use.offset() && use.offset() < owner.trees().end(tree);
  }

  /** What a constructor above takes, as the new class does. */
  private List<String> erased(ExecutableElement constructor) {
    VariablesElsewhere given = VariablesElsewhere.below(program.types(), first.element());
    return constructor.getParameters().stream()
        .map(each -> program.types().erasure(given.in(each.asType())).toString())
        .toList();
  }

  private void called(OwnerClass owner, Use use) {
    ExecutableElement constructor =
        ElementFilter.constructorsIn(above().getEnclosedElements()).stream()
            .filter(each -> program.symbols().key(each).equals(use.key()))
            .findFirst()
            .orElseThrow();
    if (!extendsNothing()) {
      constructors.put(use.key(), constructor);
    }
    String key = Symbols.constructorKey(binary, erased(constructor));
    int end = owner.source().codeTokenFrom(use.offset()).end();
    String word = owner.source().slice(use.offset(), end);
    Written.Text text = Written.text("");
    if (use.isName()) {
      text.name(word, key, use.place());
    } else {
      text.here(UseKind.IMPLICIT_SUPER, key, use.place()).text(word);
    }
    edits.add(
        owner.trees().path(),
        Replacement.of(use.offset(), end, text.done()).proving("the class between passes it on"));
  }
}
