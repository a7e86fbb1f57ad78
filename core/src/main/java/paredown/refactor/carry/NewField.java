package paredown.refactor.carry;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;

/** A field that a class gets for the object that one of its methods moves to. */
public final class NewField {
  private final OwnerClass owner;
  private final OwnerClass target;
  private final String subject;

  public NewField(OwnerClass owner, OwnerClass target, OwnerClass.Method method) {
    this.owner = owner;
    this.target = target;
    this.subject = OwnerClass.signature(method);
  }

  /**
   * Requires that nobody can tell that each object has one more now.
   *
   * @param method the method that will ask it
   */
  public void require(OwnerClass.Method method, Overruled overruled) {
    TypeElement type = owner.element();
    boolean plain =
        type.getKind() == ElementKind.CLASS
            && type.getSuperclass().toString().equals("java.lang.Object");
    String place = owner.trees().place(owner.tree());
    if (!plain || method.is(Modifier.STATIC)) {
      throw Refused.of(
          RefusalKind.TARGET_ELSEWHERE,
          subject,
          "only a plain class can get a field, for a method that is not static",
          place);
    }
    boolean stored = owner.isA("java.io.Serializable");
    boolean looked = !owner.tree().getModifiers().getAnnotations().isEmpty();
    if (stored || looked) {
      throw Refused.because(
          stored ? RefusalKind.SERIALIZED : RefusalKind.MAPPED_CLASS, "A new field", place);
    }
    new ReflectionCheck(owner, Map.of()).requireUnless(overruled);
  }

  /** A name that the file does not know yet. */
  public String name() {
    String base = Words.decapitalised(target.simpleName());
    String file = owner.source().text();
    return Stream.of(base, "own" + target.simpleName(), base + "Part", base + "OfMoved")
        .filter(each -> !paredown.text.Lexer.isKeyword(each))
        .filter(each -> !file.matches("(?s).*\\b" + each + "\\b.*"))
        .findFirst()
        .orElseThrow(
            () -> Refused.because(RefusalKind.NAME_TAKEN, base, owner.trees().place(owner.tree())));
  }

  public String key() {
    return Symbols.fieldKey(owner.binaryName(), name());
  }

  /** The declaration, the first in the class, so that the object is there before all else. */
  public Replacement declared(TypeNames names) {
    FirstMember first = FirstMember.of(owner);
    Written.Text text = Written.text(first.before());
    names.write(text.text("private final "), target.element(), owner.element());
    text.text(" " + name() + " = ")
        .here(UseKind.CREATION, Symbols.constructorKey(target.binaryName(), List.of()))
        .text("new ");
    names.write(text, target.element(), owner.element());
    text.text("();" + owner.source().lineEnd());
    return Replacement.of(first.at(), first.at(), text.done());
  }
}
