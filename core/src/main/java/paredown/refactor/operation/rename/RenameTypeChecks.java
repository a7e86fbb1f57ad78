package paredown.refactor.operation.rename;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Assumption;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Remarks;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** What must hold before a type gets another name: nobody looks for it by the old one. */
final class RenameTypeChecks {
  /** What the stored form of a class is chosen by. */
  private static final Set<String> STORED =
      Set.of(
          "serialVersionUID", "serialPersistentFields", "readObject", "writeObject", "readResolve");

  private final RenameType arguments;
  private final DeclaredType header;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final Overruled overruled;

  RenameTypeChecks(
      RenameType arguments,
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
    requireFree();
    requireNoTests();
    requireNoNativeMethods();
    requireNoAnnotation();
    requireNotStored();
    requireNotLookedFor();
    requireNotNamedElsewhere();
  }

  private String here() {
    return owner.trees().place(owner.tree());
  }

  private void requireFree() {
    String around =
        header.name().substring(0, header.name().length() - owner.simpleName().length());
    Optional<DeclaredType> taken =
        index.types().stream()
            .filter(type -> type.name().equals(around + arguments.name()))
            .findFirst();
    String file = header.file().substring(0, header.file().lastIndexOf('/') + 1);
    boolean fileTaken =
        program.sources().file(file + arguments.name() + ".java").isPresent()
            && header.depth() == 0;
    if (taken.isPresent() || fileTaken) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "%s cannot be named %s: %s is there already."
              .formatted(
                  owner.simpleName(),
                  arguments.name(),
                  taken.isPresent() ? "a type of that name" : "a file of that name"),
          "Choose another with --name.",
          taken.map(DeclaredType::file).orElse(file + arguments.name() + ".java"));
    }
  }

  private void requireNoTests() {
    boolean test =
        program
            .sources()
            .file(header.file())
            .filter(file -> file.kind() == SourceFile.Kind.TEST)
            .isPresent();
    boolean holdsTests =
        ElementFilter.methodsIn(owner.element().getEnclosedElements()).stream()
            .flatMap(method -> method.getAnnotationMirrors().stream())
            .anyMatch(each -> each.getAnnotationType().toString().startsWith("org.junit."));
    if (test && holdsTests) {
      throw fixed("its tests are told by the name of their class");
    }
  }

  private void requireNoNativeMethods() {
    boolean found = owner.methods().stream().anyMatch(method -> method.is(Modifier.NATIVE));
    if (found) {
      throw fixed("code in another language finds its native methods by its name");
    }
  }

  private Refused fixed(String why) {
    return Refused.advising(
        RefusalKind.FIXED_NAME,
        "%s cannot be renamed: %s.".formatted(owner.simpleName(), why),
        "",
        here());
  }

  private void requireNoAnnotation() {
    TreePath modifiers = new TreePath(owner.path(), owner.tree().getModifiers());
    for (AnnotationTree annotation : owner.tree().getModifiers().getAnnotations()) {
      TreePath at = new TreePath(modifiers, annotation);
      String name =
          String.valueOf(owner.trees().element(new TreePath(at, annotation.getAnnotationType())));
      boolean nameless = name.startsWith("org.junit.") || name.startsWith("java.lang.annotation.");
      if (!nameless && !Remarks.isRemark(owner, at)) {
        refuse(
            RefusalKind.MAPPED_CLASS,
            "its annotation says that something outside the code finds it by name",
            owner.trees().place(annotation));
      }
    }
  }

  private void requireNotStored() {
    if (!owner.isA("java.io.Serializable")) {
      return;
    }
    boolean meant =
        owner.element().getEnclosedElements().stream()
            .map(Element::getSimpleName)
            .anyMatch(name -> STORED.contains(name.toString()));
    if (meant && !owner.isA("java.lang.Throwable")) {
      refuse(RefusalKind.SERIALIZED, "stored objects hold the name of their class", here());
    } else {
      owner
          .assumptions()
          .add(
              Assumption.Kind.VERSION,
              "no stored object is one of %s".formatted(owner.simpleName()),
              here());
    }
  }

  /** A string that spells the whole name is what somebody looks a class up by. */
  private void requireNotLookedFor() {
    String binary = owner.binaryName();
    if (binary.indexOf('.') < 0) {
      // In the unnamed package any word could be the whole name.
      return;
    }
    Pattern spelt =
        Pattern.compile(
            "(?<![\\w$.])(?:%s|%s)(?![\\w$])"
                .formatted(
                    Pattern.quote(binary),
                    Pattern.quote(owner.element().getQualifiedName().toString())));
    for (SourceFile file : program.sources().files()) {
      SourceText source = program.sources().text(file.path());
      if (!source.text().contains(owner.simpleName())) {
        continue;
      }
      for (Token token : source.tokens()) {
        if (token.kind() == TokenKind.LITERAL
            && source.text().charAt(token.start()) == '"'
            && spelt.matcher(source.slice(token.start(), token.end())).find()) {
          refuse(
              RefusalKind.REFLECTED, "a string spells its whole name", source.place(token.start()));
        }
      }
    }
  }

  private void requireNotNamedElsewhere() {
    program
        .sources()
        .others()
        .naming(owner.element().getQualifiedName().toString(), List.of(owner.simpleName()))
        .ifPresent(
            place ->
                refuse(RefusalKind.NAMED_ELSEWHERE, "a file that is not Java names it", place));
  }

  private void refuse(RefusalKind kind, String why, String place) {
    if (!overruled.overrules(kind)) {
      throw Refused.advising(
          kind,
          "%s cannot be renamed: %s.".formatted(owner.simpleName(), why),
          "If that does not matter here, or you change it, too, say --accept " + kind.id() + ".",
          place);
    }
  }
}
