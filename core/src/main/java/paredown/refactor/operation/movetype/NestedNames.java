package paredown.refactor.operation.movetype;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.UnusedImports;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.FileNames;
import paredown.refactor.use.DocMentions;
import paredown.refactor.use.OwnerClass;

/** Says everywhere that a type stands within another now: imports, qualified names, Javadoc. */
final class NestedNames {
  private static final String WHY = "it stands within another type now";

  private final OwnerClass alone;
  private final OwnerClass around;
  private final Program program;
  private final EditList edits;
  private final FileNames files;
  private final String key;

  NestedNames(OwnerClass alone, OwnerClass around, EditList edits, FileNames files) {
    this.alone = alone;
    this.around = around;
    this.program = alone.program();
    this.edits = edits;
    this.files = files;
    this.key = program.symbols().key(alone.element());
  }

  void collect() {
    TreeMap<String, Set<Integer>> mentions = DocMentions.of(program, alone.element());
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      InFile file = new InFile(trees);
      file.scan(unit.tree(), null);
      mentions.getOrDefault(unit.path(), Set.of()).forEach(file::mention);
    }
  }

  private final class InFile extends NamingsOfType {
    private boolean imported;

    InFile(UnitTrees trees) {
      super(trees, alone.element(), edits);
    }

    /** Whether a place is within one of the two, which know its simple name. */
    private boolean isKnown(TreePath path) {
      return CodeElsewhere.isWithin(trees, path, alone.element())
          || CodeElsewhere.isWithin(trees, path, around.element())
              && !isHead(path, around.element());
    }

    /** What stands in the head of a class is not within it. */
    private boolean isHead(TreePath path, TypeElement type) {
      for (TreePath at = path; at.getParentPath() != null; at = at.getParentPath()) {
        if (at.getParentPath().getLeaf() instanceof ClassTree tree
            && type.equals(trees.element(at.getParentPath()))) {
          return !tree.getMembers().contains(at.getLeaf());
        }
      }
      return false;
    }

    @Override
    public Void visitImport(ImportTree tree, Void unused) {
      TreePath path = new TreePath(getCurrentPath(), tree.getQualifiedIdentifier());
      if (!tree.isStatic() && alone.element().equals(trees.element(path))) {
        if (isOnlyImport() && !trees.packageName().equals(around.packageName())) {
          instead((MemberSelectTree) tree.getQualifiedIdentifier());
          return null;
        }
        UnusedImports.removals(trees, List.of(tree), WHY)
            .forEach(each -> edits.add(trees.path(), each));
        return null;
      }
      return super.visitImport(tree, null);
    }

    /** Whether an import in its place keeps all in order, since there is no other. */
    private boolean isOnlyImport() {
      return trees.unit().tree().getImports().size() == 1
          && around.element().getNestingKind() == NestingKind.TOP_LEVEL
          && !files.of(trees).isOther(around.simpleName(), around.element(), null);
    }

    /** Imports the type around it in its place. */
    private void instead(MemberSelectTree tree) {
      int at = trees.nameOffset(tree);
      imported = true;
      Written.Text text =
          Written.text("")
              .name(
                  around.simpleName(),
                  program.symbols().key(around.element()),
                  Rewriting.name(trees, at));
      edits.add(trees.path(), Replacement.of(at, at + alone.simpleName().length(), text.done()));
    }

    @Override
    void simple(TreePath path) {
      if (!isKnown(path)) {
        write(path);
      }
    }

    @Override
    void qualified(TreePath path, MemberSelectTree tree) {
      int at = trees.nameOffset(tree);
      Written.Text text = Written.text("");
      TypeNames.spell(text, around.element(), around.writtenName(), program.symbols()::key, null);
      text.text(".").name(alone.simpleName(), key, Rewriting.name(trees, at));
      edits.add(trees.path(), Replacement.of(at, at + alone.simpleName().length(), text.done()));
    }

    private void write(TreePath path) {
      int start = trees.start(path.getLeaf());
      Written.Text text = Written.text("");
      if (imported) {
        text.name(around.simpleName(), program.symbols().key(around.element()));
      } else {
        files.of(trees).write(text, around.element(), trees.scope(path));
      }
      text.text(".").name(alone.simpleName(), key, Rewriting.name(trees, start));
      edits.add(
          trees.path(), Rewriting.of(trees, start, trees.end(path.getLeaf()), WHY, text.done()));
    }

    @Override
    String inComment(String before) {
      boolean own = trees.path().equals(alone.trees().path());
      return before.isEmpty() && !own
          ? files.of(trees).knownOrFull(around.element(), null) + "."
          : before + (before.isEmpty() ? "" : around.writtenName() + ".");
    }
  }
}
