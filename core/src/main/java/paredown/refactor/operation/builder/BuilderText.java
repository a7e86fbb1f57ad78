package paredown.refactor.operation.builder;

import com.sun.source.tree.LiteralTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.name.MethodHead;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;

/** Writes the builder, within its class. */
final class BuilderText {
  private final Growing growing;
  private final OwnerClass owner;
  private final Program program;
  private final TypeNames names;
  private final String name;
  private final String binary;
  private final String at;
  private final String in;
  private final String body;
  private final String end;
  private final String visible;
  private final List<Piece> pieces = new ArrayList<>();
  private Written.Text text = Written.text("");

  BuilderText(Growing growing, String name, TypeNames names) {
    this.growing = growing;
    this.owner = growing.owner();
    this.program = owner.program();
    this.names = names;
    this.name = name;
    this.binary = owner.binaryName() + "$" + name;
    Layout layout = Layout.of(owner);
    this.at = layout.member();
    this.in = at + layout.unit();
    this.body = in + layout.unit();
    this.end = layout.lineEnd();
    this.visible = owner.element().getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
  }

  List<Piece> pieces() {
    text.text(
        at + "/** Builds a " + owner.simpleName() + "; what is not given is as usual. */" + end);
    text.text(at + visible + "static final class " + name + " {" + end);
    fields();
    constructor();
    for (int i = 0; i < growing.parameters().size(); i++) {
      if (!growing.isRequired(i)) {
        setter(growing.parameters().get(i));
      }
    }
    build();
    text.text(at + "}" + end);
    flush();
    return pieces;
  }

  private void flush() {
    pieces.add(text.done().proving("it keeps what it is given for the constructor"));
    text = Written.text("");
  }

  private void fields() {
    for (int i = 0; i < growing.parameters().size(); i++) {
      VariableElement each = growing.parameters().get(i);
      boolean required = growing.isRequired(i);
      text.text(in + "private " + (required ? "final " : ""));
      names.write(text, each.asType(), owner.element());
      text.text(" " + each.getSimpleName());
      if (!required && !isPlain(growing.usual(i))) {
        TreePath usual = growing.usual(i);
        text.text(" = ");
        flush();
        pieces.add(
            new Copied(
                owner.trees().path(),
                owner.trees().start(usual.getLeaf()),
                owner.trees().end(usual.getLeaf()),
                List.of()));
      }
      text.text(";" + end);
    }
  }

  /** Whether a field has a value without anybody saying so. */
  private static boolean isPlain(TreePath value) {
    return value.getLeaf() instanceof LiteralTree literal
        && (literal.getValue() == null
            || literal.getValue().equals(false)
            || literal.getValue().equals(0));
  }

  private void set(VariableElement field) {
    String word = field.getSimpleName().toString();
    text.text(body)
        .name("this", "this of " + binary)
        .text(".")
        .name(word, Symbols.fieldKey(binary, word))
        .text(" = ")
        .local(word)
        .text(";" + end);
  }

  private void constructor() {
    text.text(end + in + visible + name + "(");
    String separator = "";
    for (int i = 0; i < growing.parameters().size(); i++) {
      if (growing.isRequired(i)) {
        VariableElement each = growing.parameters().get(i);
        names.write(text.text(separator), each.asType(), owner.element());
        text.text(" " + each.getSimpleName());
        separator = ", ";
      }
    }
    text.text(separator.isEmpty() ? ") {}" + end : ") {" + end);
    if (separator.isEmpty()) {
      return;
    }
    for (int i = 0; i < growing.parameters().size(); i++) {
      if (growing.isRequired(i)) {
        set(growing.parameters().get(i));
      }
    }
    text.text(in + "}" + end);
  }

  private void setter(VariableElement field) {
    text.text(end + in + visible).name(name, Symbols.typeKey(binary));
    text.text(" " + field.getSimpleName() + "(");
    names.write(text, field.asType(), owner.element());
    text.text(" " + field.getSimpleName() + ") {" + end);
    set(field);
    text.text(body + "return ").name("this", "this of " + binary).text(";" + end);
    text.text(in + "}" + end);
  }

  private void build() {
    text.text(end + in + visible);
    names.write(text, owner.element(), owner.element());
    text.text(" build()");
    new MethodHead(names, owner.element()).fails(text, growing.longest().element());
    text.text(" {" + end + body + "return ");
    text.here(UseKind.CREATION, growing.longest().key()).text("new ");
    names.write(text, owner.element(), owner.element());
    text.text("(");
    String separator = "";
    for (VariableElement each : growing.parameters()) {
      String word = each.getSimpleName().toString();
      text.text(separator)
          .here(UseKind.RECEIVER, Symbols.typeKey(binary))
          .name(word, Symbols.fieldKey(binary, word));
      separator = ", ";
    }
    text.text(");" + end + in + "}" + end);
  }

  /** The key of the builder's constructor. */
  static String constructorKey(Growing growing, String binary, Program program) {
    List<String> types = new ArrayList<>();
    for (int i = 0; i < growing.parameters().size(); i++) {
      if (growing.isRequired(i)) {
        types.add(erased(program, growing.parameters().get(i)));
      }
    }
    return Symbols.constructorKey(binary, types);
  }

  static String erased(Program program, VariableElement variable) {
    return program.types().erasure(variable.asType()).toString();
  }
}
