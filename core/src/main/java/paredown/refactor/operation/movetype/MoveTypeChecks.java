package paredown.refactor.operation.movetype;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.program.DeclaredType;
import paredown.program.ModuleDeclaration;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** What must hold before a type goes to another package. */
final class MoveTypeChecks {
  private static final Set<String> BESIDE = Set.of("getResource", "getResourceAsStream");

  private final MoveType arguments;
  private final DeclaredType header;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final Overruled overruled;

  MoveTypeChecks(
      MoveType arguments,
      DeclaredType header,
      OwnerClass owner,
      SourceIndex index,
      Overruled overruled) {
    this.arguments = arguments;
    this.header = header;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    this.overruled = overruled;
  }

  void require() {
    requireOwnFile();
    requireFree();
    requireNotSealed();
    requireNotExported();
    new NamedFromOutside(owner, "moved", overruled).require(arguments.inStrings());
    requireNoFileBeside();
  }

  private String here() {
    return owner.trees().place(owner.tree());
  }

  /** Where the file of a type stands in another package of the same source folder. */
  static String newPath(OwnerClass owner, String target) {
    String file = owner.trees().path();
    String root = file.substring(0, file.length() - home(owner).length());
    return root + target.replace('.', '/') + "/" + owner.simpleName() + ".java";
  }

  private static String home(OwnerClass owner) {
    String name = owner.packageName();
    return (name.isEmpty() ? "" : name.replace('.', '/') + "/") + owner.simpleName() + ".java";
  }

  private void requireOwnFile() {
    List<DeclaredType> others =
        index.types().stream()
            .filter(type -> type.file().equals(header.file()) && type.depth() == 0)
            .filter(type -> type.offset() != header.offset())
            .toList();
    if (!others.isEmpty()) {
      throw Refused.advising(
          RefusalKind.SHARED_FILE,
          "The file of %s holds %s, too.".formatted(owner.simpleName(), others.get(0).simpleName()),
          "Give each type a file of its own first.",
          here());
    }
    if (!("/" + header.file()).endsWith("/" + home(owner))) {
      throw Refused.advising(
          RefusalKind.SHARED_FILE,
          "The file of %s does not stand where its package and its name say."
              .formatted(owner.simpleName()),
          "Put it there first.",
          header.file());
    }
  }

  private void requireFree() {
    String name = arguments.target() + "." + owner.simpleName();
    boolean known =
        index.types().stream().anyMatch(type -> type.name().equals(name))
            || program.elements().getTypeElement(name) != null;
    String path = newPath(owner, arguments.target());
    if (known || program.sources().file(path).isPresent()) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "%s has a type %s already.".formatted(arguments.target(), owner.simpleName()),
          "Rename one of the two first.",
          here());
    }
    // A package and a type cannot have one name.
    if (program.elements().getTypeElement(arguments.target()) != null) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "%s is a type.".formatted(arguments.target()),
          "Choose a package with --to.",
          here());
    }
  }

  /** Without a module, what is sealed stands in one package with all that it permits. */
  private void requireNotSealed() {
    Stream<? extends TypeMirror> permitted = owner.element().getPermittedSubclasses().stream();
    Stream<? extends TypeMirror> above =
        program.types().directSupertypes(owner.element().asType()).stream()
            .filter(
                type -> program.types().asElement(type).getModifiers().contains(Modifier.SEALED));
    boolean parted =
        Stream.concat(permitted, above)
            .map(type -> program.types().asElement(type))
            .anyMatch(type -> !OwnerClass.outermost(type).equals(owner.element()));
    if (parted) {
      throw Refused.advising(
          RefusalKind.TARGET_ELSEWHERE,
          "%s cannot leave its package: a sealed type stands together with all that it permits."
              .formatted(owner.simpleName()),
          "",
          here());
    }
  }

  private void requireNotExported() {
    ModuleDeclaration.of(
            program.sources().project(),
            program.sources().file(header.file()).orElseThrow().module())
        .filter(module -> module.exports(owner.packageName()) || module.opens(owner.packageName()))
        .filter(
            module ->
                !module.exports(arguments.target())
                    || new EmptiedPackage(header, program.sources(), index).isEmptied())
        .ifPresent(
            module -> {
              throw Refused.advising(
                  RefusalKind.MAPPED_CLASS,
                  "%s cannot be moved: its module opens %s to others, and not %s, or nothing would be left there."
                      .formatted(owner.simpleName(), owner.packageName(), arguments.target()),
                  "Change the module first.",
                  module.path());
            });
  }

  /** A class finds a resource of a relative name beside itself. */
  private void requireNoFileBeside() {
    SourceText source = owner.source();
    List<Token> tokens = source.tokens();
    for (int i = 0; i + 2 < tokens.size(); i++) {
      int start = tokens.get(i).start();
      if (!BESIDE.contains(source.slice(start, tokens.get(i).end()))) {
        continue;
      }
      boolean loader = source.slice(source.lineStart(start), start).contains("oader");
      boolean absolute = source.text().startsWith("\"/", tokens.get(i + 2).start());
      if (!loader && !absolute && !overruled.overrules(RefusalKind.REFLECTED)) {
        throw Refused.advising(
            RefusalKind.REFLECTED,
            "%s cannot be moved: it reads a file that stands beside it."
                .formatted(owner.simpleName()),
            "Move that file along, and say --accept reflected.",
            source.place(start));
      }
    }
  }

  /** Whether an element is declared within the type that goes. */
  static boolean isOf(OwnerClass owner, Element element) {
    return OwnerClass.outermost(element).equals(owner.element());
  }

  /** The package of an element. */
  static String packageOf(Program program, Element element) {
    return program.elements().getPackageOf(element).getQualifiedName().toString();
  }

  /** Whether an element is a type that no other stands around. */
  static boolean isTopLevel(Element element) {
    return element instanceof TypeElement type && !type.getNestingKind().isNested();
  }
}
