package paredown.refactor.operation.superclass;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.Tree;
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
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.MethodHead;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Puts a new class, which has nothing yet, between classes and the one that they extend. */
record NewParent(ExtractSuperclass whole) implements Step {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    List<DeclaredType> headers = whole.classes().stream().map(index::type).distinct().toList();
    headers.forEach(each -> ReadableFiles.requireEditable(sources, each));
    Set<String> files = new TreeSet<>(index.filesWith(Set.of(whole.name().orElseThrow())));
    headers.forEach(each -> files.add(each.file()));
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              List<OwnerClass> owners =
                  headers.stream().map(each -> OwnerClass.of(program, each)).toList();
              return new Rounds.Outcome(files, () -> new Between(whole, owners).change());
            });
  }

  /** The new class with the headers of those below it. */
  private static final class Between {
    private final String name;
    private final List<OwnerClass> owners;
    private final OwnerClass first;
    private final Program program;
    private final String home;
    private final String binary;
    private final TypeNames names;
    private final EditList edits = new EditList();
    private final Map<String, ExecutableElement> constructors = new LinkedHashMap<>();

    Between(ExtractSuperclass whole, List<OwnerClass> owners) {
      this.name = whole.name().orElseThrow();
      this.owners = owners;
      this.first = owners.get(0);
      this.program = first.program();
      this.home = first.packageName();
      this.binary = new NewTypeName(program, home, name).qualified();
      this.names = TypeNames.ofNewFile(first.trees(), home);
    }

    private boolean extendsNothing() {
      return above().getQualifiedName().contentEquals("java.lang.Object");
    }

    private TypeElement above() {
      return (TypeElement) program.types().asElement(first.element().getSuperclass());
    }

    Change change() {
      owners.forEach(this::requirePlain);
      new NewTypeName(program, home, name)
          .requireFree(
              use -> false, "Choose another with --name.", first.trees().place(first.tree()));
      owners.forEach(this::header);
      owners.forEach(this::constructors);
      Piece text = text();
      List<Piece> pieces = List.of(names.newImports(first.source().lineEnd()), text);
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
      if (!program.types().isSameType(type.getSuperclass(), first.element().getSuperclass())) {
        throw new UnusableRequest(
            "%s and %s do not extend the same class."
                .formatted(first.writtenName(), owner.writtenName()),
            "Name classes that do.");
      }
      if (!WritableType.variables(type.getSuperclass()).isEmpty()) {
        throw cannot(owner)
            .because(
                RefusalKind.OWNER_TYPE_VARIABLE,
                "what it extends depends on its type variables",
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
      edits.add(owner.trees().path(), Replacement.of(at, at, text.done()));
    }

    /** Calls the constructor of the new class where that of the old superclass was called. */
    private void constructors(OwnerClass owner) {
      String prefix = "constructor " + program.symbols().binary(above()) + "(";
      int start = owner.trees().start(owner.tree());
      for (Use use :
          program.uses().within(owner.trees().path(), start, owner.trees().end(owner.tree()))) {
        boolean calls =
            use.key().startsWith(prefix)
                && (use.kind() == UseKind.IMPLICIT_SUPER
                    || use.isName() && owner.source().text().startsWith("super", use.offset()));
        if (calls && isOf(owner, use)) {
          called(owner, use);
        }
      }
    }

    /** Whether a use stands in a class itself, and not in one within it. */
    private boolean isOf(OwnerClass owner, Use use) {
      return owner.tree().getMembers().stream()
          .filter(ClassTree.class::isInstance)
          .noneMatch(
              each ->
                  owner.trees().start(each) <= use.offset()
                      && use.offset() < owner.trees().end(each));
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
      String key = "constructor " + binary + use.key().substring(use.key().indexOf('('));
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

    private Piece text() {
      String end = first.source().lineEnd();
      Layout layout = Layout.of(first).atTopLevel();
      boolean open = owners.stream().anyMatch(each -> AccessLevel.isApi(each.element()));
      Written.Text text = Written.text("/** What ");
      text.text(Listed.of(owners.stream().map(OwnerClass::simpleName).toList()));
      text.text(owners.size() > 1 ? " have in common. */" : " is. */").text(end);
      text.text(open ? "public " : "").text("abstract class " + name);
      if (!extendsNothing()) {
        names.write(text.text(" extends "), first.element().getSuperclass(), null);
      }
      text.text(" {" + end);
      String separator = "";
      for (ExecutableElement each : constructors.values()) {
        constructor(text.text(separator), each, layout, end);
        separator = end;
      }
      return text.text("}" + end)
          .done()
          .proving("it passes on what it is given, and does nothing else");
    }

    private void constructor(
        Written.Text text, ExecutableElement constructor, Layout layout, String end) {
      AccessLevel level = AccessLevel.of(constructor);
      boolean wide = level == AccessLevel.PUBLIC || level == AccessLevel.PROTECTED;
      text.text(layout.member() + (wide ? "protected " : "") + name);
      MethodHead head = new MethodHead(names, null);
      head.takes(text, constructor);
      head.fails(text, constructor);
      text.text(" {" + end + layout.body());
      text.name("super", program.symbols().key(constructor)).text("(");
      String separator = "";
      for (VariableElement each : constructor.getParameters()) {
        text.text(separator).local(each.getSimpleName().toString());
        separator = ", ";
      }
      text.text(");" + end + layout.member() + "}" + end);
    }
  }
}
