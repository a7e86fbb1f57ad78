package paredown.refactor.operation.parameterobject;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.lang.model.type.TypeKind;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.Words;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.name.NewVariables;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Writes the class of the object: a record where the language has them. */
final class ObjectText {
  private static final int RECORDS_SINCE = 16;

  /** The names of methods that each object has, which no component of a record may have. */
  private static final Pattern OF_OBJECTS =
      Pattern.compile("clone|finalize|getClass|hashCode|notify|notifyAll|toString|wait");

  private final String name;
  private final List<Component> components;
  private final Map<String, String> remarks;
  private final OwnerClass owner;
  private final String visible;
  private final NewVariables variables;
  private final TypeNames names;
  private final String end;
  private final String unit;
  private final Written.Text text;

  ObjectText(String name, Signatures signatures, boolean open, TypeNames names) {
    this.name = name;
    this.components = signatures.components();
    this.remarks = ParameterDocs.remarks(signatures);
    this.owner = signatures.owner();
    this.visible = open ? "public " : "";
    this.variables = signatures.variables();
    this.names = names;
    this.end = owner.source().lineEnd();
    this.unit = Layout.of(owner).unit();
    this.text = Written.text("");
  }

  Piece piece() {
    comment();
    if (hasRecords()) {
      text.text(visible + "record " + name);
      variables.declare(text, names, null);
      text.text("(");
      parameters();
      text.text(") {}" + end);
    } else {
      oldClass();
    }
    return text.done();
  }

  private boolean hasRecords() {
    return components.stream().noneMatch(each -> OF_OBJECTS.matcher(each.name()).matches())
        && owner.trees().language() >= RECORDS_SINCE;
  }

  private void comment() {
    String what =
        "The %s that are passed together."
            .formatted(Listed.of(components.stream().map(Component::name).toList()));
    if (remarks.isEmpty() || !hasRecords()) {
      text.text("/** " + what + " */" + end);
      return;
    }
    text.text("/**" + end + " * " + what + end + " *" + end);
    remarks.forEach(
        (component, remark) -> text.text(" * @param " + component + " " + remark + end));
    text.text(" */" + end);
  }

  private void parameters() {
    String separator = "";
    for (Component each : components) {
      names.write(text.text(separator), each.type(), null);
      text.text(" " + each.name());
      separator = ", ";
    }
  }

  private void oldClass() {
    text.text(visible + "final class " + name);
    variables.declare(text, names, null);
    text.text(" {" + end);
    for (Component each : components) {
      names.write(text.text(unit + "private final "), each.type(), null);
      text.text(" " + each.name() + ";" + end);
    }
    text.text(end + unit + visible + name + "(");
    parameters();
    text.text(") {" + end);
    for (Component each : components) {
      text.text(unit + unit).name("this", "this of " + binaryName()).text(".");
      text.name(each.name(), Symbols.fieldKey(binaryName(), each.name())).text(" = ");
      text.local(each.name()).text(";" + end);
    }
    text.text(unit + "}" + end);
    for (Component each : components) {
      String remark = remarks.getOrDefault(each.name(), "");
      text.text(end);
      if (!remark.isEmpty()) {
        text.text(unit + "/** " + sentence(remark) + " */" + end);
      }
      names.write(text.text(unit + visible), each.type(), null);
      text.text(" " + accessor(each) + "() {" + end);
      text.text(unit + unit + "return ")
          .here(UseKind.RECEIVER, Symbols.typeKey(binaryName()))
          .name(each.name(), Symbols.fieldKey(binaryName(), each.name()))
          .text(";" + end + unit + "}" + end);
    }
    text.text("}" + end);
  }

  private static String sentence(String remark) {
    return Words.capitalised(remark) + (remark.endsWith(".") ? "" : ".");
  }

  private String binaryName() {
    return new NewTypeName(owner.program(), owner.packageName(), name).qualified();
  }

  /** The accessors are named the way that the old class names its own. */
  private String accessor(Component component) {
    boolean beans = owner.methods().stream().anyMatch(m -> m.name().matches("(get|is)\\p{Lu}.*"));
    boolean clashes = OF_OBJECTS.matcher(component.name()).matches();
    boolean flag = component.type().getKind() == TypeKind.BOOLEAN;
    return beans || clashes
        ? (flag ? "is" : "get") + Words.capitalised(component.name())
        : component.name();
  }
}
