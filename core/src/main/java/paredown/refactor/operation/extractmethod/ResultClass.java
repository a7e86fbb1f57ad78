package paredown.refactor.operation.extractmethod;

import java.util.List;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Words;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;
import paredown.text.SourceText;

/**
 * The class of the object in which a method gives several values: a record where there are some.
 */
final class ResultClass {
  private static final int RECORDS_SINCE = 16;

  private final String name;
  private final Extraction extraction;
  private final List<VariableElement> values;
  private final OwnerClass owner;
  private final Program program;
  private final String binary;
  private final boolean record;
  private final boolean open;

  /**
   * The class of some values.
   *
   * @param open whether other classes than the one that holds it name it
   */
  ResultClass(String name, Extraction extraction, List<VariableElement> values, boolean open) {
    this.open = open;
    this.name = name;
    this.extraction = extraction;
    this.values = values;
    this.owner = extraction.owner();
    this.program = owner.program();
    this.binary = owner.binaryName() + "$" + name;
    this.record = extraction.trees().language() >= RECORDS_SINCE;
  }

  /**
   * Requires that there can be such a class.
   *
   * @throws Refused where its name is known already, or a value has a type that it cannot name
   */
  void require() {
    Words.requireClassName(name);
    SourceText source = extraction.trees().source();
    if (source.findName(name, 0, source.length()) >= 0) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "%s means something in this file already.".formatted(name),
          "Choose another with --result.",
          source.place(source.findName(name, 0, source.length())));
    }
    boolean inner =
        owner.element().getNestingKind().isNested()
            && !owner.element().getModifiers().contains(Modifier.STATIC);
    if (inner && !record) {
      throw ExtractMethodChecks.alone(
          extraction.trees(),
          extraction.part(),
          "its class belongs to an object, and can hold no class of its own in this Java");
    }
    for (VariableElement each : values) {
      if (!WritableType.variables(each.asType()).isEmpty()) {
        throw ExtractMethodChecks.alone(
            extraction.trees(),
            extraction.part(),
            "%s has the type %s, which a class of its own does not know"
                .formatted(each.getSimpleName(), each.asType()));
      }
    }
  }

  /** Names the class where it is in sight. */
  void write(Written.Text text) {
    text.name(name, Symbols.typeKey(binary));
  }

  /** Names the class from another one, perhaps. */
  void write(Written.Text text, TypeNames names, OwnerClass from) {
    if (!from.element().equals(owner.element())) {
      names.write(text, owner.element(), from.element());
      text.text(".");
    }
    write(text);
  }

  /** Makes an object of the values that the new method has in the end. */
  void make(Written.Text text) {
    List<String> types =
        values.stream().map(each -> program.types().erasure(each.asType()).toString()).toList();
    text.here(UseKind.CREATION, Symbols.constructorKey(binary, types)).text("new ");
    write(text);
    String separator = "(";
    for (VariableElement each : values) {
      DeclaredMethod.named(text.text(separator), each, extraction);
      separator = ", ";
    }
    text.text(")");
  }

  /** A name for the object that the method does not know yet from which it is called. */
  String variable(Extraction at) {
    String plain = Words.variable(name);
    SourceText source = at.trees().source();
    int start = at.trees().start(at.method().getLeaf());
    int end = at.trees().end(at.method().getLeaf());
    return source.findName(plain, start, end) < 0 ? plain : "all" + name;
  }

  /** Takes the values out of the object again, a statement each, where it is called. */
  void takeOut(
      Written.Text text,
      NewMethod method,
      TypeNames names,
      String gap,
      Extraction at,
      Shape shape) {
    for (int i = 0; i < values.size(); i++) {
      VariableElement there = shape.variables().get(i);
      text.text(gap);
      if (at.locals().isOwn(there)) {
        text.text(there.getModifiers().contains(Modifier.FINAL) ? "final " : "");
        names.write(text, there.asType(), at.owner().element());
        text.text(" " + there.getSimpleName() + " = ");
      } else {
        method.named(text, there);
        text.text(" = ");
      }
      text.local(variable(at)).text(".");
      String value = values.get(i).getSimpleName().toString();
      text.name(
          value,
          record ? Symbols.methodKey(binary, value, List.of()) : Symbols.fieldKey(binary, value));
      text.text(record ? "();" : ";");
    }
  }

  /** Writes the class behind the method that gives its objects. */
  void declare(Written.Text text, TypeNames names, String method) {
    Layout layout = Layout.of(owner);
    String end = layout.lineEnd();
    String at = layout.member();
    text.text(end + end + at);
    String what = Listed.of(values.stream().map(each -> each.getSimpleName().toString()).toList());
    text.text("/** The %s that %s gives. */%s%s".formatted(what, method, end, at));
    text.text(owner.element().getKind().isInterface() || open ? "" : "private ");
    if (record) {
      text.text("record " + name + "(");
      components(text, names);
      text.text(") {}");
      return;
    }
    text.text("static final class " + name + " {" + end);
    for (VariableElement each : values) {
      type(text.text(layout.body() + "final "), each.asType(), names);
      text.text(" " + each.getSimpleName() + ";" + end);
    }
    text.text(end + layout.body() + name + "(");
    components(text, names);
    text.text(") {" + end);
    for (VariableElement each : values) {
      String value = each.getSimpleName().toString();
      text.text(layout.body() + layout.unit()).name("this", "this of " + binary).text(".");
      text.name(value, Symbols.fieldKey(binary, value)).text(" = ").local(value);
      text.text(";" + end);
    }
    text.text(layout.body() + "}" + end + at + "}");
  }

  private void components(Written.Text text, TypeNames names) {
    String separator = "";
    for (VariableElement each : values) {
      type(text.text(separator), each.asType(), names);
      text.text(" " + each.getSimpleName());
      separator = ", ";
    }
  }

  private void type(Written.Text text, TypeMirror type, TypeNames names) {
    names.write(text, type, owner.element());
  }
}
