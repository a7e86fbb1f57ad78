package paredown.refactor.operation.extractclass;

import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.FieldAccess;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.StaticImports;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;

/** Lets every use that stays reach the extracted members through the holder. */
final class UseEdits {
  private final OwnerClass owner;
  private final ExtractedMembers members;

  UseEdits(OwnerClass owner, ExtractedMembers members) {
    this.owner = owner;
    this.members = members;
  }

  void collect(EditList edits) {
    Set<Integer> targets = members.construction().targets(owner);
    for (MemberUse use : members.leaving().staying()) {
      boolean target = isInOwnerFile(use.file()) && targets.contains(use.offset());
      if (!target) {
        edit(use, edits);
      }
    }
    List<Element> gone = gone();
    for (Unit unit : owner.program().units()) {
      docs(unit, edits);
      StaticImports.removals(new UnitTrees(owner.program(), unit), owner, gone)
          .forEach(edit -> edits.add(unit.path(), edit));
    }
  }

  /** The static members that are not in their old place any more. */
  private List<Element> gone() {
    Stream<Element> fields = members.fields().stream().map(OwnerClass.Field::element);
    Stream<Element> methods =
        members.methods().stream()
            .filter(method -> !members.delegates().contains(method))
            .map(OwnerClass.Method::element);
    return Stream.concat(fields, methods)
        .filter(each -> each.getModifiers().contains(Modifier.STATIC))
        .toList();
  }

  private boolean isInOwnerFile(String file) {
    return file.equals(owner.trees().path());
  }

  private void edit(MemberUse use, EditList edits) {
    FieldAccess access = members.access().get(use.key());
    for (OwnerClass.Method method : members.methods()) {
      if (method.key().equals(use.key())) {
        if (!members.delegates().contains(method)) {
          ask(method, use, edits);
        }
        return;
      }
    }
    for (OwnerClass.Field field : members.fields()) {
      if (field.key().equals(use.key())) {
        if (field.is(Modifier.STATIC)) {
          name(use, field.name(), members.newKey(field), edits);
        } else if (access.isDirect()) {
          add(edits, use, field.name(), members.newKey(field), "");
        } else {
          add(edits, use, access.accessor(), members.accessorKey(access), "()");
        }
      }
    }
  }

  /** A static member is asked of the new class. */
  private void name(MemberUse use, String name, String key, EditList edits) {
    Tree tree = use.path().getLeaf();
    Tree qualifier =
        tree instanceof MemberSelectTree select
            ? select.getExpression()
            : tree instanceof MemberReferenceTree reference
                ? reference.getQualifierExpression()
                : null;
    boolean byName =
        qualifier == null
            || use.trees().element(new TreePath(use.path(), qualifier)) instanceof TypeElement;
    if (!byName || !use.trees().source().text().startsWith(name, use.offset())) {
      throw Refused.because(RefusalKind.STATIC_CONTEXT, name, use.place());
    }
    Written.Text text = Written.text("");
    Holder holder = members.holder();
    if (!holder.type().isPlainIn(use.file())) {
      TypeNames.spell(
          text, owner.element(), owner.writtenName(), owner.program().symbols()::key, null);
      text.text(".");
    }
    text.name(holder.type().name(), holder.type().key());
    UnitTrees trees = use.trees();
    boolean reference = tree instanceof MemberReferenceTree;
    int start = trees.start(reference ? qualifier : tree);
    int end = reference ? trees.end(qualifier) : use.offset() + name.length();
    if (!reference) {
      text.text(".").name(name, key, new Use.Place(use.file(), use.offset(), UseKind.NAME));
    }
    edits.add(use.file(), Rewriting.of(trees, start, end, "its class is another", text.done()));
  }

  private void ask(OwnerClass.Method method, MemberUse use, EditList edits) {
    if (method.is(Modifier.STATIC)) {
      name(use, method.name(), members.newKey(method), edits);
      return;
    }
    if (use.path().getLeaf() instanceof MemberReferenceTree reference) {
      int end = use.trees().end(reference.getQualifierExpression());
      Holder holder = members.holder();
      Written asked = Written.text(".").name(holder.name(), holder.key()).done();
      edits.add(use.file(), Replacement.of(end, end, asked));
    } else {
      add(edits, use, method.name(), members.newKey(method), "");
    }
  }

  private void add(EditList edits, MemberUse use, String name, String key, String behind) {
    String old = use.key().substring(use.key().indexOf('#') + 1).replaceAll("\\(.*", "");
    if (!use.trees().source().text().startsWith(old, use.offset())) {
      throw Refused.because(RefusalKind.STATIC_CONTEXT, old, use.place());
    }
    Holder holder = members.holder();
    Written.Text text = Written.text("");
    Use.Place receiver = new Use.Place(use.file(), use.offset(), UseKind.RECEIVER);
    owner
        .program()
        .uses()
        .at(use.file(), use.offset(), UseKind.RECEIVER)
        .ifPresent(was -> text.hereStill(UseKind.RECEIVER, was.key(), receiver));
    text.name(holder.name(), holder.key())
        .text(".")
        .name(name, key, new Use.Place(use.file(), use.offset(), UseKind.NAME))
        .text(behind);
    edits.add(use.file(), Replacement.of(use.offset(), use.offset() + old.length(), text.done()));
  }

  /** Javadoc links to what has moved follow it. */
  private void docs(Unit unit, EditList edits) {
    for (Use use : owner.program().uses().in(unit.path()).toList()) {
      String newKey = use.isDoc() ? movedTo(use.key()) : null;
      if (newKey == null || isCarried(use)) {
        continue;
      }
      int sharp = unit.source().text().indexOf('#', use.offset());
      if (sharp < 0 || unit.source().slice(use.offset(), sharp).contains(" ")) {
        throw Refused.because(
            RefusalKind.STATIC_CONTEXT, "A Javadoc link", unit.source().place(use.offset()));
      }
      edits.add(
          unit.path(),
          Replacement.of(
              use.offset(),
              sharp,
              Written.text("")
                  .here(UseKind.DOC, newKey, use.place())
                  .text(members.holder().type().writtenIn(unit.path()))
                  .done()));
    }
  }

  private String movedTo(String key) {
    for (OwnerClass.Field field : members.fields()) {
      if (field.key().equals(key)) {
        return members.newKey(field);
      }
    }
    for (OwnerClass.Method method : members.methods()) {
      if (method.key().equals(key) && !members.delegates().contains(method)) {
        return members.newKey(method);
      }
    }
    return null;
  }

  private boolean isCarried(Use use) {
    if (!isInOwnerFile(use.file())) {
      return false;
    }
    return members.declarations().stream()
            .filter(FieldDeclaration::isWhole)
            .anyMatch(declaration -> covers(declaration.range(), use.offset()))
        || members.methods().stream()
            .filter(method -> !members.delegates().contains(method))
            .anyMatch(method -> covers(method.range(), use.offset()));
  }

  private static boolean covers(MemberRange range, int offset) {
    return range.start() <= offset && offset < range.end();
  }
}
