package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.startup.Construction;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;
import paredown.text.SourceText;

/**
 * A constructor that takes the new object itself: the one that took the values keeps its place, and
 * makes the object for the other.
 */
final class PassedIn {
  private final OwnerClass owner;
  private final ExtractedMembers members;
  private final Holder holder;
  private final Construction.Build build;
  private final List<VariableTree> parameters;
  private final Set<Element> leaving;

  PassedIn(OwnerClass owner, ExtractedMembers members, Construction.Build build) {
    this.owner = owner;
    this.members = members;
    this.holder = members.holder();
    this.build = build;
    this.parameters = new ArrayList<>(build.constructor().tree().getParameters());
    this.leaving =
        build.assignments().stream()
            .map(each -> owner.trees().element(each.value()))
            .collect(Collectors.toSet());
  }

  /** Whether a constructor does nothing with the values but set the fields. */
  boolean fits() {
    boolean plain =
        build.early().isEmpty()
            && leaving.size() == build.assignments().size()
            && build.assignments().stream().allMatch(this::isParameter)
            && !build.constructor().element().isVarArgs();
    int arity = parameters.size() - leaving.size() + 1;
    return plain
        && owner.constructors().stream()
            .noneMatch(each -> each.tree().getParameters().size() == arity)
        && uses() == leaving.size();
  }

  private boolean isParameter(Construction.Assigned assigned) {
    Element element = owner.trees().element(assigned.value());
    return assigned.local() == null
        && assigned.value().getLeaf() instanceof IdentifierTree
        && element != null
        && element.getKind() == ElementKind.PARAMETER;
  }

  /** How often the constructor names the parameters that would leave. */
  private int uses() {
    int[] count = {0};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        count[0] += leaving.contains(owner.trees().element(getCurrentPath())) ? 1 : 0;
        return super.visitIdentifier(tree, null);
      }
    }.scan(build.constructor().path(), null);
    return count[0];
  }

  /** The old constructor, which makes the object, and behind it the one that takes it. */
  void collect(List<Replacement> own) {
    MemberRange range = build.constructor().range();
    List<Replacement> inside =
        new ArrayList<>(
            own.stream()
                .filter(
                    edit ->
                        edit.start() >= range.declaration() && edit.end() <= range.declarationEnd())
                .toList());
    own.removeAll(inside);
    parameter(inside);
    assignments(inside);
    SourceText source = owner.source();
    for (String modifier : List.of("public", "protected", "private")) {
      Modifiers.remove(source, range, modifier).ifPresent(inside::add);
    }
    inside.addAll(Ties.left(owner, build.constructor()));
    String file = owner.trees().path();
    String end = source.lineEnd();
    String indent = source.indentAt(range.declaration());
    int body = owner.trees().start(build.constructor().tree().getBody());
    own.add(
        Replacement.of(
            range.declaration(),
            range.declarationEnd(),
            new Copied(file, range.declaration(), body, List.of()),
            delegation(indent),
            Written.plain(end + end + indent),
            new Carried(
                file, range.declaration(), range.declarationEnd(), inside, Indent.SAME, null)));
  }

  /** The object takes the place of the first of its values. */
  private void parameter(List<Replacement> inside) {
    boolean placed = false;
    for (int i = 0; i < parameters.size(); i++) {
      if (leaves(parameters.get(i))) {
        int start = owner.trees().start(parameters.get(i));
        int end = owner.trees().end(parameters.get(i));
        if (placed) {
          int before = owner.trees().end(parameters.get(i - 1));
          inside.add(Rewriting.of(owner.trees(), before, end, "the object has it"));
        } else {
          Written.Text text = holder.type(Written.text("")).text(" " + holder.name());
          inside.add(Rewriting.of(owner.trees(), start, end, "the object has it", text.done()));
        }
        placed = true;
      }
    }
  }

  private boolean leaves(VariableTree parameter) {
    return leaving.contains(
        owner.trees().element(new TreePath(build.constructor().path(), parameter)));
  }

  private void assignments(List<Replacement> inside) {
    Construction.Assigned last = build.assignments().get(build.assignments().size() - 1);
    for (Construction.Assigned each : build.assignments()) {
      int start = owner.trees().start(each.statement());
      int end = owner.trees().end(each.statement());
      if (each == last) {
        Written set =
            Written.text("")
                .name("this", "this of " + holder.ownerType())
                .text(".")
                .name(holder.name(), holder.key())
                .text(" = ")
                .local(holder.name())
                .text(";")
                .done();
        inside.add(Rewriting.of(owner.trees(), start, end, "the object has it", set));
      } else {
        int[] whole = owner.trees().withLine(each.statement());
        inside.add(Rewriting.of(owner.trees(), whole[0], whole[1], "the object has it"));
      }
    }
  }

  private Written delegation(String indent) {
    Layout layout = Layout.of(owner);
    List<String> erased = new ArrayList<>();
    Written.Text arguments = Written.text("");
    String separator = "";
    boolean placed = false;
    for (VariableTree parameter : parameters) {
      boolean leaves = leaves(parameter);
      if (leaves && placed) {
        continue;
      }
      arguments.text(separator);
      separator = ", ";
      if (leaves) {
        placed = true;
        erased.add(holder.type().binaryName().replace('$', '.'));
        creation(arguments);
      } else {
        Element element =
            owner.trees().element(new TreePath(build.constructor().path(), parameter));
        erased.add(owner.program().types().erasure(element.asType()).toString());
        arguments.local(parameter.getName().toString());
      }
    }
    Written given = arguments.done();
    Written.Text text =
        Written.text("{" + layout.lineEnd() + indent + layout.unit())
            .name("this", Symbols.constructorKey(owner.binaryName(), erased))
            .text("(")
            .all(given);
    return text.text(");" + layout.lineEnd() + indent + "}").done();
  }

  private void creation(Written.Text text) {
    members.creation(text, true).text("(");
    String separator = "";
    for (OwnerClass.Field field : members.construction().parameters()) {
      Construction.Assigned assigned =
          build.assignments().stream()
              .filter(each -> each.field().equals(field))
              .findFirst()
              .orElseThrow();
      text.text(separator).local(assigned.value().getLeaf().toString());
      separator = ", ";
    }
    text.text(")");
  }
}
