package paredown.refactor.operation.superclass.between;

import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.carry.Layout;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.MethodHead;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Writes the new class: its head, and constructors that pass on what they are given. */
final class BetweenText {
  private final String name;
  private final String binary;
  private final List<OwnerClass> owners;
  private final OwnerClass first;
  private final Program program;
  private final BetweenVariables variables;
  private final TypeNames names;
  private final Layout layout;

  BetweenText(String name, String binary, List<OwnerClass> owners, BetweenVariables variables) {
    this.name = name;
    this.binary = binary;
    this.owners = owners;
    this.first = owners.get(0);
    this.program = first.program();
    this.variables = variables;
    this.names =
        TypeNames.ofNewFile(first.trees(), first.packageName()).meaning(variables.keys(binary));
    this.layout = Layout.of(first).atTopLevel();
  }

  /**
   * What its file says below the package.
   *
   * @param constructors those of the class above that are called
   */
  List<Piece> pieces(Collection<ExecutableElement> constructors) {
    Piece text = text(constructors);
    return List.of(names.newImports(first.source().lineEnd()), text);
  }

  private Piece text(Collection<ExecutableElement> constructors) {
    String end = first.source().lineEnd();
    boolean open = owners.stream().anyMatch(each -> AccessLevel.isApi(each.element()));
    Written.Text text = Written.text("/** What ");
    text.text(Listed.of(owners.stream().map(OwnerClass::simpleName).toList()));
    text.text(owners.size() > 1 ? " have in common. */" : " is. */").text(end);
    text.text(open ? "public " : "").text("abstract class " + name);
    variables.declare(text, names);
    TypeMirror above = first.element().getSuperclass();
    if (!Between.isObject((TypeElement) program.types().asElement(above))) {
      names.write(text.text(" extends "), above, null);
    }
    text.text(" {" + end);
    Iterator<ExecutableElement> all = constructors.iterator();
    while (all.hasNext()) {
      constructor(text, all.next(), end);
      text.text(all.hasNext() ? end : "");
    }
    return text.text("}" + end)
        .done()
        .proving("it passes on what it is given, and does nothing else");
  }

  private void constructor(Written.Text text, ExecutableElement constructor, String end) {
    AccessLevel level = AccessLevel.of(constructor);
    boolean wide = level == AccessLevel.PUBLIC || level == AccessLevel.PROTECTED;
    text.text(layout.member() + (wide ? "protected " : "") + name);
    VariablesElsewhere above = VariablesElsewhere.below(program.types(), first.element());
    MethodHead head = new MethodHead(names, null, above::in);
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
