package paredown.refactor.operation.movemethod;

import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Copied;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.carry.NewField;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;

/** The method that stays in the old place and forwards. */
final class DelegateText {
  private final Moving moving;
  private final OwnerClass owner;
  private final TypeNames names;

  DelegateText(Moving moving, Map<String, TypeNames> names) {
    this.moving = moving;
    this.owner = moving.owner();
    this.names = names.get(owner.trees().path());
  }

  /** The signature stays as it was; the body only forwards. */
  Replacement replacement() {
    OwnerClass.Method method = moving.method();
    Layout layout = Layout.of(owner);
    int declaration = method.range().declaration();
    int body = owner.trees().start(method.tree().getBody());
    String indent = owner.source().indentAt(declaration);
    Written.Text text = Written.text("{" + layout.lineEnd() + indent + layout.unit());
    text.text(moving.returns() ? "return " : "");
    receiver(text);
    text.name(moving.name(), moving.newKey()).text("(");
    arguments(text);
    text.text(");" + layout.lineEnd() + indent + "}");
    return Replacement.of(
        declaration,
        method.range().declarationEnd(),
        new Copied(
            owner.trees().path(),
            declaration,
            body,
            moving.visibility().widening().of(method.element()).stream().toList()),
        text.done());
  }

  private void receiver(Written.Text text) {
    Through through = moving.through();
    if (through instanceof Through.Parameter parameter) {
      text.local(parameter.word()).text(".");
    } else if (through instanceof Through.Field field) {
      member(text, field.variable());
      text.text(".");
    } else if (through instanceof Through.Fresh fresh && fresh.kept()) {
      NewField field = new NewField(owner, moving.target(), moving.method());
      text.here(UseKind.RECEIVER, Symbols.typeKey(owner.binaryName()))
          .name(field.name(), field.key())
          .text(".");
    } else if (through instanceof Through.Fresh) {
      text.here(UseKind.CREATION, Symbols.constructorKey(moving.target().binaryName(), List.of()))
          .text("new ");
      names.write(text, moving.target().element(), owner.element());
      text.text("().");
    } else {
      names.write(text, moving.target().element(), owner.element());
      if (through instanceof Through.Around) {
        text.text(".").name("this", "this of " + moving.target().binaryName());
      }
      text.text(".");
    }
  }

  private void arguments(Written.Text text) {
    String separator = "";
    if (moving.given().isOwner()) {
      text.name("this", "this of " + owner.binaryName());
      separator = ", ";
    }
    List<? extends VariableElement> parameters = moving.method().element().getParameters();
    for (int i : moving.kept()) {
      boolean last = moving.isVarArgs() && i == parameters.size() - 1;
      separator = last ? values(text, separator) : separator;
      text.text(separator).local(parameters.get(i).getSimpleName().toString());
      separator = ", ";
    }
    if (!moving.isVarArgs()) {
      values(text, separator);
    }
  }

  private String values(Written.Text text, String first) {
    String separator = first;
    for (Given.Value value : moving.given().values()) {
      text.text(separator);
      member(text, value.member());
      separator = ", ";
    }
    return separator;
  }

  /** A member of the old object, behind {@code this} where a parameter hides it. */
  private void member(Written.Text text, Element member) {
    String name = member.getSimpleName().toString();
    boolean hidden =
        member.getKind() != ElementKind.METHOD
            && ((ExecutableElement) moving.method().element())
                .getParameters().stream()
                    .anyMatch(each -> each.getSimpleName().contentEquals(name));
    if (hidden) {
      text.name("this", "this of " + owner.binaryName()).text(".");
    } else {
      text.here(UseKind.RECEIVER, Symbols.typeKey(owner.binaryName()));
    }
    text.name(name, moving.program().symbols().key(member));
    text.text(member.getKind() == ElementKind.METHOD ? "()" : "");
  }
}
