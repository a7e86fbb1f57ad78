package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.alike.GivenValue;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * The text of the new method, below the one that its code stood in.
 *
 * @param several the class of what it gives; empty where that is at most one value
 * @param visibility who sees it
 */
record DeclaredMethod(
    NewMethod method,
    Shape shape,
    List<TypeMirror> thrown,
    MethodVariables variables,
    Optional<ResultClass> several,
    AccessLevel visibility) {

  /** Why a jump may be somewhere else. */
  static final String LEFT = "what it gives says whether it left, and the call leaves then";

  private Extraction extraction() {
    return method.extraction();
  }

  private UnitTrees trees() {
    return extraction().trees();
  }

  private Part part() {
    return extraction().part();
  }

  private OwnerClass owner() {
    return extraction().owner();
  }

  /** What its type variables were, and what they are within it. */
  Map<String, String> becameWithin() {
    return variables.became(method.key());
  }

  private boolean leaves() {
    return shape.result() == Shape.Result.LEAVES;
  }

  /** Its declaration, with the code that it carries. */
  Replacement text(TypeNames names) {
    Layout layout = Layout.of(owner());
    Written head = variables.within(head(layout, names).done(), method.key());
    Written tail = variables.within(tail(layout, names).done(), method.key());
    tail = leaves() ? tail.proving(LEFT) : tail;
    int at = behindMethod();
    return Replacement.of(at, at, head, body(layout), tail);
  }

  private Written.Text head(Layout layout, TypeNames names) {
    String end = trees().source().lineEnd();
    Written.Text head = Written.text(end + end + layout.member() + seen());
    head.text(method.isStatic() ? "static " : "");
    variables.declare(head, names);
    several.ifPresentOrElse(each -> each.write(head), () -> write(head, shape.type(), names));
    head.text(" " + method.name() + "(");
    Written parameters = parameters(names);
    Written behind = thrown(names);
    String all = head.done().text();
    int line = all.length() - all.lastIndexOf('\n') - 1;
    boolean broken =
        line + parameters.text().length() + behind.text().length() + 2 > Layout.WIDTH
            && !parameters.text().isEmpty();
    head.text(broken ? end + layout.body() + layout.unit() : "");
    head.all(parameters).all(behind);
    head.text(" {" + end + layout.body());
    for (VariableElement each : shape.variables()) {
      if (!extraction().locals().isOwn(each) && !method.parameters().contains(each)) {
        write(head, each.asType(), names);
        head.text(" " + each.getSimpleName() + ";" + end + layout.body());
      }
    }
    return head.text(part().isExpression() ? "return " : "");
  }

  private String seen() {
    boolean implied = visibility == AccessLevel.PUBLIC && owner().element().getKind().isInterface();
    return visibility == AccessLevel.PACKAGE || implied ? "" : visibility.word() + " ";
  }

  private Written parameters(TypeNames names) {
    Written.Text text = Written.text("");
    String separator = "";
    for (VariableElement each : method.parameters()) {
      write(text.text(separator), method.type(each), names);
      text.text(" " + each.getSimpleName());
      separator = ", ";
    }
    for (GivenValue each : method.values()) {
      write(text.text(separator), each.type(), names);
      text.text(" " + each.name());
      separator = ", ";
    }
    return text.done();
  }

  private Written thrown(TypeNames names) {
    Written.Text text = Written.text(")");
    String separator = " throws ";
    for (TypeMirror each : thrown) {
      write(text.text(separator), each, names);
      separator = ", ";
    }
    return text.done();
  }

  private Written.Text tail(Layout layout, TypeNames names) {
    String end = trees().source().lineEnd();
    Written.Text tail = Written.text(part().isExpression() ? ";" : "");
    if (!shape.variables().isEmpty()) {
      tail.text(end + layout.body() + "return ");
      several.ifPresentOrElse(
          each -> each.make(tail), () -> named(tail, shape.variable(), extraction()));
      tail.text(";");
    }
    tail.text(leaves() ? end + layout.body() + "return false;" : "");
    tail.text(end + layout.member() + "}");
    several.ifPresent(each -> each.declare(tail, names, method.name()));
    return tail;
  }

  /** Names a variable within the new method, which has it as its own or takes it. */
  static void named(Written.Text text, VariableElement variable, Extraction extraction) {
    String name = variable.getSimpleName().toString();
    if (extraction.locals().isOwn(variable)) {
      String key = extraction.trees().program().symbols().key(variable);
      text.hereStill(UseKind.NAME, key, null).text(name);
    } else {
      text.local(name);
    }
  }

  private Carried body(Layout layout) {
    List<Replacement> inside = new ArrayList<>();
    for (Locals.Named use : extraction().locals().taken()) {
      boolean here =
          method.parameters().contains(use.variable())
              || shape.variables().contains(use.variable());
      if (here) {
        inside.add(local(trees(), use));
      }
    }
    if (leaves()) {
      extraction().jumps().forEach(jump -> inside.add(left(jump.getLeaf())));
    }
    method.values().forEach(each -> inside.addAll(each.taken(trees())));
    SourceText source = trees().source();
    Indent indent = new Indent(source.indentAt(part().start()), layout.body());
    String type = owner().binaryName();
    Self self = variables.all().isEmpty() ? null : new Self(type, type);
    return new Carried(trees().path(), part().start(), part().end(), inside, indent, self);
  }

  /** What a jump of the part is within the new method. */
  private Replacement left(Tree jump) {
    int start = trees().start(jump);
    int end = trees().end(jump);
    List<Replacement.Dropped> dropped =
        trees().program().uses().within(trees().path(), start, end).stream()
            .map(use -> new Replacement.Dropped(use.place(), LEFT))
            .toList();
    return new Replacement(start, end, List.of(Written.plain("return true;")), dropped, LEFT);
  }

  /** A use of a variable that the change declares, in the place of one that was declared before. */
  static Replacement local(UnitTrees trees, Locals.Named use) {
    String name = use.variable().getSimpleName().toString();
    Use.Place place = new Use.Place(trees.path(), use.offset(), UseKind.NAME);
    return Replacement.of(
        use.offset(), use.offset() + name.length(), Written.text("").local(name, place).done());
  }

  private void write(Written.Text text, TypeMirror type, TypeNames names) {
    if (type.getKind() == TypeKind.VOID) {
      text.text("void");
    } else {
      names.write(text, type, owner().element());
    }
  }

  /** Behind the method, with a comment that stands behind it in its line. */
  private int behindMethod() {
    SourceText source = trees().source();
    int end = trees().end(extraction().method().getLeaf());
    String rest = source.slice(end, source.nextLine(end - 1)).stripTrailing();
    boolean comment = rest.strip().startsWith("//");
    return comment ? end + rest.length() : end;
  }
}
