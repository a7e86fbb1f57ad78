package paredown.refactor.operation.movetype;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.carry.DocsElsewhere;
import paredown.refactor.carry.Layout;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.name.ShownName;
import paredown.refactor.name.Sight;
import paredown.refactor.name.SpeltName;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out what a nested type is in a file of its own, or why it cannot be there. */
final class UnnestPlan {
  private final MoveType arguments;
  private final OwnerClass nested;
  private final SourceIndex index;
  private final Program program;
  private final UnitTrees trees;
  private final MemberRange range;
  private final NewTypeName name;
  private final TypeNames names;
  private final EditList edits = new EditList();
  private final Widening widening;

  UnnestPlan(MoveType arguments, OwnerClass nested, SourceIndex index) {
    this.arguments = arguments;
    this.nested = nested;
    this.index = index;
    this.program = nested.program();
    this.trees = nested.trees();
    this.range =
        MemberRange.of(trees.source(), trees.start(nested.tree()), trees.end(nested.tree()));
    this.name = new NewTypeName(program, nested.packageName(), nested.simpleName());
    this.names = TypeNames.ofNewFile(trees, nested.packageName(), nested.element());
    this.widening = new Widening(program);
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new UnnestChecks(nested, name, arguments.inStrings(), overruled).require();
    UnnestedNames uses = new UnnestedNames(nested, name, edits);
    uses.collect();
    opened();
    SpeltName spelt = MoveType.spelt(nested, nested.packageName());
    if (arguments.inStrings()) {
      spelt.inStrings(program, edits::add);
    }
    AccessLevel level = level(uses.isNamedFromAfar());
    List<Piece> pieces = pieces(level);
    List<Piece> all = new ArrayList<>();
    all.add(names.newImports(trees.source().lineEnd()));
    all.addAll(pieces);
    ChangedFile file =
        new NewFileHead(nested, nested.packageName())
            .file(nested.simpleName(), all, new EditedFiles(program)::source);
    int[] gone = MemberRange.withGap(trees.source(), new int[] {range.start(), range.end()});
    edits.add(trees.path(), Replacement.removal(gone[0], gone[1]));
    List<ChangedFile> files = new ArrayList<>(new EditedFiles(program).of(edits));
    files.add(file);
    if (arguments.inStrings()) {
      files.addAll(spelt.inFiles());
    }
    List<String> notes = new ArrayList<>(overruled.notes());
    notes.addAll(spelt.notes());
    Set<String> affected = new TreeSet<>(ReadableFiles.paths(program));
    affected.add(file.path());
    new ShownName(nested, index).assume();
    return new Change(
        "%s is a type of its own in %s.".formatted(nested.simpleName(), home()),
        files,
        Map.of(),
        Map.of(),
        Map.of(nested.binaryName(), name.qualified()),
        affected,
        new Change.Report(api(), wider(level), List.of(), notes)
            .assuming(nested.assumptions().all()));
  }

  private String home() {
    return nested.packageName().isEmpty() ? "the unnamed package" : nested.packageName();
  }

  private List<String> api() {
    return AccessLevel.isApi(nested.element())
        ? List.of("%s is %s now".formatted(nested.element().getQualifiedName(), name.qualified()))
        : List.of();
  }

  private List<String> wider(AccessLevel level) {
    List<String> wider = new ArrayList<>(widening.announced());
    wider.removeIf(each -> each.startsWith(nested.simpleName() + ":"));
    AccessLevel before = AccessLevel.of(nested.element());
    boolean near = before == AccessLevel.PROTECTED && level == AccessLevel.PACKAGE;
    if (level.compareTo(before) > 0 && !near) {
      wider.add(0, "%s: %s -> %s".formatted(nested.simpleName(), before.word(), level.word()));
    }
    return wider;
  }

  /** Who must see it: all who could, of whom others than its package name it or could. */
  private AccessLevel level(boolean afar) {
    return afar || AccessLevel.isApi(nested.element()) ? AccessLevel.PUBLIC : AccessLevel.PACKAGE;
  }

  /** Opens what the type and the one around it need of each other. */
  private void opened() {
    Sight apart = Sight.within(nested.packageName(), program);
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree != null && !(tree instanceof ClassTree) && getCurrentPath() != null) {
          TreePath path = new TreePath(getCurrentPath(), tree);
          Element element = trees.end(tree) < 0 ? null : trees.element(path);
          if (element != null
              && isMember(element)
              && CodeElsewhere.isOf(element, nested.element()) != isWithin(path)) {
            widening.open(element, apart, nested.simpleName(), trees.place(tree));
          }
        }
        return super.scan(tree, null);
      }
    }.scan(trees.unit().tree(), null);
    widening.collect(nested.element(), edits::add);
  }

  private boolean isMember(Element element) {
    boolean type = element instanceof TypeElement && !element.equals(nested.element());
    return (type || element.getEnclosingElement() instanceof TypeElement)
        && !element.equals(nested.element())
        && program.declaration(element) != null;
  }

  private boolean isWithin(TreePath path) {
    return CodeElsewhere.isWithin(trees, path, nested.element());
  }

  private List<Piece> pieces(AccessLevel level) {
    List<Replacement> inside = new ArrayList<>();
    for (String word : List.of("public", "protected", "private", "static")) {
      boolean stays = word.equals("public") && level == AccessLevel.PUBLIC;
      if (!stays) {
        Modifiers.remove(trees.source(), range, word).ifPresent(inside::add);
      }
    }
    if (level == AccessLevel.PUBLIC && !Modifiers.has(trees.source(), range, "public")) {
      int at =
          Modifiers.behindAnnotations(trees, nested.tree().getModifiers(), range.declaration());
      inside.add(Replacement.of(at, at, Written.plain("public ")));
    }
    int[] signs = range.signs(trees.source());
    List<Replacement> more = new ArrayList<>(edits.take(trees.path(), signs[0], signs[1]));
    more.addAll(new CodeAlone(nested, names).edits());
    more.addAll(
        new DocsElsewhere(trees, names, nested.element(), Map.of()).edits(signs[0], signs[1]));
    for (Replacement each : more) {
      boolean apart =
          inside.stream().noneMatch(one -> one.start() < each.end() && each.start() < one.end());
      if (apart) {
        inside.add(each);
      }
    }
    Layout layout = Layout.of(nested);
    String old = trees.source().indentAt(trees.start(nested.tree()));
    Indent indent = new Indent(old, "", new Indent.Level(layout.unit(), layout.unit()), "");
    return List.of(
        new Carried(trees.path(), signs[0], signs[1], inside, indent, null),
        Written.plain(trees.source().lineEnd()));
  }
}
