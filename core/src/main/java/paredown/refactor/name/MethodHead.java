package paredown.refactor.name;

import java.util.Iterator;
import java.util.function.UnaryOperator;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Written;

/**
 * The head of a new method or constructor that takes and throws what another one does.
 *
 * @param names how types are written where it stands
 * @param scope the class that it stands in; null where that has no members yet
 * @param there what a type of the other one is where it stands
 */
public record MethodHead(TypeNames names, TypeElement scope, UnaryOperator<TypeMirror> there) {

  /** One whose types mean the same where it stands. */
  public MethodHead(TypeNames names, TypeElement scope) {
    this(names, scope, UnaryOperator.identity());
  }

  /** Writes the parameters, with the brackets around them. */
  public void takes(Written.Text text, ExecutableElement like) {
    text.text("(");
    Iterator<? extends VariableElement> all = like.getParameters().iterator();
    String separator = "";
    while (all.hasNext()) {
      VariableElement each = all.next();
      text.text(separator);
      if (like.isVarArgs() && !all.hasNext()) {
        names.write(text, there.apply(((ArrayType) each.asType()).getComponentType()), scope);
        text.text("...");
      } else {
        names.write(text, there.apply(each.asType()), scope);
      }
      text.text(" " + each.getSimpleName());
      separator = ", ";
    }
    text.text(")");
  }

  /** Writes what it throws, if anything. */
  public void fails(Written.Text text, ExecutableElement like) {
    String separator = " throws ";
    for (TypeMirror each : like.getThrownTypes()) {
      names.write(text.text(separator), there.apply(each), scope);
      separator = ", ";
    }
  }
}
