package paredown.refactor.name;

import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.edit.Assumption;
import paredown.program.OtherFiles;
import paredown.program.Program;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Remarks;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * Who knows a type by its whole name without saying so in code: native code, annotations, stored
 * objects, strings and files that are not Java. Its name cannot change where one of them does.
 */
public final class NamedFromOutside {
  /** What the stored form of a class is chosen by. */
  private static final Set<String> STORED =
      Set.of(
          "serialVersionUID", "serialPersistentFields", "readObject", "writeObject", "readResolve");

  private final OwnerClass owner;
  private final Program program;
  private final String done;
  private final Overruled overruled;

  /**
   * @param done what is done to the type, as a participle: {@code renamed}
   * @param overruled what the user knows better
   */
  public NamedFromOutside(OwnerClass owner, String done, Overruled overruled) {
    this.owner = owner;
    this.program = owner.program();
    this.done = done;
    this.overruled = overruled;
  }

  /** The kinds of refusal that can be accepted. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.SERIALIZED,
        RefusalKind.MAPPED_CLASS,
        RefusalKind.REFLECTED,
        RefusalKind.NAMED_ELSEWHERE);
  }

  /**
   * Requires that nobody does.
   *
   * @throws Refused where somebody does
   */
  public void require() {
    require(false);
  }

  /** The same, where strings and files that are not code are told the new name, perhaps. */
  public void require(boolean told) {
    requireNoNativeMethods();
    requireNoAnnotation();
    requireNotStored();
    if (!told) {
      requireNotLookedFor();
    }
    requireNotNamedElsewhere(told);
  }

  private String here() {
    return owner.trees().place(owner.tree());
  }

  private void requireNoNativeMethods() {
    boolean found = owner.methods().stream().anyMatch(method -> method.is(Modifier.NATIVE));
    if (found) {
      throw Refused.advising(
          RefusalKind.FIXED_NAME,
          "%s cannot be %s: code in another language finds its native methods by its name."
              .formatted(owner.simpleName(), done),
          "",
          here());
    }
  }

  private void requireNoAnnotation() {
    Remarks.telling(
            owner,
            owner.path(),
            owner.tree().getModifiers(),
            name -> name.startsWith("org.junit.") || name.startsWith("java.lang.annotation."))
        .forEach(
            annotation ->
                refuse(
                    RefusalKind.MAPPED_CLASS,
                    "its annotation says that something outside the code finds it by name",
                    owner.trees().place(annotation)));
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
            "(?<![\\w$.])(?:%s|%s)(?!\\w)"
                .formatted(
                    Pattern.quote(binary),
                    Pattern.quote(owner.element().getQualifiedName().toString())));
    for (SourceFile file : program.sources().files()) {
      SourceText source = program.sources().text(file.path());
      if (!source.text().contains(owner.simpleName())) {
        continue;
      }
      for (Token token : source.tokens()) {
        if (token.isLiteral()
            && source.text().charAt(token.start()) == '"'
            && spelt.matcher(source.slice(token.start(), token.end())).find()) {
          refuse(
              RefusalKind.REFLECTED, "a string spells its whole name", source.place(token.start()));
        }
      }
    }
  }

  private void requireNotNamedElsewhere(boolean told) {
    String whole = owner.element().getQualifiedName().toString();
    List<String> simple = List.of(owner.simpleName());
    OtherFiles others = program.sources().others();
    (told ? others.codeNaming(whole, simple) : others.naming(whole, simple))
        .ifPresent(
            place ->
                refuse(RefusalKind.NAMED_ELSEWHERE, "a file that is not Java names it", place));
  }

  /** Whether there is a type afterwards that could be named instead. */
  private boolean hasName() {
    return !done.equals("inlined") && !done.equals("removed");
  }

  private void refuse(RefusalKind kind, String why, String place) {
    if (!overruled.overrules(kind)) {
      throw Refused.advising(
          kind,
          "%s cannot be %s: %s.".formatted(owner.simpleName(), done, why),
          hasName() && (kind == RefusalKind.REFLECTED || kind == RefusalKind.NAMED_ELSEWHERE)
              ? "Say --in-strings to change it there, too; or, if it does not matter here, --accept %s."
                  .formatted(kind.id())
              : "If that does not matter here, or you change it, too, say --accept "
                  + kind.id()
                  + ".",
          place);
    }
  }
}
