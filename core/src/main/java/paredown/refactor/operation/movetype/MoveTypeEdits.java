package paredown.refactor.operation.movetype;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NewImport;
import paredown.refactor.name.UnusedImports;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** Says where a type is now: in its own file, in imports, qualified names and Javadoc. */
final class MoveTypeEdits {
  private static final Pattern NAME = Pattern.compile("[\\w$]+(?:\\.[\\w$]+)*");

  private static final String USELESS = "its package is the same now, or is no more";

  private final OwnerClass owner;
  private final Program program;
  private final String target;
  private final boolean emptied;
  private final String home;
  private final String key;
  private final EditList edits = new EditList();

  /**
   * The edits of a move.
   *
   * @param emptied whether nothing else is left in the old package
   */
  MoveTypeEdits(OwnerClass owner, String target, boolean emptied) {
    this.owner = owner;
    this.program = owner.program();
    this.target = target;
    this.emptied = emptied;
    this.home = owner.packageName();
    this.key = program.symbols().key(owner.element());
  }

  EditList collected() {
    packageName();
    for (Unit unit : program.units()) {
      new InFile(new UnitTrees(program, unit)).collect();
    }
    return edits;
  }

  private void packageName() {
    UnitTrees trees = owner.trees();
    var tree = trees.unit().tree().getPackageName();
    if (tree != null) {
      edits.add(
          trees.path(), Replacement.of(trees.start(tree), trees.end(tree), Written.plain(target)));
      return;
    }
    int type =
        MemberRange.of(owner.source(), trees.start(owner.tree()), trees.end(owner.tree())).start();
    int first = Math.min(type, owner.source().codeTokenFrom(0).start());
    String end = owner.source().lineEnd();
    edits.add(
        trees.path(),
        Replacement.of(first, first, Written.plain("package " + target + ";" + end + end)));
  }

  private String canonical() {
    return owner.element().getQualifiedName().toString();
  }

  /** What changes in one file. */
  private final class InFile {
    private final UnitTrees trees;
    private final SourceText source;
    private final boolean own;

    /** The types that the file will have to import, by their qualified names. */
    private final TreeMap<String, TypeElement> needed = new TreeMap<>();

    InFile(UnitTrees trees) {
      this.trees = trees;
      this.source = trees.source();
      this.own = trees.path().equals(owner.trees().path());
    }

    void collect() {
      List<ImportTree> useless = useless();
      Set<Integer> removed = new TreeSet<>();
      useless.forEach(tree -> removed.add(trees.end(tree.getQualifiedIdentifier())));
      sortedAnew().ifPresent(tree -> removed.add(trees.end(tree.getQualifiedIdentifier())));
      program.uses().in(trees.path()).toList().forEach(use -> qualified(use, removed));
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitIdentifier(IdentifierTree tree, Void unused) {
          if (trees.end(tree) >= 0
              && trees.element(getCurrentPath()) instanceof TypeElement type
              && tree.getName().equals(type.getSimpleName())) {
            simple(type);
          }
          return super.visitIdentifier(tree, null);
        }
      }.scan(trees.unit().tree(), null);
      imports(useless);
      // What an import will bring is known to Javadoc as well.
      program.uses().in(trees.path()).filter(Use::isDoc).toList().forEach(this::reference);
    }

    /** The imports of what is in the same package now, or of a package that is no more. */
    private List<ImportTree> useless() {
      List<ImportTree> useless = new ArrayList<>();
      for (ImportTree tree : trees.unit().tree().getImports()) {
        String name = tree.getQualifiedIdentifier().toString();
        boolean together =
            own
                ? name.substring(0, name.lastIndexOf('.')).equals(target)
                : name.equals(canonical()) && trees.packageName().equals(target);
        if (!tree.isStatic() && (together || emptied && name.equals(home + ".*"))) {
          useless.add(tree);
        }
      }
      return useless;
    }

    /** A use of the type by its whole name, in code and in imports. */
    private void qualified(Use use, Set<Integer> removed) {
      boolean meant = use.isName() && use.key().equals(key) && source.isBehindDot(use.offset());
      int end = use.offset() + owner.simpleName().length();
      if (!meant || removed.contains(end)) {
        return;
      }
      int start = use.offset();
      for (int i = source.tokenAt(use.offset()) - 1, parts = 2 * home.split("\\.").length;
          parts > 0;
          i--) {
        Token token = source.tokens().get(i);
        if (token.kind().isComment()) {
          throw Refused.advising(
              RefusalKind.NAME_HIDDEN,
              "A comment stands within the whole name of %s.".formatted(owner.simpleName()),
              "Take it out first.",
              source.place(token.start()));
        }
        start = token.start();
        parts--;
      }
      edits.add(trees.path(), Replacement.of(start, use.offset(), Written.plain(target + ".")));
    }

    /** A use of a type by its simple name, which may need an import now. */
    private void simple(TypeElement type) {
      if (!MoveTypeChecks.isTopLevel(type)) {
        return;
      }
      String of = MoveTypeChecks.packageOf(program, type);
      boolean parted;
      if (own) {
        String rival = target + "." + type.getSimpleName();
        boolean shadowed = !of.equals(target) && program.elements().getTypeElement(rival) != null;
        parted = !type.equals(owner.element()) && (of.equals(home) || shadowed);
      } else {
        parted = type.equals(owner.element()) && !trees.packageName().equals(target);
      }
      if (!parted || isImported(type.getQualifiedName().toString())) {
        return;
      }
      if (of.isEmpty() && own) {
        throw Refused.advising(
            RefusalKind.NAME_HIDDEN,
            "%s needs %s, and a type of the unnamed package cannot be imported."
                .formatted(owner.simpleName(), type.getSimpleName()),
            "Move that first.",
            owner.trees().place(owner.tree()));
      }
      needed.put(of + "." + type.getSimpleName(), type);
    }

    private boolean isImported(String name) {
      return trees.unit().tree().getImports().stream()
          .anyMatch(
              tree -> !tree.isStatic() && tree.getQualifiedIdentifier().toString().equals(name));
    }

    /**
     * Takes the import of the type to another place, where the order of the imports asks for it.
     */
    private Optional<ImportTree> sortedAnew() {
      List<? extends ImportTree> all =
          trees.unit().tree().getImports().stream().filter(tree -> !tree.isStatic()).toList();
      List<String> names = new ArrayList<>();
      all.forEach(tree -> names.add(tree.getQualifiedIdentifier().toString()));
      int at = names.indexOf(canonical());
      boolean stays = own || at < 0 || trees.packageName().equals(target);
      if (stays || !isSorted(names)) {
        return Optional.empty();
      }
      names.set(at, target + "." + owner.simpleName());
      Replacement added = newImport(owner.element(), target).in(trees);
      List<Replacement> gone = UnusedImports.removals(trees, List.of(all.get(at)), USELESS);
      boolean apart =
          gone.stream()
              .allMatch(each -> added.start() <= each.start() || added.start() >= each.end());
      if (isSorted(names) || !apart) {
        return Optional.empty();
      }
      gone.forEach(each -> edits.add(trees.path(), each));
      edits.add(trees.path(), added);
      return Optional.of(all.get(at));
    }

    private static boolean isSorted(List<String> names) {
      return names.equals(names.stream().sorted().toList());
    }

    private NewImport newImport(TypeElement type, String around) {
      String simple = type.getSimpleName().toString();
      String meant = program.symbols().key(type);
      return new NewImport(
          around + "." + simple, text -> text.text(around + ".").name(simple, meant));
    }

    /** The new imports take the places of the useless ones, as far as there are any. */
    private void imports(List<ImportTree> useless) {
      int count = 0;
      for (TypeElement type : needed.values()) {
        NewImport wanted = newImport(type, own ? MoveTypeChecks.packageOf(program, type) : target);
        if (useless.isEmpty()) {
          edits.add(trees.path(), wanted.in(trees, count == 0, count == needed.size() - 1));
          count++;
        } else {
          Tree place = useless.remove(0).getQualifiedIdentifier();
          Written.Text text = Written.text("");
          wanted.spelled().accept(text);
          List<Replacement.Dropped> dropped =
              program.uses().within(trees.path(), trees.start(place), trees.end(place)).stream()
                  .map(use -> new Replacement.Dropped(use.place(), USELESS))
                  .toList();
          edits.add(
              trees.path(),
              new Replacement(trees.start(place), trees.end(place), List.of(text.done()), dropped));
        }
      }
      UnusedImports.removals(trees, useless, USELESS)
          .forEach(edit -> edits.add(trees.path(), edit));
    }

    /** The names of types in a Javadoc reference: before a member, and among its parameters. */
    private void reference(Use use) {
      Matcher name =
          NAME.matcher(source.text()).region(use.offset(), DocReference.end(source, use.offset()));
      while (name.find()) {
        boolean member = name.start() > 0 && source.text().charAt(name.start() - 1) == '#';
        if (!member) {
          named(use, name.start(), name.group());
        }
      }
    }

    private void named(Use use, int at, String name) {
      String first = name.split("\\.")[0];
      if (!home.isEmpty() && (name + ".").startsWith(canonical() + ".")) {
        rewrite(use, at, home.length() + 1, target + ".");
      } else if (own) {
        String full = home.isEmpty() ? first : home + "." + first;
        TypeElement type = program.elements().getTypeElement(full);
        boolean meant =
            type != null
                && !type.equals(owner.element())
                && !isImported(full)
                && !isSimplyImported(first)
                && owner.element().getEnclosedElements().stream()
                    .noneMatch(
                        member ->
                            member instanceof TypeElement nested
                                && nested.getSimpleName().contentEquals(first));
        if (meant && !needed.containsKey(full) && !home.isEmpty()) {
          rewrite(use, at, 0, home + ".");
        }
      } else if (first.equals(owner.simpleName())
          && !trees.packageName().equals(target)
          && !isImported(canonical())
          && !isSimplyImported(first)
          && !needed.containsValue(owner.element())
          && isOfHome()) {
        rewrite(use, at, 0, target + ".");
      }
    }

    /** Whether the file knows the types of the old package without naming them. */
    private boolean isOfHome() {
      return trees.packageName().equals(home) || isImported(home + ".*");
    }

    private boolean isSimplyImported(String simple) {
      return trees.unit().tree().getImports().stream()
          .filter(tree -> !tree.isStatic())
          .anyMatch(tree -> tree.getQualifiedIdentifier().toString().endsWith("." + simple));
    }

    /** Writes a qualifier, in the place of as many signs. */
    private void rewrite(Use use, int at, int length, String qualifier) {
      Written.Text text = Written.text("");
      int end = at + length;
      if (at == use.offset()) {
        text.hereStill(use.kind(), use.key(), use.place());
        // The use stands at the beginning of what is replaced, so that a sign has to be.
        end = Math.max(end, at + 1);
      }
      text.text(qualifier + source.slice(at + length, end));
      edits.add(trees.path(), Replacement.of(at, end, text.done()));
    }
  }
}
