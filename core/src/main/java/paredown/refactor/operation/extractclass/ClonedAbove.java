package paredown.refactor.operation.extractclass;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Below;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.carry.LastMember;
import paredown.refactor.carry.Layout;
import paredown.refactor.use.OwnerClass;

/**
 * A class whose copies are made by a {@code clone} method above it: it gets one of its own, which
 * asks that one first.
 *
 * @param above the method above it
 */
record ClonedAbove(OwnerClass owner, ExecutableElement above) implements OwnCopy {
  /**
   * The class with that method; empty where it copies itself, where what is below it does, where
   * the one above does more with a copy than setting its fields, or where somebody asks for a copy
   * of an object by the name of the class, who would mean the new method.
   */
  static Optional<ClonedAbove> of(OwnerClass owner) {
    Program program = owner.program();
    if (!owner.element().getTypeParameters().isEmpty()
        || !CloneCopy.callsOfSuper(program, owner.path()).isEmpty()
        || clone(owner.element()).isPresent()
        || Below.of(program, List.of(owner.element())).stream()
            .anyMatch(type -> clone(type).isPresent())) {
      return Optional.empty();
    }
    return inherited(program, owner.element())
        .filter(above -> !above.getModifiers().contains(Modifier.FINAL))
        .filter(above -> above.getReturnType().toString().equals("java.lang.Object"))
        .filter(above -> CloneCopy.isQuiet(program, above))
        .map(above -> new ClonedAbove(owner, above))
        .filter(ClonedAbove::isAskedByNobody);
  }

  private static Optional<ExecutableElement> clone(TypeElement type) {
    return ElementFilter.methodsIn(type.getEnclosedElements()).stream()
        .filter(each -> each.getSimpleName().contentEquals("clone"))
        .filter(each -> each.getParameters().isEmpty())
        .findFirst();
  }

  /** The nearest method above a type that stands in the project. */
  private static Optional<ExecutableElement> inherited(Program program, TypeElement type) {
    for (TypeMirror at = type.getSuperclass();
        program.types().asElement(at) instanceof TypeElement each && program.declares(each);
        at = each.getSuperclass()) {
      Optional<ExecutableElement> found = clone(each);
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  private boolean isAskedByNobody() {
    Program program = owner.program();
    boolean[] asked = {false};
    TypeMirror type = program.types().erasure(owner.element().asType());
    var scan =
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
            TreePath select = new TreePath(getCurrentPath(), tree.getMethodSelect());
            if (above.equals(program.trees().getElement(select))) {
              TypeMirror receiver =
                  select.getLeaf() instanceof MemberSelectTree member
                      ? program.trees().getTypeMirror(new TreePath(select, member.getExpression()))
                      : program.trees().getTypeMirror(classAround(select));
              asked[0] |=
                  receiver == null
                      || program.types().isSubtype(program.types().erasure(receiver), type);
            }
            return super.visitMethodInvocation(tree, null);
          }
        };
    program.units().stream()
        .filter(unit -> unit.source().text().contains("clone"))
        .forEach(unit -> scan.scan(unit.tree(), null));
    return !asked[0];
  }

  private static TreePath classAround(TreePath code) {
    TreePath at = code;
    while (!(at.getLeaf() instanceof ClassTree)) {
      at = at.getParentPath();
    }
    return at;
  }

  @Override
  public boolean isIn(OwnerClass.Method method) {
    return false;
  }

  @Override
  public Replacement given(Holder holder) {
    LastMember last = LastMember.of(owner);
    Layout layout = Layout.of(owner);
    String end = layout.lineEnd();
    String type = Symbols.typeKey(owner.binaryName());
    String key = owner.program().symbols().key(above);
    String visible = above.getModifiers().contains(Modifier.PUBLIC) ? "public " : "protected ";
    Written.Text text = Written.text(last.before() + layout.member() + "@");
    text.name("Override", "type java.lang.Override").text(end + layout.member() + visible);
    text.name("Object", "type java.lang.Object").text(" ");
    text.here(UseKind.OVERRIDES, overridden()).text("clone()");
    String before = " throws ";
    for (TypeMirror thrown : above.getThrownTypes()) {
      TypeElement error = (TypeElement) owner.program().types().asElement(thrown);
      text.text(before).text(packageOf(error));
      text.name(error.getSimpleName().toString(), owner.program().symbols().key(error));
      before = ", ";
    }
    text.text(" {" + end + layout.body()).name(owner.simpleName(), type);
    text.text(" " + CloneCopy.COPY + " = (").name(owner.simpleName(), type).text(") ");
    text.name("super", "super of " + owner.binaryName()).text(".").name("clone", key).text("();");
    CloneCopy.own(holder, CloneCopy.COPY, text.text(end + layout.body()));
    text.text(end + layout.body() + "return ").local(CloneCopy.COPY).text(";" + end);
    text.text(layout.member() + "}" + end);
    return Replacement.of(last.at(), last.at(), text.done());
  }

  /** The keys of all that the new method overrides. */
  private String overridden() {
    return owner.program().supertypes(owner.element()).stream()
        .flatMap(type -> clone(type).stream())
        .map(owner.program().symbols()::key)
        .sorted()
        .collect(Collectors.joining(" & "));
  }

  private static String packageOf(TypeElement error) {
    String name = error.getQualifiedName().toString();
    return name.startsWith("java.lang.") ? "" : name.substring(0, name.lastIndexOf('.') + 1);
  }
}
