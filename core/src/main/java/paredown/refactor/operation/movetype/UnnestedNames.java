package paredown.refactor.operation.movetype;

import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NewImport;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.UnusedImports;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.DocMentions;
import paredown.refactor.use.OwnerClass;

/** Says everywhere where a type is that stood within another: imports, qualified names, Javadoc. */
final class UnnestedNames {
  private static final String WHY = "it is a type of its own now";

  private final OwnerClass nested;
  private final NewTypeName name;
  private final Program program;
  private final EditList edits;
  private final String key;
  private boolean afar;

  UnnestedNames(OwnerClass nested, NewTypeName name, EditList edits) {
    this.nested = nested;
    this.name = name;
    this.program = nested.program();
    this.edits = edits;
    this.key = program.symbols().key(nested.element());
  }

  /** Whether a file of another package names it. */
  boolean isNamedFromAfar() {
    return afar;
  }

  void collect() {
    TreeMap<String, Set<Integer>> mentions = DocMentions.of(program, nested.element());
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      InFile file = new InFile(trees);
      file.scan(unit.tree(), null);
      file.addImport();
      mentions.getOrDefault(unit.path(), Set.of()).forEach(file::mention);
    }
  }

  private final class InFile extends NamingsOfType {
    private final TypeNames names;
    private final boolean near;
    private boolean imported;
    private boolean needed;

    InFile(UnitTrees trees) {
      super(trees, nested.element(), edits);
      this.names = new TypeNames(trees, program.symbols()::key);
      this.near = trees.packageName().equals(name.packageName());
    }

    @Override
    public Void visitImport(ImportTree tree, Void unused) {
      TreePath path = new TreePath(getCurrentPath(), tree.getQualifiedIdentifier());
      if (tree.isStatic()) {
        String whole = tree.getQualifiedIdentifier().toString();
        if (whole.equals(nested.element().getQualifiedName().toString())) {
          throw Refused.advising(
              RefusalKind.CALL_SHAPE,
              "A static import names %s there.".formatted(nested.writtenName()),
              "Import it without static first.",
              trees.place(tree));
        }
        return super.visitImport(tree, null);
      }
      if (means(path)) {
        afar |= !near;
        if (near) {
          UnusedImports.removals(trees, List.of(tree), WHY)
              .forEach(each -> edits.add(trees.path(), each));
          return null;
        }
        imported = true;
      }
      return super.visitImport(tree, null);
    }

    @Override
    void simple(TreePath path) {
      afar |= !near;
      TypeElement scope = trees.scope(path);
      boolean own = CodeElsewhere.isWithin(trees, path, nested.element());
      if (!own && names.isOther(nested.simpleName(), nested.element(), scope)) {
        write(path, true);
      } else {
        needed |= !near;
      }
    }

    @Override
    void qualified(TreePath path, MemberSelectTree tree) {
      afar |= !near;
      boolean importing = isImporting();
      TypeElement scope = trees.scope(path);
      boolean other = names.isOther(nested.simpleName(), nested.element(), scope);
      write(path, importing || other);
      needed |= !near && !importing && !other;
    }

    @Override
    public Void visitNewClass(NewClassTree tree, Void unused) {
      if (means(new TreePath(getCurrentPath(), tree.getIdentifier()))) {
        alone(trees.start(tree));
      }
      return super.visitNewClass(tree, null);
    }

    @Override
    public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
      boolean makes = tree.getMode() == MemberReferenceTree.ReferenceMode.NEW;
      if (makes && means(new TreePath(getCurrentPath(), tree.getQualifierExpression()))) {
        alone(trees.end(tree) - "new".length());
      }
      return super.visitMemberReference(tree, null);
    }

    /** An object that is made there belongs to none of the class around it any more. */
    private void alone(int at) {
      Optional<Use> around = program.uses().at(trees.path(), at, UseKind.ENCLOSING);
      if (around.isEmpty()) {
        return;
      }
      Written.Text text = Written.text("");
      for (Use use : program.uses().within(trees.path(), at, at + 1)) {
        if (use.kind() != UseKind.ENCLOSING) {
          text.hereStill(use.kind(), use.key(), use.place());
        }
      }
      edits.add(
          trees.path(),
          new Replacement(
              at,
              at + "new".length(),
              List.of(text.text("new").done()),
              List.of(new Replacement.Dropped(around.get().place(), WHY)),
              WHY));
    }

    private boolean isImporting() {
      for (TreePath at = getCurrentPath(); at != null; at = at.getParentPath()) {
        if (at.getLeaf() instanceof ImportTree) {
          return true;
        }
      }
      return false;
    }

    /** Writes the type by its simple name, or by its whole one. */
    private void write(TreePath path, boolean whole) {
      int start = trees.start(path.getLeaf());
      int end = trees.end(path.getLeaf());
      if (whole && name.packageName().isEmpty()) {
        throw Refused.because(
            RefusalKind.NAME_HIDDEN, nested.simpleName(), trees.source().place(start));
      }
      Written.Text text = Written.text(whole ? name.packageName() + "." : "");
      text.name(nested.simpleName(), key, Rewriting.name(trees, trees.nameOffset(path.getLeaf())));
      edits.add(trees.path(), Rewriting.of(trees, start, end, WHY, text.done()));
    }

    void addImport() {
      if (needed && !imported && !near) {
        imported = true;
        edits.add(
            trees.path(),
            new NewImport(
                    name.qualified(),
                    text -> text.text(name.packageName() + ".").name(nested.simpleName(), key))
                .in(trees));
      }
    }

    @Override
    String inComment(String before) {
      return near || imported ? "" : name.packageName() + ".";
    }
  }
}
