package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.alike.GivenValue;
import paredown.refactor.alike.Twin;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;

/**
 * The new method, as its callers know it.
 *
 * @param values what it takes besides, since places differ in it
 * @param isStatic whether it needs no object
 * @param several the class of what it gives; empty where that is at most one value
 * @param general the types of parameters that places give values of several types for
 */
record NewMethod(
    Extraction extraction,
    String name,
    List<VariableElement> parameters,
    List<GivenValue> values,
    boolean isStatic,
    Optional<ResultClass> several,
    Map<VariableElement, TypeMirror> general) {

  private Program program() {
    return extraction.trees().program();
  }

  /** The type of a parameter. */
  TypeMirror type(VariableElement parameter) {
    return general.getOrDefault(parameter, parameter.asType());
  }

  String key() {
    List<String> types = new ArrayList<>();
    parameters.forEach(each -> types.add(program().types().erasure(type(each)).toString()));
    values.forEach(each -> types.add(program().types().erasure(each.type()).toString()));
    return Symbols.methodKey(extraction.owner().binaryName(), name, types);
  }

  /** The call in the place of the part that becomes the method. */
  List<Piece> call(Shape shape, TypeNames names) {
    return call(extraction, null, shape, parameters, names);
  }

  /** The call in another place. */
  List<Piece> call(Callee callee, TypeNames names) {
    List<VariableElement> given =
        parameters.stream().map(each -> callee.standing(each, program())).toList();
    return call(callee.at(), callee.twin(), callee.shape(), given, names);
  }

  private List<Piece> call(
      Extraction at, Twin twin, Shape shape, List<VariableElement> given, TypeNames names) {
    Written.Text text = Written.text(twin != null && twin.denied() ? "!" : "");
    switch (shape.result()) {
      case DECLARES -> {
        boolean isFinal =
            shape.variable().getModifiers().contains(javax.lang.model.element.Modifier.FINAL);
        text.text(isFinal ? "final " : "");
        names.write(text, shape.type(), at.owner().element());
        text.text(" " + shape.variable().getSimpleName() + " = ");
      }
      case SETS -> {
        named(text, shape.variable());
        text.text(" = ");
      }
      case SEVERAL -> {
        ResultClass all = several.orElseThrow();
        all.write(text, names, at.owner());
        text.text(" " + all.variable(at) + " = ");
      }
      case LEAVES -> text.text("if (");
      case RETURNS -> text.text(shape.type().getKind() == TypeKind.VOID ? "" : "return ");
      default -> {
        // The call stands alone.
      }
    }
    if (!isStatic) {
      text.here(UseKind.RECEIVER, program().symbols().key(extraction.owner().element()));
    }
    if (!at.owner().element().equals(extraction.owner().element())) {
      names.write(text, extraction.owner().element(), at.owner().element());
      text.text(".");
    }
    text.name(name, key()).text("(");
    String separator = "";
    List<Piece> pieces = new ArrayList<>();
    for (VariableElement each : given) {
      text.text(separator);
      if (each.getKind() == ElementKind.FIELD) {
        pieces.add(text.done());
        pieces.add(twin.said(each));
        text = Written.text("");
      } else {
        named(text, each);
      }
      separator = ", ";
    }
    for (GivenValue each : values) {
      pieces.add(text.text(separator).done());
      pieces.add(each.given(extraction.trees(), twin));
      text = Written.text("");
      separator = ", ";
    }
    Part part = at.part();
    boolean leaves = shape.result() == Shape.Result.LEAVES;
    text.text(part.isExpression() ? ")" : leaves ? ")) {" : ");");
    boolean ends =
        shape.result() == Shape.Result.RETURNS && shape.type().getKind() == TypeKind.VOID;
    if (ends) {
      UnitTrees there = at.trees();
      text.text(there.source().lineEnd() + there.source().indentAt(part.start()) + "return;");
    }
    if (leaves) {
      leave(text, at);
    }
    if (shape.result() == Shape.Result.SEVERAL) {
      String gap = at.trees().source().lineEnd() + at.trees().source().indentAt(part.start());
      several.orElseThrow().takeOut(text, this, names, gap, at, shape);
    }
    pieces.add(text.done());
    return pieces;
  }

  /** Does behind the call what the part did. */
  private static void leave(Written.Text text, Extraction at) {
    UnitTrees there = at.trees();
    String gap = there.source().lineEnd() + there.source().indentAt(at.part().start());
    text.text(gap + Layout.of(at.owner()).unit()).text(at.jump()).text(gap + "}");
  }

  /** Names a local variable that stays where it is. */
  void named(Written.Text text, VariableElement variable) {
    text.hereStill(UseKind.NAME, program().symbols().key(variable), null);
    text.text(variable.getSimpleName().toString());
  }
}
